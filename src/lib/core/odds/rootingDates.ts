/** When to look at a batch, and when to give up: dates read off its roots' odds and the warmth to come. */
import type { Rooting } from './rooting.js';

/** A look disturbs about this share of pieces so that they set back; a rooted piece that waits unpotted loses about this a day. Common practice, no source. */
const HARM_OF_LOOK = 0.005;
const LOSS_OF_WAITING = 0.003;

/** What will not root within so many days more is not waited for, once half has. Common practice, no source. */
const NO_LONGER = 60;
/** A piece found unrooted with less hope than this is given up. Common practice, no source. */
const GIVE_UP = 0.1;

export interface RootingDates {
	/** Days from now; null when not within the reach of `most`. When half and four fifths of what will root has. */
	half: number | null;
	eighty: number | null;
	/** The next look: when waiting has cost as much as the look will. */
	look: number | null;
	/** From when fewer than 1 in 10 of what has not rooted still will. */
	giveUp: number | null;
}

/**
 * Dates that follow, reading the batch's clock ahead from `at` by `clockOn` (day 0 is today).
 */
export function rootingDates(r: Rooting, at: number, clockOn: (day: number) => number, most = 500): RootingDates {
	// The clock by each day, and two months beyond the last.
	const clock = [at];
	for (let day = 1; day <= most + NO_LONGER; day++) clock.push(clock[day - 1]! + clockOn(day));
	const from = Math.min(at, r.since);
	const now = tabulated(r.now, from, clock.at(-1)!);
	const hope = tabulated(r.hope, from, clock.at(-1)!);
	const found: RootingDates = { half: null, eighty: null, look: null, giveUp: null };
	let waiting = 0;
	for (let day = 0; day <= most; day++) {
		const t = clock[day]!;
		const rooted = now(t);
		if (found.half === null && r.ever > 0 && rooted >= 0.5 * r.ever) found.half = day;
		if (found.eighty === null && r.ever > 0 && rooted >= 0.8 * r.ever) found.eighty = day;
		waiting += LOSS_OF_WAITING * rooted;
		if (found.look === null && waiting >= HARM_OF_LOOK) found.look = day;
		// Hope is lowest late; early on it is high because nothing has had the time. In the cold it stays, but for nothing.
		if ((found.half !== null || r.ever < 0.1) && found.giveUp === null) {
			const left = hope(t);
			const open = r.ever - rooted;
			const soon = open <= 1e-9 ? 0 : (left * (now(clock[day + NO_LONGER]!) - rooted)) / open;
			if (left < GIVE_UP || soon < GIVE_UP / 2) found.giveUp = day;
		}
		if (found.giveUp !== null && found.look !== null) break;
	}
	return found;
}

const KNOTS = 80;

/** A smooth function of the clock read off a table even in the logarithm, straight between its points: a batch asks it a thousand times. */
function tabulated(of: (w: number) => number, from: number, to: number): (w: number) => number {
	const low = Math.log(Math.max(0.5, from));
	const step = Math.max(1e-9, (Math.log(Math.max(1, to)) - low) / (KNOTS - 1));
	const table = Float64Array.from({ length: KNOTS }, (_, i) => of(Math.exp(low + i * step)));
	return (w) => {
		const x = w <= 0 ? 0 : (Math.log(w) - low) / step;
		if (x <= 0) return of(w);
		if (x >= KNOTS - 1) return table[KNOTS - 1]!;
		const i = Math.floor(x);
		return table[i]! + (x - i) * (table[i + 1]! - table[i]!);
	};
}
