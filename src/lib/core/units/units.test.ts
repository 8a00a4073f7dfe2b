import { describe, expect, it } from 'vitest';
import {
	areaMeasure,
	bandOf,
	longMeasure,
	sayLength,
	sayMinutes,
	sayTemperature,
	shortMeasure,
	toCelsius,
	toFahrenheit,
	warmthMeasure,
	zoneOf,
	ZONES
} from './index.js';

/**
 * USDA Plant Hardiness Zone Map (2012, unchanged in 2023): the whole zones by their lower limits in °F,
 * and the °C that the map's legend prints beside them, to a tenth.
 */
const USDA: [zone: string, lowF: number, lowC: number, highC: number][] = [
	['1a', -60, -51.1, -48.3],
	['3b', -35, -37.2, -34.4],
	['5a', -20, -28.9, -26.1],
	['6b', -5, -20.6, -17.8],
	['7a', 0, -17.8, -15],
	['8b', 15, -9.4, -6.7],
	['9a', 20, -6.7, -3.9],
	['10b', 35, 1.7, 4.4],
	['13b', 65, 18.3, 21.1]
];

describe('hardiness zones', () => {
	it('are the bands of the USDA table in both units', () => {
		expect(ZONES).toHaveLength(26);
		for (const [zone, lowF, lowC, highC] of USDA) {
			const band = bandOf(zone)!;
			expect(band.lowF).toBe(lowF);
			expect(band.lowC).toBeCloseTo(lowC, 1);
			expect(band.highC).toBeCloseTo(highC, 1);
		}
	});

	it('go from a temperature to its band, a boundary to the warmer one', () => {
		expect(zoneOf(toCelsius(0)).zone).toBe('7a');
		expect(zoneOf(toCelsius(-0.01)).zone).toBe('6b');
		expect(zoneOf(-12.3).zone).toBe('7b');
		expect(zoneOf(-90).zone).toBe('1a');
		expect(zoneOf(40).zone).toBe('13b');
	});

	it('go both ways for every half zone', () => {
		for (const band of ZONES) {
			expect(zoneOf(band.lowC).zone).toBe(band.zone);
			expect(zoneOf((band.lowC + band.highC) / 2).zone).toBe(band.zone);
		}
	});

	it('read what people write, and nothing else', () => {
		expect(bandOf(' 7B ')?.zone).toBe('7b');
		expect(bandOf('7')).toMatchObject({ lowF: 0, highF: 10 });
		for (const bad of ['', '0', '14', '7c', 'seven', '7ab']) expect(bandOf(bad)).toBeNull();
	});
});

describe('measures', () => {
	it('convert by the exact definitions', () => {
		expect(toFahrenheit(-40)).toBe(-40);
		expect(toCelsius(212)).toBe(100);
		// Hardy to zone 7 bears −18 °C, 0 °F (trade figure).
		expect(sayTemperature(-17.8, { length: 'us', temperature: 'F' })).toBe('0\u00a0°F');
		expect(sayTemperature(-17.8, { length: 'metric', temperature: 'C' })).toBe('−18\u00a0°C');
		expect(sayLength(30.48, { length: 'us', temperature: 'F' })).toBe('12\u00a0in');
	});

	it('are typed and read in one unit, and kept in ours', () => {
		const us = { length: 'us', temperature: 'F' } as const;
		const metric = { length: 'metric', temperature: 'C' } as const;
		expect(shortMeasure(us).read('12')).toBeCloseTo(30.48, 10);
		expect(longMeasure(us).read('10')).toBeCloseTo(3.048, 10);
		expect(areaMeasure(us).read('1')).toBeCloseTo(0.09290304, 10);
		expect(warmthMeasure(us).read('−40')).toBe(-40);
		for (const of of [shortMeasure, longMeasure, areaMeasure]) expect(of(metric).read('1,5')).toBe(1.5);
		for (const m of [shortMeasure(us), longMeasure(us), areaMeasure(us), warmthMeasure(us), warmthMeasure(metric)]) {
			expect(m.read('')).toBeNull();
			expect(m.read(' ')).toBeNull();
			expect(m.read('a foot')).toBeNaN();
			for (const kept of [-17.8, 0, 2.5, 120]) expect(m.from(m.shown(kept))).toBeCloseTo(kept, 9);
		}
	});

	it('say times shortly', () => {
		expect(sayMinutes(44.6)).toBe('45\u00a0min');
		expect(sayMinutes(130)).toBe('2 h 10\u00a0min');
		expect(sayMinutes(120)).toBe('2 h');
	});
});
