/** Stock and cuts: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const MATERIAL = {
	parentKeeps: judged(2, 'nodes', 'Left on the parent’s stem, so that it branches.', PRACTICE),
	belowNode: judged(0.4, 'cm', 'A lower cut lies so far below its node.', PRACTICE),
	aboveNode: judged(0.7, 'cm', 'An upper cut lies so far above its node.', PRACTICE),
	thin: judged(0.35, 'of the usual thickness', 'A thinner, hollow top holds too little to live on until it roots.', PRACTICE),
	offWood: judged(0.5, 'times the odds of rooting', 'Wood that is not what the way asks for.', MEMORY),
	section: judged(0.6, 'times the odds of rooting', 'A length from below the tip, where tips are taken by choice.', MEMORY),
	onLeg: judged(0.7, 'times the odds of rooting', 'A piece that stands on bare stem below its only node.', MEMORY),
	shortPower: judged(
		3,
		'power of the length',
		'How fast the odds fall with a length below the shortest that is taken by choice.',
		OWN
	),
	shortest: judged(0.4, 'of the shortest length', 'Anything shorter cannot be set.', OWN),
	tolerated: judged(0.9, 'of the shortest length', 'Nobody throws a piece out for a centimetre.', OWN),
	longer: judged(1.25, 'of the longest length', 'Longer than usual holds more, and is cut where the node is.', OWN),
	longest: judged(2.5, 'of the longest length', 'Two nodes farther apart than this are not one piece.', OWN),
	flowering: judged(0.6, 'times the odds of rooting', 'A flowering tip.', MEMORY),
	condition: judged(
		{ strong: 1, fair: 0.6, weak: 0.25 },
		'of the usual',
		'What a plant of this condition should be asked for.',
		PRACTICE
	),
	young: judged(0.5, 'of the usual', 'What a plant in its first year is asked for.', PRACTICE),
	growth: judged(
		0.15,
		'of its grown size a year',
		'How fast a plant that is not full-grown gains: six or seven years from a cutting.',
		OWN
	),
	laidFlat: judged(0.6, 'of the nodes', 'Nodes of a cane laid flat that send a shoot.', MEMORY),
	thickRoot: judged(5, 'mm', 'Roots as thick as a pencil stand; thinner ones lie and are cut longer.', PRACTICE),
	thickRootCut: judged(5, 'cm', 'Length of a piece of thick root.', MEMORY),
	thinRootCut: judged(7.5, 'cm', 'Length of a piece of thin root.', MEMORY),
	roots: judged(1 / 3, 'of its roots', 'What a parent that stays may lose.', PRACTICE),
	layerReach: judged(25, 'cm', 'A shoot that reaches the ground, a hand’s breadth under it, and up again.', PRACTICE),
	clumpAge: judged(
		4,
		'years',
		'A clump whose age is not known is taken to be as old as clumps are when they are divided: 3 to 5.',
		PRACTICE
	),
	row: judged(5, 'cm', 'Between rows across a seed tray: about four.', PRACTICE),
	trayEdge: judged(1, 'cm', 'Left free along a tray’s rim.', PRACTICE),
	plantlets: judged(5, 'plantlets', 'Along the cut edge of half a leaf.', MEMORY),
	doubt: judged(8, 'pieces', 'A telling of what a plant gives counts for so many before it is believed to be off.', OWN)
};
