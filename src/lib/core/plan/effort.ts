/** What a planned batch asks for: minutes, mix, pots, room and money, stage by stage. */
import type { Container, StageName } from '../handbook/schema.js';
import { meanOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import type { Walk } from './walk.js';

/** Price of a litre of mix in the garden's currency; from memory, about a 40 L bag at 8. */
export const MIX_COST_PER_LITRE = 0.2;

export interface StageNeed {
	to: StageName;
	from: number;
	until: number;
	/** Pieces expected to enter the stage. */
	entering: number;
	container: string;
	containers: number;
	areaCm2: number;
	litres: number;
	minutes: number;
	minutesPerWeek: number;
}

export interface Effort {
	stages: StageNeed[];
	minutes: number;
	/** Most in any one week of care, handling apart. */
	peakMinutesPerWeek: number;
	/** Most room at any time, cm². */
	peakAreaCm2: number;
	litres: number;
	pots: number;
	cost: number;
}

export function effortOf(
	walk: Walk,
	odds: ReadonlyMap<StageName, Beta>,
	struck: number,
	containers: ReadonlyMap<string, Container>
): Effort {
	let entering = struck;
	let litres = 0;
	let pots = 0;
	let cost = 0;
	let minutes = 0;
	let held = '';
	const stages = walk.steps.map(({ stage, from, to }): StageNeed => {
		const container = containers.get(stage.holds);
		const count = Math.ceil(entering / (container?.pieces ?? 1) - 1e-9);
		const refilled = stage.holds !== held;
		held = stage.holds;
		const fresh = refilled ? count : 0;
		const need: StageNeed = {
			to: stage.to,
			from,
			until: to,
			entering,
			container: container?.name ?? stage.holds,
			containers: count,
			areaCm2: count * (container?.area_cm2 ?? 0),
			litres: fresh * (container?.litres ?? 0),
			minutes: entering * stage.minutes + (count * stage.care * (to - from)) / 7,
			minutesPerWeek: to > from ? count * stage.care : 0
		};
		litres += need.litres;
		pots += fresh;
		cost += fresh * (container?.cost ?? 0) + need.litres * MIX_COST_PER_LITRE;
		minutes += need.minutes;
		const chance = odds.get(stage.to);
		entering *= chance ? meanOf(chance) : 1;
		return need;
	});
	return {
		stages,
		minutes,
		litres,
		pots,
		cost,
		peakMinutesPerWeek: Math.max(0, ...stages.map((s) => s.minutesPerWeek)),
		peakAreaCm2: Math.max(0, ...stages.map((s) => s.areaCm2))
	};
}
