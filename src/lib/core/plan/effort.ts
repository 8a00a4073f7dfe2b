/** What a planned batch asks for: minutes, mix, pots, room and money, stage by stage. */
import type { StageName, WayProfile } from '../handbook/schema.js';
import { holding } from '../mix/stands.js';
import type { Book } from '../mix/stands.js';
import { meanChance } from '../odds/belief.js';
import type { Belief } from '../odds/belief.js';
import type { Step, Walk } from './walk.js';
import { PLAN } from './judged.js';

export const MIX_COST_PER_LITRE = PLAN.mixCost.value;

export interface StageNeed {
	to: StageName;
	from: number;
	until: number;
	/** Pieces expected to enter the stage. */
	entering: number;
	container: string;
	/** A row or the ground: nothing that could be counted. */
	open: boolean;
	containers: number;
	areaCm2: number;
	litres: number;
	minutes: number;
	/** Care in each week of it; handling comes on top in its first. */
	minutesPerWeek: number;
	/** Minutes of handling at its beginning. */
	handling: number;
}

export interface Effort {
	stages: StageNeed[];
	minutes: number;
	/** Most in any one week: what is handled at a stage's beginning with its care. */
	peakMinutesPerWeek: number;
	/** Most room at any time, cm². */
	peakAreaCm2: number;
	litres: number;
	pots: number;
	cost: number;
}

export interface EffortOf {
	walk: Walk;
	odds: ReadonlyMap<StageName, Belief>;
	struck: number;
	way: WayProfile;
	book: Book;
}

const overlap = (a: Pick<Step, 'from' | 'to'>, b: Pick<Step, 'from' | 'to'>): number =>
	Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from));

/** What is ready waits in its pots for the day on which it is planted, or for which it is wanted. */
const leavingOf = (step: Step, walk: Walk): number => Math.max(step.to, walk.leaves);

/**
 * Days of a stage that are its own: a winter that falls into it is cared for as winter, and what is ready waits for
 * its planting in the last stage's pots.
 */
function daysOf(step: Step, walk: Walk): number {
	if (step.stage.to === 'wintered') return step.to - step.from;
	const timed = walk.steps.filter((s) => s.stage.to !== 'wintered' && s.stage.to !== 'planted');
	const held = step === timed.at(-1) ? { from: step.from, to: leavingOf(step, walk) } : step;
	const winters = walk.steps.filter((s) => s.stage.to === 'wintered');
	return held.to - held.from - winters.reduce((days, w) => days + overlap(held, w), 0);
}

export function effortOf({ walk, odds, struck, way, book }: EffortOf): Effort {
	let entering = struck;
	let litres = 0;
	let pots = 0;
	let cost = 0;
	let minutes = 0;
	let held = '';
	const lasting = walk.steps.findLast((s) => s.stage.to !== 'wintered' && s.stage.to !== 'planted');
	const stages = walk.steps.map((step): StageNeed => {
		const { stage, from, to } = step;
		const { container, each } = holding(book, way, stage);
		// Whole plants are potted: as many pots as the plants that are told.
		const count = Math.ceil(Math.round(entering) / each - 1e-9);
		const fresh = stage.holds !== held ? count : 0;
		held = stage.holds;
		const days = stage.to === 'planted' ? 0 : daysOf(step, walk);
		const handling = entering * stage.minutes;
		const need: StageNeed = {
			to: stage.to,
			from,
			until: step === lasting ? leavingOf(step, walk) : to,
			entering,
			container: container?.name ?? stage.holds,
			open: container?.vessel === null,
			containers: count,
			areaCm2: count * (container?.area_cm2 ?? 0),
			litres: fresh * (container?.litres ?? 0),
			minutes: handling + (count * stage.care * days) / 7,
			minutesPerWeek: days > 0 ? count * stage.care : 0,
			handling
		};
		litres += need.litres;
		pots += fresh;
		cost += fresh * (container?.cost ?? 0) + need.litres * MIX_COST_PER_LITRE;
		minutes += need.minutes;
		const chance = odds.get(stage.to);
		entering *= chance ? meanChance(chance) : 1;
		return need;
	});
	return {
		stages,
		minutes,
		litres,
		pots,
		cost,
		peakMinutesPerWeek: Math.max(0, ...stages.map((s) => s.minutesPerWeek + s.handling)),
		peakAreaCm2: Math.max(0, ...stages.map((s) => s.areaCm2))
	};
}
