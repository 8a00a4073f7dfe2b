/** The joint plan: figures that decide it and are no kind's own, each with its unit and what it rests on. */
import { judged, OWN } from '../judgement.js';

export const JOINT = {
	setUp: judged(
		20,
		'minutes a batch',
		'What a batch asks beside its pieces: tools out and away, labels, a date more to keep. It orders plans, and is not told as work.',
		OWN
	),
	atAll: judged(
		0.1,
		'share of that',
		'Of what being as sure as asked is worth so much is lost by any shortfall, the rest as it grows: a want is not left a little short to save a little work.',
		OWN
	),
	short: judged(
		{ each: 2_000, perPlant: 200, times: 20 },
		'of the garden’s currency',
		'What a want that is not met at all is worth avoiding: this much, and for each plant, and at least so many times its cheapest way.',
		OWN
	),
	buy: judged(
		3,
		'times',
		'What a bought plant costs weighs so much against work: who multiplies plants would rather grow them, and what is bought may bring pests in.',
		OWN
	),
	spread: judged(3, 'weeks', 'Within which potting on and planting out are got round to, once plants are ready for it.', OWN),
	weighs: judged(
		{ first: 4, alike: 1, last: 0.25 },
		'times',
		'What a want that goes before others, or after them, is worth against them.',
		OWN
	),
	otherwise: judged(
		{ always: 0.05, fewer: 0.4, late: 0.15 },
		'share of a want’s worth',
		'What is given up where a want is met with fewer or later, as it would do too: a little always, this much of the share of plants that is missing, this much for being as late as it may.',
		OWN
	),
	part: judged(
		0.2,
		'share of that',
		'Of what a want is worth so much is for the plants that do stand on the day, the rest for being as sure as asked.',
		OWN
	)
};
