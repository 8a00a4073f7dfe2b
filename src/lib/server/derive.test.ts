/** State follows from the ledger alone: after any history, any kill, any upgrade. */
import fc from 'fast-check';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { ROOT } from '../../../bin/lib.js';
import { act, ACTS_TODAY, placeAct as place, stockAct as stock, struckAct as struck } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { gardenById } from './context.js';
import { recordOf } from './record.js';
import { readWhole, snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';
import type { StageName } from '$lib/core/handbook/schema.js';
import { closeDatabase, database } from './db.js';
import { createGarden, rebuild, rebuildStale, RebuildRefused, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { migrate } from './migrate.js';
import { asEntry } from './store/entries.js';
import type { StoredEntry } from './store/entries.js';
import { gardensToDerive, PROJECTIONS } from './store/projections.js';
import { effective } from '$lib/core/ledger/index.js';

const TODAY = ACTS_TODAY;
let gardenId = '';
const writer = () => ({ gardenId, actor: 'test', today: TODAY });
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
	await freshDatabase('derive_house');
	await newGarden();
});
afterAll(closeDatabase);

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
			'buy',
			'bought',
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
			case 'buy':
				return [act('want.buying', id('want'), { count: m % 4 })];
			case 'bought':
				return [act('want.bought', id('want'), { count: (m % 3) + 1 })];
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

	/** What screens read is kept from entry to entry, and only what changed is read again: it must be what stands. */
	async function keptIsWhole(): Promise<void> {
		const mine = await snapshotOf(gardenId);
		const whole = await readWhole(gardenId, mine.last);
		const byId = (rows: Snapshot['cares']) => [...rows].sort((a, b) => (a.id < b.id ? -1 : 1));
		expect({ ...mine, cares: byId(mine.cares) }).toEqual({ ...whole, cares: byId(whole.cares) });
		const garden = (await gardenById(gardenId))!;
		const kept = await recordOf(garden);
		const fresh = await recordOf({ ...garden, base: { ...garden.base, key: uuidv7() } });
		expect(kept.rho).toBe(fresh.rho);
		const [a, b] = [kept, fresh].map((r) => r.of('lavender', 'semi-ripe'));
		expect(Object.keys(a!)).toEqual(Object.keys(b!));
		for (const stage of Object.keys(a!) as StageName[]) {
			expect(a![stage]!.passed).toBeCloseTo(b![stage]!.passed, 9);
			expect(a![stage]!.failed).toBeCloseTo(b![stage]!.failed, 9);
		}
	}

	it('derived afresh from the ledger is the same in every table, after any history', { timeout: 400_000 }, async () => {
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
					if (d.n % 3 === 0) await keptIsWhole();
				}
				await keptIsWhole();
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
		{ timeout: 400_000 },
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
