/**
 * Water that the air draws, by FAO Irrigation and Drainage Paper 56 (Allen, Pereira, Raes and Smith
 * 1998, "Crop evapotranspiration"): equations are named by their numbers there.
 */
const RAD = Math.PI / 180;
/** MJ m⁻² min⁻¹. */
const SOLAR_CONSTANT = 0.082;
/** Latent heat: mm of water evaporated by 1 MJ/m² (eq. 20). */
export const MM_PER_MJ = 0.408;

/** Inverse relative distance earth–sun (eq. 23) and declination in radians (eq. 24) on a day of the year. */
const sun = (doy: number) => ({
	distance: 1 + 0.033 * Math.cos((2 * Math.PI * doy) / 365),
	declination: 0.409 * Math.sin((2 * Math.PI * doy) / 365 - 1.39)
});

/** Sunset hour angle, radians (eq. 25): 0 in polar night, π in polar day. */
export function sunsetAngle(latitude: number, doy: number): number {
	const x = -Math.tan(latitude * RAD) * Math.tan(sun(doy).declination);
	return x >= 1 ? 0 : x <= -1 ? Math.PI : Math.acos(x);
}

/** Hours of daylight N (eq. 34): the plain astronomical day, without refraction. */
export const daylightHours = (latitude: number, doy: number): number => (24 / Math.PI) * sunsetAngle(latitude, doy);

/** Extraterrestrial radiation Ra, MJ m⁻² day⁻¹ (eq. 21). */
export function extraterrestrial(latitude: number, doy: number): number {
	const { distance, declination } = sun(doy);
	const w = sunsetAngle(latitude, doy);
	const phi = latitude * RAD;
	const arc = w * Math.sin(phi) * Math.sin(declination) + Math.cos(phi) * Math.cos(declination) * Math.sin(w);
	return Math.max(0, ((24 * 60) / Math.PI) * SOLAR_CONSTANT * distance * arc);
}

/** Reference evapotranspiration, mm a day, from temperatures alone (Hargreaves, eq. 52). Never below 0. */
export function hargreaves(low: number, high: number, radiation: number): number {
	const mean = (low + high) / 2;
	return Math.max(0, 0.0023 * (mean + 17.8) * Math.sqrt(Math.max(0, high - low)) * radiation * MM_PER_MJ);
}

/** Vapour pressure of saturated air, kPa, at a temperature, °C (FAO-56, eq. 11). */
export const saturation = (c: number): number => 0.6108 * Math.exp((17.27 * c) / (c + 237.3));
