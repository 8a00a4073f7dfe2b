/** What was written is there once, right, and stays: any order of doing, undoing, sending twice, and deriving afresh. */
import fc from 'fast-check';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { ROOT } from '../../../bin/lib.js';
import { gardenSettings } from '../../testing/garden.js';
import { closeDatabase, database } from './db.js';
import { createGarden, rebuild, rebuildStale, RebuildRefused, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { migrate } from './migrate.js';
import { asEntry, entryById } from './store/entries.js';
import type { StoredEntry } from './store/entries.js';
import { gardensToDerive, PROJECTIONS } from './store/projections.js';
import * as state from './store/state.js';
import { effective } from '$lib/core/ledger/index.js';
import type { EntryKind } from '$lib/core/ledger/index.js';

const TODAY = '2027-07-20';
let gardenId = '';
const writer = () => ({ gardenId, actor: 'test', today: TODAY });
const act = (kind: EntryKind, subjectId: string, data: Record<string, unknown>, more: Partial<Act> = {}): Act => ({
	id: uuidv7(),
	kind,
	subjectId,
	on: TODAY,
	data,
	...more
});
const none = { medium: '', hormone: '', wound: false, cover: '' };
const stock = (id: string, over: Record<string, unknown> = {}) =>
	act('stock.set', id, {
		kind_id: 'lavender',
		place_id: null,
		label: '',
		count: 12,
		size_cm: 50,
		age_years: 4,
		condition: 'strong',
		protection: { status: 'free', until: null },
		from_batch: null,
		...over
	});
const place = (id: string) =>
	act('place.set', id, { name: 'Frame', kind: 'frame', light: 'bright', low_c: -5, high_c: 30, room_cm2: 1000, walk: 1 });
const struck = (id: string, stockId: string | null, n = 20) =>
	act(
		'batch.struck',
		id,
		{
			kind_id: 'lavender',
			way_id: 'semi-ripe',
			stock_id: stockId,
			want_id: null,
			place_id: null,
			struck: n,
			treatment: none,
			container: ''
		},
		{ takesCode: true }
	);
const checked = (id: string, alive: number, more: Partial<Act> = {}) =>
	act('batch.checked', id, { alive, rooted: null, sign: 'none' }, more);
const ok = async (...acts: Act[]) => {
	const r = await record(writer(), acts);
	if (!r.ok) throw new Error(`${r.problem.code}: ${r.problem.sentence}`);
	return r.value;
};
const codeOf = async (r: ReturnType<typeof record>) => {
	const answer = await r;
	return answer.ok ? 'ok' : answer.problem.code;
};
const standing = async (id: string) => !(await entryById(database(), gardenId, id))!.undone;
const newGarden = async () => {
	gardenId = uuidv7();
	const r = await createGarden(gardenId, 'sound', 'test', TODAY, [
		{ ...act('garden.set', gardenId, gardenSettings()), id: gardenId }
	]);
	if (!r.ok) throw new Error(r.problem.sentence);
};
/** Every row of derived state. */
const dump = async () =>
	Object.fromEntries(
		await Promise.all(
			Object.values(PROJECTIONS).map(async (table) => [
				table,
				(await database().query(`SELECT * FROM ${table} WHERE garden_id = $1 ORDER BY 1, 2`, [gardenId])).rows
			])
		)
	) as Record<string, unknown[]>;

beforeAll(async () => {
	await freshDatabase('sound_house');
	await newGarden();
});
afterAll(closeDatabase);

describe('undone, done again, undone', () => {
	it('as often as one likes: entry, state and story say the same', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const lost = await ok(act('batch.lost', id, { count: 3, why: 'slugs', planted: false }));
		const entry = lost.ids[0]!;
		let last = entry;
		for (let n = 1; n <= 6; n++) {
			// By undoing what was done last, or by undoing the entry itself again.
			const undoId = uuidv7();
			const off = n % 2 === 1;
			const r = await undo(writer(), off && n > 2 ? entry : last, undoId);
			expect(r.ok, `${n}`).toBe(true);
			last = undoId;
			expect(await standing(entry)).toBe(!off);
			expect((await state.batchById(database(), gardenId, id))!.lost).toBe(off ? 0 : 3);
			const { line } = (await entryById(database(), gardenId, undoId))!;
			expect(line).toMatch(off ? /^Undone: (?!Done|Undone)/ : /^Done again: (?!Done|Undone)/);
		}
		expect(await codeOf(undo(writer(), entry, uuidv7()) as never)).toBe('ok');
		expect(await codeOf(undo(writer(), entry, uuidv7()) as never)).toBe('entry.undone');
	});
});

describe('sent twice', () => {
	it('is one; with other content it is told and not kept; undone it says so', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const loss = act('batch.lost', id, { count: 1, why: '', planted: false });
		await ok(loss);
		expect((await ok(loss)).already).toBe(true);
		// The answer was cut off, the person corrects 1 to 3 and sends again.
		const other = await record(writer(), [{ ...loss, data: { count: 3, why: '', planted: false } }]);
		expect(!other.ok && other.problem).toMatchObject({ code: 'entry.sent-otherwise' });
		expect(!other.ok && other.problem.sentence).toContain('lost 1');
		expect(await codeOf(record(writer(), [{ ...loss, note: 'and a note' }]))).toBe('entry.sent-otherwise');
		expect(await codeOf(record(writer(), [{ ...loss, on: '2027-07-19' }]))).toBe('entry.sent-otherwise');
		expect((await state.batchById(database(), gardenId, id))!.lost).toBe(1);
		await undo(writer(), loss.id, uuidv7());
		expect(await codeOf(record(writer(), [loss]))).toBe('entry.sent-undone');
	});

	it('a garden made twenty times at once is one', async () => {
		const id = uuidv7();
		const begun = { ...act('garden.set', id, gardenSettings()), id };
		const made = await Promise.all(Array.from({ length: 20 }, () => createGarden(id, 'twenty', 'test', TODAY, [begun])));
		expect(new Set(made.map((m) => (m.ok ? m.value.slug : m.problem.code)))).toEqual(new Set(['twenty']));
	});
});

describe('two people', () => {
	it('one corrects a stock plant while the other carries it in: both stand', async () => {
		const [id, sill] = [uuidv7(), uuidv7()];
		await ok(place(sill));
		await ok(stock(id));
		const { version } = (await state.stockById(database(), gardenId, id))!;
		await ok({ ...stock(id, { count: 9 }), seen: version });
		await ok(act('stock.moved', id, { place_id: sill }));
		expect(await state.stockById(database(), gardenId, id)).toMatchObject({ count: 9, place_id: sill });
		// A form drawn before that is told, even if something was undone in between.
		expect(await codeOf(record(writer(), [{ ...stock(id, { count: 12 }), seen: version }]))).toBe('entry.changed-since');
		const again = await ok(stock(id, { count: 8 }));
		const seen = (await state.stockById(database(), gardenId, id))!.version;
		await undo(writer(), again.ids[0]!, uuidv7());
		await ok(stock(id, { count: 7 }));
		expect(await codeOf(record(writer(), [{ ...stock(id, { count: 6 }), seen }]))).toBe('entry.changed-since');
		expect((await state.stockById(database(), gardenId, id))!.count).toBe(7);
	});

	it('undo plus a log are not what was seen', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const first = await ok(checked(id, 18));
		const seen = (await state.batchById(database(), gardenId, id))!.version;
		await undo(writer(), first.ids[0]!, uuidv7());
		await ok(checked(id, 12));
		expect(await codeOf(record(writer(), [checked(id, 17, { seen })]))).toBe('entry.changed-since');
	});
});

describe('what is not there', () => {
	it('cannot be dropped, closed, ended, cleared or worked on', async () => {
		const nobody = uuidv7();
		const work = { care: 'water', place_id: null, targets: [nobody] };
		for (const [a, code] of [
			[act('want.dropped', nobody, { why: '' }), 'want.unknown'],
			[act('place.closed', nobody, {}), 'place.unknown'],
			[act('place.walked', nobody, { walk: 3 }), 'place.unknown'],
			[act('stock.moved', nobody, { place_id: nobody }), 'stock.unknown'],
			[act('timer.ended', nobody, {}), 'timer.unknown'],
			[act('figure.cleared', nobody, { kind_id: 'triffid', path: 'x' }), 'kind.unknown'],
			[act('care.done', nobody, work), 'care.unknown']
		] as const)
			expect(await codeOf(record(writer(), [a])), a.kind).toBe(code);
	});
});

describe('state', () => {
	/** One thing that a household does, right or wrong: what is refused changes nothing. */
	const doing = fc.record({
		what: fc.constantFrom(
			'place',
			'walk',
			'stock',
			'move',
			'want',
			'drop',
			'strike',
			'strike',
			'check',
			'check',
			'pot',
			'lose',
			'give',
			'plant',
			'keep',
			'figure',
			'clear',
			'care',
			'saw',
			'undo'
		),
		n: fc.integer({ min: 0, max: 11 }),
		m: fc.integer({ min: 0, max: 11 })
	});
	type Doing = typeof doing extends fc.Arbitrary<infer D> ? D : never;

	/** Every subject of the ledger has an id of its own by number. */
	const ids = Array.from({ length: 3 }, () => uuidv7());
	function actFor({ what, n, m }: Doing): Act[] {
		// Three of each: most of what is done meets something that is there.
		const numbered = (kind: string, k: number) => ids[k % 3]!.replace(/^.{8}/, kind.charCodeAt(0).toString(16).padStart(8, '0'));
		const id = (kind: string) => numbered(kind, n);
		const other = (kind: string) => numbered(kind, m);
		switch (what) {
			case 'place':
				return [place(id('place'))];
			case 'walk':
				return [act('place.walked', id('place'), { walk: m })];
			case 'stock':
				return [stock(id('stock'), { place_id: m < 4 ? null : other('place'), count: n + 1 })];
			case 'move':
				return [act('stock.moved', id('stock'), { place_id: other('place') })];
			case 'want':
				return [
					act('want.set', id('want'), {
						kind_id: 'lavender',
						purpose: 'plants',
						label: '',
						place_id: m < 6 ? null : other('place'),
						target: m + 1,
						due: '2029-06-01',
						confidence: 0.9,
						shape: null
					})
				];
			case 'drop':
				return [act('want.dropped', id('want'), { why: '' })];
			case 'strike':
				return [struck(id('batch'), m < 6 ? null : other('stock'), 10 + m)];
			case 'check':
				return [act('batch.checked', id('batch'), { alive: 5 + m, rooted: m % 5, sign: 'firm' })];
			case 'pot':
				return [act('batch.potted', id('batch'), { count: m + 1, container: '', place_id: m < 6 ? null : other('place') })];
			case 'lose':
				return [act('batch.lost', id('batch'), { count: m + 1, why: '', planted: m > 8 })];
			case 'give':
				return [act('batch.given', id('batch'), { count: m + 1, to: '' })];
			case 'plant':
				return [act('batch.planted', id('batch'), { count: m + 1, place_id: null })];
			case 'keep': {
				const kept = other('stock');
				return [act('batch.kept', id('batch'), { count: 1, stock_id: kept }), stock(kept, { from_batch: id('batch') })];
			}
			case 'figure':
				return [
					act('figure.set', id('figure'), { kind_id: 'lavender', path: 'ways.semi-ripe.rooted.chance', value: 0.4 + m / 30 })
				];
			case 'clear':
				return [act('figure.cleared', ids[0]!, { kind_id: 'lavender', path: 'ways.semi-ripe.rooted.chance' })];
			case 'care':
				return [act('care.done', id('care'), { care: 'water', place_id: null, targets: [other('batch')] })];
			case 'saw':
				return [act('sighting.made', id('sight'), { kind_id: 'lavender', event: 'bud_break' })];
			case 'undo':
				return [];
		}
	}

	it('derived afresh from the ledger is the same in every table, after any history', { timeout: 120_000 }, async () => {
		let kept = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(doing, { minLength: 10, maxLength: 45, size: 'max' }), async (history) => {
				await newGarden();
				const done: string[] = [];
				for (const d of history) {
					if (d.what === 'undo') {
						const target = done[(d.n * 12 + d.m) % Math.max(1, done.length)];
						const undoId = uuidv7();
						if (target && (await undo(writer(), target, undoId)).ok) done.push(undoId);
						continue;
					}
					const r = await record(writer(), actFor(d));
					if (r.ok) done.push(...r.value.ids);
				}
				kept += done.length;
				const before = await dump();
				await rebuild(gardenId);
				expect(await dump()).toEqual(before);
				// SQL and core say the same of what stands.
				const { rows } = await database().query<StoredEntry>(
					'SELECT *, entry_is_undone(garden_id, id) AS undone FROM entry WHERE garden_id = $1 ORDER BY seq',
					[gardenId]
				);
				const stands = new Set(effective(rows.map(asEntry)).map((e) => e.id));
				for (const e of rows) if (e.kind !== 'entry.reversed') expect(!e.undone, e.line).toBe(stands.has(e.id));
			}),
			{ numRuns: 30, seed: 42 }
		);
		// Most of what is done is not refused: the histories are worth something.
		expect(kept).toBeGreaterThan(200);
	});

	it('a ledger that does not fold leaves the rows as they were, and the entry is named', async () => {
		await newGarden();
		const id = uuidv7();
		await ok(struck(id, null, 10));
		const owner = new pg.Client({ connectionString: process.env.DATABASE_URL });
		await owner.connect();
		await owner.query(
			`INSERT INTO entry (garden_id, id, kind, subject, subject_id, group_id, happened_on, data, line)
			 VALUES ($1, $2, 'batch.given', 'batch', $3, $2, '2027-07-20', '{"count": 50, "to": ""}', 'X: gave 50')`,
			[gardenId, uuidv7(), id]
		);
		const before = await dump();
		await expect(rebuild(gardenId)).rejects.toThrow(RebuildRefused);
		await expect(rebuild(gardenId)).rejects.toThrow(/“X: gave 50”/);
		expect(await dump()).toEqual(before);
		await owner.end();
	});

	it('of another version, or left by a kill half-way, is derived at the next start', async () => {
		await freshDatabase('sound_stale');
		await closeDatabase();
		await newGarden();
		const id = uuidv7();
		await ok(struck(id, null, 10));
		const before = await dump();
		expect(await gardensToDerive(database())).toEqual([]);
		await database().query('UPDATE projection_state SET version = version - 1');
		await database().query('UPDATE batch SET container = $1', ['of an older form']);
		expect(await rebuildStale()).toBe(1);
		expect(await dump()).toEqual(before);
		expect(await rebuildStale()).toBe(0);
	});
});

describe('an upgrade', () => {
	it('made by a newer copy stops the older one from writing', async () => {
		const id = uuidv7();
		await ok(struck(id, null));
		const owner = new pg.Client({ connectionString: process.env.DATABASE_URL });
		await owner.connect();
		await owner.query("INSERT INTO schema_version (version, name, md5, run_at) VALUES (9999, 'from the future', '', now())");
		expect(await codeOf(record(writer(), [checked(id, 18)]))).toBe('app.older');
		await owner.query('DELETE FROM schema_version WHERE version = 9999');
		expect(await codeOf(record(writer(), [checked(id, 18)]))).toBe('ok');
		await owner.end();
	});

	it(
		'killed at twenty points is the old version or the new one, and the next start goes on from there',
		{ timeout: 120_000 },
		async () => {
			const server = process.env.SURCULUS_TEST_SERVER!;
			const admin = new pg.Client({ connectionString: server });
			await admin.connect();
			await admin.query('DROP DATABASE IF EXISTS sound_kill');
			await admin.query('CREATE DATABASE sound_kill');
			const url = new URL(server);
			url.pathname = '/sound_kill';
			for (let n = 0; n < 20; n++) {
				// The connection is cut after so many milliseconds: somewhere in the scripts, between them, or after.
				const killer = setTimeout(
					() =>
						void admin.query(
							"SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = 'sound_kill' AND pid <> pg_backend_pid()"
						),
					5 + n * 6
				);
				await migrate(url.href, ROOT).catch(() => undefined);
				clearTimeout(killer);
				const look = new pg.Client({ connectionString: url.href });
				await look.connect();
				const there = (await look.query("SELECT to_regclass('schema_version') AS t, to_regclass('entry') AS e")).rows[0];
				const version = there.t ? Number((await look.query('SELECT max(version) AS v FROM schema_version')).rows[0].v) : 0;
				expect(version === 0 ? there.e : there.e !== null, `${n}: version ${version}`).toBe(version === 0 ? null : true);
				await look.end();
				if (n % 5 === 4) {
					await admin.query('DROP DATABASE sound_kill WITH (FORCE)');
					await admin.query('CREATE DATABASE sound_kill');
				}
			}
			const { to } = await migrate(url.href, ROOT);
			expect(to).toBeGreaterThanOrEqual(7);
			await admin.query('DROP DATABASE sound_kill WITH (FORCE)');
			await admin.end();
		}
	);
});
