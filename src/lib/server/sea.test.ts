/** The first guess of a climate against well-known cities, and the sea around them. */
import { describe, expect, it } from 'vitest';
import { seaNear } from './sea.js';
import { guessClimate } from '$lib/core/season/climate.js';
import { zoneOf } from '$lib/core/units/index.js';
import { CITIES, CITY_FROSTS } from '../../testing/cities.js';
import { dayNumber, dayOfYear, daysRound } from '$lib/core/dates.js';

const all = CITIES.map(([name, latitude, longitude, heightM, coldest], i) => {
	const { climate } = guessClimate({ latitude, longitude, heightM, sea: seaNear(latitude, longitude) });
	return { name, coldest, climate, held: i % 3 === 2 };
});
const zone = (coldestC: number) => Number.parseInt(zoneOf(coldestC).zone, 10);
const share = <T>(list: T[], is: (one: T) => boolean) => list.filter(is).length / list.length;

describe('the first guess of a winter', () => {
	it('is within one hardiness zone in five cities of six on six continents (zones from memory)', () => {
		const within = (c: (typeof all)[number]) => Math.abs(zone(c.climate.coldestC) - zone(c.coldest)) <= 1;
		expect(all.length).toBeGreaterThanOrEqual(60);
		expect(share(all, within)).toBeGreaterThanOrEqual(0.9);
		// The third that the coefficients have not seen.
		expect(
			share(
				all.filter((c) => c.held),
				within
			)
		).toBeGreaterThanOrEqual(25 / 30);
		// A zone is ten degrees Fahrenheit wide: four in five lie no further off than that, wherever the zones' borders fall.
		expect(share(all, (c) => Math.abs(c.climate.coldestC - c.coldest) <= 10 / 1.8)).toBeGreaterThanOrEqual(0.8);
	});
	it('knows a mild ocean coast: Galway is a zone 9, London bears no −22 °C', () => {
		const at = (name: string) => all.find((c) => c.name === name)!.climate;
		expect(zoneOf(at('Galway').coldestC).zone).toMatch(/^9/);
		expect(at('London').coldestC).toBeGreaterThan(-11);
		expect(at('Moscow').coldestC).toBeLessThan(-20);
		expect(at('Singapore').lastFrost).toBeNull();
	});
	it('puts both frosts where gardeners know them, to two weeks in the middle (dates from memory)', () => {
		const apart = (from: number, to: number) => Math.min(daysRound(from, to), daysRound(to, from));
		const out = CITY_FROSTS.map(([name, latitude, longitude, heightM, last, first], i) => {
			const { climate } = guessClimate({ latitude, longitude, heightM, sea: seaNear(latitude, longitude) });
			const doy = (monthDay: string) => dayOfYear(dayNumber(`2025-${monthDay}`));
			const off = (guess: { doy: number } | null, known: string) => (guess ? apart(guess.doy, doy(known)) : 60);
			return { name, held: i % 3 === 2, days: [off(climate.lastFrost, last), off(climate.firstFrost, first)] };
		});
		const spread = (of: typeof out) => {
			const days = of.flatMap((c) => c.days);
			return Math.sqrt(days.reduce((sum, d) => sum + d * d, 0) / days.length);
		};
		expect(out.length).toBeGreaterThanOrEqual(40);
		expect(spread(out.filter((c) => !c.held))).toBeLessThan(18);
		// The third that the figures have not seen.
		expect(spread(out.filter((c) => c.held))).toBeLessThan(16);
		const [middle] = out
			.flatMap((c) => c.days)
			.sort((a, b) => a - b)
			.slice(out.length);
		expect(middle).toBeLessThanOrEqual(12);
	});
	it('puts last frosts where gardeners know them, to three weeks (from memory)', () => {
		for (const [name, doy] of [
			['London', 110],
			['Galway', 110],
			['Berlin', 120],
			['Moscow', 135],
			['Minneapolis', 125],
			['Christchurch', 283]
		] as const) {
			const last = all.find((c) => c.name === name)!.climate.lastFrost!.doy;
			expect(Math.min(daysRound(last, doy), daysRound(doy, last)), name).toBeLessThanOrEqual(24);
		}
	});
});

describe('the sea near', () => {
	it('counts more upwind: Seattle has more of it than New York, an islet has all', () => {
		const m = (lat: number, lon: number) => seaNear(lat, lon)!.maritime;
		expect(m(47.6, -122.3)).toBeGreaterThan(m(40.7, -74) - 0.05);
		expect(m(53.27, -9.05)).toBeGreaterThan(0.6);
		expect(m(38.7, -27.1)).toBeGreaterThan(0.9);
		expect(m(47.9, 106.9)).toBeLessThan(0.02);
	});
	it('has the seasons of its half of the earth, and answers at the edges of the map', () => {
		expect(seaNear(-41.3, 174.8)!.summerC).toBeGreaterThan(seaNear(-41.3, 174.8)!.winterC);
		for (const [lat, lon] of [
			[0, 180],
			[0, -180],
			[65, 179.99],
			[-55, -67]
		] as const)
			expect(seaNear(lat, lon)!.maritime).toBeGreaterThan(0);
		expect(seaNear(90, 0) === null || seaNear(90, 0)!.maritime >= 0).toBe(true);
	});
});
