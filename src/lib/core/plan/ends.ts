/**
 * Where a batch's way ends: in the ground, or in its pots. Plants that are sold or given away count once they are ready,
 * whatever the season is for planting, and stand in their pots until their day. What grows in a row or in the ground is
 * lifted in the season for planting, as if it were planted.
 */
import type { WayProfile } from '../handbook/schema.js';

/** Ways of growing that have no pots: the containers of open ground (handbook/containers.yaml). */
const OPEN: ReadonlySet<string> = new Set(['row', 'ground']);

/** Does the way end with plants that are ready, not planted? */
export const endsInPots = (way: Pick<WayProfile, 'stages'>): boolean => way.stages.at(-1)?.to !== 'planted';

const made = new WeakMap<WayProfile, WayProfile>();

/** The same way, ended where its plants are ready in their pots; unchanged where they stand in open ground. */
export function inPots(way: WayProfile): WayProfile {
	let as = made.get(way);
	if (!as) {
		const stages = way.stages.filter((s) => s.to !== 'planted');
		const open = OPEN.has(stages.findLast((s) => s.to !== 'wintered')?.holds ?? 'ground');
		made.set(way, (as = open || endsInPots(way) ? way : { ...way, stages }));
	}
	return as;
}
