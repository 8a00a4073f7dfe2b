/** Wants that are less sure than asked, each with the best that can still be done for it: the plan's own. */
import type { PlanView } from './jointView.js';
import type { Repair } from '$lib/core/joint/repair.js';
import { sayRepair } from '$lib/core/joint/words.js';
import { standing } from '$lib/core/odds/words.js';

export const repairsOf = (plan: PlanView, today: string): Repair[] =>
	plan.wants
		.filter((w) => !w.waits && standing(w.alone, w.confidence) !== 'in hand')
		.map((w): Repair => {
			const [first, ...others] = w.batches;
			const move = first && { ...first, today };
			return {
				...{ id: w.id, name: w.name, label: w.label, target: w.target, due: w.due, confidence: w.confidence },
				...{ odds: w.alone, begun: w.beside > 0, on: first?.on ?? null, last: first?.last ?? (w.buys > 0 ? w.due : null) },
				says: sayRepair(move ?? null, others.length, {
					odds: w.odds,
					target: w.target,
					met: w.standing === 'in hand',
					buys: w.buys
				})
			};
		})
		.sort((a, b) => ((a.last ?? a.due) < (b.last ?? b.due) ? -1 : 1));
