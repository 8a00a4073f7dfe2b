/** Shelters: figures that decide results, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const SHELTER = {
	house: judged(18, '°C', 'A house that is lived in, in winter.', PRACTICE),
	earthDepth: judged(1, 'm', 'Depth from which the ground keeps a cellar, a frame or a mulched crown warm.', MEMORY),
	dampingDepth: judged(2.2, 'm', 'Depth at which the year’s swing in the ground is 1/e of that in the air.', MEMORY),
	lowestHour: judged(6, 'hour of the day', 'The air is coldest about sunrise.', MEMORY),
	highestHour: judged(15, 'hour of the day', 'And warmest in the middle of the afternoon.', MEMORY),
	probe: judged([0.6, 1.2, 2.4], '°C', 'How far a household thermometer and the model differ on a day: one of these.', MEMORY),
	potByHeight: judged(0.35, 'cm across, by cm of height', 'The pot that a plant kept in one stands in.', MEMORY),
	potAcross: judged([12, 45], 'cm', 'The least and the widest of such pots.', MEMORY),
	outRisk: judged(
		0.1,
		'chance',
		'Out for good when a night that is too cold in the 40 days ahead is no likelier than this.',
		OWN
	),
	mindsNone: judged(12, '°C', 'No plant of a house minds a night of that.', PRACTICE),
	alarm: judged(0.2, 'chance', 'A shelter that is likelier than this to fall to what stands in it bears is told at once.', OWN),
	potFill: judged(0.6, 'of its width cubed', 'What a round pot holds that is as tall as it is wide.', MEMORY),
	wetMix: judged(1, 'kg/L', 'Potting mix, wet.', MEMORY),
	depth: judged(
		{ sill: 20, lit_shelf: 40, garage: 60, frame: 90, ground: 100 },
		'cm',
		'How deep such a place is from front to back: its length is its room by that.',
		MEMORY
	),
	said: judged(2, '°C', 'How far a household is off in what it says a place falls to in a usual winter.', OWN),
	coverLeaves: judged(
		{ cloth: 0.4, film: 0.55, mat: 0.3, mulch: 0.5 },
		'of the loss to the air outside',
		'What is left of it under frost cloth down to the floor, a skin of bubble film, a mat or a lid at night, 5 cm of dry mulch.',
		MEMORY
	),
	wattsADegree: judged(
		{ frame: 10, cloche: 4, glasshouse: 130, porch: 45, shed: 60, garage: 80 },
		'W a °C',
		'What keeps a place of usual size one degree warmer than it would be.',
		MEMORY
	),
	kWh: judged(0.3, 'of the garden’s money', 'A kilowatt-hour, where nobody has said.', OWN),
	worth: judged(
		{ gone: 8, dear: 3, easy: 1 },
		'plants that are easily had',
		'What it would be to lose one that cannot be had again, one that is dear, and one that any market has.',
		OWN
	),
	dearFrom: judged(6, 'of the garden’s money', 'A plant that costs more is dear.', OWN),
	carry: judged(0.02, 'plants', 'To carry one somewhere is worth it for more than that.', OWN),
	minute: judged(0.01, 'plants', 'A minute a week all winter.', OWN),
	second: judged(0.5, 'of its worth', 'That a second one of what cannot be had again stands in another place.', OWN),
	daysAlike: judged(3, 'days', 'Days that follow each other err alike: so many tell as much as one.', MEMORY)
} as const;
