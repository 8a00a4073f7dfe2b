import pg from 'pg';
import { v5 as uuidv5, v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { act as doing, ACTS_TODAY, noTreatment, stockAct as stock, struckAct } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { closeDatabase, database } from './db.js';
import { createGarden, rebuild, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { DatabaseNewer, migrate } from './migrate.js';
import { ledgerPage, searchTerms } from './store/entries.js';
import * as state from './store/state.js';
import { ROOT } from '../../../bin/lib.js';
import { readCode } from '$lib/core/ledger/index.js';

const TODAY = ACTS_TODAY;
const gardenId = uuidv7();
const writer = { gardenId, actor: 'test', today: TODAY };
const settings = gardenSettings();
const act = (kind: Act['kind'], subjectId: string, data: Record<string, unknown>, on = TODAY): Act =>
	doing(kind, subjectId, data, { on });
const struck = (subjectId: string, stockId: string | null, n = 20, on = TODAY): Act => struckAct(subjectId, stockId, n, { on });
const check = (subjectId: string, alive: number, rooted: number | null, seen?: number): Act => ({
	...act('batch.checked', subjectId, { alive, rooted, sign: 'none' }),
	seen: seen ?? null
});
const ok = async (...acts: Act[]) => {
	const r = await record(writer, acts);
	if (!r.ok) throw new Error(`${r.problem.code}: ${r.problem.sentence}`);
	return r.value;
};
const code = async (...acts: Act[]) => {
	const r = await record(writer, acts);
	return r.ok ? 'ok' : r.problem.code;
};
const batch = async (id: string) => (await state.batchById(database(), gardenId, id))!;

beforeAll(async () => {
	await freshDatabase('ledger_test');
	const made = await createGarden(gardenId, 'Tëst  ground!', 'test', TODAY, [
		{ id: gardenId, kind: 'garden.set', subjectId: gardenId, on: TODAY, data: settings }
	]);
	expect(made).toEqual({ ok: true, value: { slug: 'test-ground' } });
});
afterAll(closeDatabase);

describe('the ledger', () => {
	it('is append-only by the database itself: for the app, which may only add, and for the owner', async () => {
		const owner = new pg.Client({ connectionString: process.env.DATABASE_URL });
		await owner.connect();
		for (const sql of ["UPDATE entry SET note = 'x'", 'DELETE FROM entry', 'TRUNCATE entry']) {
			await expect(database().query(sql), sql).rejects.toThrow(/permission denied/);
			await expect(owner.query(sql), sql).rejects.toThrow(/append-only/);
		}
		for (const sql of ['ALTER TABLE entry DISABLE TRIGGER ALL', 'DROP TABLE care', 'UPDATE schema_version SET version = 1'])
			await expect(database().query(sql), sql).rejects.toThrow(/must be owner|permission denied/);
		await owner.end();
	});

	it('takes the same entry twice as one, and gives batches codes that read back', async () => {
		const id = uuidv7();
		const once = struck(id, null);
		const first = await ok(once);
		const again = await ok(once);
		expect(again.already).toBe(true);
		expect((await batch(id)).struck).toBe(20);
		expect(readCode(first.code!)).toEqual({ ok: true, value: (await batch(id)).code });
		expect(await code({ ...check(id, 3, null), id: once.id })).toBe('entry.id-taken');
	});

	it('refuses what does not exist, is not allowed or cannot be, and keeps nothing of it', async () => {
		const before = (await database().query('SELECT count(*) AS n FROM entry')).rows[0].n;
		const id = uuidv7();
		expect(await code(struck(id, uuidv7()))).toBe('stock.unknown');
		expect(await code({ ...struck(id, null), data: { ...struck(id, null).data, way_id: 'magic' } })).toBe('way.unknown');
		expect(await code(struck(id, null, 20, '2027-07-21'))).toBe('entry.future');
		expect(await code(struck(id, null, 20, '2027-02-30'))).toBe('entry.invalid');
		expect(await code(struck(id, null, 0))).toBe('entry.invalid');
		expect(await code(stock(uuidv7(), { kind_id: 'triffid' }))).toBe('kind.unknown');
		expect(await code(stock(uuidv7(), { place_id: uuidv7() }))).toBe('place.unknown');
		const want = {
			kind_id: 'lavender',
			purpose: 'plants',
			label: '',
			place_id: null,
			target: 5,
			due: '2028-06-01',
			confidence: 0.9,
			shape: null
		};
		for (const [bad, expected] of [
			[{ due: '2027-07-19' }, 'want.past'],
			[{ due: '2060-01-01' }, 'want.far'],
			[{ due: '2028-02-30' }, 'entry.invalid'],
			[{ target: 0 }, 'entry.invalid'],
			[{ target: -3 }, 'entry.invalid'],
			[{ target: 1e6 }, 'entry.invalid'],
			[{ confidence: 0 }, 'entry.invalid'],
			[{ confidence: 1 }, 'entry.invalid']
		] as const)
			expect(await code(act('want.set', uuidv7(), { ...want, ...bad }))).toBe(expected);
		expect(await code(act('garden.set', gardenId, { ...settings, latitude: 91 }))).toBe('entry.invalid');
		expect(await code(act('garden.set', gardenId, { ...settings, latitude: -52 }))).toBe('climate.wrong-hemisphere');
		// A doing of two entries whose second is wrong leaves no first behind.
		const s = uuidv7();
		expect(await code(stock(s), check(uuidv7(), 1, null))).toBe('batch.not-begun');
		expect(await state.stockById(database(), gardenId, s)).toBeNull();
		expect((await database().query('SELECT count(*) AS n FROM entry')).rows[0].n).toBe(before);
	});

	it('does not multiply protected stock until leave is recorded', async () => {
		const s = uuidv7();
		await ok(stock(s, { protection: { status: 'protected', until: 2041 } }));
		expect(await code(struck(uuidv7(), s))).toBe('stock.protected');
		await ok(act('stock.leave', s, { basis: 'licence', reference: 'letter of May' }));
		expect(await code(struck(uuidv7(), s))).toBe('ok');
	});

	it('lets one of two who log the same batch at once know, and loses neither', async () => {
		const id = uuidv7();
		await ok(struck(id, null, 20));
		const seen = (await batch(id)).version;
		const [a, b] = await Promise.all([record(writer, [check(id, 18, 5, seen)]), record(writer, [check(id, 12, 2, seen)])]);
		expect([a.ok, b.ok].sort()).toEqual([false, true]);
		const refused = a.ok ? b : a;
		expect(!refused.ok && refused.problem.code).toBe('entry.changed-since');
		expect((await batch(id)).version).toBeGreaterThan(seen);
	});

	it('keeps notes of 5,000 characters, emoji, right-to-left text and tags as they are', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const notes = ['🌱'.repeat(2_500), 'نعناع في الماء', '<script>alert(1)</script>', 'null\u0000byte'];
		for (const note of notes) await ok({ ...check(id, 20, null), note });
		const rows = await ledgerPage(database(), gardenId, {
			text: '',
			kind: 'batch.checked',
			kindId: null,
			from: null,
			to: null,
			after: null,
			limit: 4
		});
		expect(rows.map((r) => r.note).reverse()).toEqual([...notes.slice(0, 3), 'nullbyte']);
		expect(await code({ ...check(id, 20, null), note: 'x'.repeat(5_001) })).toBe('entry.invalid');
	});
});

describe('undo', () => {
	it('reverses all that was done together, and can itself be undone', async () => {
		const id = uuidv7();
		const stockId = uuidv7();
		await ok(struck(id, null, 10));
		const kept = await ok(act('batch.kept', id, { count: 2, stock_id: stockId }), stock(stockId, { from_batch: id }));
		expect(await state.stockById(database(), gardenId, stockId)).toMatchObject({ from_batch: id });
		const undoId = uuidv7();
		expect((await undo(writer, kept.ids[1]!, undoId)).ok).toBe(true);
		expect(await batch(id)).toMatchObject({ kept: 0, unrooted: 10 });
		expect(await state.stockById(database(), gardenId, stockId)).toBeNull();
		expect((await undo(writer, kept.ids[0]!, uuidv7())).ok).toBe(false);
		expect((await undo(writer, undoId, uuidv7())).ok).toBe(true);
		expect(await batch(id)).toMatchObject({ kept: 2, unrooted: 8 });
		expect(await state.stockById(database(), gardenId, stockId)).not.toBeNull();
	});

	it('is refused when later entries lean on what it takes away, with the reason', async () => {
		const s = uuidv7();
		const id = uuidv7();
		const added = await ok(stock(s));
		const begun = await ok(struck(id, s));
		await ok(check(id, 18, 4));
		const a = await undo(writer, added.ids[0]!, uuidv7());
		expect(!a.ok && a.problem.code).toBe('undo.leaned-on');
		const b = await undo(writer, begun.ids[0]!, uuidv7());
		expect(!b.ok && b.problem.code).toBe('batch.not-begun');
		expect(await batch(id)).toMatchObject({ struck: 20, lost: 2 });
	});

	it('will not take a garden’s first settings away', async () => {
		const r = await undo(writer, gardenId, uuidv7());
		expect(!r.ok && r.problem.code).toBe('garden.first');
	});
});

describe('rebuild', () => {
	it('reaches the same rows from the ledger alone', async () => {
		// A little of everything, with undos in between.
		const id = uuidv7();
		const to = uuidv5('split', id);
		const place = uuidv7();
		await ok(
			act('place.set', place, {
				name: 'Frame',
				kind: 'frame',
				light: 'bright',
				low_c: -5,
				high_c: 30,
				room_cm2: 1000,
				walk: 1
			})
		);
		await ok(
			act('want.set', uuidv7(), {
				kind_id: 'box',
				purpose: 'hedge',
				label: '',
				place_id: place,
				target: 21,
				due: '2029-06-01',
				confidence: 0.9,
				shape: { lengthM: 12 }
			})
		);
		await ok(act('figure.set', uuidv7(), { kind_id: 'lavender', path: 'ways.semi-ripe.rooted.chance', value: 0.6 }));
		await ok(struck(id, null, 20));
		await ok(check(id, 18, 10));
		await ok(act('batch.split', id, { count: 4, to }), {
			...act('batch.split-off', to, {
				from: id,
				kind_id: 'lavender',
				way_id: 'semi-ripe',
				stock_id: null,
				want_id: null,
				place_id: place,
				unrooted: 0,
				rooted: 4,
				potted: 0,
				wintered: false,
				struck_on: TODAY,
				treatment: noTreatment,
				container: ''
			}),
			takesCode: true
		});
		const lost = await ok(act('batch.lost', id, { count: 1, why: 'slugs', planted: false }));
		await undo(writer, lost.ids[0]!, uuidv7());
		const tables = ['garden_state', 'place', 'stock', 'want', 'figure', 'batch'];
		const dump = async () =>
			Promise.all(tables.map(async (t) => (await database().query(`SELECT * FROM ${t} ORDER BY 1, 2`)).rows));
		const before = await dump();
		expect(before.every((rows) => rows.length > 0)).toBe(true);
		await rebuild(gardenId);
		expect(await dump()).toEqual(before);
	});
});

describe('searching', () => {
	it('finds by the beginning of any word, and takes nothing typed for an operator', async () => {
		expect(searchTerms("lav' & | !(gate):*")).toBe('lav:* & gate:*');
		expect(searchTerms(' -- ')).toBeNull();
		const found = await ledgerPage(database(), gardenId, {
			text: 'gat lav',
			kind: null,
			kindId: null,
			from: null,
			to: null,
			after: null,
			limit: 50
		});
		expect(found.length).toBeGreaterThan(0);
		expect(found.every((e) => /gate/.test(e.line))).toBe(true);
	});

	it('finds every batch by its code, digits and all', async () => {
		const ids = Array.from({ length: 12 }, () => uuidv7());
		for (const id of ids) await ok(struck(id, null, 1));
		const codes = (await state.batches(database(), gardenId)).map((b) => b.code);
		expect(codes.some((c) => /\d$/.test(c))).toBe(true);
		for (const text of codes) {
			const found = await ledgerPage(database(), gardenId, {
				text,
				kind: null,
				kindId: null,
				from: null,
				to: null,
				after: null,
				limit: 50
			});
			expect(
				found.some((e) => e.line.includes(text)),
				text
			).toBe(true);
		}
	});

	it('pages without gaps or repeats', async () => {
		const filter = { text: '', kind: null, kindId: null, from: null, to: null, limit: 7 };
		const seen: string[] = [];
		let after: { on: string; seq: number } | null = null;
		for (;;) {
			const rows = await ledgerPage(database(), gardenId, { ...filter, after });
			seen.push(...rows.map((r) => r.id));
			if (rows.length < 7) break;
			after = { on: rows.at(-1)!.happened_on, seq: rows.at(-1)!.seq };
		}
		const { n } = (await database().query('SELECT count(*) AS n FROM entry')).rows[0];
		expect(new Set(seen).size).toBe(Number(n));
		expect(seen.length).toBe(Number(n));
	});
});

describe('a database that is newer than the code', () => {
	it('is refused with a clear sentence', async () => {
		const owner = new pg.Client({ connectionString: process.env.DATABASE_URL });
		await owner.connect();
		await owner.query("INSERT INTO schema_version (version, name, md5, run_at) VALUES (9999, 'from the future', '', now())");
		await expect(migrate(process.env.DATABASE_URL!, ROOT)).rejects.toThrow(DatabaseNewer);
		await owner.query('DELETE FROM schema_version WHERE version = 9999');
		await owner.end();
	});
});
