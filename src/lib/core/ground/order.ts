/**
 * In what order plants change places: a bed holds one plant, one moves at a time, and nothing is lifted before its place is
 * free. A plant waits for the one that stands where it goes, so each bed has one before it and one after: the waits are
 * chains, which end somewhere free, and rings, which need a spot besides.
 */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

/** The holding ground, where plants wait in pots or heeled in. */
export const HOLD = 'HOLD';

export interface MovesAsked {
	beds: readonly string[];
	/** Where each stands, and where it is to stand; null is outside: brought in, or given away. */
	start: Readonly<Record<string, string | null>>;
	target: Readonly<Record<string, string | null>>;
	/** Only the holding ground takes a plant in between, once; or any bed that is free at the time as well. */
	parking: 'holding' | 'anywhere';
}
export interface Move {
	plant: string;
	from: string | null;
	to: string | null;
}
export interface MovesOrder {
	moves: Move[];
	/** Moves into the holding ground, and how many plants it holds at the same time at most. */
	holdingMoves: number;
	mostHeld: number;
	totalMoves: number;
}

function checked({ beds, start, target }: MovesAsked): Result<true> {
	const known = new Set(beds);
	if (known.size < beds.length) return refuse('order.beds', 'Each bed has a name of its own.', 'beds');
	if (known.has(HOLD)) return refuse('order.hold', `${HOLD} is the holding ground: no bed is called so.`, 'beds');
	for (const [path, at] of [
		['start', start],
		['target', target]
	] as const) {
		// prettier-ignore
		const taken = new Map<string, string>();
		for (const [plant, bed] of Object.entries(at)) {
			if (bed === null) continue;
			if (!known.has(bed)) return refuse('order.bed', `${plant}: there is no bed called ${bed}.`, `${path}.${plant}`);
			const other = taken.get(bed);
			if (other !== undefined)
				return refuse('order.two', `${other} and ${plant} can't both stand in ${bed}.`, `${path}.${plant}`);
			taken.set(bed, plant);
		}
	}
	for (const [path, of, other] of [
		['target', start, target],
		['start', target, start]
	] as const) {
		// prettier-ignore
		const missing = Object.keys(of).find((plant) => !Object.hasOwn(other, plant));
		if (missing !== undefined) return refuse('order.plant', `${missing} has no ${path}: say null where it is outside.`, path);
	}
	return ok(true);
}

/** The fewest moves into holding, then the fewest moves. */
export function orderMoves(asked: MovesAsked): Result<MovesOrder> {
	const good = checked(asked);
	if (!good.ok) return good;
	const { beds, start, target, parking } = asked;
	const at = new Map<string, string | null>(Object.entries(start));
	const inBed = new Map<string, string>();
	for (const [plant, bed] of at) if (bed !== null) inBed.set(bed, plant);
	const goal = (plant: string): string | null => target[plant]!;
	const moves: Move[] = [];
	const move = (plant: string, to: string | null) => {
		const from = at.get(plant)!;
		moves.push({ plant, from, to });
		if (from !== null && from !== HOLD) inBed.delete(from);
		if (to !== null && to !== HOLD) inBed.set(to, plant);
		at.set(plant, to);
	};
	const unmoved = new Set(Object.keys(start).filter((plant) => start[plant] !== goal(plant)));
	const rings = ringsOf(unmoved, inBed, goal);
	const inRing = new Set(rings.flat());
	/** Of a chain, whoever goes where it is free first; then the one that waited for its bed, and so on. */
	const chains = () => {
		const ready = [...unmoved].filter((p) => !inRing.has(p) && (goal(p) === null || !inBed.has(goal(p)!)));
		const waiting = new Map([...unmoved].flatMap((p) => (goal(p) === null ? [] : [[goal(p)!, p] as const])));
		for (let plant = ready.pop(); plant !== undefined; plant = ready.pop()) {
			const from = at.get(plant)!;
			move(plant, goal(plant));
			unmoved.delete(plant);
			const next = from === null ? undefined : waiting.get(from);
			if (next !== undefined && unmoved.has(next) && !inRing.has(next)) ready.push(next);
		}
	};
	/** The rest of a ring, once its first has left its bed: each into the bed that the one before it left. */
	const turn = (ring: readonly string[]) => {
		for (const plant of ring.slice(1).reverse()) move(plant, goal(plant));
		move(ring[0]!, goal(ring[0]!));
		for (const plant of ring) unmoved.delete(plant);
	};
	const freeBed = () => (parking === 'anywhere' ? beds.find((b) => !inBed.has(b)) : undefined);
	// Full to the last bed: who leaves for good frees one, before the next moves in.
	const leaver = [...unmoved].find((p) => !inRing.has(p) && goal(p) === null && at.get(p) !== null);
	if (rings.length > 0 && parking === 'anywhere' && freeBed() === undefined && leaver !== undefined) {
		move(leaver, null);
		unmoved.delete(leaver);
	}
	const spare = freeBed();
	const [first, ...others] = rings;
	if (first && spare === undefined && parking === 'anywhere') {
		// One goes into holding, and the bed that it leaves serves all the other rings before its own is closed.
		move(first[0]!, HOLD);
		const left = start[first[0]!]!;
		for (const ring of others) {
			move(ring[0]!, left);
			turn(ring);
		}
		turn(first);
	} else
		for (const ring of rings) {
			move(ring[0]!, spare ?? HOLD);
			turn(ring);
		}
	chains();
	let [held, mostHeld, holdingMoves] = [0, 0, 0];
	for (const m of moves) {
		if (m.to === HOLD) holdingMoves++;
		held += Number(m.to === HOLD) - Number(m.from === HOLD);
		mostHeld = Math.max(mostHeld, held);
	}
	return ok({ moves, holdingMoves, mostHeld, totalMoves: moves.length });
}

/** Rings of plants, each of which goes where the next one stands; the last where the first does. */
function ringsOf(
	unmoved: ReadonlySet<string>,
	inBed: ReadonlyMap<string, string>,
	goal: (plant: string) => string | null
): string[][] {
	const seen = new Set<string>();
	const rings: string[][] = [];
	for (const first of unmoved) {
		const way: string[] = [];
		let plant: string | undefined = first;
		while (plant !== undefined && unmoved.has(plant) && !seen.has(plant)) {
			seen.add(plant);
			way.push(plant);
			const bed: string | null = goal(plant);
			plant = bed === null ? undefined : inBed.get(bed);
		}
		const back = plant === undefined ? -1 : way.indexOf(plant);
		if (back >= 0) rings.push(way.slice(back));
	}
	return rings;
}
