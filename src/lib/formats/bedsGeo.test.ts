/** Beds out to GeoJSON and in again; read by turf, which is not ours. */
import { describe, expect, it } from 'vitest';
import area from '@turf/area';
import booleanClockwise from '@turf/boolean-clockwise';
import type { Feature, FeatureCollection, LineString, Polygon } from 'geojson';
import { bedsFromGeoJson, bedsGeoJson, metresADegree } from './bedsGeo.js';
import { areaOf, outlineOf, shapeData } from '$lib/core/ground/index.js';
import type { ShapeSaid } from '$lib/core/ground/index.js';

const measured = (said: ShapeSaid) => {
	const shape = shapeData.parse(said);
	const r = outlineOf(shape);
	if (!r.ok) throw new Error(r.problem.sentence);
	return { shape, ...r.value };
};
const told = (said: ShapeSaid, name = 'Bed') => {
	const { shape, outline, holes } = measured(said);
	return { id: name, name, kind: 'bed', areaM2: areaOf({ outline, holes }), outline, holes, lies: shape.lies, stands: [] };
};
const SPOTS = [
	{ latitude: 49.62, longitude: 20.69 },
	{ latitude: -41.3, longitude: 174.8 },
	{ latitude: 64, longitude: -20 },
	{ latitude: 0.1, longitude: 36.8 }
];

describe('beds as GeoJSON', () => {
	it('have the area that turf finds, at four ends of the earth, turned or not, with stones as holes', () => {
		for (const spot of SPOTS)
			for (const turn_deg of [0, 37, -120]) {
				const bed = told({
					how: { by: 'corners', corners: [[0, 0], [6, 0.5], [7, 3], [2, 4]] }, // prettier-ignore
					holes: [{ across_m: 0.8, x_m: 3, y_m: 1.8 }],
					lies: { east_m: 12, north_m: -30, turn_deg }
				});
				const [f] = (JSON.parse(bedsGeoJson([bed], spot)) as FeatureCollection<Polygon>).features;
				// turf reckons on a sphere: half a percent off the ellipsoid at most.
				expect(Math.abs(area(f!) / bed.areaM2 - 1)).toBeLessThan(0.007);
				const line = (coordinates: number[][]): Feature<LineString> => ({
					...{ type: 'Feature', properties: {}, geometry: { type: 'LineString', coordinates } }
				});
				const [outer, hole] = f!.geometry.coordinates;
				expect([booleanClockwise(line(outer!)), booleanClockwise(line(hole!))]).toEqual([false, true]);
				expect(outer![0]).toEqual(outer!.at(-1));
			}
	});
	it('come in again as they went out, to the millimetre', () => {
		for (const spot of SPOTS) {
			const bed = told({ how: { by: 'tape', apart_m: 4, tapes: [[0, 4], [4, 0], [5, 3], [3, 5]] }, lies: { east_m: -8, north_m: 21.5, turn_deg: 15 } }, 'North border'); // prettier-ignore
			const back = bedsFromGeoJson(bedsGeoJson([bed], spot), spot);
			if (!back.ok) throw new Error(back.problem.sentence);
			expect(back.value).toHaveLength(1);
			expect(back.value[0]!.name).toBe('North border');
			const again = measured(back.value[0]!.shape);
			expect(areaOf(again)).toBeCloseTo(bed.areaM2, 1);
			const lies = back.value[0]!.shape.lies!;
			expect(Math.hypot(lies.east_m + 8, lies.north_m - 21.5)).toBeLessThan(0.003);
			// Each side is as long as it was.
			const sides = (o: readonly (readonly number[])[]) => o.map(([x, y], i) => { const [u, v] = o[(i + 1) % o.length]!; return Math.hypot(u! - x!, v! - y!); }); // prettier-ignore
			for (const [i, long] of sides(again.outline).entries()) expect(long).toBeCloseTo(sides(bed.outline)[i]!, 2);
		}
	});
	it('has no geometry for a bed of which nobody has said where it lies, and its metres in the properties', () => {
		const [f] = (
			JSON.parse(bedsGeoJson([told({ how: { by: 'sides', length_m: 3, width_m: 1 } })], SPOTS[0]!)) as FeatureCollection
		).features;
		expect(f!.geometry).toBeNull();
		expect(f!.properties!.outline_m).toHaveLength(4);
	});
	it('a degree is as long as the ellipsoid has it: 110,574 m and 111,320 m at the equator, 111,132 and 78,847 at 45° (from memory)', () => {
		expect(metresADegree(0).north).toBeCloseTo(110_574, -1);
		expect(metresADegree(0).east).toBeCloseTo(111_320, -1);
		expect(metresADegree(45).north).toBeCloseTo(111_132, -1);
		expect(metresADegree(45).east).toBeCloseTo(78_847, -1);
	});
	it('says what is wrong with a file', () => {
		const spot = SPOTS[0]!;
		const said = (json: unknown) => {
			const r = bedsFromGeoJson(typeof json === 'string' ? json : JSON.stringify(json), spot);
			return r.ok ? 'taken' : r.problem.sentence;
		};
		const at = (dx: number, dy: number) => [spot.longitude + dx, spot.latitude + dy];
		const square = [at(0, 0), at(1e-4, 0), at(1e-4, 1e-4), at(0, 1e-4), at(0, 0)];
		expect(said({ type: 'Polygon', coordinates: [square] })).toBe('taken');
		expect(said('no')).toMatch(/could not be read as JSON/);
		expect(said([])).toMatch(/says no type/);
		expect(said({ type: 'Polygon', coordinates: square })).toMatch(/not nested as a polygon/);
		expect(said({ type: 'Polygon', coordinates: [square.map(([x, y]) => [x! * 1e5, y! * 1e5])] })).toMatch(
			/coordinates are degrees/
		);
		expect(said({ type: 'Polygon', coordinates: [square.slice(0, 4)] })).toMatch(/not closed/);
		expect(said({ type: 'Polygon', coordinates: [square.map(([x, y]) => [x! + 1, y])] })).toMatch(/km from the garden/);
		expect(said({ type: 'MultiPolygon', coordinates: [[square]] })).toMatch(/several pieces/);
		expect(said({ type: 'FeatureCollection', features: [] })).toMatch(/no polygon in it/);
		expect(said({ type: 'FeatureCollection', features: 'all' })).toMatch(/lists its features/);
		expect(said({ type: 'FeatureCollection', features: Array.from({ length: 201 }, () => ({})) })).toMatch(/At most 200/);
		expect(said({ type: 'Polygon', coordinates: [square], crs: { properties: { name: 'EPSG:2180' } } })).toMatch(
			/other coordinates/
		);
		expect(said(' '.repeat(2_000_001))).toMatch(/over 2 MB/);
	});
});
