/** Rooting hormone: strengths, powder for so many bases, liquids thinned to what is wanted. Labels and local rules come first. */
import { sayNumber } from '../numbers.js';
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';
import { MIX } from './judged.js';

/** Percent by weight is grams in 100 g: 1 % is 10,000 mg/kg, and of a liquid in water 10,000 mg/L. */
export const percentToMgL = (percent: number): number => percent * 10_000;
export const mgLToPercent = (mgL: number): number => mgL / 10_000;

export type CuttingType = 'soft' | 'semi-ripe' | 'hard';

/**
 * Usual strengths of indolebutyric acid as a quick dip of some seconds, mg/L, and as powder, percent.
 * Source: Hartmann and Kester, "Plant Propagation: Principles and Practices": 500–1,250 for herbaceous and
 * softwood, 1,000–3,000 for semi-hardwood, 2,500–5,000 for hardwood; powders of about 0.1, 0.3 and 0.8 %. From memory.
 */
export const IBA: Record<CuttingType, { dip: readonly [number, number]; powder: number }> = {
	soft: { dip: [500, 1250], powder: 0.1 },
	'semi-ripe': { dip: [1000, 3000], powder: 0.3 },
	hard: { dip: [2500, 5000], powder: 0.8 }
};
/** A long soak is far weaker: 20 to 200 mg/L for some 24 hours. Source: as above, from memory. */
export const SOAK = { mgL: [20, 200], hours: 24 } as const;

export interface Dilution {
	concentrateMl: number;
	waterMl: number;
	/** One part to so many parts of water. */
	toOne: number;
}

/** Concentrate and water for so many ml of the wanted strength: C₁V₁ = C₂V₂. */
export function dilute(fromMgL: number, toMgL: number, ml: number): Result<Dilution> {
	if (!(fromMgL > 0 && fromMgL <= 1_000_000))
		return refuse('dilute.from', 'The concentrate has between 1 and 1,000,000 mg/L.', 'from');
	if (!(toMgL > 0)) return refuse('dilute.to', 'Wanted: more than 0 mg/L.', 'to');
	if (toMgL > fromMgL)
		return refuse(
			'dilute.stronger',
			`Water makes it weaker, never stronger: from ${sayNumber(fromMgL)} mg/L there is no way to ${sayNumber(toMgL)}.`,
			'to'
		);
	if (!(ml > 0 && ml <= 100_000)) return refuse('dilute.ml', 'Between 1 ml and 100 L.', 'ml');
	const concentrateMl = (toMgL * ml) / fromMgL;
	return ok({ concentrateMl, waterMl: ml - concentrateMl, toOne: (ml - concentrateMl) / concentrateMl });
}

const MG_PER_CM2 = MIX.powder.value;
const LEFT_OVER = MIX.tipped.value;

/** Powder to tip out for so many bases of a thickness (mm), dipped so deep (cm): grams. */
export const powderG = (bases: number, thickMm: number, depthCm = 1.5): number =>
	(bases * Math.PI * (thickMm / 10) * depthCm * MG_PER_CM2 * (1 + LEFT_OVER)) / 1000;

/** Liquid to pour out for quick dips: so deep in a narrow cup, whatever the number. ml. */
export const dipMl = (bases: number): number => Math.max(20, Math.ceil(bases * 0.3));

/** Concentrated feed for so many litres by the label's ml in a litre, at a share of it: half for the young. Common practice, no source. */
export const feedMl = (litres: number, labelMlPerL: number, share = 0.5): number => litres * labelMlPerL * share;
