/** What holds back a want that is short, and what would help, in sentences: asked after the plan is there. */
import { handbook } from './handbook.js';
import { asIfOf, jointOf } from './jointSolved.js';
import type { PlanAsked } from './jointSolved.js';
import { isoOf } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { bindsOf } from '$lib/core/joint/index.js';
import type { Bound, Change } from '$lib/core/joint/index.js';
import { sayBinds, sayChange, sayDoing } from '$lib/core/joint/words.js';
import type { ChangeSaid } from '$lib/core/joint/words.js';
import { priceOf } from '$lib/core/ledger/wish.js';

export interface BindView {
	wantId: string;
	says: string;
	changes: ChangeView[];
}

export interface ChangeView {
	says: string;
	does: ChangeDone | null;
}

/** How it is done: the want asked for otherwise, the plan made with more money, or a screen where it is set. */
export type ChangeDone = { words: string } & (
	| { want: { place?: string; target?: number; due?: string; confidence?: number } }
	| { buy: { count: number } }
	| { grow: { kind: string; plants: number; by: string; until: string } }
	| { spend: number }
	| { minutes: number }
	| { room: string }
	| { go: string }
);

/** What holds back a want that is short, and what would help: asked after the plan is there. */
export async function bindsView({ want: only, ...asked }: PlanAsked & { want: string }): Promise<BindView[]> {
	const joint = await jointOf(asked);
	const { m, request } = joint.ask;
	const { currency } = m.garden.data;
	const at = request.wants.findIndex((w) => w.id === only);
	return bindsOf({ ...joint, coming: joint.coming() }, [at]).map((b): BindView => {
		const want = request.wants[b.want]!;
		const row = joint.ask.snapshot.wants.find((w) => w.id === want.id)!;
		const price = priceOf(m.kinds, row);
		const said = (c: Change): ChangeSaid => {
			switch (c.of) {
				case 'room':
					return { ...c, place: m.places.find((p) => p.id === c.roomId)?.name ?? '' };
				case 'bed':
					return { of: 'bed', place: m.places.find((p) => p.id === c.bedId)?.name ?? '' };
				case 'stock':
					return { ...c, kind: withVariety(m.kinds.get(c.kindId)!) };
				case 'due':
					return { of: 'due', on: isoOf(want.due + 7 * c.weeks) };
				case 'confidence':
					return { ...c, from: want.confidence };
				case 'number':
					return { ...c, from: want.target };
				case 'grow':
					return grownSaid(m.kinds.get(c.ladder.kindId)!, c, (want.orKinds ?? []).length > 0);
				case 'money':
					return { ...c, cost: c.plants * price };
				default:
					return c;
			}
		};
		return {
			wantId: want.id,
			says: waits(b) ? 'It waits for the stock that you are growing.' : sayBinds(b.by),
			changes: ranked(b).map(({ change, odds }): ChangeView => {
				const c = said(change);
				const words = sayDoing(c, { target: want.target, oneAge: want.oneAge ?? false }, currency);
				const how = words === null ? null : doneBy(change, c);
				return { says: sayChange(c, odds, m.garden.units, currency), does: how && { words: words!, ...how } };
			})
		};

		function doneBy(change: Change, c: ChangeSaid) {
			switch (change.of) {
				case 'due':
					return { want: { due: c.of === 'due' ? c.on : '' } };
				case 'number':
					return { want: { target: change.to } };
				case 'confidence':
					return { want: { confidence: change.to } };
				case 'money':
					return { buy: { count: row.buying + change.plants } };
				case 'spend':
					return { spend: (asked.spend ?? 0) + change.more };
				case 'minutes':
					return { minutes: request.minutesPerWeek + change.more };
				case 'room':
					return { room: `${change.roomId}~${change.moreCm2 + (asIfOf(asked).room.get(change.roomId) ?? 0)}` };
				case 'bed':
					return { want: { place: change.bedId } };
				case 'stock':
					return { go: `stock/new?kind=${change.kindId}` };
				case 'grow': {
					const [first, second] = change.ladder.rungs;
					const until = isoOf(Math.max(want.due, change.ladder.due));
					return {
						grow: { kind: change.ladder.kindId, plants: Math.max(1, first!.plants), by: isoOf((second ?? first!).on - 1), until }
					};
				}
			}
		}
	});
}

/** @param named of several kinds that would do it says which one is grown first */
function grownSaid(
	kind: Kind,
	{ ladder: { rungs, wayId, due }, growing }: Extract<Change, { of: 'grow' }>,
	named: boolean
): ChangeSaid {
	const [one, many] = handbook().ways.get(kind.ways.find((w) => w.id === wayId)!.way)!.piece;
	const of = named ? ` of ${withVariety(kind)}` : '';
	const piece: [string, string] = [`${one}${of}`, `${many}${of}`];
	return { of: 'grow', rungs: rungs.map((x) => ({ ...x, on: isoOf(x.on) })), piece, growing, due: isoOf(due) };
}

/** What is least effort comes first: a word, then a date, then things to do and to pay. */
const EFFORT: Record<Change['of'], number> = {
	confidence: 0,
	due: 1,
	bed: 1,
	grow: 2,
	number: 3,
	minutes: 4,
	spend: 5,
	room: 6,
	stock: 7,
	money: 8
};
/** What is under way is told before all that could be done. */
const effort = (c: Change) => (c.of === 'grow' && c.growing ? -1 : EFFORT[c.of]);
const ranked = (b: Bound) => [...b.changes].sort((x, y) => effort(x.change) - effort(y.change));
const waits = (b: Bound) => b.changes.some(({ change: c }) => c.of === 'grow' && c.growing);
