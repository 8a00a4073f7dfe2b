/**
 * The sky over a simulated station: one weather for each place and seed, the same whenever it is asked,
 * and forecasts of it whose error grows with the days ahead.
 */
import { randomLcg, randomNormal } from 'd3-random';
import { dayInYear, dayOfYear } from '../../src/lib/core/dates.js';
import type { DayNumber } from '../../src/lib/core/dates.js';
import { guessClimate } from '../../src/lib/core/season/climate.js';
import { generate, weatherFrom } from '../../src/lib/core/season/generator.js';
import type { GeneratorModel } from '../../src/lib/core/season/generator.js';
import { madeModel } from '../../src/lib/core/season/made.js';
import type { DailyRecord } from '../../src/lib/core/season/record.js';

export interface SkyDay {
	low: number;
	high: number;
	rain: number;
}
/** A change put upon the weather so that a test can replay it: so many degrees on the days from–to. */
export interface Spell {
	from: DayNumber;
	to: DayNumber;
	degrees: number;
	/** Rain of each of its days, mm; left as it is if not said. */
	rain?: number;
}

const FIRST_YEAR = 1985;
const LAST_YEAR = 2075;
export const MEMBERS = 20;
export const FORECAST_DAYS = 10;
/** Skill: the share of a day's departure from normal that is known so many days ahead; 0.5 at about five days. From memory. */
const known = (lead: number) => Math.exp(-((lead / 6) ** 2));

/** A number in [0, 1) from whole numbers, the same each time (FNV-1a). */
export function seedOf(...parts: number[]): number {
	let h = 0x811c9dc5;
	for (const byte of new TextEncoder().encode(parts.join('/'))) h = Math.imul(h ^ byte, 0x01000193);
	return (h >>> 0) / 2 ** 32;
}

export class Sky {
	private readonly model: GeneratorModel;
	readonly truth: DailyRecord;
	constructor(
		latitude: number,
		longitude: number,
		height: number,
		private readonly seed: number,
		private readonly spells: () => readonly Spell[] = () => []
	) {
		this.model = madeModel(guessClimate({ latitude, longitude, heightM: height }).climate);
		const first = dayInYear(FIRST_YEAR, 1);
		const at = seedOf(seed, Math.round(latitude * 20), Math.round(longitude * 20));
		this.truth = generate(this.model, randomLcg(at), first, dayInYear(LAST_YEAR, 1) - first);
	}

	day(day: DayNumber): SkyDay | null {
		const i = day - this.truth.first;
		const low = this.truth.low[i];
		if (low === undefined) return null;
		const d = { low, high: this.truth.high[i]!, rain: this.truth.rain[i]! };
		for (const s of this.spells())
			if (day >= s.from && day <= s.to) {
				d.low += s.degrees;
				d.high += s.degrees;
				if (s.rain !== undefined) d.rain = s.rain;
			}
		return { low: round(d.low), high: round(d.high), rain: round(d.rain) };
	}

	private normal(day: DayNumber, column: 'low' | 'high'): number {
		const i = dayOfYear(day) - 1;
		return (this.model[column].mean[0][i]! + this.model[column].mean[1][i]!) / 2;
	}

	/**
	 * Twenty members for ten days from `from`. Of each day's departure from normal a part is foreseen by
	 * all members alike; each makes up the rest for itself, so that the truth is one of them in kind.
	 */
	forecast(from: DayNumber): SkyDay[][] {
		const uniform = randomLcg(seedOf(this.seed, from, Math.round(this.truth.low[0]! * 10)));
		const normal = randomNormal.source(uniform)();
		const own = Array.from({ length: MEMBERS }, () => ({ low: 0, high: 0 }));
		const weather = Array.from({ length: MEMBERS }, () => weatherFrom(this.model, uniform));
		const members = Array.from({ length: MEMBERS }, () => [] as SkyDay[]);
		const shared = { low: 0, high: 0 };
		for (let lead = 0; lead < FORECAST_DAYS; lead++) {
			const day = from + lead;
			const truth = this.day(day);
			const i = dayOfYear(day) - 1;
			const r2 = known(lead);
			const keep = 0.75;
			const stir = Math.sqrt(1 - keep * keep);
			for (const c of ['low', 'high'] as const) shared[c] = lead === 0 ? normal() : keep * shared[c] + stir * normal();
			for (const [k, member] of members.entries()) {
				const drawn = weather[k]!(i + 1);
				const d: SkyDay = {
					low: 0,
					high: 0,
					rain: truth && uniform() < r2 ? truth.rain * Math.exp(0.35 * normal()) : drawn.rain
				};
				for (const c of ['low', 'high'] as const) {
					const sd = this.model[c].sd[0][i]!;
					const usual = this.normal(day, c);
					const anomaly = ((truth?.[c] ?? usual) - usual) / sd;
					const foreseen = r2 * anomaly + Math.sqrt(r2 * (1 - r2)) * shared[c];
					own[k]![c] = lead === 0 ? normal() : keep * own[k]![c] + stir * normal();
					d[c] = usual + sd * (foreseen + Math.sqrt(1 - r2) * own[k]![c]);
				}
				member.push({ low: round(Math.min(d.low, d.high)), high: round(Math.max(d.low, d.high)), rain: round(d.rain) });
			}
		}
		return members;
	}

	/** The day hour by hour: coldest about six, warmest about three in the afternoon. */
	hours(day: DayNumber): number[] | null {
		const d = this.day(day);
		const next = this.day(day + 1);
		if (!d || !next) return null;
		return Array.from({ length: 24 }, (_, h) => {
			if (h < 6) return round(d.low + (d.high - d.low) * 0.15 * ((6 - h) / 6));
			if (h <= 15) return round(d.low + ((d.high - d.low) * (1 - Math.cos((Math.PI * (h - 6)) / 9))) / 2);
			return round(d.high + ((next.low - d.high) * (1 - Math.cos((Math.PI * (h - 15)) / 15))) / 2);
		});
	}
}

const round = (v: number) => Math.round(v * 10) / 10;
