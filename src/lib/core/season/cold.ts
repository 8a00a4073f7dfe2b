/**
 * What cold does to a plant: how far it falls, for how many hours, and how hardened the plant is by then. One that grows
 * bears what it bears in growth; weeks of cool days bring it to what it bears at rest, and a warm spell takes that away
 * again, faster.
 */
import { SEASON } from './judged.js';

const STEP_C = SEASON.nightStep.value;
const NIGHT_H = SEASON.nightHours.value;
const HARDENED_C = SEASON.hardenedBelow.value;
const GROWING_C = SEASON.growingFrom.value;
const HARDENS_D = SEASON.hardensIn.value;
const SOFTENS_D = SEASON.softensIn.value;

/** Harm of an hour at so many °C, in hours at 0 °C: a step colder and it is e times as much. */
export const harmOfHour = (c: number): number => Math.exp(-c / STEP_C);

/** The night of usual length that does as much harm as hours do of which the sum is given, by its lowest, °C. */
export const asNight = (harm: number): number => -STEP_C * Math.log(harm / NIGHT_H);

const ROUND_THE_CLOCK = Array.from({ length: 24 }, (_, h) => (1 + Math.cos((Math.PI * h) / 12)) / 2);
/** A day between its lowest and its highest, as a night of usual length, °C: long at its lowest it is a colder one. */
export function nightOf(lowC: number, highC: number): number {
	const swing = Math.max(0, highC - lowC);
	// Of the degrees above the lowest, lest a deep night overflow.
	return lowC + asNight(ROUND_THE_CLOCK.reduce((sum, up) => sum + harmOfHour(swing * up), 0));
}

/** How hardened days of such a mean keep a plant, 0 (in growth) to 1 (at rest). */
export const hardenedAt = (meanC: number): number => Math.min(1, Math.max(0, (GROWING_C - meanC) / (GROWING_C - HARDENED_C)));

/** How hardened it is after one more day. */
export function hardenedAfter(before: number, meanC: number): number {
	const to = hardenedAt(meanC);
	return before + (to - before) * (1 - Math.exp(-1 / (to > before ? HARDENS_D : SOFTENS_D)));
}

/** Days after which nothing is left of how hardened a plant was before. */
export const HARDENING_DAYS = 60;

/** Its worst days in a winter, or in any time: how hardened it was, 0–1, and as what night it felt them, °C. */
export interface ColdFelt {
	hardened: ArrayLike<number>;
	nightC: ArrayLike<number>;
}

/** One night. */
export const oneNight = (nightC: number, hardened = 1): ColdFelt => ({ hardened: [hardened], nightC: [nightC] });

/** Of many days those that may be the worst for some plant: no other was both colder and met it softer. */
export function worstOf(hardened: ArrayLike<number>, nightC: ArrayLike<number>): ColdFelt {
	const softFirst = Array.from(hardened, (_, i) => i).sort((a, b) => hardened[a]! - hardened[b]! || nightC[a]! - nightC[b]!);
	let coldest = Infinity;
	const worst = softFirst.filter((i) => nightC[i]! < coldest && ((coldest = nightC[i]!), true));
	return { hardened: worst.map((i) => hardened[i]!), nightC: worst.map((i) => nightC[i]!) };
}

/** What a plant bears, °C: in growth, and once hardened, which is no warmer. */
export interface Bears {
	growingC: number;
	restingC: number;
}

/** What it bears when it is so hardened, °C. */
export const bearsNow = ({ growingC, restingC }: Bears, hardened: number): number =>
	growingC - hardened * Math.max(0, growingC - restingC);

/** By how much the worst of these days was above what it bore, °C; below 0 where it was not borne. */
export function marginIn({ hardened, nightC }: ColdFelt, bears: Bears): number {
	let least = Infinity;
	for (let i = 0; i < nightC.length; i++) least = Math.min(least, nightC[i]! - bearsNow(bears, hardened[i]!));
	return least;
}

/** Chance to live, 0–1, where the worst night was so far above what is borne, °C: even odds at 0. */
export const livesBy = (marginC: number): number => 1 / (1 + Math.exp(-marginC / STEP_C));
