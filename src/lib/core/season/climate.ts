/**
 * What the garden's year is known by, until a weather record teaches it better: the average last
 * and first frost with their spread, and the coldest night of an average winter.
 */
import { daysRound, wrapDoy } from '../dates.js';
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';
import { SEASON } from './judged.js';

export interface FrostDate {
	/** Mean day of the year, 1–365. */
	doy: number;
	/** Standard deviation in days from year to year. */
	sd: number;
	/** Share of years that have such a frost at all; 1 if not said. */
	share?: number;
}

export interface Climate {
	/** Degrees, south negative. */
	latitude: number;
	longitude: number;
	/** Last frost before the growing season and first one after it; both null where frost never comes. */
	lastFrost: FrostDate | null;
	firstFrost: FrostDate | null;
	/** Lowest night of an average winter, °C. */
	coldestC: number;
	/** Days of the year on which the rains begin and end, where the year has a wet and a dry season. */
	rains?: { start: number; end: number } | null;
	/** Days of the year between which the ground is frozen in a usual winter; null where that is not for long. */
	frozen?: { from: number; to: number } | null;
}

/** The sea near a garden: server/sea.ts reads it off the map. */
export interface SeaNear {
	/** How much of the air comes off it, 0 (mid-continent) to 1 (an islet). */
	maritime: number;
	/** Mean of the air over it in its coldest and its warmest month, °C. */
	winterC: number;
	summerC: number;
}

export interface ClimateGuess {
	climate: Climate;
	/** How the guess was made, for the person who is asked to better it. */
	because: string;
}

/** Zonal means over land of the year's mean temperature and of half the yearly swing, °C. From memory. */
const ZONAL: readonly [latitude: number, mean: number, swing: number][] = [
	[0, 26, 1],
	[10, 26.5, 2],
	[20, 24.5, 5],
	[30, 19.5, 8.5],
	[40, 13, 11],
	[50, 7.5, 12],
	[60, 1, 15],
	[70, -9, 17],
	[80, -17, 17],
	[90, -21, 18]
];

function zonal(latitude: number): { mean: number; swing: number } {
	const at = Math.abs(latitude);
	const upper = ZONAL.findIndex(([l]) => l >= at);
	const [l1, m1, s1] = ZONAL[upper]!;
	const [l0, m0, s0] = ZONAL[Math.max(0, upper - 1)]!;
	const share = l1 === l0 ? 0 : (at - l0) / (l1 - l0);
	return { mean: m0 + share * (m1 - m0), swing: s0 + share * (s1 - s0) };
}

/** Half of the yearly swing of the mean temperature at a latitude, °C, milder in the south. */
export const zonalSwing = (latitude: number): number => zonal(latitude).swing * (latitude < 0 ? SOUTHERN_SWING : 1);

const NIGHT_DROP = SEASON.nightDrop.value;
const AVERAGE_NIGHT_AT_FROST = SEASON.nightAtFrost.value;
const FROST_SD = SEASON.frostSpread.value;
const COLDEST_BELOW = SEASON.coldestBelow.value;
const SEASON_LAG = SEASON.lag.value;
const COAST_LAG = SEASON.coastLag.value;
const SOUTHERN_NIGHTS = SEASON.southernNights.value;
const COAST_CALM = SEASON.coastCalm.value;
const LAPSE_PER_M = SEASON.nightLapse.value;

const SOUTHERN_SWING = SEASON.southernSwing.value;

/** Height cools the coldest nights a little less than the year's mean: cold air runs off downhill. Fitted with what follows. */
const COLDEST_LAPSE_PER_M = 0.0055;

/**
 * The coldest night of an average winter, °C, from how much of the air comes off the sea, how cold that sea's winter
 * is, and how far from the equator the land lies. Coefficients fitted by least squares on two thirds of the cities of
 * testing/cities.ts (from memory); on the third that was held out the spread is 4.2 °C.
 */
function coldestBySea(latitude: number, heightM: number, { maritime: m, winterC }: SeaNear): number {
	// Southern lands are narrow: they count as a fifth nearer to the equator.
	const l = Math.abs(latitude) * (latitude < 0 ? 0.8 : 1);
	const w = Math.min(winterC, 27);
	const inland = 1.157 * w - 0.447 * Math.max(0, l - 15) + 0.25 * Math.max(0, l - 35);
	return -13.5 + 5 * m + 0.911 * m * w + (1 - m) * inland - COLDEST_LAPSE_PER_M * heightM;
}

const COAST_SWING = SEASON.coastSwing.value;
const INLAND_SWING = SEASON.inlandSwing.value;

/** Mean temperature of the year and half its swing, °C. */
function yearOfPlace(latitude: number, heightM: number, sea: SeaNear | null): { mean: number; swing: number } {
	const z = zonal(latitude);
	const lapse = LAPSE_PER_M * heightM;
	if (!sea) return { mean: z.mean - lapse, swing: z.swing * (latitude < 0 ? SOUTHERN_SWING : 1) };
	const { maritime: m, winterC, summerC } = sea;
	return {
		mean: (m * (winterC + summerC)) / 2 + (1 - m) * z.mean - lapse,
		swing: Math.max(
			0.5,
			(m * COAST_SWING * (summerC - winterC)) / 2 + (1 - m) * INLAND_SWING * z.swing * (latitude < 0 ? SOUTHERN_SWING : 1)
		)
	};
}

export interface GuessFrom {
	latitude: number;
	longitude: number;
	heightM: number;
	/** The coldest night of an average winter, if it is known. */
	coldestC?: number | undefined;
	/** The sea around, if a map of it is at hand. */
	sea?: SeaNear | null | undefined;
}

/**
 * A first guess from the position, good to some weeks and some degrees. Every figure is meant to be replaced by the
 * person's own; a coldest night that is known bends the rest.
 */
export function guessClimate({ latitude, longitude, heightM, coldestC: known, sea = null }: GuessFrom): ClimateGuess {
	const south = latitude < 0;
	const year = yearOfPlace(latitude, heightM, sea);
	const guess = sea
		? coldestBySea(latitude, heightM, sea)
		: year.mean - year.swing - NIGHT_DROP - COLDEST_BELOW * Math.min(1, year.swing / 8);
	const coldestC = known ?? guess;
	const maritime = sea?.maritime ?? 0;
	let night = year.mean - NIGHT_DROP + COAST_CALM * maritime - (south ? SOUTHERN_NIGHTS : 0);
	let { swing } = year;
	if (known !== undefined) {
		// Half of the surprise is a milder or harsher winter only, half the whole year's.
		const surprise = known - guess;
		night += surprise * 0.25;
		swing = Math.max(0.5, swing - surprise * 0.25);
	}
	// Average night over the year: night − swing·cos(2π(doy − coldest)/365), coldest a lag after the solstice.
	const coldestDoy = (south ? 172 : 355) + SEASON_LAG + COAST_LAG * maritime;
	const reach = (night - AVERAGE_NIGHT_AT_FROST) / swing;
	const frosty = reach < 1 && coldestC <= 0;
	const days = frosty ? (Math.acos(Math.max(-0.97, reach)) / (2 * Math.PI)) * 365 : 0;
	const from = sea ? 'the position, the height and the sea around' : 'latitude and height alone';
	return {
		climate: {
			latitude,
			longitude,
			coldestC: Math.round(coldestC),
			lastFrost: frosty ? { doy: wrapDoy(coldestDoy + days), sd: FROST_SD } : null,
			firstFrost: frosty ? { doy: wrapDoy(coldestDoy - days), sd: FROST_SD } : null
		},
		because:
			known === undefined
				? `Guessed from ${from}: it may be some weeks and some degrees out.`
				: `Guessed from ${from}, and your coldest night: it may be a week or two out.`
	};
}

/** Are the frost dates a possible year for this hemisphere? */
export function checkClimate(c: Climate): Result<Climate> {
	if ((c.lastFrost === null) !== (c.firstFrost === null))
		return refuse('climate.half', 'Give both frost dates, or say that frost never comes.', 'first_frost');
	if (c.lastFrost && c.firstFrost) {
		const season = daysRound(c.lastFrost.doy, c.firstFrost.doy);
		if (season < 20)
			return refuse(
				'climate.no-season',
				'That leaves fewer than 20 days between the last frost and the first: check the two dates.',
				'first_frost'
			);
		const middle = (c.lastFrost.doy + season / 2) % 365;
		const summer = c.latitude < 0 ? 15 : 197;
		const apart = Math.min(Math.abs(middle - summer), 365 - Math.abs(middle - summer));
		if (apart > 91)
			return refuse(
				'climate.wrong-hemisphere',
				`These dates put the growing season in the winter of a garden ${c.latitude < 0 ? 'south' : 'north'} of the equator. Last frost is the one in spring.`,
				'last_frost'
			);
	}
	return ok(c);
}
