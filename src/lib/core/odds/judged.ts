/** Chances and times of a batch: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const ODDS = {
	batchShare: judged(
		0.2,
		'of the variance of ln(days)',
		'Share of a piece’s luck with time that its whole batch has: the day, the wood, the hand. Batches of a kind differ as wholes by about a quarter in time, pieces of one batch by half.',
		OWN
	),
	stageCorrelation: judged(
		0.5,
		'correlation',
		'How far a batch’s luck with time stays with it from one stage to the next: slow wood and a cold spring do.',
		OWN
	),
	rotTimes: judged(
		[0.7, 2, 6, 30],
		'times the usual days to root',
		'Mean times in which pieces that never root rot, each as likely beforehand: soft ones within days, hard ones within a year.',
		OWN
	),
	slip: judged(
		1e-5,
		'chance',
		'A count may be wrong now and then: without this an impossible one would rule out everything.',
		OWN
	),
	harmOfLook: judged(0.005, 'of the pieces', 'Pieces that a look disturbs so that they are set back.', PRACTICE),
	lossOfWaiting: judged(0.003, 'of the pieces a day', 'Rooted pieces that a day without their pot costs.', PRACTICE),
	noLonger: judged(
		{ growing: 60, resting: 210 },
		'days',
		'What will not root within so long is not waited for, once half has; where roots wait for growth outdoors, a winter is.',
		PRACTICE
	),
	giveUp: judged(0.1, 'chance', 'A piece found unrooted with less hope than this is given up.', PRACTICE),
	fastest: judged(1.35, 'times the usual pace', 'However warm, roots hurry no more than this.', MEMORY),
	likely: judged(
		0.6,
		'chance',
		'From here on a thing is called likely: more often than not by a margin, however little was asked.',
		OWN
	)
};
