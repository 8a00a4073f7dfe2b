/** The beds of a garden to scale, as they stand on a day. */
import type { Garden } from './context.js';
import { bedsOn } from './groundOn.js';
import type { Coming } from './groundOn.js';
import { forecastOf, known, modelOf } from './model.js';
import type { Model } from './model.js';
import { keptMoves } from './movesView.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Point, ShapeData } from '$lib/core/ground/index.js';
import { meanCount } from '$lib/core/odds/strike.js';

export interface BedShown {
	id: string;
	name: string;
	kind: string;
	version: number;
	/** Null until it is measured. */
	ground: { outline: Point[]; holes: Point[][]; areaM2: number; offM: number | null; said: ShapeData } | null;
	stands: Standing[];
}

/** What stands in a bed: stock, and what was planted there from batches. */
export interface Standing {
	id: string;
	what: 'stock' | 'batch';
	version: number;
	name: string;
	/** Its page, below the garden's. */
	link: string;
	count: number;
	/** Each across, on the day, m. */
	acrossM: number;
	/** Where each is; empty where that is not told. */
	at: Point[];
	/** Nobody has said where it is: it is drawn where it fits. */
	assumed: boolean;
	/** Not there yet: of a batch on its way. */
	coming: boolean;
	/** To move one of them; null where that is not told. */
	lift: { acrossCm: number; kg: number; people: number } | null;
}

/** Batches on their way to a bed that is named by their want, each with the day on which most are usually planted. */
export function comingTo(m: Model, s: Snapshot): Coming[] {
	const placeOf = new Map(s.wants.filter((w) => w.place_id !== null && !w.dropped_on).map((w) => [w.id, w.place_id!]));
	return s.living.flatMap((b): Coming[] => {
		const placeId = placeOf.get(b.wantId ?? '');
		const k = placeId ? known(m, b) : null;
		const f = k ? forecastOf(m, k) : null;
		return placeId && f?.planted
			? [{ batch: b, placeId, count: Math.round(meanCount(f.pmf)), on: Math.max(f.planted.usual, m.today + 1) }]
			: [];
	});
}

const ground = new WeakMap<Snapshot, Map<string, BedShown[]>>();

/** The garden's beds as they stand on a day: today if none is given. */
export async function bedsShown(garden: Garden, on: DayNumber | null = null): Promise<BedShown[]> {
	const [s, m] = await Promise.all([snapshotOf(garden.id), modelOf(garden)]);
	return bedsIn(m, s, on ?? m.today);
}

export function bedsIn(m: Model, s: Snapshot, day: DayNumber): BedShown[] {
	const key = `${m.state} ${m.today} ${day}`;
	const kept = ground.get(s) ?? new Map<string, BedShown[]>();
	ground.set(s, kept);
	let found = kept.get(key);
	if (!found) {
		const ahead = day > m.today;
		found = bedsOn(s, {
			...{ day, today: m.today, kinds: m.kinds },
			killedOn: (kind, planted) =>
				kind.hardiness_c.v > m.garden.climate.coldestC
					? (m.season.usual.standstills(planted, planted + 500).find((r) => r.from > planted)?.from ?? null)
					: null,
			moves: ahead ? keptMoves(m, s) : null,
			coming: ahead ? comingTo(m, s) : []
		});
		if (kept.size >= MOST_DAYS_KEPT) kept.clear();
		kept.set(key, found);
	}
	return found;
}
const MOST_DAYS_KEPT = 12;
