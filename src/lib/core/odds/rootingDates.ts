/** When to look at a batch, and when to give up: dates read off its roots' odds and the warmth to come. */
import type { Rooting } from './rooting.js';
import { ODDS } from './judged.js';

const HARM_OF_LOOK = ODDS.harmOfLook.value;
const LOSS_OF_WAITING = ODDS.lossOfWaiting.value;

export const NO_LONGER = ODDS.noLonger.value;
const GIVE_UP = ODDS.giveUp.value;

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
 *
 * @param noLonger days within which more must root to be waited for: longer where roots rest through a winter
 */
export function rootingDates(
	r: Rooting,
	at: number,
	clockOn: (day: number) => number,
	most = 500,
	noLonger: number = NO_LONGER.growing
): RootingDates {
	// The clock by each day, and beyond the last as far as is waited.
	const clock = [at];
	for (let day = 1; day <= most + noLonger; day++) clock.push(clock[day - 1]! + clockOn(day));
	const { now, hope } = tabulated(r, clock.at(-1)!);
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
			const soon = open <= 1e-9 ? 0 : (left * (now(clock[day + noLonger]!) - rooted)) / open;
			if (left < GIVE_UP || soon < GIVE_UP / 2) found.giveUp = day;
		}
		if (found.giveUp !== null && found.look !== null && found.eighty !== null) break;
	}
	return found;
}

/** Points of the clock, even in the logarithm: the same for all batches, so that what a way takes is worked out once for all. */
const KNOTS_AN_E = 20;
const readingAt = (knot: number): number => Math.exp(knot / KNOTS_AN_E);
/** Below this reading, in days, nothing has rooted that would show between two points. */
const FIRST_KNOT = Math.floor(Math.log(0.5) * KNOTS_AN_E);

/** What the pieces left come to by the clock, straight between its points: a batch asks it a thousand times. */
function tabulated(r: Rooting, to: number): { now(t: number): number; hope(t: number): number } {
	const last = Math.max(FIRST_KNOT + 1, Math.ceil(Math.log(Math.max(1, to)) * KNOTS_AN_E));
	const table: ({ now: number; hope: number } | undefined)[] = [];
	const at = (knot: number) => (table[knot - FIRST_KNOT] ??= r.left(readingAt(knot)));
	const read = (t: number, of: 'now' | 'hope'): number => {
		const x = t <= 0 ? -Infinity : Math.log(t) * KNOTS_AN_E;
		if (x <= FIRST_KNOT) return r.left(t)[of];
		if (x >= last) return at(last)[of];
		const i = Math.floor(x);
		return at(i)[of] + (x - i) * (at(i + 1)[of] - at(i)[of]);
	};
	return { now: (t) => read(t, 'now'), hope: (t) => read(t, 'hope') };
}
