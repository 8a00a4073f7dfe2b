/** Does it live after it was moved? By what it is, how tall, in its season or out of it, and how much root comes along. */
import type { Kind } from '../handbook/schema.js';
import { shootOf } from '../plan/tall.js';
import { GROUND } from './judged.js';

export type Moved = 'clump' | 'leafy' | 'bare';
/** A clump, tuber or tender plant; a woody one in leaf all winter; one that stands bare. */
export const movedAs = (kind: Pick<Kind, 'habit' | 'size'>): Moved =>
	shootOf(kind) === null ? 'clump' : kind.habit === 'evergreen shrub' ? 'leafy' : 'bare';

/** Those of the garden that were moved before and of which it is known: lived a year, or died of it. */
export interface MovedBefore {
	lived: number;
	died: number;
}

export interface SurvivesAsked {
	kind: Pick<Kind, 'habit' | 'size'>;
	/** cm; null where nobody has told: then its age counts. */
	tallCm: number | null;
	ageYears: number | null;
	/** While its planting season is open. */
	inSeason: boolean;
	/** Width of the ball by that which its height asks for; 1 is as it should be. */
	ball?: number;
	/** Roots cut round a season before, so that new ones grow inside the ball. */
	cutRound?: boolean;
	before?: MovedBefore;
}

/** A young one, moved in its season: the book's word, worth so many plants, with the garden's own record. */
export function livesBase(as: Moved, before?: MovedBefore): number {
	const book = GROUND.movedLives.value[as];
	const w = GROUND.movedWeight.value;
	return before ? (w * book + before.lived) / (w + before.lived + before.died) : book;
}

const logit = (p: number): number => Math.log(p / (1 - p));
const back = (x: number): number => 1 / (1 + Math.exp(-x));

/** Chance that one lives through the first year where it was moved to. */
export function survives({ kind, tallCm, ageYears, inSeason, ball = 1, cutRound = false, before }: SurvivesAsked): number {
	const as = movedAs(kind);
	let x = logit(Math.min(0.98, Math.max(0.5, livesBase(as, before))));
	const doublings =
		as === 'clump'
			? 0
			: tallCm !== null
				? Math.max(0, Math.log2(tallCm / GROUND.movedYoung.value))
				: Math.max(0, ((ageYears ?? 0) - 3) / 5);
	const short = Math.max(0, -2 * Math.log(Math.max(0.1, ball)));
	const roots = doublings * GROUND.movedTall.value + short * GROUND.movedBall.value;
	x -= cutRound ? roots * (1 - GROUND.cutRoundGains.value) : roots;
	if (!inSeason) x -= GROUND.movedLate.value[as];
	return back(x);
}
