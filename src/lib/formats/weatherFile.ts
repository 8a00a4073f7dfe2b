/**
 * What every reader of weather files shares: days gathered from single figures, and an honest account of
 * what was found: doubles, failed checks, bad lines by their number.
 */
import type { DayNumber } from '../core/dates.js';
import { gaps, MOST_DAYS, POSSIBLE, possibleDay, recordOfDays, doubts, wholeYears } from '../core/season/record.js';
import type { DailyRecord, RecordDoubt, WeatherDay } from '../core/season/record.js';

export type Element = 'low' | 'high' | 'rain';
export interface BadLine {
	line: number;
	text: string;
	why: string;
}
export interface WeatherFound {
	record: DailyRecord;
	days: number;
	/** Stations of the file with the figures each gave; one is read. */
	stations: { id: string; figures: number }[];
	station: string;
	/** Figures that the source itself marks as failing its checks. */
	flagged: number;
	/** Days (of one element) that came more than once, and how many of them differed. */
	doubles: number;
	differing: number;
	bad: BadLine[];
	badCount: number;
	gaps: { from: DayNumber; days: number }[];
	gapDays: number;
	wholeYears: number;
	doubts: RecordDoubt[];
}

/** So many bad lines are shown; all are counted. */
const MOST_SHOWN = 100;
const MOST_STATIONS = 50_000;

export class WeatherGatherer {
	private readonly stations = new Map<string, Map<DayNumber, WeatherDay>>();
	private readonly bad: BadLine[] = [];
	private badCount = 0;
	private flagged = 0;
	private readonly doubled = new Map<string, { doubles: number; differing: number }>();

	trouble(line: number, text: string, why: string): void {
		this.badCount++;
		if (this.bad.length < MOST_SHOWN) this.bad.push({ line, text: text.slice(0, 120), why });
	}
	flag(): void {
		this.flagged++;
	}
	/** One figure, already in °C or mm. */
	add(station: string, day: DayNumber, what: Element, value: number): void {
		let days = this.stations.get(station);
		if (!days) {
			if (this.stations.size >= MOST_STATIONS) return;
			this.stations.set(station, (days = new Map()));
		}
		let d = days.get(day);
		if (!d) days.set(day, (d = { day, low: null, high: null, rain: null }));
		if (d[what] !== null) {
			const count = this.doubled.get(station) ?? { doubles: 0, differing: 0 };
			count.doubles++;
			if (d[what] !== value) count.differing++;
			this.doubled.set(station, count);
		}
		d[what] = value;
	}
	possible(what: Element, value: number): boolean {
		return value >= POSSIBLE[what][0] && value <= POSSIBLE[what][1];
	}

	/** What was found at one station: the one asked for, else the one with the most figures. */
	finish(wanted = ''): WeatherFound {
		const counted = [...this.stations]
			.map(([id, days]) => ({ id, figures: days.size }))
			.sort((a, b) => b.figures - a.figures || a.id.localeCompare(b.id));
		const station = this.stations.has(wanted) ? wanted : (counted[0]?.id ?? '');
		const all = [...(this.stations.get(station)?.values() ?? [])];
		const days: WeatherDay[] = [];
		// A day whose two temperatures contradict each other is left out whole, and told. When most are so, it is the columns.
		const reversed = all.filter((d) => d.low !== null && d.high !== null && d.low > d.high).length;
		for (const d of all) {
			const checked = possibleDay(d);
			if (checked.ok || reversed > all.length / 2) days.push(d);
			else this.trouble(0, new Date(d.day * 86_400_000).toISOString().slice(0, 10), checked.problem.sentence);
		}
		const record = recordOfDays(days);
		const span = days.length ? Math.max(...extent(days)) : 0;
		if (span - record.first >= MOST_DAYS)
			this.trouble(0, '', `The file spans more than ${Math.round(MOST_DAYS / 365)} years: what lies beyond was left out.`);
		const holes = gaps(record);
		return {
			record,
			days: days.length,
			stations: counted.slice(0, 200),
			station,
			flagged: this.flagged,
			doubles: this.doubled.get(station)?.doubles ?? 0,
			differing: this.doubled.get(station)?.differing ?? 0,
			bad: this.bad,
			badCount: this.badCount,
			gaps: holes.slice(0, 50),
			gapDays: holes.reduce((sum, g) => sum + g.days, 0),
			wholeYears: days.length ? wholeYears(record).length : 0,
			doubts: doubts(record)
		};
	}
}

function extent(days: readonly WeatherDay[]): [number, number] {
	let least = Infinity;
	let most = -Infinity;
	for (const d of days) {
		if (d.day < least) least = d.day;
		if (d.day > most) most = d.day;
	}
	return [least, most];
}
