/** Odds of cold nights: kept promises on years that were held out, and sane answers at the edges. */
import { randomLcg, randomNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { dayInYear, dayNumber, yearOf } from '../dates.js';
import { anyNight, forecastWeight, generate, madeModel, nightsAhead, recordOfDays, usualNight } from './index.js';
import type { DailyRecord, Forecast } from './index.js';
import { north, tropics } from '../../../testing/climates.js';
import { vegaCity } from '../../../testing/vegaWeather.js';

/** Of the nights given between `from` and `to`, how many there were and which share froze. */
function kept(told: { chance: number; froze: boolean }[], from: number, to: number) {
	const band = told.filter((t) => t.chance >= from && t.chance < to);
	return {
		n: band.length,
		promised: band.reduce((s, t) => s + t.chance, 0) / band.length,
		came: band.filter((t) => t.froze).length / band.length
	};
}

const BANDS = [
	[0.05, 0.2],
	[0.2, 0.3],
	[0.3, 0.5],
	[0.5, 0.8]
] as const;

describe('the usual odds of a frosty night', () => {
	it('hold on held-out years of two real cities (each year told from the other three)', () => {
		const told: { chance: number; froze: boolean }[] = [];
		for (const city of ['Seattle', 'New York'] as const) {
			const days = vegaCity(city).map((d) => ({ ...d, day: dayNumber(d.date) }));
			for (const year of [2012, 2013, 2014, 2015]) {
				const others = recordOfDays(days.filter((d) => yearOf(d.day) !== year));
				for (const d of days.filter((x) => yearOf(x.day) === year))
					told.push({ chance: usualNight(others, d.day, 0), froze: d.low <= 0 });
			}
		}
		// Nights of one cold spell freeze together, so eight city years leave some ten points of chance.
		for (const [from, to] of BANDS) {
			const k = kept(told, from, to);
			expect(k.n, `${from}–${to}`).toBeGreaterThan(60);
			expect(Math.abs(k.came - k.promised), `${from}–${to}: promised ${k.promised}, came ${k.came}`).toBeLessThan(0.12);
		}
	});

	it('hold on sixty generated years told from thirty others', () => {
		const model = madeModel(north);
		const past = generate(model, randomLcg(0.3), dayInYear(1930, 1), 30 * 365);
		const later = generate(model, randomLcg(0.8), dayInYear(1960, 1), 60 * 365);
		const byDoy = new Map<number, number>();
		const told = [...later.low].map((low, i) => {
			const key = (later.first + i) % 1461;
			if (!byDoy.has(key)) byDoy.set(key, usualNight(past, later.first + i, 0));
			return { chance: byDoy.get(key)!, froze: low <= 0 };
		});
		for (const [from, to] of BANDS) {
			const k = kept(told, from, to);
			expect(Math.abs(k.came - k.promised), `${from}–${to}: promised ${k.promised}, came ${k.came}`).toBeLessThan(0.07);
		}
	});
});

/** A forecast of twenty members about a truth, whose error grows as the stand-in's does: predictable part and the rest. */
function forecastOf(truth: DailyRecord, normals: DailyRecord, issued: number, uniform: () => number): Forecast {
	const normal = randomNormal.source(uniform)();
	const members = Array.from({ length: 20 }, () => [] as { low: number; high: number; rain: number }[]);
	for (let lead = 1; lead <= 10; lead++) {
		const i = issued + lead - truth.first;
		const mean = normals.low[i]!;
		const sd = 4;
		const r2 = Math.exp(-((lead / 8) ** 2));
		const anomaly = (truth.low[i]! - mean) / sd;
		const told = r2 * anomaly + Math.sqrt(r2 * (1 - r2)) * normal();
		for (const m of members) {
			const low = mean + sd * (told + Math.sqrt(1 - r2) * normal());
			m.push({ low, high: low + 8, rain: 0 });
		}
	}
	return { from: issued + 1, members };
}

describe('a forecast blended into the usual', () => {
	const model = madeModel(north);
	const past = generate(model, randomLcg(0.3), dayInYear(1980, 1), 30 * 365);
	const truth = generate(model, randomLcg(0.9), dayInYear(2010, 1), 12 * 365);
	const mean: DailyRecord = { ...truth, low: new Float64Array(truth.low.length) };
	for (let i = 0; i < mean.low.length; i++) {
		let sum = 0;
		let n = 0;
		for (let y = 0; y < 30; y++) {
			const low = past.low[(i % 365) + y * 365];
			if (low !== undefined) {
				sum += low;
				n++;
			}
		}
		mean.low[i] = sum / n;
	}

	it('keeps its promises, and is sharper than the usual alone', () => {
		const uniform = randomLcg(0.42);
		const told: { chance: number; froze: boolean }[] = [];
		let brier = 0;
		let usual = 0;
		for (let issued = truth.first + 200; issued < truth.first + truth.low.length - 12; issued += 3) {
			const f = forecastOf(truth, mean, issued, uniform);
			for (const night of nightsAhead(past, f, issued, issued + 1, 6, 0)) {
				const froze = truth.low[night.day - truth.first]! <= 0;
				told.push({ chance: night.chance, froze });
				brier += (night.chance - Number(froze)) ** 2;
				usual += (usualNight(past, night.day, 0) - Number(froze)) ** 2;
			}
		}
		for (const [from, to] of BANDS) {
			const k = kept(told, from, to);
			expect(Math.abs(k.came - k.promised), `${from}–${to}: promised ${k.promised}, came ${k.came}`).toBeLessThan(0.1);
		}
		expect(brier).toBeLessThan(0.75 * usual);
	});

	it('the chance of any cold night grows with the days and is at least that of each night', () => {
		const issued = dayNumber('2013-10-05');
		const f = forecastOf(truth, mean, issued, randomLcg(0.5));
		const nights = nightsAhead(past, f, issued, issued + 1, 20, 0);
		let before = 0;
		for (let n = 1; n <= 20; n++) {
			const any = anyNight(past, f, issued, issued + 1, n, 0);
			expect(any).toBeGreaterThanOrEqual(before - 0.12);
			expect(any).toBeLessThanOrEqual(1);
			before = any;
		}
		expect(anyNight(past, f, issued, issued + 1, 20, 0)).toBeGreaterThan(Math.max(...nights.map((n) => n.chance)) - 0.05);
	});

	it('counts less the farther ahead, and nothing past ten days or for a day behind', () => {
		for (let lead = 1; lead < 10; lead++) expect(forecastWeight(lead + 1)).toBeLessThan(forecastWeight(lead));
		expect(forecastWeight(11)).toBe(0);
		expect(forecastWeight(-1)).toBe(0);
	});

	it('a forecast for other days, or none, leaves the usual', () => {
		const day = dayNumber('2013-10-05');
		const stale: Forecast = { from: day - 400, members: [[{ low: -30, high: 0, rain: 0 }]] };
		expect(nightsAhead(past, stale, day - 401, day, 1, 0)[0]!.chance).toBe(usualNight(past, day, 0));
		expect(nightsAhead(past, null, day, day, 1, 0)[0]).toMatchObject({ middle: null, cold: null });
	});

	it('is near nought where it never freezes, and tells something even without any record', () => {
		const warm = generate(madeModel(tropics), randomLcg(0.3), dayInYear(1990, 1), 20 * 365);
		expect(anyNight(warm, null, 0, dayNumber('2026-07-01'), 30, 0)).toBeLessThan(0.03);
		const none = recordOfDays([]);
		const f: Forecast = { from: 20_000, members: [[{ low: -6, high: 0, rain: 0 }]] };
		expect(nightsAhead(none, f, 19_999, 20_000, 1, 0)[0]!.chance).toBeGreaterThan(0.99);
	});
});
