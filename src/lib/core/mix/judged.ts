/** Mixes and vessels: figures that decide results and are no kind's own, each with its unit and what it rests on. */
import { judged, MEMORY, PRACTICE } from '../judgement.js';

export const MIX = {
	fresh: judged(2, 'cm all round', 'Fresh mix of a step up: a finger’s width; much more stays wet and sour.', PRACTICE),
	powder: judged(12, 'mg for each cm of depth and of thickness', 'Film of powder that a base takes up.', MEMORY),
	tipped: judged(0.3, 'of what is dipped from', 'Tipped out and thrown away; it never goes back into the jar.', PRACTICE),
	shrinkage: judged(0.12, 'of the summed volume', 'Lost when fines fill the gaps among coarse grains.', MEMORY),
	gap: judged(1, 'cm', 'Left below the rim, so that water stands until it sinks in.', PRACTICE),
	rodsApart: judged(3, 'cm', 'Leafless rods in a pot: a dozen in a deep one.', PRACTICE),
	fromWall: judged(1, 'cm', 'Pieces stand so far inside the wall: at the rim, for the edge dries last.', PRACTICE)
};
