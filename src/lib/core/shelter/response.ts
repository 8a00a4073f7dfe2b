/**
 * What the air in a shelter does when the air outside swings through the day and the weather changes: a first-order
 * system, Newton's law of cooling,
 *
 *     dT/dt = (T_out − T) / τ,   T_out(t) = mean + amplitude · cos(2π (t − peak) / 24) + Σ delta_i · [t ≥ at_i]
 *
 * in closed form. A swing comes through times the gain 1/√(1 + (ωτ)²), later by atan(ωτ)/ω (any text on linear systems,
 * e.g. Oppenheim & Willsky, Signals and Systems, 2nd ed., 3.9–3.10); a step comes through as 1 − exp(−t/τ).
 */

export const DAY_H = 24;
const OMEGA = (2 * Math.PI) / DAY_H;

export interface Outside {
	/** °C */
	meanC: number;
	/** °C, half the way from the lowest to the highest of the day. */
	amplitudeC: number;
	/** Hour of the highest; 0 is when the reckoning begins. */
	peakHour: number;
	/** A change of air that stays: from an hour on, by so many °C. One that began before hour 0 is there from the start. */
	steps: readonly { atHour: number; deltaC: number }[];
}

/** How much of the day's swing comes through, 0–1. `tauHours` > 0. */
export const gainOf = (tauHours: number): number => 1 / Math.hypot(1, OMEGA * tauHours);
/** How many hours later its highest comes, 0–6. */
export const lagOf = (tauHours: number): number => Math.atan(OMEGA * tauHours) / OMEGA;

export interface Response {
	/** Temperature inside at an hour from 0 on, °C. */
	at(hour: number): number;
	/** Lowest from hour 0 to the last, and the first hour at which it is reached. */
	lowest(lastHour: number): { c: number; hour: number };
	/** Hours from 0 to the last at which it is at or below a temperature. */
	hoursAtOrBelow(c: number, lastHour: number): number;
}

/** A root of a function that changes its sign once between two points, to the last digit that a number has. */
function rootBetween(f: (t: number) => number, from: number, to: number): number {
	const rises = f(from) < f(to);
	let [low, high] = [from, to];
	for (;;) {
		const mid = (low + high) / 2;
		if (mid <= low || mid >= high) return mid;
		if (f(mid) > 0 === rises) high = mid;
		else low = mid;
	}
}

/** @param tauHours time constant, above 0; `startC` the temperature inside at hour 0 */
export function respond(tauHours: number, startC: number, outside: Outside): Response {
	const tau = tauHours;
	const { meanC, peakHour } = outside;
	const phase = Math.atan(OMEGA * tau);
	const swing = outside.amplitudeC * gainOf(tau);
	const angle = (t: number) => OMEGA * (t - peakHour) - phase;
	// What was there before hour 0 is part of the air outside from the start.
	const steps = outside.steps.map((s) => ({ at: Math.max(0, s.atHour), delta: s.deltaC })).sort((a, b) => a.at - b.at);
	const atStart = startC - meanC - swing * Math.cos(angle(0));

	/** From the start of a stretch without steps: what it tends to, and how far off it begins. */
	interface Stretch {
		from: number;
		level: number;
		off: number;
	}
	const stretches: Stretch[] = [{ from: 0, level: meanC, off: atStart }];
	for (const { at, delta } of steps) {
		const last = stretches.at(-1)!;
		const off = last.off * Math.exp(-(at - last.from) / tau) - delta;
		const next = { from: at, level: last.level + delta, off };
		if (at === last.from) stretches[stretches.length - 1] = next;
		else stretches.push(next);
	}
	const inStretch = (s: Stretch, t: number): number =>
		s.level + swing * Math.cos(angle(t)) + s.off * Math.exp(-(t - s.from) / tau);
	const stretchAt = (t: number): Stretch => {
		let [low, high] = [0, stretches.length - 1];
		while (low < high) {
			const mid = (low + high + 1) >> 1;
			if (stretches[mid]!.from <= t) low = mid;
			else high = mid - 1;
		}
		return stretches[low]!;
	};

	/**
	 * The hours at which it turns, in order, with both ends. Times exp(t/τ) the slope has a derivative of its own whose
	 * zeros lie half a day apart at known hours: between two of them the slope has one zero at most, which none misses.
	 */
	function turns(lastHour: number): number[] {
		const found = [0];
		for (const [i, s] of stretches.entries()) {
			const end = Math.min(lastHour, stretches[i + 1]?.from ?? lastHour);
			if (s.from >= lastHour) break;
			const slope = (t: number) => -swing * OMEGA * Math.sin(angle(t)) - (s.off / tau) * Math.exp(-(t - s.from) / tau);
			const marks = [s.from];
			if (swing !== 0) {
				// sin θ / τ + ω cos θ = 0: θ = −phase + nπ, and θ = ω (t − peak) − phase.
				const half = DAY_H / 2;
				for (let n = Math.ceil((s.from - peakHour) / half); peakHour + n * half < end; n++) {
					const t = peakHour + n * half;
					if (t > s.from) marks.push(t);
				}
			}
			marks.push(end);
			for (let m = 0; m + 1 < marks.length; m++) {
				const [a, b] = [marks[m]!, marks[m + 1]!];
				const [fa, fb] = [slope(a), slope(b)];
				if ((fa < 0 && fb > 0) || (fa > 0 && fb < 0)) found.push(rootBetween(slope, a, b));
				if (b < lastHour) found.push(b);
			}
		}
		found.push(lastHour);
		return found;
	}

	const at = (hour: number) => inStretch(stretchAt(hour), hour);
	return {
		at,
		lowest(lastHour) {
			let best = { c: Infinity, hour: 0 };
			for (const hour of turns(lastHour)) {
				const c = at(hour);
				if (c < best.c) best = { c, hour };
			}
			return best;
		},
		hoursAtOrBelow(c, lastHour) {
			const marks = turns(lastHour);
			let hours = 0;
			for (let i = 0; i + 1 < marks.length; i++) {
				const [a, b] = [marks[i]!, marks[i + 1]!];
				const [va, vb] = [at(a) - c, at(b) - c];
				if (va <= 0 && vb <= 0) hours += b - a;
				else if (va > 0 !== vb > 0) {
					const root = rootBetween((t) => at(t) - c, a, b);
					hours += va <= 0 ? root - a : b - root;
				}
			}
			return hours;
		}
	};
}
