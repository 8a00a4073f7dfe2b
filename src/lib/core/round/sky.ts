/** The weather of single days as the round needs it: what was, what is told, else what is usual. */
import { dayOfYear } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { anyNight } from '../season/nights.js';
import type { DailyRecord, WeatherDay } from '../season/record.js';
import type { Forecast, RecordClimate } from '../season/scenarios.js';
import { extraterrestrial, hargreaves } from '../season/water.js';

export interface SkyOf {
	today: DayNumber;
	/** Lowest, highest, rain of a day: observed, the members' mean, or the normal. */
	on(day: DayNumber): { low: number; high: number; rain: number; from: 'observed' | 'forecast' | 'usual' };
	/** Reference evapotranspiration, mm. */
	et0(day: DayNumber): number;
	/** Chance that any night of [from, from + days) falls to a temperature. */
	coldNight(from: DayNumber, days: number, threshold: number): number;
	/** Share of the forecast's members in which something is true of a day; null past the forecast. */
	share(day: DayNumber, what: (d: { low: number; high: number; rain: number }) => boolean): number | null;
	lastTold: DayNumber | null;
}

export function skyOf(
	record: DailyRecord,
	recordClimate: RecordClimate,
	observed: readonly WeatherDay[],
	forecast: Forecast | null,
	today: DayNumber
): SkyOf {
	const seen = new Map(observed.map((d) => [d.day, d]));
	const memberDay = (day: DayNumber) => (forecast?.members ?? []).flatMap((m) => m[day - forecast!.from] ?? []);
	const cold = new Map<string, number>();
	const drying = new Map<DayNumber, number>();
	const days = new Map<DayNumber, ReturnType<SkyOf['on']>>();
	const on: SkyOf['on'] = (day) => {
		let known = days.get(day);
		if (!known) days.set(day, (known = reckon(day)));
		return known;
	};
	const reckon: SkyOf['on'] = (day) => {
		const o = day < today ? seen.get(day) : undefined;
		const i = dayOfYear(day) - 1;
		const usual = {
			low: recordClimate.normals.low[i]!,
			high: recordClimate.normals.high[i]!,
			rain: recordClimate.normals.rain[i]!
		};
		if (o) return { low: o.low ?? usual.low, high: o.high ?? usual.high, rain: o.rain ?? usual.rain, from: 'observed' };
		const told = memberDay(day);
		if (told.length === 0) return { ...usual, from: 'usual' };
		const mean = (of: (d: { low: number; high: number; rain: number }) => number) =>
			told.reduce((sum, d) => sum + of(d), 0) / told.length;
		return { low: mean((d) => d.low), high: mean((d) => d.high), rain: mean((d) => d.rain), from: 'forecast' };
	};
	return {
		today,
		on,
		et0(day) {
			let mm = drying.get(day);
			if (mm === undefined) {
				const d = on(day);
				mm = hargreaves(d.low, d.high, extraterrestrial(recordClimate.climate.latitude, dayOfYear(day)));
				drying.set(day, mm);
			}
			return mm;
		},
		coldNight(from, days, threshold) {
			const key = `${from} ${days} ${threshold}`;
			let chance = cold.get(key);
			if (chance === undefined)
				cold.set(key, (chance = anyNight(record, forecast, (forecast?.from ?? today) - 1, from, days, threshold)));
			return chance;
		},
		share(day, what) {
			const told = memberDay(day);
			return told.length === 0 ? null : told.filter(what).length / told.length;
		},
		lastTold: forecast && forecast.members[0] ? forecast.from + forecast.members[0].length - 1 : null
	};
}
