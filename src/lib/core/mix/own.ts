/** A vessel of one's own as the handbook writes its own: what it takes, holds and covers follows from its measures. */
import type { Container } from '../handbook/schema.js';
import { GAP_CM, holds } from './vessel.js';
import type { Vessel } from './vessel.js';

/** Walls between cells, as a share on top of their openings. */
const CELL_WALLS = 0.33;

/** Room that it takes on a shelf, cm²: round ones stand in squares. */
export function footprint(v: Vessel): number {
	switch (v.shape) {
		case 'tray':
			return v.lengthCm * v.widthCm;
		case 'cells':
			return v.cells * v.topCm ** 2 * (1 + CELL_WALLS);
		case 'jar':
			return v.acrossCm ** 2;
		default:
			return v.topCm ** 2;
	}
}

/** It has been paid for. A pot takes as many as the way sets in one; a tray is set all over. */
export const ownContainer = ({ id, name, vessel }: { id: string; name: string; vessel: Vessel }): Container => ({
	id,
	name,
	vessel,
	area_cm2: footprint(vessel),
	litres: vessel.shape === 'jar' ? 0 : holds(vessel, GAP_CM),
	cost: 0,
	how: vessel.shape === 'jar' ? 'rim' : vessel.shape === 'round' || vessel.shape === 'square' ? 'alone' : 'across',
	src: 'own'
});
