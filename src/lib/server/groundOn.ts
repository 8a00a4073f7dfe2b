/** What stands in the ground on a day: as it was, as it is, or as it is planned. */
import type { BedShown, Standing } from './groundBeds.js';
import type { MovesOrdered } from './movesView.js';
import type { Snapshot } from './snapshot.js';
import type { PlantedRow } from './store/planted.js';
import type { PlaceRow, StockRow } from './store/state.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { areaOf, liftOf, outlineOf, spotsFor, spreadAfter, spreadOn } from '$lib/core/ground/index.js';
import type { Disk, Measured, Point } from '$lib/core/ground/index.js';
import { withLabel } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { IN_THE_GROUND } from '$lib/core/places.js';

/** Plants that are to come into a bed by a day: of batches on their way to it. */
export interface Coming {
	batch: { id: string; code: string; kindId: string; stockId: string | null };
	placeId: string;
	count: number;
	on: DayNumber;
}

export interface GroundOn {
	day: DayNumber;
	today: DayNumber;
	kinds: ReadonlyMap<string, Kind>;
	/** Kept moves and plantings to come, for a day ahead. */
	moves: MovesOrdered | null;
	coming: readonly Coming[];
	/** The day on which what was planted on another is killed by winter; null where it bears this garden's. */
	killedOn(kind: Kind, planted: DayNumber): DayNumber | null;
}

const YEAR = 365.25;
/** Corners go to the page to the millimetre. */
export const mm = (points: readonly Point[]): Point[] =>
	points.map(([x, y]) => [Math.round(x * 1000) / 1000, Math.round(y * 1000) / 1000]);

/** Where a stock stood on a day, and where in the bed each of it was set; null before it was there or once it was gone. */
function standingOn(s: StockRow, g: GroundOn): { placeId: string; at: readonly Point[] } | null {
	const { day, today } = g;
	if (s.gone_on !== null && dayNumber(s.gone_on) <= day) return null;
	if (day >= today) {
		const step = g.moves?.steps.findLast((t) => t.stock === s.id && t.on !== null && dayNumber(t.on) <= day);
		if (step?.log) return { placeId: step.log.placeId, at: step.log.at };
		return s.place_id ? { placeId: s.place_id, at: s.stands_at ?? [] } : null;
	}
	const stay = s.stays.findLast((t) => dayNumber(t.from) <= day);
	if (!stay?.placeId || dayNumber(s.since) > day) return null;
	const spot = s.spots.findLast((t) => dayNumber(t.from) <= day && t.placeId === stay.placeId);
	return { placeId: stay.placeId, at: spot?.at ?? [] };
}

function groundOf(place: PlaceRow): { measured: Measured; shown: BedShown['ground'] } | null {
	const measured = place.shape && outlineOf(place.shape);
	if (!measured?.ok) return null;
	const { outline, holes, offM } = measured.value;
	return {
		measured: measured.value,
		shown: {
			outline: mm(outline),
			holes: holes.map(mm),
			areaM2: areaOf(measured.value),
			offM: offM && Math.max(...offM),
			said: place.shape!
		}
	};
}

interface Group {
	row: Omit<PlantedRow, 'count' | 'lost'>;
	count: number;
	coming: boolean;
}

/** Plantings of a bed by a day, the latest of a batch bearing what it has lost since. */
function groupsIn(s: Snapshot, placeId: string, g: GroundOn): Group[] {
	const byBatch = new Map<string, PlantedRow[]>();
	for (const p of s.planted) if (dayNumber(p.planted_on) <= g.day) byBatch.set(p.id, [...(byBatch.get(p.id) ?? []), p]);
	const groups: Group[] = [];
	for (const rows of byBatch.values()) {
		let lost = rows[0]!.lost;
		for (const { count, lost: _, ...row } of rows.toReversed()) {
			const left = Math.max(0, count - lost);
			lost = Math.max(0, lost - count);
			if (left > 0 && row.place_id === placeId) groups.push({ row, count: left, coming: false });
		}
	}
	const order = (a: Group, b: Group) => a.row.planted_on.localeCompare(b.row.planted_on) || a.row.code.localeCompare(b.row.code);
	const coming = g.coming
		.filter((c) => c.placeId === placeId && c.on <= g.day && c.count > 0)
		.map(({ batch, count, on }): Group => ({
			row: {
				id: batch.id,
				code: batch.code,
				kind_id: batch.kindId,
				stock_id: batch.stockId,
				place_id: placeId,
				planted_on: isoOf(on)
			},
			count,
			coming: true
		}));
	return [...groups.sort(order), ...coming.sort(order)];
}

export function bedsOn(s: Snapshot, g: GroundOn): BedShown[] {
	const stocks = s.stocks.flatMap((x) => {
		const there = g.kinds.has(x.kind_id) ? standingOn(x, g) : null;
		return there ? [{ x, ...there }] : [];
	});
	const label = new Map(s.stocks.map((x) => [x.id, x.label]));
	return s.places
		.filter((p) => !p.closed && IN_THE_GROUND.has(p.kind))
		.map((p): BedShown => {
			const ground = groundOf(p);
			const told = stocks
				.filter((t) => t.placeId === p.id)
				.map(({ x, at }): Standing => {
					const kind = g.kinds.get(x.kind_id)!;
					return {
						...{ id: x.id, version: x.version, count: x.count, what: 'stock', assumed: false, coming: false },
						name: withLabel(kind, x.label),
						link: `stock/${x.id}`,
						acrossM: Math.round(spreadOn(kind, x, (g.day - dayNumber(x.told_on)) / YEAR)) / 100,
						at: at.slice(0, x.count).map(([px, py]) => [px, py]),
						lift: liftOf(kind, x)
					};
				});
			const keepOff: Disk[] = told.flatMap((t) => t.at.map(([x, y]) => ({ x, y, r: t.acrossM / 2 })));
			const planted = groupsIn(s, p.id, g).flatMap(({ row, count, coming }): Standing[] => {
				const kind = g.kinds.get(row.kind_id);
				if (!kind || (g.killedOn(kind, dayNumber(row.planted_on)) ?? Infinity) <= g.day) return [];
				const acrossM = Math.round(spreadAfter(kind, Math.max(0, g.day - dayNumber(row.planted_on)) / YEAR)) / 100;
				const apart = kind.size.spacing_cm / 100;
				const at = ground
					? spotsFor({ ground: ground.measured, count: Math.min(count, MOST_DRAWN), apart, half: apart / 2, keepOff, leaves: [] })
					: [];
				keepOff.push(...at.map(([x, y]) => ({ x, y, r: apart / 2 })));
				return [
					{
						...{ id: row.id, version: 0, count, what: 'batch', assumed: true, coming, acrossM, at: mm(at), lift: null },
						name: `${withLabel(kind, label.get(row.stock_id ?? '') ?? '')} from ${row.code}`,
						link: `bench/${row.id}`
					}
				];
			});
			return {
				id: p.id,
				name: p.name,
				kind: p.kind,
				version: p.version,
				ground: ground?.shown ?? null,
				stands: [...told, ...planted]
			};
		});
}
/** More of one planting are not looked for a spot each. */
const MOST_DRAWN = 500;
