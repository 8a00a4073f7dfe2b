/** A garden's own shelters, in gardens that are not the demo's. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { madeRecord } from '../season/made.js';
import { quantileOf } from '../season/frostDates.js';
import { emptyRecord } from '../season/record.js';
import { climateOfRecord } from '../season/scenarios.js';
import { SHELTER_KINDS, SHELTER_NAMES } from './bodies.js';
import { fallsTo, nightsAhead } from './ahead.js';
import { knowShelter, wintersOf } from './place.js';
import type { Days, Known, ShelterPlace, Site } from './place.js';
import { coldestIn } from './winters.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';

const TODAY = dayNumber('2026-07-15');
const gardens = Object.entries({ arctic, north, south, tropics }).map(([name, climate]) => {
	const record = madeRecord(climate, TODAY);
	const { normals, middle } = climateOfRecord(record, climate)!;
	const site: Site = { latitude: climate.latitude, normals, middle };
	return { name, climate, site, winters: wintersOf(record, site) };
});
const of = (name: string) => gardens.find((g) => g.name === name)!;
const place = (name: ShelterPlace['name'], lowC: number | null = null, highC: number | null = null): ShelterPlace => ({
	...{ name, lowC, highC }
});
const usually = (k: Known) => coldestIn(k.inside, 1);
const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!;

describe('a garden’s shelters', () => {
	it('go through its own winters: as many as are on record, with their coldest nights in them, on either half of the world', () => {
		for (const { name, climate, winters } of gardens) {
			expect(winters.length, name).toBeGreaterThanOrEqual(27);
			const coldest = median(winters.map((w) => Math.min(...w.low)));
			// What the garden is told to have on average: within what thirty winters leave to chance.
			expect(Math.abs(coldest - climate.coldestC), `${name}: ${coldest}`).toBeLessThan(2.5);
		}
	});

	it('of a short record are told from more winters than it has: its few have not seen the one that comes in twenty', () => {
		for (const { name, climate, site, winters } of gardens.filter((g) => g.name !== 'tropics')) {
			const record = madeRecord(climate, TODAY);
			const coldest = (w: readonly Days[]) =>
				quantileOf(
					w.map((d) => Math.min(...d.low)).sort((a, b) => a - b),
					0.05
				);
			const truth = coldest(winters);
			const off = { own: 0, told: 0 };
			for (let from = 0; from < 24; from += 4) {
				const [a, b] = [from * 365, (from + 4) * 365];
				const short = {
					...record,
					first: record.first + a,
					low: record.low.slice(a, b),
					high: record.high.slice(a, b),
					rain: record.rain.slice(a, b)
				};
				const told = wintersOf(short, site);
				expect(told.length, name).toBe(25);
				expect(wintersOf(short, site)).toEqual(told);
				off.own += Math.abs(Math.min(...told.slice(0, 3).flatMap((d) => [...d.low])) - truth);
				off.told += Math.abs(coldest(told) - truth);
			}
			expect(off.told, `${name}: ${off.told} against ${off.own}`).toBeLessThan(off.own);
		}
	});

	it('are never colder than a night outside, and the house’s own rooms stay rooms', () => {
		for (const { name, climate, site, winters } of gardens)
			for (const kind of SHELTER_NAMES) {
				const k = knowShelter(place(kind), site, winters, null);
				expect(usually(k), `${name} ${kind}`).toBeGreaterThan(climate.coldestC - 1);
				if (kind === 'room') expect(usually(k), name).toBeGreaterThan(13);
				expect(k.inside.coldest.every((x) => Number.isFinite(x))).toBe(true);
			}
	});

	it('go by the household’s word within what such a place can be, and not beyond it', () => {
		const { site, winters } = of('north');
		const said = (c: number) => usually(knowShelter(place('garage', c, 20), site, winters, null));
		const unsaid = usually(knowShelter(place('garage'), site, winters, null));
		expect(said(5)).toBeGreaterThan(unsaid);
		expect(Math.abs(said(5) - 5)).toBeLessThan(2);
		expect(said(-6)).toBeLessThan(unsaid);
		// A frame that is said never to fall below 15 °C in a winter of −17 is not believed.
		const frame = usually(knowShelter(place('frame', 15, 30), site, winters, null));
		expect(frame).toBeLessThan(0);
	});

	it('learn from a thermometer what the word got wrong, and say how many cold nights that rests on', () => {
		const { site, winters } = of('north');
		const truth = knowShelter(place('shed'), site, winters, null);
		const days: Days = winters[0]!;
		const inside = truth.on(days);
		const k = knowShelter(place('garage', 6, 15), site, winters.slice(1), { days, inside });
		const before = knowShelter(place('garage', 6, 15), site, winters.slice(1), null);
		const shed = usually(knowShelter(place('shed'), site, winters.slice(1), null));
		expect(k.fitted.coldNights).toBeGreaterThan(30);
		expect(k.fitted.days).toBe(days.low.length - 10);
		// Most of the way from what was said to what it is.
		expect(usually(k)).toBeLessThan(usually(before) - 0.7 * (usually(before) - shed));
	});

	it('have a winter to go through even where the record is full of holes', () => {
		const { site } = of('north');
		const winters = wintersOf(emptyRecord(dayNumber('2020-01-01'), 2000), site);
		expect(winters).toHaveLength(1);
		const k = knowShelter(place('shed'), site, winters, null);
		expect(Number.isFinite(usually(k))).toBe(true);
		expect(Object.keys(SHELTER_KINDS)).toHaveLength(SHELTER_NAMES.length);
	});

	it('tell the nights ahead with their spread: later than outside, milder, and by all the forecast’s ways', () => {
		const { site, winters } = of('north');
		const k = knowShelter(place('garage'), site, winters, null);
		const before = { ...winters[0]!, low: new Float64Array(30).fill(2), high: new Float64Array(30).fill(6) };
		const cold = Array.from({ length: 9 }, () => ({ low: -12, high: -6 }));
		const mild = cold.map(() => ({ low: 1, high: 5 }));
		const a = nightsAhead(k, before, [...new Array(3).fill(cold), ...new Array(7).fill(mild)]);
		expect(a.nights).toHaveLength(9);
		expect(a.first).toBe(before.first + 30);
		for (const [low, mid, high] of a.nights) expect(low <= mid && mid <= high).toBe(true);
		// It goes on falling for days after the air has: the walls give back what they hold.
		const [only] = [nightsAhead(k, before, [cold])];
		expect(only.nights[0]![1]).toBeGreaterThan(only.nights[4]![1] + 1);
		expect(only.nights[8]![1]).toBeGreaterThan(-12);
		// Three ways in ten are cold: no more than three in ten fall far, and hardly any of the others.
		const far = only.coldest[only.coldest.length >> 1]!;
		expect(fallsTo(a, far)).toBeGreaterThan(0.05);
		expect(fallsTo(a, far)).toBeLessThanOrEqual(0.3 + 1e-9);
		expect([fallsTo(a, -60), fallsTo(a, 60)]).toEqual([0, 1]);
	});
});
