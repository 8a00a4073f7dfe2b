/**
 * A shelter as one body of heat (first order): it leans towards the air outside, towards the house or the earth that it
 * stands against, and takes some sun in.
 *
 *     dT/dt = (T_even − T) / τ,   T_even = T_out + share · (T_anchor − T_out) + sun · R
 *
 * τ: how long it lags, h. share: how much of the way from the air outside to its anchor it keeps, 0–1. sun: by how much
 * the mean of a day is lifted for each MJ m⁻² of sun, °C.
 */
import type { ShelterKind } from './bodies.js';
import type { Heat } from './guards.js';
import { SHELTER } from './judged.js';

export interface Body {
	/** Hours, above 0. */
	tauH: number;
	/** 0–1 */
	share: number;
	/** °C per MJ m⁻² day⁻¹ */
	sunC: number;
	/** On a thermostat, where there is a heater. */
	heat?: Heat;
}

/** As such a place usually is. */
export const usualBody = ({ tauH, share, sunC }: ShelterKind): Body => ({ tauH: tauH[0], share: share[0], sunC: sunC[0] });

/** A house is lived in; in summer it is as warm as the day outside. */
export const houseOn = (meanOutside: number): number => Math.max(SHELTER.house.value, meanOutside);

const DAMPED = SHELTER.earthDepth.value / SHELTER.dampingDepth.value;
/**
 * The ground at the depth that counts, °C, from the year's mean in the air, half its swing, and its warmest day: a wave
 * that is damped and late by the same angle (heat conduction into a half-space, Carslaw & Jaeger, Conduction of Heat in
 * Solids, 2nd ed., 2.6).
 */
export const earthOn = (doy: number, year: { mean: number; swing: number; warmestDoy: number }): number =>
	year.mean + year.swing * Math.exp(-DAMPED) * Math.cos((2 * Math.PI * (doy - year.warmestDoy)) / 365.25 - DAMPED);

/** Days in a row as a shelter feels them. */
export interface Weather {
	/** 24 a day, °C. */
	hours: Float64Array;
	/** By day: MJ m⁻², spread over its hours by `shape` (24 values of mean 1). */
	sun: Float64Array;
	shape: (day: number) => Float64Array;
	anchor: Float64Array;
}

/**
 * Temperature inside, hour by hour: exact for air, and for a heater, that change in steps of an hour.
 *
 * @param each is given the day, the hour (0–23), the temperature, °C, and for how much of the hour a heater ran, 0–1
 */
export function inside(
	b: Body,
	w: Weather,
	startC: number | null,
	each: (day: number, hour: number, c: number, heated: number) => void
): void {
	const keep = Math.exp(-1 / b.tauH);
	const days = w.anchor.length;
	const setC = b.heat?.setC ?? -Infinity;
	/** What a heater that runs all of the hour adds by its end. */
	const most = (b.heat?.mostC ?? 0) * (1 - keep);
	let t = startC ?? w.hours[0]! + b.share * (w.anchor[0]! - w.hours[0]!);
	for (let d = 0; d < days; d++) {
		const lift = b.share * w.anchor[d]!;
		const sun = b.sunC * w.sun[d]!;
		const shape = sun > 0 ? w.shape(d) : null;
		for (let h = 0; h < 24; h++) {
			const even = (1 - b.share) * w.hours[d * 24 + h]! + lift + (shape ? sun * shape[h]! : 0);
			t = even + (t - even) * keep;
			let heated = 0;
			if (t < setC && most > 0) {
				heated = Math.min(1, (setC - t) / most);
				t += heated * most;
			}
			each(d, h, t, heated);
		}
	}
}

/** Lowest and highest of each day inside. */
export function daysInside(b: Body, w: Weather, startC: number | null = null): { low: Float64Array; high: Float64Array } {
	const days = w.anchor.length;
	const low = new Float64Array(days).fill(Infinity);
	const high = new Float64Array(days).fill(-Infinity);
	inside(b, w, startC, (d, _, c) => {
		if (c < low[d]!) low[d] = c;
		if (c > high[d]!) high[d] = c;
	});
	return { low, high };
}
