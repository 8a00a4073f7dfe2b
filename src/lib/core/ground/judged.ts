/** The ground: figures that decide results, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const GROUND = {
	tapeLeast: judged(0.02, 'm', 'A tape on the ground is off by so much at least.', PRACTICE),
	tapeShare: judged(0.01, 'of the length', 'And by so much of what it measures.', PRACTICE),
	ballDeep: judged(
		{ narrow: 0.75, middle: 2 / 3, wide: 0.6 },
		'of its width',
		'How deep a ball is dug: under 51 cm, up to 76 cm, wider (American Standard for Nursery Stock, ANSI Z60.1).',
		MEMORY
	),
	ballFull: judged(2 / 3, 'of a cylinder', 'What a ball that is rounded below holds.', MEMORY),
	wetSoil: judged(1.76, 'kg/L', 'Soil as it is lifted, wet: 110 lb a cubic foot in the trade.', MEMORY),
	crownShare: judged(0.7, 'of its spread', 'The ball of a clump is as wide as its crown, not as its leaves.', OWN),
	youngSpread: judged(12, 'cm', 'As wide as a young plant is when it is set out.', OWN),
	clumpYears: judged(1.2, 'years', 'A clump, a tuber or a tender plant does two thirds of its spreading in so many.', MEMORY),
	climberYears: judged(3, 'years', 'And a climber or a creeper.', MEMORY)
};
