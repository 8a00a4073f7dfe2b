/** What a living (or planned) batch will come to: from what was seen, through the stages still ahead. */
import type { DayNumber } from '../dates.js';
import type { Kind, StageName, WayProfile } from '../handbook/schema.js';
import { learn, meanOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import { certain, shifted, through } from '../odds/chain.js';
import type { Tallies } from '../evidence/evidence.js';
import type { Climate } from '../season/climate.js';
import { chanceInTime, walk } from './walk.js';
import type { Walk } from './walk.js';

/** How many pieces of a batch stand at which stage now. */
export interface Standing {
	unrooted: number;
	rooted: number;
	potted: number;
	planted: number;
	wintered: boolean;
	/** The day the batch stands at its stage since (for a planned one the day of striking). */
	since: DayNumber;
	seen: Tallies;
}

export interface Forecast {
	/** Chance for each number in the ground in the end. */
	pmf: Float64Array;
	inTime: number;
	/** Stages ahead with the odds used. */
	ahead: { stage: StageName; odds: Beta; entering: number }[];
	usual: Walk | null;
	planted: { quick: DayNumber; usual: DayNumber; slow: DayNumber } | null;
}

/** The stage reached by the least advanced of the pieces that still count. */
export function reachedStage(s: Pick<Standing, 'unrooted' | 'rooted' | 'potted'>): StageName | null {
	if (s.unrooted > 0) return null;
	if (s.rooted > 0) return 'rooted';
	return s.potted > 0 ? 'potted' : null;
}

/**
 * Forecast of a batch. `odds` are the way's, taught by other batches; the batch's own counts are
 * added whole. Pieces that were slow to root are given the same chance as the rest: how long they
 * have been at it is not weighed here.
 */
export function forecast(
	kind: Pick<Kind, 'plant_out'>,
	way: Pick<WayProfile, 'stages'>,
	standing: Standing,
	odds: ReadonlyMap<StageName, Beta>,
	today: DayNumber,
	due: DayNumber | null,
	climate: Climate
): Forecast {
	const own = new Map(
		[...odds].map(([stage, b]) => {
			const tally = standing.seen[stage];
			return [stage, tally ? learn(b, tally.passed, tally.failed) : b] as const;
		})
	);
	const inHand = standing.unrooted + standing.rooted + standing.potted;
	if (inHand === 0)
		return { pmf: certain(standing.planted), inTime: 1, ahead: [], usual: null, planted: null };

	const has = (stage: StageName) => way.stages.some((s) => s.to === stage);
	const reached = reachedStage(standing);
	const at = reached && has(reached) ? reached : null;
	// What should have been done by today and was not cannot be planted before today.
	const go = (q: number) => {
		const w = walk(kind, way, standing.since, q, climate, at, standing.wintered);
		if (!w || w.planted >= today) return w;
		const late = walk(kind, { stages: way.stages.filter((s) => s.to === 'planted') }, today, q, climate);
		return late ? { steps: [...w.steps.slice(0, -1), ...late.steps], planted: late.planted } : null;
	};
	const usual = go(0.5);
	const crosses = usual?.steps.some((s) => s.stage.to === 'wintered') ?? false;

	const ahead: Forecast['ahead'] = [];
	let expectedCount = 0;
	let pmf = certain(0);
	const pass = (stage: StageName) => {
		const b = own.get(stage);
		if (!b) return;
		ahead.push({ stage, odds: b, entering: expectedCount });
		expectedCount *= meanOf(b);
		pmf = through(pmf, b);
	};
	const join = (count: number) => {
		expectedCount += count;
		pmf = shifted(pmf, count);
	};
	join(standing.unrooted);
	if (standing.unrooted > 0) pass('rooted');
	join(standing.rooted);
	if (standing.unrooted + standing.rooted > 0) pass('potted');
	join(standing.potted);
	if (crosses) pass('wintered');
	pass('ready');
	pass('planted');
	pmf = shifted(pmf, standing.planted);

	const day = (q: number) => go(q)?.planted ?? null;
	const dates = { quick: day(0.1), usual: day(0.5), slow: day(0.9) };
	return {
		pmf,
		inTime: due === null ? 1 : chanceInTime(day, due),
		ahead,
		usual,
		planted:
			dates.quick !== null && dates.usual !== null && dates.slow !== null
				? { quick: dates.quick, usual: dates.usual, slow: dates.slow }
				: null
	};
}
