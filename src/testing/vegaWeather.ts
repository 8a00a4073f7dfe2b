/**
 * Real daily weather of two cities, 2012–2015, from the open dataset package vega-datasets
 * (data/weather.csv, after NOAA), read without any of our own importers.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

export interface VegaDay {
	date: string;
	rain: number;
	high: number;
	low: number;
}

export const VEGA_DATA = join(process.cwd(), 'node_modules', 'vega-datasets', 'data');

export function vegaCity(city: 'Seattle' | 'New York'): VegaDay[] {
	return readFileSync(join(VEGA_DATA, 'weather.csv'), 'utf8')
		.trim()
		.split('\n')
		.slice(1)
		.map((line) => line.split(','))
		.filter((cells) => cells[0] === city)
		.map((cells) => ({ date: cells[1]!, rain: Number(cells[2]), high: Number(cells[3]), low: Number(cells[4]) }));
}
/** Position of the two stations, degrees. From memory. */
export const VEGA_AT = {
	Seattle: { latitude: 47.45, longitude: -122.31 },
	'New York': { latitude: 40.78, longitude: -73.97 }
} as const;
