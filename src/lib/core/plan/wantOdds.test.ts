/** The odds of a want, from its batches and the parent kept alive. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { betaOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import { reachTable, reachWith } from '../odds/chain.js';
import { sumOf } from '../odds/sum.js';
import { atLeast, smallestReaching } from '../odds/strike.js';
import type { StageName } from '../handbook/schema.js';
import { beliefsOf, countsTogether, forecast, hangsOn, keepThrough, prepare, wantOdds } from './index.js';
import type { ForecastOf, WantBatch } from './index.js';
import { north } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { batchOf } from '../../../testing/plans.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const struckOn = dayNumber('2027-07-12');
const means = new Map<StageName, Beta>(semiRipe.stages.map((s) => [s.to, betaOf(s.chance, s.weight)]));
const part = (pieces: number, over: Partial<ForecastOf> = {}, on = struckOn): WantBatch => ({
	way: 'lavender semi-ripe',
	means,
	likely: means,
	prepared: prepare(batchOf(lavender, semiRipe, north, { struckOn: on, pieces, ...over }))
});

describe('the odds of a want', () => {
	it('of one batch are its own forecast', () => {
		const one = part(20);
		const f = forecast(one.prepared.of);
		countsTogether([one]).forEach((p, k) => expect(p).toBeCloseTo(f.pmf[k]!, 12));
	});

	it('adds what comes from elsewhere', () => {
		const half = Float64Array.from([0.5, 0.5]);
		expect(wantOdds(1, [half, half], []).probability).toBeCloseTo(0.75, 12);
	});

	it('leaves out what comes too late', () => {
		expect(wantOdds(1, [], [part(20, { due: dayNumber('2027-09-01') })]).probability).toBeLessThan(0.01);
	});

	it('several batches of a way share its mean, so they are less sure together than as strangers, and surer than one batch', () => {
		const five = Array.from({ length: 5 }, (_, i) => part(4, {}, struckOn + i));
		const together = countsTogether(five);
		const one = countsTogether([part(4)]);
		const strangers = [1, 2, 3, 4].reduce((sum) => sumOf(sum, one), one);
		const whole = countsTogether([part(20)]);
		const spread = (pmf: Float64Array) => {
			const m = pmf.reduce((s, p, k) => s + p * k, 0);
			return pmf.reduce((s, p, k) => s + p * (k - m) ** 2, 0);
		};
		expect(spread(together)).toBeGreaterThan(1.3 * spread(strangers));
		expect(spread(together)).toBeLessThan(0.9 * spread(whole));
		const mean = (pmf: Float64Array) => pmf.reduce((s, p, k) => s + p * k, 0);
		const alone = five.reduce((s, b) => s + mean(countsTogether([b])), 0);
		expect(mean(together)).toBeCloseTo(alone, 3);
		for (let t = 1; t <= 19; t++) expect(Math.abs(atLeast(together, t) - atLeast(whole, t))).toBeLessThan(0.12);
	});

	it('the nodes over the shared means are within .002 of twice as many for every stage', () => {
		for (const batches of [
			[part(6), part(30, {}, struckOn + 9), part(6, {}, struckOn + 30)],
			Array.from({ length: 4 }, (_, i) => part(5, {}, struckOn + 6 * i))
		]) {
			const few = countsTogether(batches);
			const many = countsTogether(batches, 2);
			for (let t = 1; t < few.length; t++) expect(Math.abs(atLeast(few, t) - atLeast(many, t)), `${t}`).toBeLessThan(0.002);
		}
	});

	it('what one batch showed speaks of the other, but less than of itself', () => {
		const seen = (passed: number, failed: number) => ({ odds: beliefsOf(semiRipe, {}, 0.1, { rooted: { passed, failed } }) });
		const rest = {
			standing: {
				cohorts: [{ stage: 'rooted' as const, count: 2, since: struckOn + 40, aliveOn: struckOn + 40 }],
				planted: 0,
				struckOn
			},
			today: struckOn + 40
		};
		const mean = (b: WantBatch[]) => countsTogether(b).reduce((s, p, k) => s + p * k, 0);
		const other = (passed: number) => mean([part(20), part(2, { ...seen(passed, 20 - passed), ...rest })]);
		expect(other(18)).toBeGreaterThan(other(6) + 0.8);
	});

	it('hangs on the least certain stage', () => {
		const uneven = {
			...semiRipe,
			stages: semiRipe.stages.map((s) =>
				s.to === 'rooted' ? { ...s, chance: 0.5, weight: 4 } : { ...s, chance: 0.95, weight: 100 }
			)
		};
		const f = batchOf(lavender, uneven, north, { struckOn, pieces: 10 });
		const prepared = prepare(f);
		const hinge = hangsOn(4, [], [{ prepared, ahead: forecast(f).ahead }]);
		expect(hinge).toMatchObject({ batch: 0, stage: 'rooted' });
		expect(hinge!.swing).toBeGreaterThan(0.3);
	});
});

describe('keeping one through winter', () => {
	const shelters = [
		{ in: 'garage' as const, chance: 0.8, weight: 10, care: 0, say: '' },
		{ in: 'sill' as const, chance: 0.9, weight: 10, care: 0, say: '' }
	];
	const of = {
		kind: { winter: { limit_c: 2, say: '', shelters, src: '' }, hardiness_c: { v: 0, src: '' } },
		coldestC: -12,
		winters: 1,
		parents: 1
	};
	const keep = (available: string[], standsIn: string | null, over: Partial<Parameters<typeof keepThrough>[0]> = {}) =>
		keepThrough({ ...of, available: new Set(available), standsIn, ...over });

	it('needs less of the cuttings when the parent is sheltered', () => {
		const parent = keep(['garage'], 'bed');
		expect(parent).toMatchObject({ toMove: true });
		expect(parent.parentAlone).toBeCloseTo(0.8, 3);
		// 1 − 0.2 · (1 − x) = 0.95 → the cuttings must bring x = 0.75 by themselves.
		const table = reachWith(parent.pmf, [betaOf(0.5, 10)], 1, 20);
		const alone = reachTable([betaOf(0.5, 10)], 1, 20);
		table.forEach((p, n) => expect(p).toBeCloseTo(1 - (1 - parent.parentAlone) * (1 - alone[n]!), 10));
		expect(smallestReaching(table, 0.95)).toBe(smallestReaching(alone, 1 - 0.05 / (1 - parent.parentAlone)));
	});
	it('is reckoned where it stands, and parents in one place share its fate', () => {
		expect(keep(['garage', 'sill'], 'garage', { parents: 2 })).toMatchObject({ toMove: false });
		const two = keep([], 'garage', { parents: 2 }).pmf;
		expect(two[1]).toBe(0);
		expect(two[2]).toBeCloseTo(0.8, 3);
		expect(keep([], 'bed')).toMatchObject({ shelter: null, parentAlone: 0 });
	});
	it('faces no winter from spring to autumn, and half of one for half', () => {
		expect(keep(['sill'], 'sill', { winters: 0 }).parentAlone).toBe(1);
		const half = keep(['sill'], 'sill', { winters: 0.5 }).parentAlone;
		expect(half).toBeGreaterThan(0.93);
		expect(half).toBeLessThan(0.96);
	});
	it('of a hardy kind outdoors by the coldest night, in the ground', () => {
		const ground = [{ in: 'ground' as const, chance: 0.95, weight: 20, care: 0, say: '' }];
		const hardy = { winter: { limit_c: -12, say: '', shelters: ground, src: '' }, hardiness_c: { v: -23, src: '' } };
		const at = (coldestC: number) => keep([], 'bed', { kind: hardy, coldestC }).parentAlone;
		expect(at(-8)).toBeGreaterThan(0.93);
		expect(at(-23)).toBeLessThan(0.55);
		expect(at(-35)).toBeLessThan(0.05);
	});
});
