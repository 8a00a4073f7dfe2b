/** Light where plants spend the winter: behind a window, under a lamp. */
import { dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { extraterrestrial, sunsetAngle } from '../season/water.js';

const RAD = Math.PI / 180;
/** mol of photons that plants use in 1 MJ of daylight: 45 % of it, 4.57 µmol a joule (McCree 1972). */
export const MOL_PER_MJ = 0.45 * 4.57;
/** Light that lawn and paving throw back. Duffie & Beckman, Solar Engineering of Thermal Processes: 0.2 without snow. */
const GROUND = 0.2;

/**
 * Cosine of the angle at which the sun's beam meets a surface (Duffie & Beckman, eq. 1.6.2).
 *
 * @param slope 0 flat, 90 a wall; `facing` 0 towards the equator, east negative, west positive; all in degrees
 * @param hour angle from solar noon, degrees: −15 an hour before
 */
export function cosIncidence(latitude: number, declination: number, slope: number, facing: number, hour: number): number {
	const [f, d, b, g, w] = [latitude, declination, slope, facing, hour].map((x) => x * RAD) as [
		number,
		number,
		number,
		number,
		number
	];
	return (
		Math.sin(d) * Math.sin(f) * Math.cos(b) -
		Math.sin(d) * Math.cos(f) * Math.sin(b) * Math.cos(g) +
		Math.cos(d) * Math.cos(f) * Math.cos(b) * Math.cos(w) +
		Math.cos(d) * Math.sin(f) * Math.sin(b) * Math.cos(g) * Math.cos(w) +
		Math.cos(d) * Math.sin(b) * Math.sin(g) * Math.sin(w)
	);
}

/** Share of a day's sun that is diffuse, from its clearness (Collares-Pereira & Rabl 1979, as in Duffie & Beckman 2.11). */
export function diffuseShare(clearness: number): number {
	const k = clearness;
	if (k <= 0.17) return 0.99;
	if (k < 0.75) return 1.188 - 2.272 * k + 9.473 * k ** 2 - 21.865 * k ** 3 + 14.648 * k ** 4;
	return k < 0.8 ? -0.54 * k + 0.632 : 0.2;
}

export const COMPASS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;
export type Compass = (typeof COMPASS)[number];
/** Degrees from the side of the equator, west positive: in the south a window to the north faces it. */
export function facingOf(side: Compass, latitude: number): number {
	const fromSouth = COMPASS.indexOf(side) * 45 - 180;
	const facing = latitude >= 0 ? fromSouth : -(fromSouth + 180);
	return ((((facing + 180) % 360) + 360) % 360) - 180;
}

/** What glass lets through of the light that falls on it. Common practice, no source. */
export const GLASS = { single: 0.85, double: 0.72, triple: 0.6, plastic: 0.75 } as const;
export type Glass = keyof typeof GLASS;
export const GLASSES = Object.keys(GLASS) as [Glass, ...Glass[]];
/** A pot on the sill sees half the window's light at its leaves, one a step into the room a fifth. From memory. */
export const ON_SILL = 0.7;

/** The sun’s way is added up in steps of so many degrees: ten minutes. */
const STEP_DEG = 2.5;

/**
 * Daily light integral on a wall, mol m⁻² day⁻¹, from the sun of the day on flat ground.
 *
 * @param sunMJ MJ m⁻² day⁻¹ on flat ground
 */
export function lightOnWall(latitude: number, day: DayNumber, sunMJ: number, facing: number): number {
	const doy = dayOfYear(day);
	const above = extraterrestrial(latitude, doy);
	if (above <= 0 || sunMJ <= 0) return 0;
	const clear = Math.min(1, sunMJ / above);
	const diffuse = sunMJ * diffuseShare(clear);
	const beam = sunMJ - diffuse;
	// The day's declination (FAO-56, eq. 24), as it is for the garden's own half of the world.
	const declination = (0.409 * Math.sin((2 * Math.PI * doy) / 365 - 1.39)) / RAD;
	const [lat, dec] = latitude >= 0 ? [latitude, declination] : [-latitude, -declination];
	const end = sunsetAngle(latitude, doy) / RAD;
	let [wall, flat] = [0, 0];
	const steps = Math.max(2, Math.ceil((2 * end) / STEP_DEG));
	for (let i = 0; i < steps; i++) {
		const w = end * ((2 * i + 1) / steps - 1);
		flat += Math.max(0, cosIncidence(lat, dec, 0, 0, w));
		wall += Math.max(0, cosIncidence(lat, dec, 90, facing, w));
	}
	const ratio = flat > 0 ? wall / flat : 0;
	return MOL_PER_MJ * (beam * ratio + diffuse / 2 + (sunMJ * GROUND) / 2);
}

/** Light of a lamp, mol m⁻² day⁻¹: what it gives where the leaves are (µmol m⁻² s⁻¹) for so many hours. */
export const lightOfLamp = (ppfd: number, hours: number): number => (ppfd * hours * 3600) / 1e6;

/** What a plant can do with so much light in winter, mol m⁻² day⁻¹. From memory, for house and glasshouse plants. */
export const LIGHT_NEEDS = { grows: 6, stands: 2 } as const;

/** What there is of a place's light: a window, a lamp, both or neither. */
export interface Lit {
	faces: Compass | null;
	glass: Glass | null;
	lamp_umol: number | null;
	lamp_hours: number | null;
}

/**
 * Light at the leaves by month, mol m⁻² day⁻¹, January first: through the window on the month's middle day under its usual
 * sky, and from the lamp; null where neither is told.
 *
 * @param sunMJ usual sun on flat ground by day of the year (1–365), MJ m⁻²
 */
export function lightByMonth(lit: Lit, latitude: number, sunMJ: (doy: number) => number): number[] | null {
	const lamp = lit.lamp_umol !== null && lit.lamp_hours !== null ? lightOfLamp(lit.lamp_umol, lit.lamp_hours) : null;
	if (lit.faces === null && lamp === null) return null;
	return MIDDLES.map((doy) => {
		if (lit.faces === null) return lamp!;
		// A day number of that day of the year: light asks for nothing else of it.
		const wall = lightOnWall(latitude, doy - 1, sunMJ(doy), facingOf(lit.faces, latitude));
		return wall * GLASS[lit.glass ?? 'double'] * ON_SILL + (lamp ?? 0);
	});
}
/** Day of the year in the middle of each month. */
const MIDDLES = [16, 46, 75, 105, 135, 166, 196, 227, 258, 288, 319, 349] as const;
