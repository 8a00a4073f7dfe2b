import { toCelsius, toFahrenheit } from './convert.js';

/**
 * USDA plant hardiness zones: bands of the average annual extreme minimum temperature.
 * Zone 1a starts at −60 °F; each half zone is 5 °F; 13b ends at 70 °F.
 * Source: USDA Plant Hardiness Zone Map (2012 and 2023 editions use the same bands).
 */
const ZONE_1A_LOW_F = -60;
const HALF_ZONE_F = 5;
const HALF_ZONES = 26;

export interface ZoneBand {
	zone: string;
	lowC: number;
	highC: number;
	lowF: number;
	highF: number;
}

function band(index: number): ZoneBand {
	const lowF = ZONE_1A_LOW_F + index * HALF_ZONE_F;
	const highF = lowF + HALF_ZONE_F;
	return {
		zone: `${Math.floor(index / 2) + 1}${index % 2 === 0 ? 'a' : 'b'}`,
		lowC: toCelsius(lowF),
		highC: toCelsius(highF),
		lowF,
		highF
	};
}

/** All 26 half zones, coldest first. */
export const ZONES: readonly ZoneBand[] = Array.from({ length: HALF_ZONES }, (_, i) => band(i));

/**
 * The half zone of an average coldest winter night, in °C. A temperature on a boundary belongs to
 * the warmer band, as on the map. Outside the table the end bands are given.
 */
export function zoneOf(coldestC: number): ZoneBand {
	// 1e-9: −17.777…°C must land on 0 °F although it is no exact binary number.
	const index = Math.floor((toFahrenheit(coldestC) + 1e-9 - ZONE_1A_LOW_F) / HALF_ZONE_F);
	return ZONES[Math.min(HALF_ZONES - 1, Math.max(0, index))]!;
}

/** The band of a written zone: "7", "7a" or "7B"; null when it is none. A whole zone spans both halves. */
export function bandOf(zone: string): ZoneBand | null {
	const written = /^\s*(\d{1,2})\s*([ab])?\s*$/i.exec(zone);
	if (!written) return null;
	const number = Number(written[1]);
	if (number < 1 || number > 13) return null;
	const low = (number - 1) * 2;
	const half = written[2]?.toLowerCase();
	if (half) return ZONES[low + (half === 'b' ? 1 : 0)]!;
	const a = ZONES[low]!;
	const b = ZONES[low + 1]!;
	return { zone: String(number), lowC: a.lowC, highC: b.highC, lowF: a.lowF, highF: b.highF };
}
