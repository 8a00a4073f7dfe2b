/** A batch's way through the seasons: when each stage is reached, from strike to the ground. */
import quantileOfNormal from '@stdlib/stats-base-dists-normal-quantile';
import type { DayNumber } from '../dates.js';
import type { Kind, Stage, StageName, WayProfile } from '../handbook/schema.js';
import { afterGrowth, wintersBetween } from '../season/growth.js';
import type { Climate } from '../season/climate.js';
import { openings } from '../season/windows.js';

/** The low and high days of the handbook are 1 in 10 and 9 in 10. */
const Z90 = quantileOfNormal(0.9, 0, 1);

/**
 * Days of a stage when luck stands at q (0–1, high = slow): log-normal on either side of the usual,
 * through the low, usual and high figures.
 */
export function stageDays([low, usual, high]: Stage['days'], q: number): number {
	if (usual <= 0) return Math.round(high * Math.max(0, q * 2 - 1));
	const z = quantileOfNormal(q, 0, 1);
	const reach = z < 0 ? Math.log(usual / Math.max(low, usual / 20)) : Math.log(Math.max(high, usual) / usual);
	return Math.round(usual * Math.exp((z / Z90) * reach));
}

export interface Step {
	stage: Stage;
	/** Day the stage is entered (work is done) and passed. */
	from: DayNumber;
	to: DayNumber;
}

export interface Walk {
	/** Stages gone through, in order of time; wintered once for each winter crossed. */
	steps: Step[];
	planted: DayNumber;
}

/** First day from `day` on which the kind may be planted out here; null if none within four years. */
export function plantingDay(kind: Pick<Kind, 'plant_out'>, day: DayNumber, climate: Climate): DayNumber | null {
	let best: DayNumber | null = null;
	for (const rule of kind.plant_out)
		for (const window of openings(rule, day, day + 4 * 366, climate)) {
			const on = Math.max(day, window.opens);
			if (on <= window.closes && (best === null || on < best)) best = on;
			if (window.opens > day) break;
		}
	return best;
}

/**
 * Walks a batch from a day on. `q` sets the luck of all stages together: slow seasons are slow for
 * everything, so the stages are taken to move as one, which is the careful side for "in time".
 * `reached` leaves out what has been passed already; winters before `aliveOn`, when the pieces were last counted, are behind.
 */
export function walk(
	kind: Pick<Kind, 'plant_out'>,
	way: Pick<WayProfile, 'stages'>,
	start: DayNumber,
	q: number,
	climate: Climate,
	reached: StageName | null = null,
	aliveOn: DayNumber | null = null
): Walk | null {
	const passed = reached === null ? -1 : way.stages.findIndex((s) => s.to === reached);
	const ahead = way.stages.slice(passed + 1).filter((s) => s.to !== 'wintered' && s.to !== 'planted');
	const steps: Step[] = [];
	let day = start;
	for (const stage of ahead) {
		const days = stageDays(stage.days, q);
		const to = stage.grows === 'always' ? day + days : afterGrowth(day, days, climate);
		steps.push({ stage, from: day, to });
		day = to;
	}
	const planted = plantingDay(kind, day, climate);
	if (planted === null) return null;
	const winter = way.stages.find((s) => s.to === 'wintered');
	if (winter)
		for (const rest of wintersBetween(Math.max(start, aliveOn ?? start), planted, climate)) {
			const to = Math.min(rest.to, planted);
			const at = steps.findIndex((s) => s.to > to);
			steps.splice(at < 0 ? steps.length : at, 0, { stage: winter, from: Math.max(start, rest.from), to });
		}
	const last = way.stages.find((s) => s.to === 'planted');
	if (last) steps.push({ stage: last, from: planted, to: planted });
	return { steps, planted };
}

/** Chance that the batch can be planted by the due day (0–1), to a hundredth. */
export function chanceInTime(plantedAt: (q: number) => DayNumber | null, due: DayNumber): number {
	const fits = (q: number) => {
		const day = plantedAt(q);
		return day !== null && day <= due;
	};
	if (!fits(0.01)) return 0;
	if (fits(0.99)) return 1;
	let low = 1;
	let high = 99;
	while (high - low > 1) {
		const mid = (low + high) >> 1;
		if (fits(mid / 100)) low = mid;
		else high = mid;
	}
	return low / 100;
}
