import { sayNumber } from '../numbers.js';
import { feetFromMetres, inchesFromCm, LITRES_PER_US_QUART, M2_PER_SQUARE_FOOT, toFahrenheit } from './convert.js';
import type { LengthSystem, TemperatureScale } from './convert.js';

/** How this garden likes to read its measures. */
export interface UnitChoice {
	length: LengthSystem;
	temperature: TemperatureScale;
}

/** "−18 °C" or "0 °F". */
export const sayTemperature = (celsius: number, units: UnitChoice): string =>
	units.temperature === 'C' ? `${sayNumber(celsius, 0)}\u00a0°C` : `${sayNumber(toFahrenheit(celsius), 0)}\u00a0°F`;

/** Short lengths: "7.5 cm", "3 in". */
export const sayLength = (cm: number, units: UnitChoice): string =>
	units.length === 'metric'
		? `${sayNumber(cm, cm < 10 ? 1 : 0)}\u00a0cm`
		: `${sayNumber(inchesFromCm(cm), cm < 50 ? 1 : 0)}\u00a0in`;

export const sayLengthRange = (lowCm: number, highCm: number, units: UnitChoice): string =>
	units.length === 'metric'
		? `${sayNumber(lowCm, 1)}–${sayNumber(highCm, 1)}\u00a0cm`
		: `${sayNumber(inchesFromCm(lowCm), 1)}–${sayNumber(inchesFromCm(highCm), 1)}\u00a0in`;

/** Long lengths: "12.5 m", "41 ft". */
export const sayDistance = (metres: number, units: UnitChoice): string =>
	units.length === 'metric' ? `${sayNumber(metres, 1)}\u00a0m` : `${sayNumber(feetFromMetres(metres), 1)}\u00a0ft`;

export const sayArea = (squareMetres: number, units: UnitChoice): string =>
	units.length === 'metric'
		? `${sayNumber(squareMetres, squareMetres < 1 ? 2 : 1)}\u00a0m²`
		: `${sayNumber(squareMetres / M2_PER_SQUARE_FOOT, 1)}\u00a0sq ft`;

export const sayVolume = (litres: number, units: UnitChoice): string =>
	units.length === 'metric'
		? `${sayNumber(litres, litres < 10 ? 1 : 0)}\u00a0L`
		: `${sayNumber(litres / LITRES_PER_US_QUART, 1)}\u00a0qt`;

/** "45 min", "2 h 10 min". */
export function sayMinutes(minutes: number): string {
	const whole = Math.round(minutes);
	if (whole < 90) return `${whole}\u00a0min`;
	const hours = Math.floor(whole / 60);
	const rest = whole % 60;
	return rest === 0 ? `${hours} h` : `${hours} h ${rest}\u00a0min`;
}
