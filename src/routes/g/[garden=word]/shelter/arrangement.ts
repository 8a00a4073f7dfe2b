/** What would come of another arrangement than the one that stands: tried in thought, plant by plant. */
import type { PageData } from './$types';
import { LIKELY_FROM } from '$lib/core/shelter/index.js';

type View = PageData['view'];
export type Lodger = View['outside'][number];
/** Where it would go, and how many of it; null is outside without a place. */
export interface Put {
	placeId: string | null;
	keeps: number;
}
export type Tried = Readonly<Record<string, Put>>;

export interface Standing {
	lodger: Lodger;
	/** Where it stands today; null outside. */
	from: string | null;
	at: string | null;
	/** How many of it stand there: the rest would be given away. */
	keeps: number;
	chance: number;
}

/** All of them, in the order of the places. */
export function standings(view: View, tried: Tried): Standing[] {
	const of = (lodger: Lodger, from: string | null): Standing => {
		const put = tried[lodger.id];
		const choice = put && lodger.choices.find((c) => c.placeId === put.placeId);
		return choice
			? { lodger, from, at: put.placeId, keeps: put.keeps, chance: choice.chance }
			: { lodger, from, at: from, keeps: lodger.count, chance: lodger.chance };
	};
	return [...view.outside.map((l) => of(l, null)), ...view.shelters.flatMap((s) => s.lodgers.map((l) => of(l, s.id)))];
}

export const areaOfStanding = ({ lodger, keeps }: Standing): number => (lodger.areaCm2 * keeps) / lodger.count;
export const likelyOf = (all: readonly Standing[]): number => all.filter((s) => s.lodger.needs && s.chance >= LIKELY_FROM).length;
export const usedAt = (all: readonly Standing[], placeId: string): number =>
	all.reduce((cm2, s) => cm2 + (s.at === placeId ? areaOfStanding(s) : 0), 0);

/** As the plan has it. */
export const planned = (view: View): Tried =>
	Object.fromEntries(
		[...view.outside, ...view.shelters.flatMap((s) => s.lodgers)].flatMap((l) =>
			l.better?.fits ? [[l.id, { placeId: l.better.placeId, keeps: l.better.keeps }] as const] : []
		)
	);
