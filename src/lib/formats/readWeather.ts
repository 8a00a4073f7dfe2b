/** Reads a weather file of any of the known layouts from pieces of text as they come. */
import Papa from 'papaparse';
import { looksLikeDly, looksLikeGhcnCsv, readDlyLine, readGhcnRow } from './ghcn.js';
import { guessColumns, readCsvRow } from './weatherCsv.js';
import type { ColumnChoice } from './weatherCsv.js';
import { WeatherGatherer } from './weatherFile.js';
import type { WeatherFound } from './weatherFile.js';

export type WeatherLayout = 'dly' | 'ghcn-csv' | 'csv';

export interface WeatherSample {
	layout: WeatherLayout;
	/** Rows for the preview, and the first guess of their columns. */
	rows: string[][];
	columns: ColumnChoice;
	delimiter: string;
}

/** What a file is, from its first some thousand characters. */
export function sampleWeather(start: string): WeatherSample {
	const text = start.replace(/^\uFEFF/, '');
	const lines = text.split(/\r?\n/).filter((l) => l.trim() !== '');
	const parsed = Papa.parse<string[]>(lines.slice(0, 60).join('\n'), { skipEmptyLines: true });
	const rows = parsed.data.map((r) => r.map(String));
	const layout: WeatherLayout = looksLikeDly(lines[0] ?? '')
		? 'dly'
		: rows.slice(0, 2).some(looksLikeGhcnCsv)
			? 'ghcn-csv'
			: 'csv';
	return { layout, rows: rows.slice(0, 8), columns: guessColumns(rows), delimiter: parsed.meta.delimiter || ',' };
}

/** Goes through the text in pieces. Lines may be cut anywhere between two pieces. */
export class WeatherReader {
	private readonly into = new WeatherGatherer();
	private rest = '';
	private line = 0;
	constructor(
		private readonly sample: WeatherSample,
		private readonly columns: ColumnChoice = sample.columns
	) {}

	take(piece: string): void {
		const text = this.rest + (this.line === 0 && this.rest === '' ? piece.replace(/^\uFEFF/, '') : piece);
		const end = text.lastIndexOf('\n');
		if (end < 0) {
			this.rest = text;
			return;
		}
		this.rest = text.slice(end + 1);
		this.lines(text.slice(0, end));
	}

	finish(station = ''): WeatherFound {
		if (this.rest.trim() !== '') this.lines(this.rest);
		this.rest = '';
		return this.into.finish(station);
	}

	private lines(text: string): void {
		if (this.sample.layout === 'dly') {
			for (const line of text.split('\n')) readDlyLine(line.replace(/\r$/, ''), ++this.line, this.into);
			return;
		}
		// A cell with a line break in it would be split: dates and figures have none.
		const rows = Papa.parse<string[]>(text, { delimiter: this.sample.delimiter }).data;
		for (const row of rows)
			if (this.sample.layout === 'ghcn-csv') readGhcnRow(row, ++this.line, this.into);
			else readCsvRow(row, ++this.line, this.columns, this.into);
	}
}

/** All at once, for text that is at hand. */
export function readWeather(text: string, columns?: ColumnChoice, station = ''): WeatherFound & { sample: WeatherSample } {
	const sample = sampleWeather(text.slice(0, 40_000));
	const reader = new WeatherReader(sample, columns);
	reader.take(text);
	return { ...reader.finish(station), sample };
}
