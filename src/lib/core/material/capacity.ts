/** What a stock plant can give, and when it gives again. */
import type { DayNumber } from '../dates.js';
import type { WayProfile } from '../handbook/schema.js';

export type Condition = 'strong' | 'fair' | 'weak';

export interface StockPlant {
	/** How many alike stand there. */
	count: number;
	/** Clump diameter, height or pot width, whichever the way measures by, cm; unknown is taken as usual. */
	sizeCm: number | null;
	ageYears: number | null;
	condition: Condition;
}

export interface Taking {
	on: DayNumber;
	pieces: number;
}

/** Share of the usual that a plant of this condition should be asked for. Common practice, no source. */
const CONDITION_SHARE: Record<Condition, number> = { strong: 1, fair: 0.6, weak: 0.25 };
/** A plant in its first year is asked for half. Common practice, no source. */
const YOUNG_SHARE = 0.5;

/** Pieces the stock can give when nothing was taken lately. */
export function fullYield(stock: StockPlant, gives: WayProfile['gives']): number {
	const size = stock.sizeCm === null ? 1 : (stock.sizeCm / gives.at_cm) ** gives.power;
	const young = stock.ageYears !== null && stock.ageYears < 1 ? YOUNG_SHARE : 1;
	return Math.floor(stock.count * gives.n * size * CONDITION_SHARE[stock.condition] * young + 1e-9);
}

/**
 * Pieces to be had on a day, after what was and will be taken by then. What was taken grows back
 * evenly over the way's time to recover; a way that uses the parent up gives nothing back.
 */
export function canGive(stock: StockPlant, gives: WayProfile['gives'], takings: readonly Taking[], on: DayNumber): number {
	const full = fullYield(stock, gives);
	let missing = 0;
	for (const taking of [...takings].sort((a, b) => a.on - b.on)) {
		if (taking.on > on) break;
		const grown = gives.uses_up ? 0 : Math.min(1, (on - taking.on) / gives.recover_days);
		missing += taking.pieces * (1 - grown);
	}
	return Math.max(0, Math.floor(full - missing + 1e-9));
}

/** First day from `from` on which so many can be had; null when never. */
export function recoversOn(
	stock: StockPlant,
	gives: WayProfile['gives'],
	takings: readonly Taking[],
	pieces: number,
	from: DayNumber
): DayNumber | null {
	if (fullYield(stock, gives) < pieces) return null;
	for (let day = from; day <= from + gives.recover_days; day++) if (canGive(stock, gives, takings, day) >= pieces) return day;
	return null;
}
