/** What a record teaches: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const EVIDENCE = {
	correlation: judged(
		0.1,
		'correlation',
		'How alike the pieces of one batch fare, before the garden’s own batches have told: a middling value of cluster studies.',
		MEMORY
	),
	correlationWeight: judged(20, 'batches', 'As if the correlation rested on so many.', OWN),
	formFrom: judged(
		{ pieces: 20, batches: 2 },
		'counted',
		'From here on the record of one form of a kind, by its name, stands by itself.',
		OWN
	),
	othersAtMost: judged(
		8,
		'pieces struck apart',
		'The other forms of the kind are worth so many to it, at most: forms of a kind fare alike, not the same.',
		OWN
	),
	hardlyLuck: judged(
		0.975,
		'chance',
		'Two treatments differ by more than luck from here on: one trial in 20 between equals says so.',
		PRACTICE
	),
	few: judged(10, 'pieces a treatment', 'Fewer tell little, and it is said.', PRACTICE),
	hint: judged(0.85, 'chance', 'From here on a trial hints at which is better.', OWN)
};
