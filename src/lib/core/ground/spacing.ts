/**
 * How many plants a length or an area takes. Square: one plant to s². Triangular (staggered): each
 * plant is s from all its neighbours, so the rows lie s·√3/2 apart and one plant has s²·√3/2.
 */
import { hedgePlants } from './hedge.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

export interface HedgeShape {
	lengthM: number;
	spacingCm: number;
	/** Double: two staggered rows, spacing measured along each row. */
	rows: 1 | 2;
	spares: number;
}

/** Plants for a hedge: both ends planted; the second row stands in the gaps of the first. */
export function hedgeCount({ lengthM, spacingCm, rows, spares }: HedgeShape): Result<number> {
	if (!(lengthM > 0 && lengthM <= 2_000)) return refuse('hedge.length', 'A hedge here is between 0 and 2,000 m long.', 'length');
	if (!(spacingCm >= 5 && spacingCm <= 500)) return refuse('hedge.spacing', 'Hedge plants stand 5 cm to 5 m apart.', 'spacing');
	if (!(Number.isInteger(spares) && spares >= 0 && spares <= 500))
		return refuse('hedge.spares', 'Spares: a whole number from 0 to 500.', 'spares');
	// In one unit, without the dust that a division leaves.
	const spacingM = Number((spacingCm / 100).toPrecision(12));
	return ok(hedgePlants(Number(lengthM.toPrecision(12)), spacingM, rows) + spares);
}

export type Pattern = 'square' | 'triangular';
/** In rows, or as if unplanted. */
export type Setting = Pattern | 'drift';

/** Plants per square metre at a spacing in cm. */
export function plantsPerM2(spacingCm: number, pattern: Pattern): number {
	const s = spacingCm / 100;
	return pattern === 'square' ? 1 / (s * s) : 2 / (Math.sqrt(3) * s * s);
}

/** Length along the ground of a slope whose plan (map) length is given. Angle in degrees from level. */
export const groundLength = (planM: number, slopeDeg: number): number => planM / Math.cos((slopeDeg * Math.PI) / 180);

export interface BedShape {
	/** Either an area, or width × length of the plan; m², m. */
	areaM2?: number | undefined;
	widthM?: number | undefined;
	lengthM?: number | undefined;
	/** Angle of the length from level, degrees; an area is taken as measured on the ground. */
	slopeDeg: number;
	spacingCm: number;
	pattern: Pattern;
	spares: number;
}

/** Plants for a bed or a slope, rounded to the nearest whole plant, at least one. */
export function bedCount(bed: BedShape): Result<{ count: number; areaM2: number }> {
	if (!(bed.spacingCm >= 3 && bed.spacingCm <= 1_000))
		return refuse('bed.spacing', 'Plants in a bed stand 3 cm to 10 m apart.', 'spacing');
	if (!(bed.slopeDeg >= 0 && bed.slopeDeg <= 60))
		return refuse('bed.slope', 'A slope is between 0° (level) and 60°; steeper is a wall.', 'slope');
	if (!(Number.isInteger(bed.spares) && bed.spares >= 0 && bed.spares <= 500))
		return refuse('bed.spares', 'Spares: a whole number from 0 to 500.', 'spares');
	let areaM2 = bed.areaM2;
	if (areaM2 === undefined) {
		if (bed.widthM === undefined || bed.lengthM === undefined)
			return refuse('bed.size', 'Give the area, or the width and the length.', 'area');
		areaM2 = bed.widthM * groundLength(bed.lengthM, bed.slopeDeg);
	}
	if (!(areaM2 > 0 && areaM2 <= 20_000)) return refuse('bed.area', 'A bed here is between 0 and 20,000 m².', 'area');
	const count = Math.max(1, Math.round(areaM2 * plantsPerM2(bed.spacingCm, bed.pattern)));
	return ok({ count: count + bed.spares, areaM2 });
}
