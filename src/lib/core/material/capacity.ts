/** What a stock plant can give, and when it gives again. */
import type { DayNumber } from '../dates.js';
import type { WayProfile } from '../handbook/schema.js';
import { MATERIAL } from './judged.js';

export type Condition = 'strong' | 'fair' | 'weak';

export interface StockPlant {
	/** How many alike stand there. */
	count: number;
	/** Clump diameter, height or pot width, whichever the way measures by, cm; unknown is taken as usual. */
	sizeCm: number | null;
	ageYears: number | null;
	condition: Condition;
	/** Day on which size and age were told; null if they are to be taken as of any day. */
	toldOn?: DayNumber | null;
	/** Size of a grown plant of the kind, cm. */
	matureCm?: number | null;
}

/**
 * Something taken from a plant, or promised: a share of all that the plant can give by that way at once. Cuttings and
 * divisions come off the same plant, so shares add up where pieces do not.
 */
export interface Taking {
	on: DayNumber;
	/** 0–1, more if more was taken than it was thought to give. */
	share: number;
	/** Days until it has grown back. */
	recoverDays: number;
	/** Never grows back: the plant was used up by it. */
	usesUp: boolean;
}

const CONDITION_SHARE = MATERIAL.condition.value;
const YOUNG_SHARE = MATERIAL.young.value;
const GROWTH_A_YEAR = MATERIAL.growth.value;
const DAYS_A_YEAR = 365.25;

/** Size and age on a day, grown on from when they were told. */
export function grownOn(stock: StockPlant, on: DayNumber | null): { sizeCm: number | null; ageYears: number | null } {
	const { sizeCm, ageYears, toldOn, matureCm } = stock;
	if (on === null || toldOn == null || on <= toldOn) return { sizeCm, ageYears };
	const years = (on - toldOn) / DAYS_A_YEAR;
	const grown =
		sizeCm === null || matureCm == null || sizeCm >= matureCm
			? sizeCm
			: Math.min(matureCm, sizeCm + GROWTH_A_YEAR * matureCm * years);
	return { sizeCm: grown, ageYears: ageYears === null ? null : ageYears + years };
}

/** Pieces the stock can give when nothing was taken lately, on a day (null: as it was told). */
export function fullYield(stock: StockPlant, gives: WayProfile['gives'], on: DayNumber | null = null): number {
	const now = grownOn(stock, gives.measure === 'pot' ? null : on);
	const size = now.sizeCm === null ? 1 : (now.sizeCm / gives.at_cm) ** gives.power;
	const { ageYears } = grownOn(stock, on);
	const young = ageYears !== null && ageYears < 1 ? YOUNG_SHARE : 1;
	return Math.floor(stock.count * gives.n * size * CONDITION_SHARE[stock.condition] * young + 1e-9);
}

/** So many pieces as a share of the plant. */
export function takingOf(stock: StockPlant, gives: WayProfile['gives'], pieces: number, on: DayNumber): Taking {
	const full = fullYield(stock, gives, on);
	return {
		on,
		share: full > 0 ? pieces / full : pieces > 0 ? 1 : 0,
		recoverDays: gives.recover_days,
		usesUp: gives.uses_up
	};
}

/** Share of a taking that has grown back by a day. */
const regrown = (t: Pick<Taking, 'on' | 'recoverDays' | 'usesUp'>, on: DayNumber): number =>
	t.usesUp ? 0 : Math.min(1, (on - t.on) / t.recoverDays);

/** Share of the plant that is missing on a day after what was taken before it. */
const missingOn = (takings: readonly Taking[], on: DayNumber): number =>
	takings.reduce((sum, t) => (t.on <= on ? sum + t.share * (1 - regrown(t, on)) : sum), 0);

/**
 * Pieces to be had on a day. What was taken before grows back evenly over its way's time to recover; what is
 * promised for later must still be there then, so no more is given now than grows back by that day.
 */
export function canGive(stock: StockPlant, gives: WayProfile['gives'], takings: readonly Taking[], on: DayNumber): number {
	let share = 1 - missingOn(takings, on);
	for (const later of takings) {
		if (later.on <= on) continue;
		// Of what is taken now so much is still missing on that later day.
		const still = 1 - regrown({ on, recoverDays: gives.recover_days, usesUp: gives.uses_up }, later.on);
		if (still <= 0) continue;
		const open = 1 - missingOn(takings, later.on);
		share = Math.min(share, Math.max(0, open) / still);
	}
	return Math.max(0, Math.floor(fullYield(stock, gives, on) * share + 1e-9));
}

/** First day from `from` on which so many can be had; null when not within two recoveries. */
export function recoversOn(
	stock: StockPlant,
	gives: WayProfile['gives'],
	takings: readonly Taking[],
	pieces: number,
	from: DayNumber
): DayNumber | null {
	for (let day = from; day <= from + 2 * gives.recover_days; day++) if (canGive(stock, gives, takings, day) >= pieces) return day;
	return null;
}
