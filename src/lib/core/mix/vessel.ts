/** Pots, trays and jars by their measures: what they hold below the watering gap, and how many pieces they take. */
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';
import { MIX } from './judged.js';

/** Inside measures, cm. */
export type Vessel =
	| { shape: 'round'; topCm: number; baseCm: number; heightCm: number }
	| { shape: 'square'; topCm: number; baseCm: number; heightCm: number }
	| { shape: 'tray'; lengthCm: number; widthCm: number; heightCm: number }
	| { shape: 'cells'; cells: number; topCm: number; baseCm: number; heightCm: number }
	| { shape: 'jar'; acrossCm: number; waterCm: number };

export const GAP_CM = MIX.gap.value;

const within = (n: number, least: number, most: number) => Number.isFinite(n) && n >= least && n <= most;

export function checkVessel(v: Vessel): Result<Vessel> {
	if (v.shape === 'jar') {
		if (!within(v.acrossCm, 1, 100)) return refuse('vessel.across', 'A jar is between 1 cm and 1 m across.', 'across');
		if (!within(v.waterCm, 1, 100)) return refuse('vessel.water', 'Water between 1 cm and 1 m deep.', 'water');
		return ok(v);
	}
	if (!within(v.heightCm, 1, 150)) return refuse('vessel.height', 'Between 1 cm and 1.5 m high.', 'height');
	if (v.shape === 'tray') {
		if (!within(v.lengthCm, 3, 300) || !within(v.widthCm, 3, 300))
			return refuse('vessel.size', 'A tray is between 3 cm and 3 m long and wide.', 'length');
		return ok(v);
	}
	if (!within(v.topCm, 1, 200)) return refuse('vessel.top', 'Between 1 cm and 2 m across the top.', 'top');
	if (!within(v.baseCm, 0.5, 200)) return refuse('vessel.base', 'Between 0.5 cm and 2 m across the base.', 'base');
	// Such pots exist as vases, but a root ball never comes out of them.
	if (v.baseCm > v.topCm)
		return refuse(
			'vessel.wider-base',
			'Wider at the base than at the top: the root ball could not come out. Are the two swapped?',
			'base'
		);
	if (v.shape === 'cells' && !(Number.isInteger(v.cells) && within(v.cells, 1, 1000)))
		return refuse('vessel.cells', 'A tray has between 1 and 1,000 cells.', 'cells');
	return ok(v);
}

/** Volume between the base and a height of a body whose sides slope evenly: the prismoid h/3 (A₁ + A₂ + √(A₁A₂)), litres. */
function frustum(areaOf: (across: number) => number, baseCm: number, topCm: number, heightCm: number, toCm: number): number {
	const h = Math.max(0, Math.min(heightCm, toCm));
	const at = baseCm + ((topCm - baseCm) * h) / heightCm;
	const a1 = areaOf(baseCm);
	const a2 = areaOf(at);
	return ((h / 3) * (a1 + a2 + Math.sqrt(a1 * a2))) / 1000;
}

const round = (d: number) => (Math.PI / 4) * d ** 2;
const square = (d: number) => d ** 2;

/** What it holds up to `gapCm` below the rim, litres; of a jar, the water. */
export function holds(v: Vessel, gapCm = 0): number {
	switch (v.shape) {
		case 'round':
			return frustum(round, v.baseCm, v.topCm, v.heightCm, v.heightCm - gapCm);
		case 'square':
			return frustum(square, v.baseCm, v.topCm, v.heightCm, v.heightCm - gapCm);
		case 'cells':
			// Cells are filled to the top and watered from below.
			return v.cells * frustum(square, v.baseCm, v.topCm, v.heightCm, v.heightCm);
		case 'tray':
			return (v.lengthCm * v.widthCm * Math.max(0, v.heightCm - gapCm)) / 1000;
		case 'jar':
			return (round(v.acrossCm) * v.waterCm) / 1000;
	}
}

const FROM_WALL_CM = MIX.fromWall.value;

/** On a circle of points, so many that neighbours stand the spread apart. */
function onRim(topCm: number, spreadCm: number): number {
	const radius = topCm / 2 - FROM_WALL_CM;
	if (radius <= 0 || spreadCm >= 2 * radius) return topCm >= 2 * FROM_WALL_CM ? 1 : 0;
	return Math.floor(Math.PI / Math.asin(spreadCm / (2 * radius)) + 1e-9);
}

/** Rows and columns of a rectangle with the spread between pieces, and half of it to the wall at most. */
const grid = (lengthCm: number, widthCm: number, spreadCm: number): number => {
	const along = (cm: number) => Math.max(0, Math.floor((cm - 2 * FROM_WALL_CM) / spreadCm + 1e-9) + 1);
	return lengthCm < 2 * FROM_WALL_CM || widthCm < 2 * FROM_WALL_CM ? 0 : along(lengthCm) * along(widthCm);
};

/** How many pieces of a leaf spread it takes without leaves touching: round the rim, or over the whole surface. */
export function takes(v: Vessel, spreadCm: number, how: 'rim' | 'across'): number {
	if (!(spreadCm > 0)) return 0;
	switch (v.shape) {
		case 'cells':
			// A cell holds one; leaves wider than a cell mean every second one.
			return spreadCm <= v.topCm * 1.5 ? v.cells : Math.ceil(v.cells / 2);
		case 'tray':
			return grid(v.lengthCm, v.widthCm, spreadCm);
		case 'jar':
			// In a jar the leaves lean out over the edge: stems a thumb apart.
			return Math.max(1, onRim(v.acrossCm, Math.min(spreadCm, 3)));
		case 'square': {
			const side = v.topCm - 2 * FROM_WALL_CM;
			if (side <= 0) return 0;
			const perSide = Math.floor(side / spreadCm + 1e-9) + 1;
			const rim = perSide === 1 ? 1 : 4 * (perSide - 1);
			return how === 'rim' ? rim : grid(v.topCm, v.topCm, spreadCm);
		}
		case 'round': {
			if (how === 'rim') return onRim(v.topCm, spreadCm);
			// Rings inward from the rim, each the spread from the last; what is left in the middle takes one.
			let count = 0;
			for (let top = v.topCm; top / 2 - FROM_WALL_CM >= 0; top -= 2 * spreadCm) count += onRim(top, spreadCm);
			return Math.max(1, count);
		}
	}
}
