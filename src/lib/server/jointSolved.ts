/** The plan of all wants worked out, and kept for what is asked of it afterwards: changed by hand, what would help, the seasons as they may go. */
import { error } from '@sveltejs/kit';
import { v5 as uuidv5 } from 'uuid';
import type { Garden } from './context.js';
import { gardenOr404 } from './forms.js';
import { groundElsewhere } from './groundFree.js';
import { jointAsk, oddsOf } from './jointRequest.js';
import type { AsIf, JointAsk } from './jointRequest.js';
import { Kept } from './kept.js';
import { modelOf, stateOf } from './model.js';
import { choiceKey } from './planAsked.js';
import type { PlanChoice } from './planAsked.js';
import { snapshotOf } from './snapshot.js';
import { solversOf } from './solver.js';
import { wantParts } from './wantParts.js';
import type * as state from './store/state.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { weightsOf } from '$lib/core/joint/aims.js';
import { beginJoint, finishJoint, toldOf } from '$lib/core/joint/index.js';
import type { Begun, Coming, Exact, Ground, JointWant, Part, Pattern, Rules, Solved } from '$lib/core/joint/index.js';
import { blankBatch } from '$lib/core/ledger/batch.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { atLeast } from '$lib/core/odds/strike.js';
import { wantOdds } from '$lib/core/plan/wantOdds.js';

export interface PlanAsked extends PlanChoice {
	slug: string;
}
export const rulesOf = ({ not, off, free, spend }: PlanChoice): Rules => ({
	notWays: not.map((x) => x.replace('~', ' ')),
	notIn: off.map((x) => {
		const [from, to] = x.split('~') as [string, string];
		return { from: dayNumber(from), to: dayNumber(to) };
	}),
	notPlaces: free,
	spend: spend ?? undefined
});

export const asIfOf = ({ minutes, room, without }: Pick<PlanChoice, 'minutes' | 'room' | 'without'>): AsIf => ({
	minutes,
	room: new Map(room.map((x): [string, number] => [x.slice(0, x.indexOf('~')), Number(x.slice(x.indexOf('~') + 1))])),
	without: new Set(without)
});

/** A batch that is not written anywhere: the want's odds are reckoned with it as they will be with the entry. */
function batchOf(want: JointWant, { c, n }: Part): Batch {
	const id = uuidv5(`${c.name} ${n}`, NOT_WRITTEN);
	const d = { code: '', kind_id: c.source.kindId, way_id: c.way.id, stock_id: c.source.id, want_id: want.id, place_id: null };
	return { ...blankBatch(id, d), plannedOn: isoOf(c.on), plannedCount: n };
}
const NOT_WRITTEN = '3b1f2f5e-6f0e-4d57-9a3e-0d3c2f6d9a11';

/** The same question has the same answer while its garden stands as it does. */
export interface Joint {
	ask: JointAsk;
	/** Chance for each number that stands on the day: as the want will tell it. */
	stands: (want: JointWant, x: Pattern) => Float64Array;
	solved: Solved;
	exact: Exact;
	already: (want: JointWant) => Float64Array;
	/** The other beds that a want could go to. */
	elsewhere: (want: JointWant) => Ground[];
	/** Plants that are grown to be stock: of wants to keep a kind, with what is planned for them. */
	coming: () => Coming[];
}

/** A plan under way: begun, and finished once somebody has waited for the end. */
interface Working extends Pick<Joint, 'ask' | 'stands' | 'exact' | 'already' | 'elsewhere'> {
	begun: Begun;
	solved: Solved | null;
}
/** The last few, for what is asked about a plan after it was made. */
const workings = new Kept<Working>(64, ({ begun: { p } }) => 2e6 + p.candidates.reduce((n, list) => n + list.length, 0) * 4_000);

async function workingOf({ slug, ...choice }: PlanAsked): Promise<Working> {
	const garden = await gardenOr404(slug);
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	return workings.waited(`${stateOf(m, snapshot)} ${choiceKey(choice)}`, () => begin(garden, choice));
}

const jointFrom = (w: Working, solved: Solved): Joint => ({ ...w, solved, coming: () => comingOf(w, solved) });

/** The first plan that was found, while a better one is looked for. */
export async function firstOf(asked: PlanAsked): Promise<Joint> {
	const w = await workingOf(asked);
	return jointFrom(w, w.solved ?? toldOf(w.begun, w.begun.found));
}

/** @param stopped asked between the steps of the search: then it is a 503, and what was begun is kept */
export async function jointOf(asked: PlanAsked, stopped?: () => boolean): Promise<Joint> {
	const w = await workingOf(asked);
	if (!w.solved) {
		const solved = finishJoint(w.begun, await solversOf(w.ask.request.wants.length), stopped);
		if (!solved) error(503, { message: 'It was stopped.', code: 'plan.stopped' });
		w.solved = solved;
	}
	return jointFrom(w, w.solved);
}

async function begin(garden: Garden, choice: PlanChoice): Promise<Working> {
	const ask = await jointAsk(garden, {
		anew: choice.anew,
		weights: weightsOf(choice.aim),
		rules: rulesOf(choice),
		asIf: asIfOf(choice)
	});
	const { m, snapshot, request, mine } = ask;
	const rows = new Map(snapshot.wants.map((w) => [w.id, w]));
	const asRow = (want: JointWant): state.WantRow => ({
		...rows.get(want.id)!,
		target: want.target,
		due: isoOf(want.due),
		confidence: want.confidence
	});
	// Asked for again and again while what would help is looked for.
	const told = new Map<string, Float64Array>(
		request.wants.flatMap((w) => [w, ...(w.otherwise ?? [])].map((x) => [`${w.id} ${x.due} `, x.already] as const))
	);
	const standsOf = (want: JointWant, key: string, batches: () => Batch[], buys = 0): Float64Array => {
		const name = `${want.id} ${want.due} ${key}`;
		let pmf = told.get(name);
		if (!pmf) {
			const row = asRow(want);
			const with_ = { ...row, buying: row.buying + buys };
			told.set(name, (pmf = oddsOf(m, snapshot, with_, [...mine.get(want.id)!, ...batches()]).pmf));
		}
		return pmf;
	};
	const already: Joint['already'] = (want) => standsOf(want, '', () => []);
	const stands: Joint['stands'] = (want, x) => standsOf(want, x.key, () => x.parts.map((part) => batchOf(want, part)), x.buys);
	const exact: Exact = (want, x) => atLeast(stands(want, x), want.target);
	const elsewhere: Joint['elsewhere'] = (want) =>
		groundElsewhere(m, snapshot, asRow(want), new Set(mine.get(want.id)!.map((b) => b.id)));
	return { ask, exact, already, stands, elsewhere, begun: beginJoint(request, exact), solved: null };
}

function comingOf({ ask: { m, snapshot, request, mine } }: Working, { chosen }: Solved): Coming[] {
	return request.wants.flatMap((w, i) => {
		const row = snapshot.wants.find((x) => x.id === w.id)!;
		const batches = [...mine.get(w.id)!, ...chosen[i]!.parts.map((part) => batchOf(w, part))];
		const struck = batches.flatMap((b) => b.struckOn ?? b.plannedOn ?? []);
		if (row.purpose !== 'keep' || struck.length === 0) return [];
		const born = Math.min(...struck.map((on) => dayNumber(on)));
		return [{ kindId: w.kindId, born, by: w.due, pmf: wantOdds(row.target, [], wantParts(m, batches, w.due).parts).pmf }];
	});
}
