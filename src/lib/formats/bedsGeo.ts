/**
 * Beds as GeoJSON (RFC 7946): out with WGS 84 coordinates, in from any program that keeps to it. Metres of the garden are
 * laid about its own spot; over a garden the earth is flat to a millimetre.
 */
import { z } from 'zod';
import { areaOf, FARTHEST_M, MOST_CORNERS, MOST_HOLES } from '$lib/core/ground/index.js';
import type { Point, ShapeData } from '$lib/core/ground/index.js';
import { ok, refuse } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';

export interface GardenSpot {
	latitude: number;
	longitude: number;
}

/** Metres in a degree of latitude and of longitude at a latitude, on the WGS 84 ellipsoid (series, from memory). */
export function metresADegree(latitude: number): { north: number; east: number } {
	const phi = (latitude * Math.PI) / 180;
	return {
		north: 111_132.92 - 559.82 * Math.cos(2 * phi) + 1.175 * Math.cos(4 * phi),
		east: 111_412.84 * Math.cos(phi) - 93.5 * Math.cos(3 * phi)
	};
}

export interface BedToMap {
	id: string;
	name: string;
	kind: string;
	areaM2: number;
	outline: readonly Point[];
	holes: readonly (readonly Point[])[];
	lies: ShapeData['lies'];
	stands: { name: string; count: number }[];
}

/** Outer rings against the clock, holes with it, the first corner again at the end (RFC 7946, 3.1.6). */
function ring(points: readonly Point[], outer: boolean): Point[] {
	const twice = points.reduce((sum, [x, y], i) => {
		const [u, v] = points[(i + 1) % points.length]!;
		return sum + x * v - u * y;
	}, 0);
	const turned = twice > 0 === outer ? [...points] : points.toReversed();
	return [...turned, turned[0]!];
}

/** To a hundred-millionth of a degree: a millimetre. */
const coarse = (degrees: number): number => Math.round(degrees * 1e8) / 1e8;

/** Beds whose place in the garden is not told have no geometry, as RFC 7946 has it; their own metres are in the properties. */
export function bedsGeoJson(beds: readonly BedToMap[], spot: GardenSpot): string {
	const degree = metresADegree(spot.latitude);
	return JSON.stringify({
		type: 'FeatureCollection',
		features: beds.map((b) => {
			const place = ([x, y]: Point): Point => {
				const turn = ((b.lies?.turn_deg ?? 0) * Math.PI) / 180;
				const [fx, fy] = b.outline[0]!;
				const [dx, dy] = [x - fx, y - fy];
				const east = b.lies!.east_m + dx * Math.cos(turn) - dy * Math.sin(turn);
				const north = b.lies!.north_m + dx * Math.sin(turn) + dy * Math.cos(turn);
				return [coarse(spot.longitude + east / degree.east), coarse(spot.latitude + north / degree.north)];
			};
			return {
				type: 'Feature',
				id: b.id,
				geometry: b.lies
					? {
							type: 'Polygon',
							coordinates: [ring(b.outline, true), ...b.holes.map((h) => ring(h, false))].map((r) => r.map(place))
						}
					: null,
				properties: {
					...{ name: b.name, kind: b.kind, area_m2: Math.round(b.areaM2 * 100) / 100 },
					...(b.lies ? {} : { outline_m: b.outline }),
					stands: b.stands
				}
			};
		})
	});
}

export const MOST_GEO_BYTES = 2_000_000;
const MOST_BEDS = 200;

const position = z.tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)]).rest(z.number());
const polygon = z.object({
	type: z.literal('Polygon'),
	coordinates: z
		.array(z.array(position).min(4))
		.min(1)
		.max(MOST_HOLES + 1)
});
const feature = z.object({
	type: z.literal('Feature'),
	geometry: z.unknown(),
	properties: z.looseObject({}).nullable().default(null)
});

export interface BedFromMap {
	name: string;
	shape: ShapeData;
}

const mm = (m: number): number => Math.round(m * 1000) / 1000;

function bedOf(rings: z.infer<typeof polygon>['coordinates'], name: string, spot: GardenSpot): Result<BedFromMap> {
	const degree = metresADegree(spot.latitude);
	const metres = rings.map((r) =>
		r.slice(0, -1).map(([lon, lat]): Point => [(lon - spot.longitude) * degree.east, (lat - spot.latitude) * degree.north])
	);
	const [outer, ...inner] = metres;
	if (rings.some((r) => r[0]![0] !== r.at(-1)![0] || r[0]![1] !== r.at(-1)![1]))
		return refuse('geo.ring', `${name}: its outline is not closed: the last corner is the first once more.`);
	if (outer!.length > MOST_CORNERS)
		return refuse('geo.corners', `${name} has ${outer!.length} corners: ${MOST_CORNERS} at most.`);
	const far = Math.max(...outer!.map(([x, y]) => Math.hypot(x, y)));
	if (far > FARTHEST_M) return refuse('geo.far', `${name} lies ${Math.round(far / 1000)} km from the garden: is it of this one?`);
	const [ex, ny] = outer![0]!;
	return ok({
		name,
		shape: {
			how: { by: 'corners', corners: outer!.map(([x, y]) => [mm(x - ex), mm(y - ny)]) },
			// Stones are round here: as large as they were, about their middle.
			holes: inner.map((h) => ({
				across_m: mm(2 * Math.sqrt(Math.abs(areaOf({ outline: h, holes: [] })) / Math.PI)),
				x_m: mm(h.reduce((s, p) => s + p[0], 0) / h.length - ex),
				y_m: mm(h.reduce((s, p) => s + p[1], 0) / h.length - ny)
			})),
			slope: null,
			light: [],
			lies: { east_m: mm(ex), north_m: mm(ny), turn_deg: 0 }
		}
	});
}

/** The polygons of a file, each a bed; what is not to be had of it is said. */
export function bedsFromGeoJson(text: string, spot: GardenSpot): Result<BedFromMap[]> {
	if (text.length > MOST_GEO_BYTES) return refuse('geo.large', 'That file is over 2 MB: beds alone are never so large.');
	let json: unknown;
	try {
		json = JSON.parse(text);
	} catch {
		return refuse('geo.json', 'That is no GeoJSON: it could not be read as JSON.');
	}
	const top = z.looseObject({ type: z.string() }).safeParse(json);
	if (!top.success) return refuse('geo.type', 'That is no GeoJSON: it says no type.');
	// Before RFC 7946 a file could be in other coordinates; those are metres of some grid, not degrees.
	if ('crs' in top.data && !/CRS84|4326/.test(JSON.stringify(top.data.crs)))
		return refuse('geo.crs', 'It is in other coordinates than longitude and latitude: export it as WGS 84.');
	const list =
		top.data.type === 'FeatureCollection'
			? z.array(z.unknown()).max(MOST_BEDS, `At most ${MOST_BEDS} beds at once.`).safeParse(top.data.features)
			: { success: true as const, data: [top.data.type === 'Feature' ? json : { type: 'Feature', geometry: json }] };
	if (!list.success)
		return refuse(
			'geo.features',
			list.error.issues[0]!.message.startsWith('At most')
				? list.error.issues[0]!.message
				: 'A FeatureCollection lists its features.'
		);
	const beds: BedFromMap[] = [];
	for (const [i, item] of list.data.entries()) {
		const f = feature.safeParse(item);
		if (!f.success) return refuse('geo.feature', `Number ${i + 1} of the file is no feature.`);
		const named = f.data.properties?.name;
		const name = typeof named === 'string' && named.trim() ? named.trim().slice(0, 80) : `Bed ${i + 1}`;
		// Paths and points of a map are no beds; those without a place are told by nobody.
		const type = (f.data.geometry as { type?: unknown } | null)?.type;
		if (f.data.geometry === null || (typeof type === 'string' && /^(Multi)?(Point|LineString)$/.test(type))) continue;
		if (type === 'MultiPolygon' || type === 'GeometryCollection')
			return refuse('geo.multi', `${name} is of several pieces: draw each as a polygon of its own.`);
		const p = polygon.safeParse(f.data.geometry);
		if (!p.success) {
			const at = p.error.issues[0]!;
			return refuse(
				'geo.polygon',
				at.code === 'too_big' || at.code === 'too_small'
					? `${name}: coordinates are degrees, longitude first, and an outline has three corners at least.`
					: `${name} is not nested as a polygon is: rings of positions, each longitude and latitude.`
			);
		}
		const bed = bedOf(p.data.coordinates, name, spot);
		if (!bed.ok) return bed;
		beds.push(bed.value);
	}
	return beds.length === 0 ? refuse('geo.none', 'There is no polygon in it: beds are polygons.') : ok(beds);
}
