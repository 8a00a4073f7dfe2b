/** The season: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const SEASON = {
	budBreak: judged(21, 'days before the last frost', 'Deciduous shrubs break bud.', MEMORY),
	leafFall: judged(14, 'days after the first frost', 'Leaves are down.', MEMORY),
	coolSeasonEnds: judged(
		60,
		'days after the shortest day',
		'Where frost never comes the cool season still turns: it ends.',
		MEMORY
	),
	coolSeasonStarts: judged(45, 'days before the shortest day', 'And begins.', MEMORY),
	rest: judged(
		165,
		'days',
		'From leaf fall to bud break in a garden with a real winter: what tells a long rest from none.',
		MEMORY
	),
	soft: judged(
		110,
		'degree days above 5 °C',
		'Warmth from bud break until soft shoots are long enough to cut: some three weeks.',
		MEMORY
	),
	shoots: judged(
		{ semi_ripe: 420, hard: 1200 },
		'degree days above 5 °C',
		'Warmth from bud break to semi-ripe and to hard shoots, where habit and kind say nothing.',
		MEMORY
	),
	edge: judged(14, 'days', 'A window is not shut like a door: a week outside of it still half suits.', PRACTICE),
	rareFrost: judged(0.2, 'of the years', 'Frosts in fewer years than this make no winter to plan by.', OWN),
	soilFreezes: judged(
		-2.5,
		'°C, mean of ten days',
		'Freezes the top of bare soil so that a spade’s blade no longer enters.',
		MEMORY
	),
	longFrozen: judged(
		45,
		'days',
		'Ground that is frozen for longer shuts the windows of what digs; a shorter frost is waited out.',
		OWN
	),
	dressing: judged(
		1.2,
		'°C',
		'What a member of the forecast may still be out by on its own: a garden is not the grid cell it lies in.',
		MEMORY
	),
	nightsAlike: judged(10, 'days either side', 'Nights that count as a date’s own, so that thirty years give hundreds.', OWN),
	coldestSpread: judged(
		2.5,
		'°C',
		'Spread of the coldest night from winter to winter in a made record: two to four in most climates.',
		MEMORY
	),
	nightDrop: judged(5, '°C', 'Nights lie so far below the day’s mean on an average clear-ish spring day.', MEMORY),
	nightAtFrost: judged(
		4.2,
		'°C',
		'The last frost comes about when the average night has warmed to this: a cold spell is 4 to 5 °C below it. Fitted with the next four on the frost dates of cities (from memory).',
		MEMORY
	),
	coastCalm: judged(1.2, '°C', 'By the open sea nights and cold spells lie so much less below the day’s mean.', MEMORY),
	southernNights: judged(1.7, '°C', 'Southern nights are so much clearer and colder for the day’s mean.', MEMORY),
	nightLapse: judged(0.0053, '°C per m', 'Nights at frost cool by so much with height: cold air runs off downhill.', MEMORY),
	frostSpread: judged(
		12,
		'days',
		'Spread of frost dates from year to year where only the position is known: mid-latitude stations lie between 8 and 16.',
		MEMORY
	),
	coldestBelow: judged(
		11,
		'°C',
		'The coldest night lies so far below the coldest month’s average night, where no sea is known.',
		MEMORY
	),
	lag: judged(29, 'days', 'The season lags the sun over land.', MEMORY),
	coastLag: judged(3.4, 'days', 'The open sea lags so many days more.', MEMORY),
	southernSwing: judged(0.7, 'times the northern', 'Yearly swing of southern lands: the oceans make them milder.', MEMORY),
	coastSwing: judged(1.15, 'times the sea’s', 'Yearly swing of a coast.', MEMORY),
	inlandSwing: judged(1.1, 'times the zone’s', 'Yearly swing of a mid-continent.', MEMORY),
	nightStep: judged(
		1.2,
		'°C',
		'Half die of one night at what the kind bears; so much more or less changes the odds, and the harm of an hour, e-fold.',
		OWN
	),
	nightHours: judged(
		6,
		'hours',
		'A usual night harms as so many hours at its lowest would; a whole day at it harms four times as much, as 1.7 °C more.',
		OWN
	),
	hardenedBelow: judged(5, '°C', 'Days of such a mean, or a colder one, harden a plant fully.', MEMORY),
	growingFrom: judged(13, '°C', 'Days of such a mean, or a warmer one, keep it in growth.', MEMORY),
	hardensIn: judged(14, 'days', 'Two thirds of hardening off are done in so many cool days.', MEMORY),
	softensIn: judged(7, 'days', 'Two thirds of it are lost again in so many warm ones.', MEMORY),
	slowDays: judged(40, 'days', 'How long the slow swing of warm and cold spells lasts.', MEMORY)
};
