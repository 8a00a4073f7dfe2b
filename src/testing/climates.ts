/** Gardens for the tests: made up, one of each sort. */
import type { Climate } from '$lib/core/season/climate.js';

export const north: Climate = {
	latitude: 52,
	longitude: 15,
	coldestC: -17,
	lastFrost: { doy: 125, sd: 10 },
	firstFrost: { doy: 285, sd: 12 }
};
export const south: Climate = {
	latitude: -43,
	longitude: 172,
	coldestC: -6,
	lastFrost: { doy: 280, sd: 12 },
	firstFrost: { doy: 120, sd: 12 }
};
export const tropics: Climate = { latitude: 9, longitude: -79, coldestC: 18, lastFrost: null, firstFrost: null };
/** Frost in any month. */
export const arctic: Climate = {
	latitude: 69,
	longitude: 25,
	coldestC: -38,
	lastFrost: { doy: 188, sd: 12 },
	firstFrost: { doy: 212, sd: 12 }
};
