/** When the stock cannot give all at once: the same way again, after it has recovered. */
import type { DayNumber } from '../dates.js';
import type { WayProfile } from '../handbook/schema.js';
import { canGive, takingOf } from '../material/capacity.js';
import type { StockPlant, Taking } from '../material/capacity.js';
import type { Span } from '../season/growth.js';

export interface Flush {
	on: DayNumber;
	pieces: number;
}

export interface FlushesOf {
	/** Last day to take on. */
	last: DayNumber;
	/** When the way is open, in order, from the first day that can be taken on. */
	open: readonly Span[];
	stock: StockPlant;
	gives: WayProfile['gives'];
	takings: readonly Taking[];
	/** Most days between the first and the last; as many as there are where nothing is said. */
	within?: number | undefined;
}

/** Most flushes looked at: further back the work is spread thinner than anyone keeps up. */
export const MOST_FLUSHES = 6;

/** The last day on or before `day` on which the way is open. */
function openBy(open: readonly Span[], day: DayNumber): DayNumber | null {
	let best: DayNumber | null = null;
	for (const o of open) if (o.from <= day) best = Math.max(best ?? -Infinity, Math.min(day, o.to));
	return best;
}

/** The first day on or after `day` on which the way is open. */
function openFrom(open: readonly Span[], day: DayNumber): DayNumber | null {
	const next = open.find((o) => o.to >= day);
	return next ? Math.max(day, next.from) : null;
}

/**
 * Days of so many flushes up to the last, earliest first: each a recovery apart or more, and before them, where there is
 * no time for another whole one, as soon as may be: the plant has grown back a part by then. Null where they do not fit.
 */
function daysOf(count: number, { last, open, gives, within = Infinity }: FlushesOf): DayNumber[] | null {
	const days = [last];
	while (days.length < count) {
		const next = days[0]!;
		const whole = openBy(open, next - gives.recover_days);
		const day = whole !== null && last - whole <= within ? whole : openFrom(open, last - within);
		if (day === null || day >= next) return null;
		days.unshift(day);
	}
	return days;
}

/** Takes up to `pieces` on the days given. */
function takeOn(days: readonly DayNumber[], pieces: number, f: FlushesOf): Flush[] {
	const taken: Taking[] = [...f.takings];
	const planned: Flush[] = [];
	let left = pieces;
	for (const on of days) {
		const take = Math.min(left, canGive(f.stock, f.gives, taken, on));
		if (take <= 0) continue;
		planned.push({ on, pieces: take });
		taken.push(takingOf(f.stock, f.gives, take, on));
		left -= take;
	}
	return planned;
}

export const piecesOf = (flushes: readonly Flush[]) => flushes.reduce((n, f) => n + f.pieces, 0);
const mostTimes = (f: FlushesOf) => (f.gives.uses_up ? 1 : MOST_FLUSHES);

/** Takes `pieces` by the last day, in as few and as late flushes as it can. Null when the stock cannot give so many. */
export function flushesFor(pieces: number, f: FlushesOf): Flush[] | null {
	for (let count = 1; count <= mostTimes(f); count++) {
		const days = daysOf(count, f);
		if (!days) return null;
		const flushes = takeOn(days, pieces, f);
		if (piecesOf(flushes) === pieces) return flushes;
	}
	return null;
}

/** The most the stock can give by the last day, asked each time that it has regrown; `enough` at most. */
export function mostBy(f: FlushesOf, enough = Infinity): Flush[] {
	let most: Flush[] = [];
	for (let count = 1; count <= mostTimes(f); count++) {
		const days = daysOf(count, f);
		if (!days) break;
		const flushes = takeOn(days, enough, f);
		if (piecesOf(flushes) > piecesOf(most)) most = flushes;
		if (piecesOf(most) >= enough) break;
	}
	return most;
}

/** What lies nearest to a day, the first of the list where two are as near. */
export const nearest = <T extends { on: DayNumber }>(list: readonly T[], on: DayNumber): T =>
	list.reduce((best, x) => (Math.abs(x.on - on) < Math.abs(best.on - on) ? x : best));
