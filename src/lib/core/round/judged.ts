/** The round: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const ROUND = {
	actAt: judged(
		0.1,
		'chance',
		'From which the loss of plants outweighs the carrying: minutes are dear, plants dearer.',
		PRACTICE
	),
	carry: judged(3, 'nights', 'Looked at when it is asked whether pots must come in.', PRACTICE),
	lookAhead: judged(7, 'nights', 'Over which the chance of a cold night is told.', OWN),
	minutesAPot: judged(0.5, 'minutes', 'A pot carried in: up, wiped, looked under, set down.', PRACTICE),
	together: judged(10, 'days', 'What must come in within so long of the tenderest of a place goes along with it.', OWN),
	harden: judged(12, 'days', 'Hardening off, from two hours in shade to day and night.', PRACTICE),
	hot: judged(30, '°C', 'Cuttings without roots are shaded from here on.', PRACTICE),
	thaw: judged(1, '°C', 'A day that gets no warmer brings snow, which soaks nothing.', MEMORY),
	drying: judged(5, 'mm of reference evapotranspiration a day', 'Air that dries cuttings without roots.', MEMORY),
	betweenLooks: judged(4, 'days', 'However much a look would tell, pieces are left alone so long after one.', PRACTICE),
	plantedTogether: judged(21, 'days', 'Cohorts ready within so long of the first are planted with it.', OWN),
	askBelow: judged(0.9, 'chance of life', 'After a night that leaves plants less they are to be looked at.', OWN),
	buyAhead: judged(
		56,
		'days',
		'Before their day plants that are to be bought come on the round: time to order, and to be choosy.',
		PRACTICE
	),
	winterLook: judged(7, 'days', 'Between looks over plants under shelter in winter.', PRACTICE),
	available: judged(
		0.25,
		'of the volume',
		'Water in a mix that a plant can draw: peat and bark mixes hold about a quarter.',
		MEMORY
	),
	topDry: judged(0.5, 'of it', 'Gone when the top 2 to 3 cm are dry.', PRACTICE),
	roomAir: judged(
		{ growing: 1.3, resting: 0.5 },
		'mm a day',
		'Draw of a room’s air in growth and in winter: a third of a summer’s day outdoors.',
		MEMORY
	),
	leafPart: judged(
		{ rooted: 1, unrooted: 0.45, covered: 0.08 },
		'of reference evapotranspiration',
		'Pots in leaf; cuttings in shade with few leaves; under a closed cover.',
		MEMORY
	),
	rainCaught: judged(0.7, 'of the rain', 'What falls on leaves and rims reaches the mix so far.', MEMORY)
};
