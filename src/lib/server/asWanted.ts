/** A kind's way as a want has it: to the ground or to its pots, and grown on until it stands as tall as is asked. */
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import { dayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { wayFor } from '$lib/core/joint/index.js';
import type { JointWant } from '$lib/core/joint/index.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';
import { growthUntil } from '$lib/core/plan/tall.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import { sayLength } from '$lib/core/units/index.js';
import type { WantRow } from './store/state.js';

export type Wanted = Pick<JointWant, 'pots' | 'grown'>;

type Ends = Pick<WantRow, 'kind_id' | 'or_kinds' | 'purpose' | 'least_cm' | 'dropped_on'>;

/**
 * What of a want says how its plants end: the same for the plan, for the want and for the batches that grow for it. Once
 * it is dropped nobody asks any more how tall they are.
 */
export const endOf = (garden: Garden, w: Ends, kinds: ReadonlyMap<string, Kind>): Wanted => ({
	pots: w.purpose === 'gifts',
	...(w.least_cm === null || w.dropped_on ? {} : { grown: grownBy(garden, w, w.least_cm, kinds) })
});

function grownBy(garden: Garden, w: Ends, cm: number, kinds: ReadonlyMap<string, Kind>): Record<string, number> {
	const season = seasonOfClimate(garden.climate);
	const rooted = dayNumber(garden.today);
	return Object.fromEntries(
		kindsOfWant(w)
			.flatMap((id) => kinds.get(id) ?? [])
			.flatMap((kind) =>
				kind.ways.flatMap((way) => {
					const cut = cutOf(handbook().ways.get(way.way)!, way);
					const days = growthUntil(cm, { kind, cut, rooted, season });
					return days === null ? [] : [[`${kind.id} ${way.id}`, days] as const];
				})
			)
	);
}

/** ", at least 40 cm tall"; nothing where nothing is asked. */
export const tallSaid = (garden: Pick<Garden, 'units'>, cm: number | null): string =>
	cm === null ? '' : `, at least ${sayLength(cm, garden.units)} tall`;

/** A kind with its ways as a want has them. */
export const asWanted = (kind: Kind, wanted: Wanted): Kind =>
	wanted.pots || wanted.grown ? { ...kind, ways: kind.ways.map((way) => wayFor(wanted, kind.id, way)) } : kind;
