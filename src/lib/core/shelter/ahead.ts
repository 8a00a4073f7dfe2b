/** The nights ahead inside: each member of the forecast felt by several of the bodies that the shelter may be. */
import { quantileOf } from '../season/frostDates.js';
import { drawn } from './fit.js';
import type { Days, Known } from './place.js';

export interface NightsAhead {
	/** First night: the one that ends on the morning of this day. */
	first: number;
	/** Coldest inside by night: one in ten is colder, the middle, one in ten is milder, °C. */
	nights: readonly (readonly [number, number, number])[];
	/** Coldest of all these nights, by each way that it may go, in order. */
	coldest: readonly number[];
}

/** Bodies that feel each member: enough for what is not known of the shelter to show. */
const BODIES = 5;

/**
 * @param before the days outside until yesterday, some weeks: what the walls still hold
 * @param members the forecast's ways, from today on, one at least, all of the same days
 */
export function nightsAhead(k: Known, before: Days, members: readonly { low: number; high: number }[][]): NightsAhead {
	const past = before.low.length;
	const days = members[0]!.length;
	const ways: Float64Array[] = [];
	const bodies = drawn(k.fitted, BODIES);
	for (const member of members) {
		const low = new Float64Array(past + days);
		const high = new Float64Array(past + days);
		low.set(before.low);
		high.set(before.high);
		member.forEach((d, i) => {
			low[past + i] = d.low;
			high[past + i] = Math.max(d.low, d.high);
		});
		for (const body of bodies) ways.push(k.on({ first: before.first, low, high }, body).low.slice(past));
	}
	const nights = Array.from({ length: days }, (_, d) => {
		const sorted = ways.map((w) => w[d]!).sort((a, b) => a - b);
		return [quantileOf(sorted, 0.1), quantileOf(sorted, 0.5), quantileOf(sorted, 0.9)] as const;
	});
	const coldest = ways.map((w) => w.reduce((a, b) => Math.min(a, b))).sort((a, b) => a - b);
	return { first: before.first + past, nights, coldest };
}

/** Chance that one of the nights falls to so many °C or below, 0–1. */
export const fallsTo = ({ coldest }: Pick<NightsAhead, 'coldest'>, c: number): number =>
	coldest.reduce((n, low) => n + (low <= c ? 1 : 0), 0) / coldest.length;
