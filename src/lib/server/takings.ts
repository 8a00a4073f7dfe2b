/** Stock as what it can give: its plants, and what was and will be taken of them. */
import { wayIn } from './context.js';
import type * as state from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { takingOf } from '$lib/core/material/capacity.js';
import type { StockPlant, Taking } from '$lib/core/material/capacity.js';

/** Size of a grown plant by what its way measures. */
const matureOf = (kind: Kind | undefined, measure: 'height' | 'diameter' | 'pot' | undefined): number | null =>
	!kind || measure === 'pot' ? null : measure === 'diameter' ? kind.size.spread_cm : kind.size.height_cm;

export const stockPlantOf = (s: state.StockRow, kind?: Kind): StockPlant => ({
	count: s.count,
	sizeCm: s.size_cm,
	ageYears: s.age_years,
	condition: s.condition,
	toldOn: dayNumber(s.told_on),
	matureCm: matureOf(kind, kind?.ways[0]?.gives.measure)
});

/** What was and will be taken from a stock, each as a share of the plant by its own way: it all comes off the same plant. */
export const takingsFrom = (s: state.StockRow, kind: Kind, batches: readonly Batch[]): Taking[] =>
	batches
		.filter((b) => b.stockId === s.id && b.status !== 'dropped' && b.fromBatch === null)
		.flatMap((b) => {
			const gives = wayIn(kind, b.wayId)?.gives;
			const pieces = b.struckOn ? b.struck : b.plannedCount;
			return gives ? [takingOf(stockPlantOf(s, kind), gives, pieces, dayNumber(b.struckOn ?? b.plannedOn!))] : [];
		});
