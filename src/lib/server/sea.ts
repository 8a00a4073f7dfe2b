/** How near the sea is, upwind, and how warm: what tells a mild coast from a cold inland at the same latitude. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import booleanPointInPolygon from '@turf/boolean-point-in-polygon';
import { feature } from 'topojson-client';
import { handbookPath } from './handbook.js';
import type { SeaNear } from '$lib/core/season/climate.js';

type Ring = number[][];
interface Land {
	polygon: { type: 'Polygon'; coordinates: Ring[] };
	west: number;
	east: number;
	south: number;
	north: number;
}

let lands: Land[] | null = null;
/** Natural Earth's land at 1 : 50 million, polygon by polygon with its bounds; inland waters count as land. */
function landPolygons(): Land[] {
	if (lands) return lands;
	const file = createRequire(import.meta.url).resolve('world-atlas/land-50m.json');
	const world = JSON.parse(readFileSync(file, 'utf8')) as Parameters<typeof feature>[0];
	const land = feature(world, world.objects.land!) as unknown as {
		features: { geometry: { coordinates: Ring[][] } }[];
	};
	lands = land.features
		.flatMap((f) => f.geometry.coordinates)
		.map((coordinates) => {
			const [lon, lat] = [0, 1].map((i) => coordinates[0]!.map((p) => p[i]!));
			return {
				polygon: { type: 'Polygon' as const, coordinates },
				west: Math.min(...lon!),
				east: Math.max(...lon!),
				south: Math.min(...lat!),
				north: Math.max(...lat!)
			};
		});
	return lands;
}

const isLand = (lat: number, lon: number): boolean =>
	landPolygons().some(
		(l) => lon >= l.west && lon <= l.east && lat >= l.south && lat <= l.north && booleanPointInPolygon([lon, lat], l.polygon)
	);

interface SeaAir {
	step_deg: number;
	first_lon_deg: number;
	first_lat_deg: number;
	tenths_c: (number | null)[][][];
}
let seaAir: SeaAir | null = null;
const airOverSea = (): SeaAir =>
	(seaAir ??= JSON.parse(readFileSync(handbookPath('sea-air-temperature.json'), 'utf8')) as SeaAir);

const RAD = Math.PI / 180;
const EARTH_KM = 6371;

/** The point so far off in a direction (degrees from north, clockwise), on a sphere. */
function off(lat: number, lon: number, bearing: number, km: number): [lat: number, lon: number] {
	const d = km / EARTH_KM;
	const sin = Math.sin(lat * RAD) * Math.cos(d) + Math.cos(lat * RAD) * Math.sin(d) * Math.cos(bearing * RAD);
	const to = Math.asin(Math.min(1, Math.max(-1, sin)));
	const east = Math.atan2(Math.sin(bearing * RAD) * Math.sin(d) * Math.cos(lat * RAD), Math.cos(d) - Math.sin(lat * RAD) * sin);
	return [to / RAD, ((lon + east / RAD + 540) % 360) - 180];
}

/** The wind comes from the west poleward of some 30°, from the east nearer to the equator. */
const upwind = (lat: number): number => (Math.abs(lat) >= 28 ? 270 : 90);
/** Share of each direction: whole upwind, a twelfth downwind. Own judgement. */
const windShare = (bearing: number, lat: number): number => 0.54 + 0.46 * Math.cos((bearing - upwind(lat)) * RAD);

const STEP_KM = 40;
const FURTHEST_KM = 1800;
/** A mild coast's air is a third of itself so far inland. Own judgement. */
const FADES_KM = 300;

/** Nearness of the sea upwind, 0 (mid-continent) to 1 (an islet), and the air over it in its coldest and warmest month. */
export function seaNear(lat: number, lon: number): SeaNear | null {
	let near = 0;
	let all = 0;
	for (let bearing = 0; bearing < 360; bearing += 22.5) {
		// A harbour may lie in the map's water: it is the land or sea a step off that counts.
		let km = STEP_KM / 2;
		while (km < FURTHEST_KM && isLand(...off(lat, lon, bearing, km))) km += STEP_KM;
		const w = windShare(bearing, lat);
		near += w * Math.exp(-km / FADES_KM);
		all += w;
	}
	const months = airAround(lat, lon);
	return months ? { maritime: near / all, winterC: Math.min(...months), summerC: Math.max(...months) } : null;
}

/** Monthly means of the air over the sea around, nearer and upwind counting more; null where no sea is within 2,500 km. */
function airAround(lat: number, lon: number): number[] | null {
	const a = airOverSea();
	const sums = new Float64Array(12);
	let all = 0;
	for (let i = 0; i < a.tenths_c[0]!.length; i++)
		for (let j = 0; j < a.tenths_c[0]![0]!.length; j++) {
			const at = a.first_lat_deg + i * a.step_deg;
			const east = a.first_lon_deg + j * a.step_deg;
			const dLon = ((east - lon + 540) % 360) - 180;
			if (Math.abs(at - lat) > 23) continue;
			const cos = Math.sin(lat * RAD) * Math.sin(at * RAD) + Math.cos(lat * RAD) * Math.cos(at * RAD) * Math.cos(dLon * RAD);
			const km = EARTH_KM * Math.acos(Math.min(1, cos));
			if (km > 2500 || a.tenths_c.some((m) => m[i]![j] === null)) continue;
			const bearing = Math.atan2(dLon * Math.cos(lat * RAD), at - lat) / RAD;
			const w = windShare(bearing, lat) * Math.exp(-km / 350) + 1e-9;
			all += w;
			for (let m = 0; m < 12; m++) sums[m]! += (w * a.tenths_c[m]![i]![j]!) / 10;
		}
	return all > 0 ? Array.from(sums, (s) => s / all) : null;
}
