/** The ground: figures that decide results, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const GROUND = {
	tapeLeast: judged(0.02, 'm', 'A tape on the ground is off by so much at least.', PRACTICE),
	tapeShare: judged(0.01, 'of the length', 'And by so much of what it measures.', PRACTICE),
	youngSpread: judged(12, 'cm', 'As wide as a young plant is when it is set out.', OWN),
	clumpYears: judged(1.2, 'years', 'A clump, a tuber or a tender plant does two thirds of its spreading in so many.', MEMORY),
	climberYears: judged(3, 'years', 'And a climber or a creeper.', MEMORY)
};
