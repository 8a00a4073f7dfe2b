/** Cloth, mats, mulch and heaters over bodies of heat. */
import cashKarp from 'ode45-cash-karp';
import { describe, expect, it } from 'vitest';
import { SHELTER_KINDS } from './bodies.js';
import { COVERS, coversOf, guarded, heats, UNGUARDED } from './guards.js';
import { SHELTER } from './judged.js';
import { inside, usualBody } from './thermal.js';
import type { Body, Weather } from './thermal.js';

/** Days of the same air, without sun. */
const still = (c: number, anchor: number, days = 20): Weather => ({
	hours: new Float64Array(days * 24).fill(c),
	sun: new Float64Array(days),
	shape: () => new Float64Array(24).fill(1),
	anchor: new Float64Array(days).fill(anchor)
});
function last(b: Body, w: Weather): { c: number; heated: number; hours: number } {
	let [c, heated, hours] = [0, 0, 0];
	inside(b, w, null, (_, __, t, h) => ([c, heated, hours] = [t, h, hours + h]));
	return { c, heated, hours };
}

describe('what is put over a shelter', () => {
	it('adds what gardeners count on at −8 °C (common practice, no source)', () => {
		const gain = (name: 'glasshouse' | 'frame' | 'ground', cover: (typeof COVERS)[number]) => {
			const bare = usualBody(SHELTER_KINDS[name]);
			const w = still(-8, 5);
			return last(guarded(bare, name, { cover, heater: null }), w).c - last(bare, w).c;
		};
		// Frost cloth is worth 2 to 3 °C, a mat on a frame 4 to 5.
		expect(gain('glasshouse', 'cloth')).toBeGreaterThan(1.5);
		expect(gain('glasshouse', 'cloth')).toBeLessThan(3.5);
		expect(gain('frame', 'mat')).toBeGreaterThan(3);
		expect(gain('frame', 'mat')).toBeLessThan(5.5);
		expect(gain('ground', 'mulch')).toBeGreaterThan(1.5);
	});
	it('never makes it colder at night, and leaves a bare place as it was', () => {
		for (const [name, kind] of Object.entries(SHELTER_KINDS)) {
			const body = usualBody(kind);
			expect(guarded(body, name as 'frame', UNGUARDED)).toEqual(body);
			for (const cover of coversOf(name as 'frame')) {
				const under = guarded(body, name as 'frame', { cover, heater: null });
				expect(under.share).toBeGreaterThan(body.share);
				expect(under.share).toBeLessThan(1);
				expect(under.tauH).toBeGreaterThan(body.tauH);
			}
		}
	});
});

describe('a heater on a thermostat', () => {
	const body = usualBody(SHELTER_KINDS.glasshouse);
	const heater = { watts: 2000, setC: 3 };
	it('holds what it is set to as long as it is strong enough, and no more', () => {
		const warm = last(guarded(body, 'glasshouse', { cover: null, heater }), still(-8, 5));
		expect(warm.c).toBeCloseTo(3, 6);
		const weak = last(guarded(body, 'glasshouse', { cover: null, heater: { watts: 130, setC: 3 } }), still(-8, 5));
		// One degree for each 130 W, as the figure says.
		expect(weak.c - last(body, still(-8, 5)).c).toBeCloseTo(1, 6);
		expect(weak.heated).toBe(1);
		expect(last(guarded(body, 'glasshouse', { cover: null, heater }), still(6, 8)).hours).toBe(0);
	});
	it('uses what holds the difference: power × share of the time = degrees held × W a degree', () => {
		const { heated, c } = last(guarded(body, 'glasshouse', { cover: null, heater }), still(-8, 5));
		const bare = last(body, still(-8, 5)).c;
		expect(heated * heater.watts).toBeCloseTo((c - bare) * SHELTER.wattsADegree.value.glasshouse, 6);
	});
	it('uses less under film', () => {
		const hours = (cover: 'film' | null) => last(guarded(body, 'glasshouse', { cover, heater }), still(-8, 5)).hours;
		expect(hours('film')).toBeLessThan(0.75 * hours(null));
	});
	it('follows the equation with its heat, by the steps of a Runge-Kutta of others', () => {
		// Always on, too weak to reach what it is set to: dT/dt = (even + most − T) / τ.
		const b = guarded(body, 'glasshouse', { cover: null, heater: { watts: 260, setC: 30 } });
		const even = -8 + b.share * 13 + b.heat!.mostC;
		const y = [20];
		const integrator = cashKarp(y, (dydt: number[], x: number[]) => (dydt[0] = (even - x[0]!) / b.tauH), 0, 0.01);
		integrator.steps(Infinity, 6);
		let at = 0;
		inside(b, still(-8, 5, 1), 20, (_, hour, c) => hour === 5 && (at = c));
		expect(at).toBeCloseTo(y[0]!, 4);
	});
	it('belongs in no house', () => {
		expect(heats('sill')).toBe(false);
		expect(heats('garage')).toBe(true);
	});
});
