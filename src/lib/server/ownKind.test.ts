/** A kind of one's own: begun from another, from a file; used everywhere; taken away only when nothing is of it. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { act, ACTS_TODAY, stockAct, struckAct } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { gardenById, kindsOf } from './context.js';
import { closeDatabase, database } from './db.js';
import { handbook } from './handbook.js';
import { createGarden, rebuild, record, undo } from './ledger.js';
import { snapshotOf } from './snapshot.js';
import { planWant } from './wantPlan.js';
import { wantViews } from './wants.js';
import { isOwnKind, ownKindFrom, ownKindId } from '$lib/core/handbook/ownKind.js';
import type { OwnKindForm } from '$lib/core/handbook/ownKind.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { readKindYaml, toKindYaml } from '$lib/formats/kindYaml.js';

const gardenId = uuidv7();
const writer = { gardenId, actor: 'test', today: ACTS_TODAY };
const others = (id: string) => handbook().kinds.get(id);
const form = (over: Partial<OwnKindForm> = {}): OwnKindForm => ({
	id: 'own-hibiscus',
	common: 'Hibiscus',
	species: 'Hibiscus syriacus',
	cultivar: null,
	trade: null,
	ways: ['soft-tip', 'hardwood', 'semi-ripe'],
	added: [],
	hardiness_c: -20,
	limit_c: null,
	height_cm: 250,
	spread_cm: null,
	spacing_cm: null,
	price: null,
	protection: { status: 'free', until: null },
	...over
});
const forsythia = (): Kind => others('forsythia')!;
const hibiscus = (over: Partial<OwnKindForm> = {}): Kind => {
	const made = ownKindFrom(form(over), forsythia(), others);
	if (!made.ok) throw new Error(made.problem.sentence);
	return made.value;
};
const set = (kind: Kind, subject = uuidv7(), like: string | null = 'forsythia') => act('kind.set', subject, { like, kind });
const code = async (result: ReturnType<typeof record>) => {
	const r = await result;
	return r.ok ? 'ok' : r.problem.code;
};

beforeAll(async () => {
	process.env.SURCULUS_TODAY = ACTS_TODAY;
	await closeDatabase();
	await freshDatabase('own_kind');
	const made = await createGarden(gardenId, 'own', 'test', ACTS_TODAY, [act('garden.set', gardenId, gardenSettings())]);
	expect(made.ok).toBe(true);
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});

describe('a kind begun from another', () => {
	it('has that one’s figures but for what is said, and says which are its own', () => {
		const k = hibiscus();
		expect([k.hardiness_c.v, k.hardiness_c.src]).toEqual([-20, 'own']);
		expect([k.size.height_cm, k.size.spread_cm, k.size.src]).toEqual([250, forsythia().size.spread_cm, 'own']);
		expect([k.price, k.winter]).toEqual([forsythia().price, forsythia().winter]);
		expect(k.ways.map((w) => w.stages)).toEqual(
			forsythia()
				.ways.filter((w) => form().ways.includes(w.id))
				.map((w) => w.stages)
		);
	});

	it('keeps the ways chosen, takes another kind’s, and needs one', () => {
		const [first, second] = forsythia().ways;
		expect(hibiscus({ ways: [second!.id] }).ways.map((w) => w.id)).toEqual([second!.id]);
		expect(hibiscus({ ways: [first!.id], added: ['dahlia/basal'] }).ways.map((w) => w.id)).toEqual([first!.id, 'basal']);
		const refusal = (over: Partial<OwnKindForm>) => {
			const made = ownKindFrom(form(over), forsythia(), others);
			return made.ok ? 'ok' : made.problem.code;
		};
		expect(refusal({ ways: [] })).toBe('kind.no-way');
		expect(refusal({ ways: [], added: ['dahlia/flying'] })).toBe('kind.way');
		expect(refusal({ ways: [first!.id], added: [`forsythia/${first!.id}`] })).toBe('kind.way-twice');
	});

	it('is refused with a sentence where a figure or a name cannot be', () => {
		for (const [over, path] of [
			[{ common: ' ' }, 'common'],
			[{ common: 'x'.repeat(61) }, 'common'],
			[{ species: '' }, 'species'],
			[{ hardiness_c: -90 }, 'hardiness_c'],
			[{ hardiness_c: Number.NaN }, 'hardiness_c'],
			[{ spacing_cm: 0 }, 'spacing_cm'],
			[{ price: -1 }, 'price']
		] as const) {
			const made = ownKindFrom(form(over), forsythia(), others);
			expect(made.ok ? 'ok' : made.problem.path, JSON.stringify(over)).toBe(path);
			if (!made.ok) expect(made.problem.sentence).toMatch(/[A-Z].*\.$/);
		}
	});

	it('is named after what it is called, in any script', () => {
		expect(ownKindId('Rose of Sharon ‘Woodbridge’', '')).toBe('own-rose-of-sharon-woodbridge');
		expect(ownKindId('Šípková růže', '')).toBe('own-sipkova-ruze');
		expect(ownKindId('ハイビスカス', '0191abcd-1234')).toBe('own-0191abcd');
		expect(isOwnKind(ownKindId('🌺', 'ffffffff'))).toBe(true);
	});
});

describe('in the ledger', () => {
	const subject = uuidv7();

	it('is used like any kind: stock, want, plan, batch', async () => {
		expect(await code(record(writer, [set(hibiscus(), subject)]))).toBe('ok');
		const garden = (await gardenById(gardenId))!;
		const kind = (await kindsOf(garden)).get('own-hibiscus')!;
		expect(kind.common).toBe('Hibiscus');
		// Its windows fall in this garden as those of the kind that it is like.
		expect(kind.ways[0]!.window).toEqual(
			(await kindsOf(garden)).get('forsythia')!.ways.find((w) => w.id === kind.ways[0]!.id)!.window
		);
		const stock = uuidv7();
		const want = uuidv7();
		const batch = uuidv7();
		expect(await code(record(writer, [stockAct(stock, { kind_id: 'own-hibiscus', size_cm: 150 })]))).toBe('ok');
		const wanted = {
			kind_id: 'own-hibiscus',
			purpose: 'plants',
			label: '',
			place_id: null,
			target: 3,
			due: '2029-06-01',
			confidence: 0.8,
			shape: null
		};
		expect(await code(record(writer, [act('want.set', want, wanted)]))).toBe('ok');
		const planned = (await planWant(garden, want, null))!;
		expect(planned.plan?.ways.some((w) => w.best !== null)).toBe(true);
		const way = kind.ways[0]!.id;
		const struck = struckAct(batch, stock, 6);
		expect(
			await code(record(writer, [{ ...struck, data: { ...struck.data, kind_id: 'own-hibiscus', way_id: way, want_id: want } }]))
		).toBe('ok');
		const [view] = await wantViews(garden, want);
		expect(view!.kindName).toBe('Hibiscus');
		expect(view!.odds).toBeGreaterThan(0);
		const { rows } = await database().query<{ line: string }>(
			`SELECT line FROM entry WHERE garden_id = $1 AND kind = 'batch.struck'`,
			[gardenId]
		);
		expect(rows[0]!.line).toContain('Hibiscus: struck 6');
	});

	it('takes figures of one’s own as the others do', async () => {
		const way = hibiscus().ways[0]!.id;
		const figure = { kind_id: 'own-hibiscus', path: `ways.${way}.rooted.chance`, value: 0.31 };
		expect(await code(record(writer, [act('figure.set', uuidv7(), figure)]))).toBe('ok');
		const kind = (await kindsOf((await gardenById(gardenId))!)).get('own-hibiscus')!;
		expect(kind.ways[0]!.stages[0]!.chance).toBe(0.31);
	});

	it('stays while anything is of it, and goes when nothing is', async () => {
		expect(await code(record(writer, [act('kind.gone', subject, { why: '' })]))).toBe('kind.in-use');
		const other = uuidv7();
		const made = await record(writer, [set(hibiscus({ id: 'own-other', common: 'Other' }), other)]);
		expect(made.ok).toBe(true);
		expect(await code(record(writer, [act('kind.gone', other, { why: 'not mine' })]))).toBe('ok');
		expect((await snapshotOf(gardenId)).ownKinds.map((r) => r.kind.id)).toEqual(['own-hibiscus']);
		const { rows } = await database().query<{ id: string }>(
			`SELECT id FROM entry WHERE garden_id = $1 AND kind = 'kind.set' AND subject_id = $2`,
			[gardenId, subject]
		);
		const undone = await undo(writer, rows[0]!.id, uuidv7());
		expect(undone.ok ? 'ok' : undone.problem.code).toBe('undo.leaned-on');
	});

	it('is no second one of its name, nor like what is not there, nor another under its subject', async () => {
		expect(await code(record(writer, [set(hibiscus({ id: 'own-twin', common: ' hibiscus ' }))]))).toBe('kind.twice');
		expect(await code(record(writer, [set(hibiscus({ id: 'own-twin', common: 'Hibiscus', cultivar: 'Woodbridge' }))]))).toBe(
			'ok'
		);
		expect(await code(record(writer, [set(hibiscus({ id: 'own-sage', common: 'Garden sage' }))]))).toBe('kind.twice');
		expect(await code(record(writer, [set(hibiscus({ id: 'own-x', common: 'X' }), uuidv7(), 'triffid')]))).toBe('kind.like');
		expect(await code(record(writer, [set(hibiscus({ id: 'own-x', common: 'X' }), uuidv7(), 'own-x')]))).toBe('kind.like');
		expect(await code(record(writer, [set(hibiscus({ id: 'own-y', common: 'Y' }), subject)]))).toBe('kind.other');
		expect(await code(record(writer, [set({ ...hibiscus(), id: 'lavender', common: 'Z' })]))).toBe('entry.invalid');
	});

	it('changed, its figures change; derived afresh it is the same', async () => {
		expect(await code(record(writer, [set(hibiscus({ height_cm: 310 }), subject)]))).toBe('ok');
		const before = (await snapshotOf(gardenId)).ownKinds;
		expect(before.find((r) => r.id === subject)!.kind.size.height_cm).toBe(310);
		await rebuild(gardenId);
		const { rows } = await database().query(
			'SELECT id, like_id AS "like", data AS kind, version FROM own_kind WHERE garden_id = $1 ORDER BY kind_id',
			[gardenId]
		);
		expect(rows).toEqual(before);
	});
});

describe('as a file', () => {
	const read = (text: string) => readKindYaml(text, 'own-it', others);
	const faults = (text: string) => {
		const r = read(text);
		return 'kind' in r ? [] : r.faults;
	};

	it('goes out and comes in the same, for every kind of the handbook', () => {
		for (const kind of handbook().kinds.values()) {
			const back = readKindYaml(toKindYaml({ ...kind, id: `own-${kind.id}` }), `own-${kind.id}`, others);
			expect('kind' in back ? back.kind : back.faults, kind.id).toEqual({ ...kind, id: `own-${kind.id}` });
		}
	});

	it('may be written in a few lines, like another', () => {
		const r = read(`common: Hibiscus
species: Hibiscus syriacus
habit: deciduous shrub
like: forsythia
hardiness_c: { v: -20 }
size: { height_cm: 250, spread_cm: 150, spacing_cm: 120 }
price: { v: 12 }
protection: { status: free, say: None. }
winter: { limit_c: -8, say: Hardy., shelters: [{ in: ground, chance: 0.95, weight: 10, care: 0, say: Stays. }] }
ways:
  - like: fuchsia/soft-tip
`);
		expect('faults' in r ? r.faults : []).toEqual([]);
		if (!('kind' in r)) return;
		expect(r.kind.hardiness_c).toEqual({ v: -20, src: 'own' });
		expect(r.kind.ways[0]!.stages).toEqual(others('fuchsia')!.ways.find((w) => w.id === 'soft-tip')!.stages);
	});

	it('says each fault in a sentence', () => {
		expect(faults('a'.repeat(5_000_000))[0]).toMatch(/longer than 200 kB/);
		expect(faults('common:\tHibiscus\n\tspecies: x')[0]).toMatch(/tab/i);
		expect(faults('- 1\n- 2')[0]).toMatch(/no kind/);
		expect(faults('')[0]).toMatch(/no kind/);
		expect(faults('common: X\nlike: triffid')[0]).toMatch(/triffid, which is not in the handbook/);
		const missing = faults('common: X');
		expect(missing.length).toBeGreaterThan(3);
		expect(missing.length).toBeLessThanOrEqual(7);
		const ways = faults(toKindYaml({ ...hibiscus(), ways: [{ ...hibiscus().ways[0]!, stages: [] }] }));
		expect(ways.join(' ')).toMatch(/ways, 0, stages/);
		// A file that unfolds itself a billion times.
		const bomb = [
			'a: &a [x,x,x,x,x,x,x,x,x]',
			...'bcdefgh'.split('').map((l, i) => `${l}: &${l} [${Array(9).fill(`*${'abcdefgh'[i]}`).join(',')}]`)
		];
		expect(faults(bomb.join('\n'))[0]).toMatch(/refers to itself/);
	});

	it('naming ways or pots that the handbook lacks is refused when it is taken in', async () => {
		const kind = hibiscus({ id: 'own-odd', common: 'Odd' });
		expect(await code(record(writer, [set({ ...kind, ways: [{ ...kind.ways[0]!, way: 'flying' }] })]))).toBe('kind.missing');
		const bucket = kind.ways[0]!.stages.map((s) => ({ ...s, holds: 'bucket' }));
		expect(await code(record(writer, [set({ ...kind, ways: [{ ...kind.ways[0]!, stages: bucket }] })]))).toBe('kind.missing');
		expect(await code(record(writer, [set({ ...kind, ways: Array.from({ length: 13 }, () => kind.ways[0]!) })]))).toBe(
			'entry.invalid'
		);
	});
});
