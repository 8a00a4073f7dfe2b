/** What holds back a want that is short, and what would help, in sentences: asked after the plan is there. */
import { handbook } from './handbook.js';
import { jointOf } from './jointSolved.js';
import type { PlanAsked } from './jointSolved.js';
import { isoOf } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { bindsOf } from '$lib/core/joint/index.js';
import type { Bound, Change, Ladder } from '$lib/core/joint/index.js';
import { sayBinds, sayChange } from '$lib/core/joint/words.js';
import type { ChangeSaid } from '$lib/core/joint/words.js';

export interface BindView {
	wantId: string;
	says: string;
	changes: string[];
}

/** What holds back a want that is short, and what would help: asked after the plan is there. */
export async function bindsView({ want: only, ...asked }: PlanAsked & { want: string }): Promise<BindView[]> {
	const joint = await jointOf(asked);
	const { m, request } = joint.ask;
	const at = request.wants.findIndex((w) => w.id === only);
	return bindsOf(joint, [at]).map((b): BindView => {
		const want = request.wants[b.want]!;
		const kind = m.kinds.get(want.kindId)!;
		const said = (c: Change): ChangeSaid => {
			switch (c.of) {
				case 'room':
					return { ...c, place: m.places.find((p) => p.id === c.roomId)?.name ?? '' };
				case 'stock':
					return { ...c, kind: withVariety(kind) };
				case 'due':
					return { of: 'due', on: isoOf(want.due + 7 * c.weeks) };
				case 'confidence':
					return { ...c, from: want.confidence };
				case 'number':
					return { ...c, from: want.target };
				case 'grow':
					return grownSaid(kind, c.ladder);
				case 'money':
					return { ...c, cost: c.plants * kind.price.v };
				default:
					return c;
			}
		};
		return {
			wantId: want.id,
			says: sayBinds(b.by),
			changes: ranked(b).map((x) => sayChange(said(x.change), x.odds, m.garden.units, m.garden.data.currency))
		};
	});
}

function grownSaid(kind: Kind, { rungs, wayId, due }: Ladder): ChangeSaid {
	const piece = handbook().ways.get(kind.ways.find((w) => w.id === wayId)!.way)!.piece as [string, string];
	return { of: 'grow', rungs: rungs.map((x) => ({ ...x, on: isoOf(x.on) })), piece, due: isoOf(due) };
}

/** What is least effort comes first: a word, then a date, then things to do and to pay. */
const EFFORT: Record<Change['of'], number> = {
	confidence: 0,
	due: 1,
	number: 2,
	minutes: 3,
	spend: 4,
	room: 5,
	grow: 6,
	stock: 7,
	money: 8
};
const ranked = (b: Bound) => [...b.changes].sort((x, y) => EFFORT[x.change.of] - EFFORT[y.change.of]);
