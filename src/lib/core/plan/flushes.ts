/** When the stock cannot give all at once: the same way again, after it has recovered. */
import type { DayNumber } from '../dates.js';
import type { WayProfile } from '../handbook/schema.js';
import { canGive } from '../material/capacity.js';
import type { StockPlant, Taking } from '../material/capacity.js';

export interface Flush {
	on: DayNumber;
	pieces: number;
}

/** Most flushes looked at: further back the work is spread thinner than anyone keeps up. */
const MOST_FLUSHES = 4;

/**
 * Takes `pieces` by the last day, in as few and as late flushes as it can. Earlier ones lie a
 * recovery apart, not before `earliest`. Null when the stock cannot give so many.
 */
export function flushesFor(
	pieces: number,
	last: DayNumber,
	earliest: DayNumber,
	stock: StockPlant,
	gives: WayProfile['gives'],
	takings: readonly Taking[]
): Flush[] | null {
	for (let count = 1; count <= MOST_FLUSHES; count++) {
		const first = last - (count - 1) * gives.recover_days;
		if (first < earliest) return null;
		const planned: Flush[] = [];
		const taken: Taking[] = [...takings];
		let left = pieces;
		for (let i = 0; i < count && left > 0; i++) {
			const on = first + i * gives.recover_days;
			const take = Math.min(left, canGive(stock, gives, taken, on));
			if (take <= 0) continue;
			planned.push({ on, pieces: take });
			taken.push({ on, pieces: take });
			left -= take;
		}
		if (left === 0) return planned;
		if (gives.uses_up) return null;
	}
	return null;
}

/** Most pieces the stock can give by the last day, over all flushes that fit. */
export function mostBy(
	last: DayNumber,
	earliest: DayNumber,
	stock: StockPlant,
	gives: WayProfile['gives'],
	takings: readonly Taking[]
): number {
	let most = 0;
	for (let count = 1; count <= (gives.uses_up ? 1 : MOST_FLUSHES); count++) {
		const first = last - (count - 1) * gives.recover_days;
		if (first < earliest) break;
		const taken: Taking[] = [...takings];
		let sum = 0;
		for (let i = 0; i < count; i++) {
			const on = first + i * gives.recover_days;
			const take = canGive(stock, gives, taken, on);
			taken.push({ on, pieces: take });
			sum += take;
		}
		most = Math.max(most, sum);
	}
	return most;
}
