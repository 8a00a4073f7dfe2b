/** Measures as a garden types and reads them: one place for units, factors and what was typed. */
import { readNumber } from '../numbers.js';
import { CM_PER_FOOT, CM_PER_INCH, M2_PER_SQUARE_FOOT, toCelsius, toFahrenheit } from './convert.js';
import type { UnitChoice } from './say.js';

export interface Measure {
	/** "cm", "in". */
	unit: string;
	/** What is kept, from a number in the garden's unit. */
	from(shown: number): number;
	/** The number in the garden's unit, to so many digits behind the point. */
	shown(kept: number, digits?: number): number;
	/** What is kept, from what was typed; null when blank, NaN when it is no number. */
	read(typed: string | number | null | undefined): number | null;
}

function measure(unit: string, from: (n: number) => number, to: (n: number) => number): Measure {
	return {
		unit,
		from,
		shown: (kept, digits) => (digits === undefined ? to(kept) : Number(to(kept).toFixed(digits))),
		read: (typed) => {
			const n = readNumber(String(typed ?? ''));
			return n === null ? null : from(n);
		}
	};
}
const same = (n: number): number => n;
const times = (unit: string, factor: number): Measure =>
	measure(
		unit,
		(n) => n * factor,
		(n) => n / factor
	);

/** Kept in cm: plants, cuttings, spacings. */
export const shortMeasure = (u: Pick<UnitChoice, 'length'>): Measure =>
	u.length === 'us' ? times('in', CM_PER_INCH) : measure('cm', same, same);
/** Kept in m: hedges, beds, heights. */
export const longMeasure = (u: Pick<UnitChoice, 'length'>): Measure =>
	u.length === 'us' ? times('ft', CM_PER_FOOT / 100) : measure('m', same, same);
/** Kept in m². */
export const areaMeasure = (u: Pick<UnitChoice, 'length'>): Measure =>
	u.length === 'us' ? times('sq ft', M2_PER_SQUARE_FOOT) : measure('m²', same, same);
/** Kept in °C. */
export const warmthMeasure = (u: Pick<UnitChoice, 'temperature'>): Measure =>
	u.temperature === 'F' ? measure('°F', toCelsius, toFahrenheit) : measure('°C', same, same);
