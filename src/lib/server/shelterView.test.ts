/** Shelter on the demo's garden: one number with the model's, taught by a thermometer, moved by what the place is. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { gardenById } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { record } from './ledger.js';
import { modelOf } from './model.js';
import { sheltersShown } from './shelterView.js';
import * as state from './store/state.js';
import { addDays, dayNumber } from '$lib/core/dates.js';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';

const today = '2026-09-05';
let garden: Garden;
const place = async (name: string) => (await state.places(database(), garden.id)).find((p) => p.name === name)!;
const shown = async (name: string) => (await sheltersShown(garden)).shelters.find((s) => s.name === name)!;

beforeAll(async () => {
	process.env.SURCULUS_TODAY = today;
	await freshDatabase('shelter_test');
	await loadDemo();
	garden = (await gardenById(DEMO_GARDEN))!;
}, 120_000);
afterAll(() => closeDatabase());

describe('shelter', () => {
	it('tells all that needs one, each once, the most endangered first, and counts them', async () => {
		const v = await sheltersShown(garden);
		const all = [...v.outside, ...v.shelters.flatMap((s) => s.lodgers)];
		expect(new Set(all.map((l) => l.id)).size).toBe(all.length);
		expect(v.all).toBe(all.length);
		expect(v.likely).toBeLessThanOrEqual(v.all);
		for (const list of [v.outside, ...v.shelters.map((s) => s.lodgers)]) {
			const chances = list.map((l) => l.chance);
			expect([...chances].sort((a, b) => a - b)).toEqual(chances);
			expect(chances.every((c) => c >= 0 && c <= 1)).toBe(true);
		}
		// A marguerite on the open bench of a garden of −21 °C is dead by spring; what is told instead is far better.
		const out = v.outside.find((l) => l.name.startsWith('Marguerite'))!;
		expect(out.chance).toBeLessThan(0.05);
		expect(out.better!.chance).toBeGreaterThan(0.6);
		for (const s of v.shelters) {
			expect(s.coldest[0]).toBeGreaterThanOrEqual(s.coldest[1]);
			expect(s.coldest[1]).toBeGreaterThanOrEqual(s.coldest[2]);
			expect(s.coldest[0]).toBeGreaterThan(v.coldestC - 1);
		}
	});

	it('says of each kind whether one is alive in spring: no less than its best copy, no less for moving', async () => {
		const v = await sheltersShown(garden);
		expect(v.kinds.length).toBeGreaterThan(3);
		const all = [...v.outside, ...v.shelters.flatMap((s) => s.lodgers)];
		for (const k of v.kinds) {
			const copies = all.filter((l) => l.name === k.name);
			expect(k.copies.map((c) => c.count).sort(), k.name).toEqual(copies.map((l) => l.count).sort());
			// A kind may lose for another's sake, but not for nothing: some gain more.
			const best = Math.max(...copies.map((l) => l.chance));
			// A plant, or one piece of many, at least as sure as the best of them (but for the pieces' shared luck).
			expect(k.stays, k.name).toBeGreaterThan(best - 0.02);
			expect(k.stays).toBeLessThan(1);
		}
		const gained = v.kinds.reduce((sum, k) => sum + k.moved - k.stays, 0);
		expect(gained).toBeGreaterThan(0);
		const marguerite = v.kinds.find((k) => k.name.startsWith('Marguerite'))!;
		expect(marguerite.moved).toBeGreaterThan(marguerite.stays + 0.3);
	});

	it('is colder where the place is a shed, in its nights, its odds and the model alike', async () => {
		const garage = await place('Garage');
		const before = await shown('Garage');
		const set = async (change: Partial<typeof garage>) => {
			const { name, kind, light, room_cm2, walk, body, low_c, high_c } = { ...garage, ...change };
			const data = { name, kind, light, room_cm2, walk, body, low_c, high_c };
			const act = { id: uuidv7(), kind: 'place.set' as const, subjectId: garage.id, on: today, data };
			return record({ gardenId: garden.id, actor: 'test', today }, [act]);
		};
		expect((await set({ body: 'glasshouse' })).ok).toBe(false);
		expect((await set({ body: 'shed', low_c: null, high_c: null })).ok).toBe(true);
		const shed = await shown('Garage');
		expect(shed.coldest[0]).toBeLessThan(before.coldest[0] - 8);
		for (const l of shed.lodgers) expect(l.chance).toBeLessThan(0.1);
		const m = await modelOf(garden);
		// The same body in the days that were: colder on a cold day than a garage, never colder than a bed by much.
		const day = dayNumber('2026-01-20');
		const out = m.season.sky.on(day);
		expect(m.shelter(garage.id)!.day(day).low).toBeGreaterThan(out.low - 1);
		expect(m.means(garage.id)(day)).toBeLessThan((out.low + out.high) / 2 + 6);
		expect((await set({})).ok).toBe(true);
		expect((await shown('Garage')).coldest).toEqual(before.coldest);
	});

	it('learns from the thermometer, and from nothing else that it sends', async () => {
		const garage = await place('Garage');
		const before = await shown('Garage');
		expect(before.learnt.days).toBe(0);
		// A warm one: half way to a house of 18 °C, read for three months of the station's own days.
		const m = await modelOf(garden);
		const first = dayNumber('2025-12-01');
		const observed = Array.from({ length: 90 }, (_, d) => ({ d: first + d, on: m.season.sky.on(first + d) })).filter(
			(x) => x.on.from === 'observed'
		);
		const put = (d: number, low: number, high: number) =>
			database().query(
				`INSERT INTO reading_day (garden_id, place_id, day, low, high, last_c, last_at, readings) VALUES ($1, $2, $3, $4, $5, $4, now(), 24)
				 ON CONFLICT (garden_id, place_id, day) DO UPDATE SET low = EXCLUDED.low, high = EXCLUDED.high`,
				[garden.id, garage.id, addDays('1970-01-01', d), low, high]
			);
		for (const { d, on } of observed) {
			const mean = 0.35 * ((on.low + on.high) / 2) + 0.65 * 18;
			await put(d, mean - 1, mean + 1);
		}
		garden = (await gardenById(DEMO_GARDEN))!;
		const after = await shown('Garage');
		if (observed.length === 0) {
			// Without a station nothing is known of the days outside: readings alone teach nothing.
			expect(after.learnt.days).toBe(0);
			expect(after.coldest).toEqual(before.coldest);
		} else {
			expect(after.learnt.days).toBeGreaterThan(60);
			expect(after.coldest[0]).toBeGreaterThan(before.coldest[0]);
		}
		await database().query('DELETE FROM reading_day WHERE garden_id = $1', [garden.id]);
	});
});
