/** Plans and winters: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN } from '../judgement.js';

export const PLAN = {
	hourWorth: judged(
		12,
		'of the garden’s currency an hour',
		'What a gardener’s own time is held against money at: it orders the options, and moves no odds.',
		OWN
	),
	reluctance: judged(
		{ outside: 1.33, perDayAway: 0.01, perDayLater: 0.003 },
		'times the work',
		'Outside the best of the window work counts a third more, and a hundredth more a day; of days alike the earlier is taken, for a second try.',
		OWN
	),
	oneAge: judged(
		100,
		'days',
		'Plants of a hedge that are struck by one way within so many days, one season, grow up alike.',
		OWN
	),
	mixCost: judged(0.2, 'of the garden’s currency a litre', 'Price of mix: a bag of 40 L for 8.', MEMORY),
	pottedLess: judged(
		5,
		'°C',
		'Roots in a pot above the ground freeze through: so much less than the kind bears in the ground.',
		OWN
	),
	offSeasonStem: judged(
		{ grace: 7, fade: 5, least: 0.04 },
		'days; times the odds of rooting',
		'A cutting struck off its window: a week is nothing, then odds fall e-fold in five days, and at worst to a twenty-fifth.',
		MEMORY
	),
	offSeasonRooted: judged(
		{ grace: 14, fade: 30, least: 0.25 },
		'days; times the odds of taking',
		'A piece with roots or stores of its own, moved off its window.',
		MEMORY
	),
	shootShare: judged(
		{ evergreen: 0.15, deciduous: 0.25, tree: 0.04 },
		'of the full height',
		'What a young woody plant adds to its height in a year, where its kind has no figure of its own.',
		MEMORY
	),
	shootMost: judged({ evergreen: 30, deciduous: 70, tree: 50 }, 'cm a year', 'The same, at most.', MEMORY),
	tallest: judged(
		0.8,
		'of the full height',
		'More is not asked of a young plant: the last of its height takes longer than anybody plans.',
		MEMORY
	),
	growsOn: judged(
		{ chance: 0.97, weight: 20 },
		'of the rooted',
		'Live that were struck where they stand and grow on there until they are as tall as wanted.',
		MEMORY
	),
	tallPace: judged(
		{ quick: 0.8, slow: 1.3 },
		'times the usual time',
		'Of plants of one age the quickest tenth reach a height in so much of the usual time, the slowest tenth take so much.',
		MEMORY
	),
	ball: judged(
		{ '15': 12, '30': 18, '45': 25, '60': 30, '90': 35, '120': 40, '150': 45 },
		'cm across, by cm of height',
		'The ball that a plant grown in the ground is lifted with, after the usual sizes of the nursery trade.',
		MEMORY
	),
	unhardened: judged(
		-5,
		'°C',
		'What a hardy plant bears while it grows: most of the temperate zone are hurt between −2 and −6 °C until they are hardened (Sakai & Larcher 1987).',
		MEMORY
	),
	meantFor: judged(
		{ sill: 10, lit_shelf: 12, garage: 3, frame: -6 },
		'°C',
		'Coldest night of a usual winter in the shelters that the handbook’s chances are meant for.',
		MEMORY
	),
	meantSwing: judged(
		{ sill: 6, lit_shelf: 8, garage: 2, frame: 8 },
		'°C',
		'By how much the day there is warmer than that night.',
		MEMORY
	),
	meantHardened: judged(
		{ sill: 0, lit_shelf: 0, garage: 0.9, frame: 1 },
		'0 (in growth) to 1 (at rest)',
		'How hardened that night meets what stands there.',
		MEMORY
	),
	coldStep: judged(
		2.5,
		'°C',
		'Half die of a coldest night at the kind’s hardiness; so much more or less changes the odds e-fold.',
		OWN
	)
};
