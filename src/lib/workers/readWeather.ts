/** Reads a weather file away from the page's thread, piece by piece, telling how far it is. */
import { sampleWeather, WeatherReader } from '$lib/formats/readWeather.js';
import type { WeatherSample } from '$lib/formats/readWeather.js';
import type { ColumnChoice } from '$lib/formats/weatherCsv.js';
import type { WeatherFound } from '$lib/formats/weatherFile.js';

export interface ReadWish {
	run: number;
	file: File;
	columns: ColumnChoice | null;
	station: string;
}
export type ReadNews =
	| { run: number; kind: 'progress'; share: number }
	| { run: number; kind: 'found'; sample: WeatherSample; found: WeatherFound }
	| { run: number; kind: 'trouble'; sentence: string };

const SAMPLE = 40_000;
/** Larger files are whole countries by year: more than a page should hold. */
export const MOST_BYTES = 400_000_000;

let current = 0;
const tell = (news: ReadNews) => postMessage(news);

onmessage = async ({ data }: MessageEvent<ReadWish>) => {
	const { run, file, columns, station } = data;
	current = run;
	try {
		if (file.size > MOST_BYTES) throw new Error('This file is larger than 400 MB: cut out the station first.');
		const packed = file.name.toLowerCase().endsWith('.gz');
		const bytes = packed ? file.stream().pipeThrough(new DecompressionStream('gzip')) : file.stream();
		const reader = bytes.pipeThrough(new TextDecoderStream()).getReader();
		let weather: WeatherReader | null = null;
		let sample: WeatherSample | null = null;
		let start = '';
		let read = 0;
		let told = 0;
		for (;;) {
			const { done, value } = await reader.read();
			// Another wish came meanwhile: this one is of no more use.
			if (current !== run) return void reader.cancel();
			if (value !== undefined) {
				read += value.length;
				if (weather) weather.take(value);
				else start += value;
			}
			if (!weather && (done || start.length >= SAMPLE)) {
				sample = sampleWeather(start.slice(0, SAMPLE));
				weather = new WeatherReader(sample, columns ?? sample.columns);
				weather.take(start);
				start = '';
			}
			const share = packed ? 0 : Math.min(1, read / file.size);
			if (share - told > 0.02) tell({ run, kind: 'progress', share: (told = share) });
			if (done) break;
		}
		const found = weather!.finish(station);
		tell({ run, kind: 'found', sample: sample!, found });
	} catch (error) {
		tell({ run, kind: 'trouble', sentence: `The file cannot be read: ${(error as Error).message}` });
	}
};
