/** Whether a garden has the minutes and the room for one batch more, week by week, beside all that grows already. */
import { clashOf } from './byHand.js';
import type { Clash } from './byHand.js';
import { Rows } from './needs.js';
import type { StandingStages } from './needs.js';
import { MOST_DAYS } from './plan.js';
import type { Garden, JointRequest } from './types.js';

/** @returns of each thing that would be overfull its worst week: the same reckoning as the plan of all wants */
export function carrying(garden: Garden): (stages: StandingStages) => Clash[] {
	const r: JointRequest = { ...garden, wants: [], sources: [], rho: 0, seed: 0, weights: NONE };
	const rows = new Rows(r, r.today + MOST_DAYS, new Map());
	return (stages) => {
		const worst = new Map<string, Clash>();
		for (const { row, over } of rows.overBy(stages)) {
			const clash = clashOf(r, rows, row, over);
			const key = String(clash.of);
			if (over > (worst.get(key)?.over ?? 0)) worst.set(key, clash);
		}
		return [...worst.values()];
	};
}
const NONE: JointRequest['weights'] = { hourWorth: 0, setUpMinutes: 0, surer: 0, money: 0 };
