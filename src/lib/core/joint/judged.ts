/** The joint plan: figures that decide it and are no kind's own, each with its unit and what it rests on. */
import { judged, OWN } from '../judgement.js';

export const JOINT = {
	setUp: judged(
		20,
		'minutes a batch',
		'What a batch asks beside its pieces: tools out and away, labels, a date more to keep. It orders plans, and is not told as work.',
		OWN
	),
	short: judged(
		{ each: 300, perPlant: 30, times: 3 },
		'of the garden’s currency',
		'What a want that is not met at all is worth avoiding: this much, and for each plant, and at least so many times its cheapest way.',
		OWN
	),
	spread: judged(3, 'weeks', 'Within which potting on and planting out are got round to, once plants are ready for it.', OWN),
	part: judged(
		0.3,
		'share of that',
		'Of what a want is worth so much is for the plants that do stand on the day, the rest for being as sure as asked.',
		OWN
	)
};
