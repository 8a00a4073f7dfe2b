/** How wide plants are year after year, and when they touch. */
import type { Kind } from '../handbook/schema.js';
import { shootOf } from '../plan/tall.js';
import { GROUND } from './judged.js';
import type { Setting } from './spacing.js';

type Spreading = Pick<Kind, 'habit' | 'size'>;

/** Share of what is still to spread that is done in a year, as a rate: of woody plants that of their height. */
function rate(kind: Spreading): number {
	const shoot = shootOf(kind);
	if (shoot !== null) return shoot / kind.size.height_cm;
	return 1 / (/climb|creep/.test(kind.habit) ? GROUND.climberYears.value : GROUND.clumpYears.value);
}

/** Across, cm, so many summers after it was set out (monomolecular growth, as its height). */
export function spreadAfter(kind: Spreading, summers: number): number {
	const full = kind.size.spread_cm;
	const young = Math.min(full, GROUND.youngSpread.value);
	return full - (full - young) * Math.exp(-rate(kind) * summers);
}

/** Across today, cm, of a stock plant: as it was measured across, else in step with its height, else by its age. */
export function spreadNow(
	kind: Spreading & Pick<Kind, 'ways'>,
	stock: { size_cm: number | null; age_years: number | null }
): number {
	const full = kind.size.spread_cm;
	const measure = kind.ways[0]?.gives.measure;
	if (stock.size_cm !== null && measure === 'diameter') return stock.size_cm;
	if (stock.size_cm !== null && measure === 'height') return full * Math.min(1, stock.size_cm / kind.size.height_cm);
	return stock.age_years === null ? full : spreadAfter(kind, stock.age_years);
}

/** Across, cm, so many years after its size was told, or before: as wide as it is told, and on from there at its pace. */
export function spreadOn(
	kind: Spreading & Pick<Kind, 'ways'>,
	stock: { size_cm: number | null; age_years: number | null },
	years: number
): number {
	const then = spreadNow(kind, stock);
	const full = kind.size.spread_cm;
	const young = Math.min(full, GROUND.youngSpread.value);
	// Wider than its kind gets is no more spread to come, and narrower than a young one no less.
	if (then >= full || full <= young) return then;
	const left = (full - then) * Math.exp(-rate(kind) * years);
	return Math.max(Math.min(then, young), full - left);
}

/** Summers until it is so wide, cm; null where it never is. */
function summersUntil(kind: Spreading, wideCm: number): number | null {
	const full = kind.size.spread_cm;
	const young = Math.min(full, GROUND.youngSpread.value);
	if (wideCm <= young) return 0;
	if (wideCm >= full * ALL_BUT) return null;
	return Math.log((full - young) / (full - wideCm)) / rate(kind);
}
/** What comes nearer to its full width only in the end is never said to reach it. */
const ALL_BUT = 0.98;

/** Summers until neighbours touch. */
export const touchAfter = (kind: Spreading, spacingCm: number): number | null => summersUntil(kind, spacingCm);

/** Farthest point from any plant, by its spacing: the middle of a square, of a triangle; in a drift one more would fit farther off. */
const OPEN: Record<Setting, number> = { square: Math.SQRT1_2, triangular: 1 / Math.sqrt(3), drift: 1 };
/** Summers until no earth is seen between them. */
export const closeAfter = (kind: Spreading, spacingCm: number, pattern: Setting): number | null =>
	summersUntil(kind, 2 * OPEN[pattern] * spacingCm);
