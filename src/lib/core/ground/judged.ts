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
	climberYears: judged(3, 'years', 'And a climber or a creeper.', MEMORY),
	movedLives: judged(
		{ clump: 0.96, leafy: 0.88, bare: 0.92 },
		'chance',
		'A young plant moved with its ball in its season lives through the first year: a clump; a shrub in leaf all winter; a bare one.',
		MEMORY
	),
	movedWeight: judged(20, 'plants', 'The book’s word on that weighs as much as so many plants of your own.', OWN),
	secondYear: judged(0.97, 'chance', 'One that has lived a year where it was planted lives the second.', MEMORY),
	movedYoung: judged(60, 'cm', 'Up to this height a woody plant is as easy to move as a young one.', MEMORY),
	movedTall: judged(
		0.7,
		'log odds',
		'And each time twice as tall, so much harder: a smaller share of its roots comes along.',
		OWN
	),
	movedBall: judged(1, 'log odds', 'A ball of half the width it should have is harder by 1.4 times this.', OWN),
	movedLate: judged(
		{ clump: 0.8, leafy: 1.2, bare: 1.8 },
		'log odds',
		'Moved out of its season: in full leaf, in heat, or with soil too cold for new roots.',
		MEMORY
	),
	cutRoundGains: judged(
		0.5,
		'of what is lost',
		'Roots cut round a season before make up for so much of what its size costs.',
		MEMORY
	),
	moveMinutes: judged(
		{ each: 12, perLitre: 0.6 },
		'minutes',
		'To dig, carry, set and water one: each, and for each litre of its ball.',
		OWN
	)
};
