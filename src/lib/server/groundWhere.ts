/** Which beds so many of a kind fit in, beside what stands there. */
import { bookKindsOf } from './context.js';
import type { Garden } from './context.js';
import { bedsIn, bedsShown } from './groundBeds.js';
import { fillBeside } from './groundView.js';
import type { Model } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { inOrder, share, suitsLight } from '$lib/core/ground/index.js';
import type { Offer, Point, ShapeData } from '$lib/core/ground/index.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { sayTemperature } from '$lib/core/units/index.js';

interface FitsAsked {
	bedId: string;
	kind: Kind;
	spacingCm: number;
	day: DayNumber;
	/** Where at least so many fit, about how many is told. */
	enough: number;
}

/** How many of a kind, so far apart, fit in a bed beside what stands there on a day; null where that is not measured. */
export function fitsIn(m: Model, s: Snapshot, { bedId, kind, spacingCm, day, enough }: FitsAsked): number | null {
	const bed = bedsIn(m, s, day).find((b) => b.id === bedId);
	const shape = s.places.find((p) => p.id === bedId)?.shape;
	if (!bed?.ground || !shape) return null;
	const apart = spacingCm / 100;
	// Each keeps a disk as wide as itself and half a spacing off; of what is left squares of the spacing, for the edges.
	const taken = bed.stands.reduce((sum, x) => sum + (x.at.length * Math.PI * (x.acrossM + apart) ** 2) / 4, 0);
	const about = Math.floor((bed.ground.areaM2 - taken) / apart ** 2);
	if (about >= enough) return about;
	return fillBeside(kind, shape, spacingCm, bed.stands).length;
}

/** How many of those that fit stand in light that suits the kind: where it differs along the bed, in its best part. */
function inLight(kind: Kind, placeLight: string, shape: ShapeData, points: readonly Point[]) {
	const at = (x: number) => shape.light.find((p) => x >= p.from_m && x <= p.to_m)?.light ?? placeLight;
	const parts = new Map<string, number>();
	for (const [x] of points) parts.set(at(x), (parts.get(at(x)) ?? 0) + 1);
	if (parts.size === 0) parts.set(placeLight, 0);
	const suits = [...parts].map(([light, fits]) => ({ light, fits, ...suitsLight(kind, light) }));
	const best = suits.reduce((a, b) => (b.liking < a.liking || (b.liking === a.liking && b.fits > a.fits) ? b : a));
	const fits = suits.filter((p) => p.liking < 3 || best.liking === 3).reduce((n, p) => n + p.fits, 0);
	return { liking: best.liking, light: suits.length > 1 ? `${best.say}, in part of it` : best.say, fits };
}

export interface Offered extends Offer {
	name: string;
	/** Of the light there, in words. */
	light: string;
	takes: number;
}

/**
 * Where so many of a kind go: every measured bed with what it takes, and what is left over.
 *
 * @param not a bed that they leave
 */
export async function whereTo(
	garden: Garden,
	kindId: string,
	count: number,
	{ not = null, on = null }: { not?: string | null; on?: DayNumber | null } = {}
) {
	const [beds, { places }, kinds] = await Promise.all([bedsShown(garden, on), snapshotOf(garden.id), bookKindsOf(garden)]);
	const kind = kinds.get(kindId);
	if (!kind) return null;
	const offers = beds.flatMap((bed): Omit<Offered, 'takes'>[] => {
		const place = places.find((p) => p.id === bed.id)!;
		if (!bed.ground || !place.shape || bed.id === not) return [];
		const points = fillBeside(kind, place.shape, kind.size.spacing_cm, bed.stands);
		const { fits, ...suits } = inLight(kind, place.light, place.shape, points);
		return [{ id: bed.id, name: bed.name, ...suits, fits }];
	});
	const { shares, left } = share(offers, count);
	const takes = new Map(shares.map((s) => [s.id, s.takes]));
	return {
		kind: { id: kind.id, name: withVariety(kind) },
		count,
		left,
		spacingCm: kind.size.spacing_cm,
		beds: inOrder(offers).map((o): Offered => ({ ...o, takes: takes.get(o.id) ?? 0 })),
		cautions: [
			sayHardiness(kind, garden.climate.coldestC, (c) => sayTemperature(c, garden.units)),
			...kind.hazards.map((h) => h.say)
		].filter((c) => c !== null)
	};
}
