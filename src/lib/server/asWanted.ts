/** A kind's way as a want has it: to the ground or to its pots, and grown on until it stands as tall as is asked. */
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import type { DayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, WayProfile } from '$lib/core/handbook/schema.js';
import { wayFor } from '$lib/core/joint/index.js';
import type { JointWant } from '$lib/core/joint/index.js';
import { growthUntil } from '$lib/core/plan/tall.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import { sayLength } from '$lib/core/units/index.js';
import type { WantRow } from './store/state.js';

export type Wanted = Pick<JointWant, 'pots' | 'grown'>;

/** What of a want says how its plants end: the same for the plan, for the want and for the batches that grow for it. */
export const endOf = (
	garden: Garden,
	w: Pick<WantRow, 'purpose' | 'least_cm'>,
	kinds: readonly Kind[],
	today: DayNumber
): Wanted => ({
	pots: w.purpose === 'gifts',
	...(w.least_cm === null ? {} : { grown: grownBy(garden, kinds, w.least_cm, today) })
});

function grownBy(garden: Garden, kinds: readonly Kind[], cm: number, today: DayNumber): Record<string, number> {
	const season = seasonOfClimate(garden.climate);
	const ways = kinds.flatMap((kind) => kind.ways.map((way) => ({ kind, way })));
	return Object.fromEntries(
		ways.flatMap(({ kind, way }) => {
			const cut = cutOf(handbook().ways.get(way.way)!, way);
			const days = growthUntil(cm, { kind, cut, rooted: today, season });
			return days === null ? [] : [[`${kind.id} ${way.id}`, days] as const];
		})
	);
}

/** ", at least 40 cm tall"; nothing where nothing is asked. */
export const tallSaid = (garden: Pick<Garden, 'units'>, cm: number | null): string =>
	cm === null ? '' : `, at least ${sayLength(cm, garden.units)} tall`;

/** A kind with its ways as a want has them. */
export const asWanted = (kind: Kind, wanted: Wanted): Kind =>
	wanted.pots || wanted.grown ? { ...kind, ways: kind.ways.map((way: WayProfile) => wayFor(wanted, kind.id, way)) } : kind;
