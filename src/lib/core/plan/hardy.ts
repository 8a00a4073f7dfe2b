/** Does it stand this garden's winter in the ground? Told wherever it is planned, kept or read up. */
import type { Kind } from '../handbook/schema.js';
import { livesWinter } from './winter.js';

/** Chances of living through the coldest night of a usual winter: at or above the first nothing need be said. */
const SURE = 0.9;
const LIKELY = 0.5;

/**
 * Null where the kind bears it.
 *
 * @param coldestC lowest night of an average winter outdoors, °C
 * @param say writes a temperature in the garden's own degrees
 */
export function sayHardiness(kind: Pick<Kind, 'hardiness_c'>, coldestC: number, say: (c: number) => string): string | null {
	const lives = livesWinter(kind, coldestC, false);
	if (lives >= SURE) return null;
	const bears = `It bears about ${say(kind.hardiness_c.v)} in the ground; the coldest night of a usual winter here is ${say(coldestC)}`;
	return lives >= LIKELY
		? `${bears}. A hard winter would kill it: mulch it, or keep a spare inside.`
		: `${bears}. Planted out it is gone by spring, unless it is lifted or brought in before.`;
}
