/**
 * Sun over a garden. Formulae after Jean Meeus, "Astronomical Algorithms" (1991), chapters 25 and 28,
 * in the low-precision form used by the almanac offices for rise and set (better than half a minute
 * below the polar circles).
 */
import { dayNumber } from '../dates.js';
import type { DayNumber, IsoDate } from '../dates.js';

const RAD = Math.PI / 180;
/** Centre of the sun at rise and set: 34′ refraction and 16′ half diameter below the horizon. */
const RISE_ALTITUDE = -0.833;
/** Civil twilight: light enough to work by. */
const CIVIL_ALTITUDE = -6;
const J2000_DAY = 10_957.5; // 2000-01-01 12:00 as days since 1970-01-01

interface SolarPosition {
	/** Declination, degrees. */
	declination: number;
	/** Apparent minus mean solar time, minutes. */
	equationOfTime: number;
}

/** Position at a moment given as fractional days since 1970-01-01 00:00 UT. */
export function solarPosition(moment: number): SolarPosition {
	const t = (moment - J2000_DAY) / 36_525;
	const meanLongitude = (280.46646 + t * (36_000.76983 + t * 0.0003032)) % 360;
	const anomaly = 357.52911 + t * (35_999.05029 - 0.0001537 * t);
	const eccentricity = 0.016708634 - t * (0.000042037 + 0.0000001267 * t);
	const centre =
		Math.sin(anomaly * RAD) * (1.914602 - t * (0.004817 + 0.000014 * t)) +
		Math.sin(2 * anomaly * RAD) * (0.019993 - 0.000101 * t) +
		Math.sin(3 * anomaly * RAD) * 0.000289;
	const node = 125.04 - 1934.136 * t;
	const apparent = meanLongitude + centre - 0.00569 - 0.00478 * Math.sin(node * RAD);
	const obliquity = 23.4392911 - 0.0130042 * t + 0.00256 * Math.cos(node * RAD);
	const declination = Math.asin(Math.sin(obliquity * RAD) * Math.sin(apparent * RAD)) / RAD;
	const y = Math.tan((obliquity / 2) * RAD) ** 2;
	const l = meanLongitude * RAD;
	const m = anomaly * RAD;
	const equationOfTime =
		(4 / RAD) *
		(y * Math.sin(2 * l) -
			2 * eccentricity * Math.sin(m) +
			4 * eccentricity * y * Math.sin(m) * Math.cos(2 * l) -
			0.5 * y * y * Math.sin(4 * l) -
			1.25 * eccentricity * eccentricity * Math.sin(2 * m));
	return { declination, equationOfTime };
}

/** Half of the day arc in degrees: 0 in polar night, 180 in polar day. */
function hourAngle(latitude: number, declination: number, altitude: number): number {
	const cosine =
		(Math.sin(altitude * RAD) - Math.sin(latitude * RAD) * Math.sin(declination * RAD)) /
		(Math.cos(latitude * RAD) * Math.cos(declination * RAD));
	if (cosine >= 1) return 0;
	if (cosine <= -1) return 180;
	return Math.acos(cosine) / RAD;
}

/**
 * Hours between sunrise and sunset (0–24) on a date at a place. Rise and set are each found with the
 * sun's place at that moment, for near the solstices of high latitudes a day is too long to hold it still.
 */
export const dayLength = (latitude: number, longitude: number, date: IsoDate | DayNumber): number =>
	hoursAbove(RISE_ALTITUDE, latitude, longitude, date);

/** Hours between dawn and dusk, civil twilight included (0–24). */
export const lightLength = (latitude: number, longitude: number, date: IsoDate | DayNumber): number =>
	hoursAbove(CIVIL_ALTITUDE, latitude, longitude, date);

function hoursAbove(altitude: number, latitude: number, longitude: number, date: IsoDate | DayNumber): number {
	const midnight = typeof date === 'number' ? date : dayNumber(date);
	const at = (fraction: number) => solarPosition(midnight + fraction);
	let noon = 0.5 - longitude / 360;
	noon -= at(noon).equationOfTime / 1440;
	const half = (sign: 1 | -1): number => {
		let angle = hourAngle(latitude, at(noon).declination, altitude);
		for (let i = 0; i < 4; i++) angle = hourAngle(latitude, at(noon + (sign * angle) / 360).declination, altitude);
		return angle;
	};
	return (half(-1) + half(1)) / 15;
}
