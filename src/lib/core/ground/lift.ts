/** What it takes to move a plant with its ball: how wide and deep, how heavy, how many people. */
import type { Kind } from '../handbook/schema.js';
import { ballOf, shootOf } from '../plan/tall.js';
import { handsFor } from '../shelter/carry.js';
import { spreadNow } from './cover.js';
import { GROUND } from './judged.js';

export interface Lift {
	acrossCm: number;
	deepCm: number;
	litres: number;
	/** With its soil, wet. */
	kg: number;
	/** By the lifting equation's constant for one. */
	people: number;
}

/** Balls of a wider plant are less deep for their width. */
function depthShare(acrossCm: number): number {
	const { narrow, middle, wide } = GROUND.ballDeep.value;
	return acrossCm < 51 ? narrow : acrossCm < 77 ? middle : wide;
}

export function liftOfBall(acrossCm: number): Lift {
	const deepCm = acrossCm * depthShare(acrossCm);
	const litres = (GROUND.ballFull.value * ((Math.PI / 4) * acrossCm ** 2 * deepCm)) / 1000;
	const kg = litres * GROUND.wetSoil.value;
	return { acrossCm, deepCm, litres, kg, people: handsFor(kg) };
}

/** The widest ball that so many can carry, cm. */
export function ballThatCan(people: number): number {
	let cm = 10;
	while (liftOfBall(cm + 1).people <= people) cm++;
	return cm;
}

/** Taller ones are work for a firm with a machine, cm. */
const TALLEST_CM = 150;

/**
 * One plant of a stock in the ground. Woody ones by their height, the rest by their crown. Null where neither is told, or
 * where it is too big for hands.
 */
export function liftOf(
	kind: Pick<Kind, 'habit' | 'size' | 'ways'>,
	stock: { size_cm: number | null; age_years: number | null }
): Lift | null {
	if (shootOf(kind) === null)
		return liftOfBall(Math.max(GROUND.youngSpread.value, GROUND.crownShare.value * spreadNow(kind, stock)));
	const tall = kind.ways[0]?.gives.measure === 'height' ? stock.size_cm : null;
	return tall === null || tall > TALLEST_CM ? null : liftOfBall(ballOf(tall));
}
