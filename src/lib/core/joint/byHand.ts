/** A plan changed by hand: these batches and no others. Their odds, and where they ask for more than there is. */
import { sayDate, isoOf } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { Choice } from './descend.js';
import type { Rows } from './needs.js';
import { keyOf, ofOneAge, patternOf } from './patterns.js';
import type { Pattern } from './patterns.js';
import type { Part } from './wantChance.js';
import { costOf, patternsFor } from './plan.js';
import type { Prepared } from './plan.js';
import type { Exact, Solved } from './solve.js';
import { kindsFor, wayFor } from './types.js';
import type { JointRequest, PlannedBatch } from './types.js';

export interface HandBatch extends PlannedBatch {
	wantId: string;
}

/** A set of places, minutes or a plant that is asked for more than there is, and its worst day. */
export interface Clash {
	of: 'minutes' | 'money' | 'stock' | 'age' | 'ground' | readonly string[];
	day: DayNumber;
	over: number;
	/** The plant, where it is one. */
	sourceId: string | null;
	/** The want whose plants would be of several ages. */
	wantId?: string;
	/** The bed, where it is its ground. */
	bedId?: string;
}

/**
 * @param buys plants to buy, by want
 * @returns the same plan with other batches, or why one of them can't be
 */
export function byHand(
	p: Prepared,
	batches: readonly HandBatch[],
	exact: Exact,
	buys: ReadonlyMap<string, number> = new Map()
): Result<{ solved: Solved; clashes: Clash[] }> {
	// By want, and by each way in which it would do.
	const parts: (Part | null)[][][] = p.faces.map((faces) => faces.map(() => []));
	for (const b of batches) {
		const at = p.r.wants.findIndex((w) => w.id === b.wantId);
		const want = p.r.wants[at];
		const source = p.r.sources.find((s) => s.id === b.sourceId && want && kindsFor(want).includes(s.kindId));
		const of = source && p.r.kinds.get(source.kindId)!;
		const whole = of?.kind.ways.find((w) => w.id === b.wayId);
		const way = want && of && whole && wayFor(want, of.kind.id, whole);
		if (!want || !source || !of || !way)
			return refuse('plan.changed', 'One of these batches is not of this plan any more: plan again.');
		const on = sayDate(isoOf(b.on));
		if (b.on < p.r.today) return refuse('plan.past', `${on} has gone by.`, 'on');
		if (!p.field.mayStrike(b.on)) return refuse('plan.away', `Nobody is there to strike on ${on}.`, 'on');
		const window = p.field.windowOn(source.kindId, way, b.on);
		const next = of.season.openings(way.window, b.on, b.on + 400)[0];
		if (window.bestFrom > window.bestTo)
			return refuse(
				'plan.season',
				`${on} is out of season for it.${next ? ` Its window opens on ${sayDate(isoOf(next.opens))}.` : ''}`,
				'on'
			);
		const each = p.faces[at]!.map((f) => p.field.candidate(f.want, source, way, b.on, window));
		const c = each.find((x) => x !== null);
		if (!c)
			return refuse('plan.late', `Struck on ${on}, none of them would stand in time, or the plant has none to give then.`, 'on');
		if (b.pieces > c.most) return refuse('plan.stock', `On ${on} that plant gives ${c.most}, not ${b.pieces}.`, 'pieces');
		each.forEach((x, face) => parts[at]![face]!.push(x && { c: x, n: b.pieces }));
	}
	const chosen = parts.map((faces, at) =>
		faces
			.flatMap((list, face): Pattern[] => {
				const all = list.filter((x) => x !== null);
				if (all.length < list.length) return [];
				return [patternOf(patternsFor(p, at, p.faces[at]![face]), all, keyOf(all), buys.get(p.r.wants[at]!.id))];
			})
			.reduce((a, b) => (b.cost < a.cost ? b : a))
	);
	const odds = chosen.map((x, w) => exact(p.r.wants[w]!, x));
	const promised = chosen.map((x) => exact(x.as, x));
	return ok({
		solved: { ...{ p, chosen, first: chosen, bound: costOf(chosen) }, odds, promised },
		clashes: [...clashesOf(p, chosen), ...agesOf(p, chosen)]
	});
}

/** Wants that are to be of one age and would not be. */
const agesOf = (p: Prepared, chosen: readonly Pattern[]): Clash[] =>
	chosen.flatMap((x, w) => {
		const { id, oneAge } = p.r.wants[w]!;
		return oneAge && x.parts.length > 1 && !ofOneAge(x.parts)
			? [{ of: 'age', day: x.parts[0]!.c.on, over: 0, sourceId: null, wantId: id }]
			: [];
	});

/** A row that is overfull, as what it is of. */
export function clashOf(r: Pick<JointRequest, 'rooms'>, rows: Rows, row: number, over: number): Clash {
	const { of, day } = rows.about(row);
	if (of === 'minutes' || of === 'money') return { of, day, over, sourceId: null };
	if (typeof of === 'number') return { of: r.rooms.filter((_, i) => of & (1 << i)).map((x) => x.id), day, over, sourceId: null };
	if ('bedId' in of) return { of: 'ground', day, over, sourceId: null, bedId: of.bedId };
	return { of: 'stock', day, over, sourceId: of.id };
}

/** The worst of each thing that is overfull. */
export function clashesOf(p: Prepared, chosen: readonly Pattern[]): Clash[] {
	const { loads } = new Choice({ pools: p.pools, limits: p.rows.limits }, chosen);
	const worst = new Map<string, Clash>();
	loads.forEach((load, row) => {
		const over = load - p.rows.limits[row]!;
		if (over <= 1e-6 * Math.max(1, p.rows.limits[row]!)) return;
		const clash = clashOf(p.r, p.rows, row, over);
		const key = `${String(clash.of)} ${clash.sourceId ?? clash.bedId ?? ''}`;
		if (over > (worst.get(key)?.over ?? 0)) worst.set(key, clash);
	});
	return [...worst.values()];
}
