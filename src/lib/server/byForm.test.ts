/** Two named forms of one kind: each goes by its own record once there is enough of it, on every screen that tells its odds. */
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { act, noTreatment, stockAct } from '../../testing/acts.js';
import { gardenSettings } from '../../testing/garden.js';
import { gardenById } from './context.js';
import { closeDatabase } from './db.js';
import { createGarden, record, undo } from './ledger.js';
import type { Act } from './ledger.js';
import { modelOf, takingOn } from './model.js';
import { recordOf } from './record.js';
import { planWant } from './wantPlan.js';
import { dayNumber } from '$lib/core/dates.js';
import { meanOf } from '$lib/core/odds/beta.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';

const garden = uuidv7();
const [red, white, rare, want] = Array.from({ length: 4 }, () => uuidv7()) as [string, string, string, string];
const TODAY = '2027-07-20';
const writer = { gardenId: garden, actor: 'test', today: TODAY };
const ok = async (...acts: Act[]) => {
	const r = await record(writer, acts);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value;
};
const batch = (stock_id: string, on: string, rooted: number): Act[] => {
	const id = uuidv7();
	const data = { kind_id: 'fuchsia', way_id: 'soft-tip', stock_id, want_id: null, place_id: null };
	const end = on.replace('-06-1', '-07-1');
	return [
		act('batch.struck', id, { ...data, struck: 12, treatment: noTreatment, container: '' }, { on, takesCode: true }),
		act('batch.checked', id, { alive: rooted, rooted, sign: 'roots seen' }, { on: end })
	];
};
const now = async () => {
	const g = (await gardenById(garden))!;
	const m = await modelOf(g);
	const kind = m.kinds.get('fuchsia')!;
	const way = kind.ways.find((w) => w.id === 'soft-tip')!;
	const chance = (form: string) => meanOf(stageOdds(way.stages[0]!, m.record.of('fuchsia', 'soft-tip', [], form)));
	return { g, m, kind, way, chance };
};

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await freshDatabase('by_form');
	await createGarden(garden, 'forms', 'test', TODAY, [{ ...act('garden.set', garden, gardenSettings()), id: garden }]);
	const form = (id: string, label: string) => stockAct(id, { kind_id: 'fuchsia', label, count: 10, size_cm: 80 });
	await ok(form(red, 'Red bells'), form(white, 'White bells'), form(rare, 'Rare one'));
	for (const year of ['2025', '2026', '2027'])
		await ok(
			...batch(red, `${year}-06-10`, 2),
			...batch(white, `${year}-06-11`, 12),
			...batch(rare, `${year}-06-12`, year === '2027' ? 1 : 12).slice(0, year === '2027' ? 2 : 0)
		);
	await ok(
		act('want.set', want, {
			kind_id: 'fuchsia',
			purpose: 'plants',
			label: '',
			place_id: null,
			target: 8,
			due: '2028-08-30',
			confidence: 0.9,
			shape: null
		})
	);
});
afterAll(async () => {
	await closeDatabase();
	delete process.env.SURCULUS_TODAY;
});

describe('forms of one kind', () => {
	it('each is told by its own record, one with too little by all of them', async () => {
		const { m, chance } = await now();
		expect(chance('White bells') - chance('Red bells')).toBeGreaterThan(0.1);
		expect(chance('Rare one')).toBe(chance(''));
		expect(chance('  white BELLS ')).toBe(chance('White bells'));
		expect(m.record.forms('fuchsia', 'soft-tip').map((f) => [f.form, f.counts.rooted])).toEqual(
			expect.arrayContaining([
				['Red bells', { passed: 6, failed: 30 }],
				['White bells', { passed: 36, failed: 0 }]
			])
		);
		expect(m.record.forms('fuchsia', 'soft-tip')).toHaveLength(2);
	});

	it('striking and planning ask the same record', async () => {
		const { g, m, kind, way, chance } = await now();
		const on = dayNumber('2028-05-20');
		const taking = (form: string) => takingOn(m, kind, way, on, form);
		expect(taking('White bells').chance).toBeCloseTo(chance('White bells'), 12);
		const strike = async (stock: string) => {
			const w = (await planWant(g, want, stock))!.plan!.ways.find((x) => x.wayId === 'soft-tip')!;
			return w.best?.strike ?? Infinity;
		};
		expect(await strike(red)).toBeGreaterThan(1.2 * (await strike(white)));
	});

	it('a plant under another name takes what was struck from it along, and back when that is undone', async () => {
		const before = await now();
		const was = before.chance('Red bells');
		const done = await ok(stockAct(red, { kind_id: 'fuchsia', label: 'Scarlet bells', count: 10, size_cm: 80 }));
		const after = await now();
		expect(after.chance('Scarlet bells')).toBeCloseTo(was, 12);
		expect(after.m.record.isApart('fuchsia', 'soft-tip', 'Red bells')).toBe(false);
		await undo(writer, done.ids[0]!, uuidv7());
		const back = await now();
		expect(back.chance('Red bells')).toBe(was);
		// The same as reading it all afresh.
		const fresh = await recordOf({ ...back.g, base: { ...back.g.base, key: uuidv7() } });
		expect(fresh.of('fuchsia', 'soft-tip', [], 'Red bells')).toEqual(back.m.record.of('fuchsia', 'soft-tip', [], 'Red bells'));
	});
});
