/** The winter of the demo's garden: one plan for every screen, what is said of it obeyed, what would help proved by doing it. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { gardenById } from './context.js';
import type { Garden } from './context.js';
import { closeDatabase, database } from './db.js';
import { record } from './ledger.js';
import type { Act } from './ledger.js';
import { roundWorld } from './roundWorld.js';
import { carriedOf } from './roundTriggers.js';
import { coldInside, goingOut, outForGood, stockLooks, waking } from './roundWinter.js';
import { sheetRows } from './shelterSheet.js';
import { sheltersShown } from './shelterView.js';
import { winterChanges } from './winterChanges.js';
import { winterOf } from './winterPlan.js';
import { plantWinter } from './winterRoutes.js';
import * as state from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { oneAlive, PERIODS } from '$lib/core/shelter/index.js';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';

const today = '2026-09-05';
let garden: Garden;
const writer = () => ({ gardenId: garden.id, actor: 'test', today });
const write = async (acts: Omit<Act, 'id' | 'on' | 'note'>[]) => {
	const done = await record(writer(), acts.map((a) => ({ id: uuidv7(), on: today, note: '', ...a })) as never);
	expect(done.ok, JSON.stringify(done)).toBe(true);
	garden = (await gardenById(DEMO_GARDEN))!;
};
const places = async () => new Map((await state.places(database(), garden.id)).map((p) => [p.name, p]));
const stockOf = async (kind: string) =>
	(await state.stocks(database(), garden.id)).filter((s) => s.kind_id === kind && !s.gone_on);

beforeAll(async () => {
	process.env.SURCULUS_TODAY = today;
	await freshDatabase('winter_test');
	await loadDemo();
	garden = (await gardenById(DEMO_GARDEN))!;
}, 120_000);
afterAll(() => closeDatabase());

describe('the winter’s plan', () => {
	it('fits: no room holds more than it has at any time of the winter, nor the week more minutes than there are', async () => {
		const { winter: w } = await winterOf(garden);
		expect(w.plan.proven).toBe(true);
		for (const room of w.asked.rooms)
			for (let t = 0; t < PERIODS.length; t++) {
				const used = w.asked.guests.reduce((s, g) => {
					const c = w.plan.at.get(g.id)!;
					return s + (c.place === room.id ? (g.area[t]! * c.keeps) / g.count : 0);
				}, 0);
				if (room.areaCm2 !== null) expect(used).toBeLessThanOrEqual(room.areaCm2 + 1e-6);
			}
		const minutes = [...w.plan.at.values()].reduce((s, c) => s + c.minutes, 0);
		expect(minutes).toBeLessThanOrEqual(w.asked.minutesAWeek!);
	});

	it('is the same on Shelter, on the round and on the plant’s own page', async () => {
		const v = await sheltersShown(garden);
		const world = await roundWorld(garden);
		const going = [...v.outside, ...v.shelters.flatMap((s) => s.lodgers)].filter((l) => l.better?.fits);
		expect(going.length).toBeGreaterThan(3);
		const carried = new Map(
			carriedOf(
				world,
				going.map((l) => l.id)
			).map((c) => [c.id, c.to])
		);
		for (const l of going) {
			expect(carried.get(l.id), l.name).toBe(l.better!.placeId);
			const p = await plantWinter(garden, l.id);
			expect(p.routes.find((r) => r.planned)?.placeId, l.name).toBe(l.better!.placeId);
		}
	});

	it('does what the household says: stays, never, cannot be had again; and is undone with it', async () => {
		const at = await places();
		const before = (await winterOf(garden)).winter.plan.at;
		const [pelargonium] = await stockOf('ivy-pelargonium').then((all) => all.filter((s) => s.count === 3));
		expect(pelargonium).toBeDefined();
		const said = { pinned: null, never: [] as string[], worth: null, apart: false };
		const set = (data: Partial<Record<keyof typeof said, unknown>>) =>
			write([{ kind: 'lodging.set', subjectId: pelargonium!.id, data: { ...said, ...data } } as never]);
		await set({ pinned: at.get('Kitchen sill')!.id });
		expect((await winterOf(garden)).winter.plan.at.get(pelargonium!.id)!.place).toBe(at.get('Kitchen sill')!.id);
		await set({ never: [at.get('Kitchen sill')!.id, at.get('Garage')!.id] });
		// It stands there now all the same, and every screen still opens.
		const there = (await sheltersShown(garden)).shelters.flatMap((s) => s.lodgers).find((l) => l.id === pelargonium!.id)!;
		expect(there.chance).toBeGreaterThan(0.5);
		expect((await plantWinter(garden, pelargonium!.id)).stays).toBeGreaterThan(0.5);
		const elsewhere = (await winterOf(garden)).winter.plan.at.get(pelargonium!.id)!.place;
		expect([at.get('Kitchen sill')!.id, at.get('Garage')!.id]).not.toContain(elsewhere);
		// What cannot be had again comes before what any market has.
		await set({ worth: 'gone' });
		expect((await winterOf(garden)).winter.plan.at.get(pelargonium!.id)!.place).toBe(at.get('Kitchen sill')!.id);
		const apart = async () => {
			const { winter } = await winterOf(garden);
			const to = winter.plan.at.get(pelargonium!.id)!.place;
			return winter.asked.guests.filter((g) => g.id !== pelargonium!.id && winter.plan.at.get(g.id)!.place === to).length;
		};
		expect(await apart()).toBeGreaterThan(0);
		await set({ worth: 'gone', apart: true });
		const alone = (await winterOf(garden)).winter.plan.at.get(pelargonium!.id)!.place;
		if (alone !== null) expect(await apart()).toBe(0);
		await set({});
		expect((await winterOf(garden)).winter.plan.at).toEqual(before);
	});

	it('refuses what makes no sense, with a sentence', async () => {
		const at = await places();
		const [plant] = await stockOf('fuchsia');
		const refused = async (kind: string, subjectId: string, data: object) => {
			const done = await record(writer(), [{ id: uuidv7(), on: today, note: '', kind, subjectId, data } as never]);
			return done.ok ? null : done.problem.sentence;
		};
		const sill = at.get('Kitchen sill')!.id;
		const said = { pinned: sill, never: [sill], worth: null, apart: false };
		expect(await refused('lodging.set', plant!.id, said)).toMatch(/both stay there and never go there/);
		expect(await refused('lodging.set', uuidv7(), { ...said, never: [] })).toMatch(/no such plant/);
		expect(await refused('lodging.set', plant!.id, { ...said, never: [], pinned: uuidv7() })).toMatch(/no such place/);
		expect(await refused('place.guarded', sill, { cover: 'mat', heater: null })).toMatch(/no place for that cover/);
		expect(await refused('place.guarded', sill, { cover: null, heater: { watts: 300, setC: 3 } })).toMatch(
			/no place for a heater/
		);
		const frame = at.get('Cold frame')!.id;
		expect(await refused('place.guarded', frame, { cover: null, heater: { watts: 1e9, setC: 3 } })).toMatch(/Power/);
	});
});

describe('what would help', () => {
	it('is what it says once it is done: a mat over the frame', async () => {
		const { gains } = await winterChanges(garden);
		const mat = gains.find((g) => g.change.what === 'cover' && g.change.place === 'Cold frame')!;
		expect(mat.worth).toBeGreaterThan(0);
		const frame = (await places()).get('Cold frame')!;
		const shownC = async () => (await sheltersShown(garden)).shelters.find((s) => s.id === frame.id)!.coldest[0];
		const told = mat.change as { cover: string; fromC: number; toC: number };
		expect(await shownC()).toBeCloseTo(told.fromC, 9);
		await write([{ kind: 'place.guarded', subjectId: frame.id, data: { cover: told.cover, heater: null } } as never]);
		expect(await shownC()).toBeCloseTo(told.toC, 9);
		const then = await sheltersShown(garden);
		for (const name of mat.saved) {
			const one = [...then.outside, ...then.shelters.flatMap((s) => s.lodgers)].filter((l) => l.name === name);
			expect(Math.max(...one.map((l) => (l.better?.fits ? l.better.chance : l.chance))), name).toBeGreaterThanOrEqual(0.8);
		}
		// It is not offered twice.
		const again = await winterChanges(garden);
		expect(again.gains.some((g) => g.change.what === 'cover' && g.change.place === 'Cold frame')).toBe(false);
		await write([{ kind: 'place.guarded', subjectId: frame.id, data: { cover: null, heater: null } } as never]);
		expect(await shownC()).toBeCloseTo(told.fromC, 9);
	});
	it('tells a heater with its current and its money, and no heater where a household has one', async () => {
		const { gains } = await winterChanges(garden);
		const heater = gains.find((g) => g.change.what === 'heater')!.change as {
			kWh: number;
			money: number;
			watts: number;
			toC: number;
		};
		expect(heater.toC).toBeGreaterThan(0);
		// A winter of 220 days has so many hours.
		expect(heater.kWh).toBeLessThan((heater.watts * 220 * 24) / 1000);
		expect(heater.money).toBeCloseTo(heater.kWh * 0.3, 9);
		expect(gains.some((g) => g.change.what === 'heater' && g.change.place === 'Kitchen sill')).toBe(false);
	});
});

describe('one plant’s winter', () => {
	it('has every way through with its odds, and pairs no less sure than either', async () => {
		for (const kind of ['fuchsia', 'marguerite', 'ivy-pelargonium', 'hydrangea', 'penstemon']) {
			const [plant] = await stockOf(kind);
			if (!plant) continue;
			const p = await plantWinter(garden, plant.id);
			expect(p.routes.length, kind).toBeGreaterThan(1);
			for (const r of p.routes) {
				expect(r.chance, `${kind} ${r.id}`).toBeGreaterThanOrEqual(0);
				expect(r.chance).toBeLessThanOrEqual(1);
				if (r.copies) expect(r.chance).toBeCloseTo(oneAlive([r.copies], p.winters), 12);
			}
			for (const pair of p.pairs) {
				const each = pair.ids.map((id) => p.routes.find((r) => r.id === id)!.chance);
				expect(pair.chance).toBeGreaterThanOrEqual(Math.max(...each) - 1e-9);
				expect(pair.chance).toBeLessThanOrEqual(1 - (1 - each[0]!) * (1 - each[1]!) + 0.02);
			}
			// As it stands it is as sure as the way that it is on.
			const here = p.routes.find((r) => r.here);
			if (here) expect(p.stays).toBeCloseTo(here.chance, 9);
		}
	});
	it('counts cuttings in: a few of the fuchsia are surer than the plant alone', async () => {
		const [plant] = await stockOf('fuchsia');
		const p = await plantWinter(garden, plant!.id);
		expect(p.routes.some((r) => r.what === 'cuttings' || r.what === 'water')).toBe(true);
		expect(p.pairs[0]!.chance).toBeGreaterThan(p.stays);
	});
	it('is bought again only where it can be', async () => {
		const [plant] = await stockOf('fuchsia');
		expect((await plantWinter(garden, plant!.id)).routes.some((r) => r.what === 'bought')).toBe(true);
		await write([
			{ kind: 'lodging.set', subjectId: plant!.id, data: { pinned: null, never: [], worth: 'gone', apart: false } } as never
		]);
		expect((await plantWinter(garden, plant!.id)).routes.some((r) => r.what === 'bought')).toBe(false);
	});
});

describe('the round in winter', () => {
	it('looks over what was brought in, weekly in the light and monthly in the dark, and says when it is dry', async () => {
		process.env.SURCULUS_TODAY = '2027-01-15';
		try {
			garden = (await gardenById(DEMO_GARDEN))!;
			const w = await roundWorld(garden);
			const looks = stockLooks(w, dayNumber('2027-01-15'));
			const at = await places();
			const of = (name: string) => looks.find((t) => t.placeId === at.get(name)!.id)!;
			expect(of('Kitchen sill').every).toBe(7);
			expect(of('Garage').every).toBe(28);
			expect(of('Garage').why).toMatch(/dry a finger deep: about every \d/);
			// A tenth of the plants of summer beds is not called to the garage.
			expect(looks.every((t) => t.targets.length > 0)).toBe(true);
			expect(stockLooks(w, dayNumber('2027-07-15'))).toEqual([]);
		} finally {
			process.env.SURCULUS_TODAY = today;
			garden = (await gardenById(DEMO_GARDEN))!;
		}
	});
});

describe('a level of a place', () => {
	it('is as warm as the place that it is in, has room of its own, and is no place to itself', async () => {
		const garage = (await places()).get('Garage')!;
		const loft = uuidv7();
		const data = { name: 'Garage loft', kind: 'garage', light: 'dark', low_c: null, high_c: null, room_cm2: 5_000, walk: 9 };
		const set = (more: object) =>
			record(writer(), [
				{ id: uuidv7(), on: today, note: '', kind: 'place.set', subjectId: loft, data: { ...data, ...more } } as never
			]);
		for (const level_of of [loft, uuidv7(), (await places()).get('Long border')!.id]) {
			const done = await set({ level_of });
			expect(done.ok ? null : done.problem.path).toBe('level_of');
		}
		expect((await set({ level_of: garage.id })).ok).toBe(true);
		garden = (await gardenById(DEMO_GARDEN))!;
		const v = await sheltersShown(garden);
		const [a, b] = ['Garage', 'Garage loft'].map((name) => v.shelters.find((s) => s.name === name)!);
		expect(b!.coldest).toEqual(a!.coldest);
		expect(b!.levelOf).toBe('Garage');
		expect(b!.roomCm2).toBe(5_000);
		await write([{ kind: 'place.closed', subjectId: loft, data: {} } as never]);
	});
});

describe('late winter and out again', () => {
	const on = async <T>(day: string, ask: (w: Awaited<ReturnType<typeof roundWorld>>, now: number) => T): Promise<T> => {
		process.env.SURCULUS_TODAY = day;
		try {
			garden = (await gardenById(DEMO_GARDEN))!;
			return ask(await roundWorld(garden), dayNumber(day));
		} finally {
			process.env.SURCULUS_TODAY = today;
			garden = (await gardenById(DEMO_GARDEN))!;
		}
	};
	it('wakes them weeks before they go out, and takes them out when no night ahead is too cold; nothing in autumn', async () => {
		const fuchsia = (await stockOf('fuchsia'))[0]!;
		const out = await on('2027-04-10', (w, now) => goingOut(w, now).find((o) => o.id === fuchsia.id));
		// In a garden of −21 °C whose last frost is in early May, not in April and not in July.
		expect(out!.plantOn).toBeGreaterThan(dayNumber('2027-04-20'));
		expect(out!.plantOn).toBeLessThan(dayNumber('2027-07-01'));
		const woken = await on('2027-04-10', (w, now) => waking(w, now));
		const garage = (await places()).get('Garage')!;
		const task = woken.find((t) => t.placeId === garage.id)!;
		expect(task.targets).toContain(fuchsia.id);
		expect(task.why).toMatch(/They go out in about \d+ weeks\..*bring them to light/);
		expect(await on('2027-04-10', (w, now) => outForGood(w, now))).toEqual([]);
		const june = await on('2027-06-10', (w, now) => outForGood(w, now));
		expect(june.flatMap((t) => t.targets)).toContain(fuchsia.id);
		for (const day of ['2026-10-10', '2026-12-20'])
			expect(await on(day, (w, now) => [...waking(w, now), ...outForGood(w, now), ...goingOut(w, now)]), day).toEqual([]);
	});
	it('warns of a shelter that the nights ahead bring to what stands in it bears, and not of one that they do not', async () => {
		// Without a forecast nobody knows the nights ahead: nothing is said.
		expect(await on('2026-09-05', (w, now) => coldInside(w, now))).toEqual([]);
		const day = '2027-01-12';
		const told = async (lowC: number) => {
			const night = (n: number) => ({ low: lowC + n / 5, high: lowC + 6, rain: 0 });
			const members = Array.from({ length: 10 }, (_, m) => Array.from({ length: 10 }, () => night(m)));
			await database().query(
				`INSERT INTO station_state (garden_id, tried_at, ok_at, issued_on, forecast) VALUES ($1, now(), now(), $2, $3)
				 ON CONFLICT (garden_id) DO UPDATE SET ok_at = now(), issued_on = $2, forecast = $3`,
				[garden.id, day, JSON.stringify(members)]
			);
			return on(day, async (w, now) => ({ tasks: coldInside(w, now), shown: await sheltersShown(w.garden) }));
		};
		try {
			expect((await told(-2)).tasks).toEqual([]);
			const cold = await told(-40);
			const garage = (await places()).get('Garage')!;
			const task = cold.tasks.find((t) => t.placeId === garage.id)!;
			const fuchsia = (await stockOf('fuchsia'))[0]!;
			expect(task.targets).toContain(fuchsia.id);
			expect(task.title).toContain('Garage is getting too cold for ');
			// In time for the first of those nights, and the screen tells the same odds of the same night.
			expect(task.from).toBeLessThanOrEqual(dayNumber(day) + 1);
			const shelter = cold.shown.shelters.find((s) => s.id === garage.id)!;
			expect(shelter.ahead!.tenderest!.chance).toBe(task.chance);
			expect(shelter.ahead!.tenderest!.chance).toBeGreaterThanOrEqual(0.2);
		} finally {
			await database().query('DELETE FROM station_state WHERE garden_id = $1', [garden.id]);
		}
	});
});

describe('the sheet for the door', () => {
	it('names who stands where by the plan, and no more', async () => {
		const rows = await sheetRows(garden, null);
		const { winter } = await winterOf(garden);
		const inside = winter.things.filter((t) => winter.rooms.some((p) => p.id === winter.plan.at.get(t.id)!.place));
		expect(rows).toHaveLength(inside.length);
		for (const t of inside) expect(rows.some((r) => r.what.includes(t.name))).toBe(true);
		for (const r of rows)
			expect(r.how).toMatch(/^Bears .*(Carry it in.*)?Water when a finger deep is dry, about every (week|\d+ weeks); no feed\.$/);
		const sill = winter.rooms.find((p) => p.name === 'Kitchen sill')!;
		expect((await sheetRows(garden, sill.id)).every((r) => r.head.startsWith('Kitchen sill: falls to'))).toBe(true);
	});
});
