/** Weather in and out of the house: records, the station well and ill, gardens at the edges of the earth. */
import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { loadDemo, DEMO_GARDEN } from '../../../demo/load.js';
import { freePort } from '../../../bin/lib.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { vegaCity } from '../../testing/vegaWeather.js';
import { gardenCalendar } from './calendar.js';
import { gardenById, kindsOf } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { createGarden, rebuild, undo } from './ledger.js';
import { roundOf } from './round.js';
import { seasonOf } from './season.js';
import { refreshStation } from './station.js';
import * as weather from './store/weather.js';
import { importRecord, importSchema } from './weather.js';
import type { ImportBody } from './weather.js';
import { stripWeather } from './strip.js';
import { weatherShown } from './weatherView.js';
import { windowView } from './windows.js';
import { yearShown } from './yearView.js';
import { addDays, dayNumber } from '$lib/core/dates.js';
import { daysOf } from '$lib/core/season/record.js';

const TODAY = '2026-09-05';
let station: ChildProcess;
let address = '';
const garden = async (): Promise<Garden> => (await gardenById(DEMO_GARDEN))!;
const scenario = async (body: unknown) => {
	const answer = await fetch(`${address}/scenario`, {
		method: 'PUT',
		body: JSON.stringify(body),
		headers: { connection: 'close' }
	});
	expect(answer.status).toBe(200);
};

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await closeDatabase();
	await freshDatabase('weather');
	await loadDemo();
	const port = await freePort();
	address = `http://127.0.0.1:${port}`;
	station = spawn(process.execPath, ['--import', 'tsx', join(process.cwd(), 'stand-ins/weather-station/server.ts')], {
		env: { ...process.env, PORT: String(port) },
		stdio: 'ignore'
	});
	for (let i = 0; i < 150; i++) {
		if (
			await fetch(`${address}/healthz`).then(
				(a) => a.ok,
				() => false
			)
		)
			break;
		await new Promise((r) => setTimeout(r, 100));
	}
	process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
});
afterAll(async () => {
	station.kill();
	delete process.env.SURCULUS_TODAY;
	delete process.env.SURCULUS_STAND_INS;
	await closeDatabase();
});

const seattle = (from = 0, to = 1461): ImportBody => {
	const days = vegaCity('Seattle').slice(from, to);
	const tenths = (of: (d: (typeof days)[number]) => number) => days.map((d) => Math.round(of(d) * 10));
	return {
		id: uuidv7(),
		name: 'Seattle',
		format: 'csv',
		first: days[0]!.date,
		low: tenths((d) => d.low),
		high: tenths((d) => d.high),
		rain: tenths((d) => d.rain)
	};
};

describe('a record taken in', () => {
	it('changes the climate that all is reckoned by, and undone gives it back', async () => {
		const before = await garden();
		expect(before.base.made).toBe(false);
		const body = seattle();
		const writer = { gardenId: before.id, actor: 'test', today: TODAY };
		// The demo's own record is taken out first, so that Seattle stands alone.
		const demo = (await weather.imports(database(), before.id))[0]!;
		expect((await undo(writer, demo.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.made).toBe(true);
		expect((await importRecord(before, 'test', body)).ok).toBe(true);
		const after = await garden();
		expect(after.base.made).toBe(false);
		expect(after.base.recordClimate.years).toEqual([2012, 2013, 2014, 2015]);
		expect(after.climate.coldestC).toBeGreaterThan(-9);
		expect(daysOf(after.base.record)).toHaveLength(1461);
		// The kinds' windows moved with it: a maritime spring begins earlier than a mountain one.
		const opens = async (g: Garden) => (await kindsOf(g)).get('box')!.ways[0]!.window.opens.at!.doy;
		expect(await opens(after)).not.toBe(await opens(before));
		// Sent again it is the same record, and it can be undone like any entry.
		expect((await importRecord(before, 'test', body)).ok).toBe(true);
		expect(await weather.imports(database(), before.id)).toHaveLength(1);
		const kept = await rebuild(before.id);
		expect(kept.entries).toBeGreaterThan(100);
		expect((await weather.imports(database(), before.id)).map((i) => i.id)).toEqual([body.id]);
		expect((await undo(writer, body.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.made).toBe(true);
		// And the demo's stands again when its own undoing is undone.
		const { rows } = await database().query<{ id: string }>(`SELECT id FROM entry WHERE reverses = $1`, [demo.id]);
		expect((await undo(writer, rows[0]!.id, uuidv7())).ok).toBe(true);
		expect((await garden()).base.key).toBe(before.base.key);
	});

	it('of one week makes no climate, and the days count as observed', async () => {
		const g = await garden();
		const first = addDays(TODAY, -8);
		const week = {
			id: uuidv7(),
			name: 'notebook',
			format: 'csv' as const,
			first,
			low: [51, 52, 53, 54, 55, 56, 57],
			high: [151, 152, 153, 154, 155, 156, 157],
			rain: [0, 0, 10, 0, 0, 0, null]
		};
		expect((await importRecord(g, 'test', week)).ok).toBe(true);
		const after = await garden();
		expect(after.base.recordClimate.years).toEqual(g.base.recordClimate.years);
		expect(after.base.recent.find((d) => d.day === dayNumber(first))).toMatchObject({ low: 5.1, high: 15.1 });
		expect((await seasonOf(after)).sky.on(dayNumber(first))).toMatchObject({ low: 5.1, from: 'observed' });
		await undo({ gardenId: g.id, actor: 'test', today: TODAY }, week.id, uuidv7());
	});

	it('is refused whole when a day cannot be, comes from the future or holds nothing', async () => {
		const g = await garden();
		const code = async (change: Partial<ImportBody>) => {
			const result = await importRecord(g, 'test', { ...seattle(0, 10), ...change });
			return result.ok ? 'ok' : result.problem.code;
		};
		expect(await code({ low: [9000, ...Array.from({ length: 9 }, () => 1)] })).toBe('weather.low');
		expect(await code({ low: Array.from({ length: 10 }, () => 400) })).toBe('weather.order');
		expect(await code({ first: '2026-09-01' })).toBe('weather.future');
		const nothing = Array.from({ length: 10 }, () => null);
		expect(await code({ low: nothing, high: nothing, rain: nothing })).toBe('weather.empty');
		expect(importSchema.safeParse({ ...seattle(0, 10), high: [1] }).success).toBe(false);
		const { rows } = await database().query('SELECT 1 FROM weather_import WHERE garden_id = $1 AND name = $2 AND NOT standing', [
			g.id,
			'Seattle'
		]);
		expect(rows.length).toBeLessThanOrEqual(1);
	});
});

describe('the weather station', () => {
	beforeEach(() => scenario({ mode: 'ok', spells: [] }));
	const told = async () => (await weather.stationState(database(), DEMO_GARDEN))!;

	it('tells past days, today by the hour and twenty members of ten days', async () => {
		const g = await garden();
		await weather.takeTurn(database(), g.id, 0);
		await refreshStation(g);
		const s = await told();
		expect(s.trouble).toBeNull();
		expect(s.issued_on).toBe(TODAY);
		expect(s.forecast).toHaveLength(20);
		expect(s.forecast!.every((m) => m.length === 10)).toBe(true);
		expect(s.hours!.hours).toHaveLength(24);
		expect((await weather.stationDays(database(), g.id, addDays(TODAY, -400))).length).toBe(400);
		const spread = (n: number) => {
			const lows = s.forecast!.map((m) => m[n]!.low);
			return Math.max(...lows) - Math.min(...lows);
		};
		expect(spread(9)).toBeGreaterThan(spread(1));
	});

	it('a cold snap put upon it calls the tender pots in and asks for covers', async () => {
		const before = await roundOf(await garden(), dayNumber(TODAY));
		await scenario({ spells: [{ from: addDays(TODAY, 1), to: addDays(TODAY, 4), degrees: -14 }] });
		await refreshStation(await garden());
		const after = await roundOf(await garden(), dayNumber(TODAY));
		const bring = (r: typeof after) => r.stops.flatMap((s) => s.tasks).filter((t) => t.work === 'shelter');
		const soon = bring(after);
		expect(soon.length).toBeGreaterThan(0);
		expect(Math.max(...soon.map((t) => t.chance!))).toBeGreaterThan(0.9);
		expect(Math.min(...soon.map((t) => t.by))).toBeLessThanOrEqual(dayNumber(TODAY) + 2);
		expect(Math.max(0, ...bring(before).map((t) => t.chance!))).toBeLessThan(Math.max(...soon.map((t) => t.chance!)));
		const calendar = await gardenCalendar(await garden(), 'http://127.0.0.1');
		const events = new ICAL.Component(ICAL.parse(calendar) as never[]).getAllSubcomponents('vevent');
		expect(events.length).toBeGreaterThan(5);
		expect(events.some((e) => e.getAllSubcomponents('valarm').length === 1)).toBe(true);
	});

	const ills: [string, RegExp][] = [
		['down', /503/],
		['nonsense', /no sense/],
		['huge', /longer than 2 MB/],
		['wrong-day', /not for today/],
		['hang', /does not answer/]
	];
	for (const [mode, sentence] of ills)
		it(`${mode}: what was known stays, the trouble is told, the round works on`, { timeout: 60_000 }, async () => {
			await refreshStation(await garden());
			const before = await told();
			await scenario({ mode });
			await refreshStation(await garden());
			const after = await told();
			expect(after.trouble).toMatch(sentence);
			expect(after.forecast).toEqual(before.forecast);
			expect(after.ok_at).toEqual(before.ok_at);
			const view = await weatherShown(await garden(), dayNumber(TODAY), null);
			expect(view.station.trouble).toMatch(sentence);
			expect(view.nights).toHaveLength(10);
		});

	it('gone altogether, it is said so', async () => {
		process.env.SURCULUS_STAND_INS = 'weather-station=http://127.0.0.1:1';
		await refreshStation(await garden());
		expect((await told()).trouble).toMatch(/cannot be reached/);
		process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
	});
});

describe('gardens at the edges of the earth', () => {
	const places: [string, number, { last: number; first: number } | null, number][] = [
		['the north pole', 90, { last: 190, first: 215 }, -45],
		['the Arctic circle', 66.6, { last: 160, first: 250 }, -35],
		['the equator', 0, null, 16],
		['the wet and dry tropics', 14, null, 12],
		['the southern circle', -66.6, { last: 355, first: 35 }, -30],
		['a mild southern coast', -41, { last: 250, first: 160 }, -2]
	];
	for (const [name, latitude, frost, coldest] of places)
		it(`${name}: every screen's figures are figures`, async () => {
			process.env.SURCULUS_STAND_INS = '';
			const id = uuidv7();
			const made = await createGarden(id, name, 'test', TODAY, [
				{
					id,
					kind: 'garden.set',
					subjectId: id,
					on: TODAY,
					data: {
						name,
						place: '',
						latitude,
						longitude: 10,
						height_m: 10,
						time_zone: 'UTC',
						units: 'metric',
						temperature: 'C',
						currency: 'EUR',
						coldest_c: coldest,
						last_frost: frost && { doy: frost.last, sd: 10 },
						first_frost: frost && { doy: frost.first, sd: 10 },
						minutes_per_week: 60,
						away: [],
						guessed: []
					}
				}
			]);
			expect(made.ok ? '' : made.problem.sentence).toBe('');
			const g = (await gardenById(id))!;
			expect(g.base.made).toBe(true);
			for (const ahead of [0, 100, 200, 300]) {
				const day = dayNumber(TODAY) + ahead;
				expect((await roundOf(g, day)).stops).toEqual([]);
				const view = await weatherShown(g, day, 5);
				expect(view.nights.every((n) => n.freeze >= 0 && n.freeze <= 1 && Number.isFinite(n.et0))).toBe(true);
				expect(view.warmth.every((w) => Number.isFinite(w.here) && Number.isFinite(w.usual))).toBe(true);
				expect(view.frost).toHaveLength(4);
			}
			const season = await seasonOf(g);
			const strip = await stripWeather(g);
			expect(strip.usual.every((w) => Number.isFinite(w.low) && w.low <= w.high)).toBe(true);
			for (const kind of (await kindsOf(g)).values())
				for (const w of kind.ways) {
					const view = windowView(season, w.window, kind, dayNumber(TODAY));
					expect(view.values.every((v) => v >= 0 && v <= 1)).toBe(true);
				}
			const year = await yearShown(g, dayNumber(TODAY));
			expect(year.points.every((p) => p.frost >= 0 && p.frost <= 1 && p.light >= 0 && p.light <= 24)).toBe(true);
			process.env.SURCULUS_STAND_INS = `weather-station=${address}`;
		});
});
