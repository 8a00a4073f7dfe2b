import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { parse } from 'yaml';
import { describe, expect, it } from 'vitest';
import { dayNumber, isoOf } from '../dates.js';
import { containerSchema, kindSchema } from '../handbook/schema.js';
import type { Kind, StageName } from '../handbook/schema.js';
import { betaOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import { certain, outcome, reachTable, reachWith } from '../odds/chain.js';
import { sumOf } from '../odds/sum.js';
import { atLeast, smallestReaching, strike } from '../odds/strike.js';
import type { Climate } from '../season/climate.js';
import { asEvidence, stageOdds, without, worthOf } from '../evidence/evidence.js';
import { batchTasks, inWalkingOrder, shelterTask, winterLook } from '../round/tasks.js';
import { canGive, fullYield, mayMultiply, recoversOn } from '../material/index.js';
import type { Batch } from '../ledger/foldBatch.js';
import {
	chanceInTime,
	flushesFor,
	forecast,
	shareRooted,
	hangsOn,
	keepThrough,
	mostBy,
	plan,
	stageDays,
	walk,
	wantOdds
} from './index.js';
import type { PlanRequest } from './index.js';

const kind = (id: string): Kind => kindSchema.parse(parse(readFileSync(`handbook/kinds/${id}.yaml`, 'utf8')));
const containers = new Map(
	(parse(readFileSync('handbook/containers.yaml', 'utf8')) as unknown[])
		.map((c) => containerSchema.parse(c))
		.map((c) => [c.id, c])
);
const north: Climate = {
	latitude: 52,
	longitude: 15,
	coldestC: -17,
	lastFrost: { doy: 125, sd: 10 },
	firstFrost: { doy: 285, sd: 12 }
};
const south: Climate = {
	latitude: -43,
	longitude: 172,
	coldestC: -6,
	lastFrost: { doy: 280, sd: 12 },
	firstFrost: { doy: 120, sd: 12 }
};
const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;

describe('how long a stage takes', () => {
	it('goes through low, usual and high at one in ten, one in two, nine in ten', () => {
		expect([0.1, 0.5, 0.9].map((q) => stageDays([21, 35, 56], q))).toEqual([21, 35, 56]);
		fc.assert(
			fc.property(fc.double({ min: 0.01, max: 0.98, noNaN: true }), (q) => {
				expect(stageDays([21, 35, 56], q + 0.01)).toBeGreaterThanOrEqual(stageDays([21, 35, 56], q));
			})
		);
	});
});

describe('walking a batch through the seasons', () => {
	it('roots in summer, winters, and is planted when the season is right', () => {
		const w = walk(lavender, semiRipe, day('2027-07-12'), 0.5, north)!;
		expect(w.steps.map((s) => s.stage.to)).toEqual(['rooted', 'potted', 'wintered', 'ready', 'planted']);
		expect(isoOf(w.steps[0]!.to)).toBe('2027-08-16');
		expect(isoOf(w.steps[2]!.to)).toBe('2028-04-13');
		// Sixty-five days of growth, of which 56 fall before leaf fall; the rest after bud break.
		expect(w.planted).toBeGreaterThan(day('2028-04-13'));
		expect(w.planted).toBeLessThan(day('2028-06-05'));
	});

	it('knows no winter where there is none, and the other winter in the south', () => {
		const mild = { ...north, lastFrost: null, firstFrost: null, coldestC: 8 };
		expect(walk(lavender, semiRipe, day('2027-07-12'), 0.5, mild)!.steps.map((s) => s.stage.to)).not.toContain('wintered');
		const w = walk(lavender, semiRipe, day('2028-02-15'), 0.5, south)!;
		expect(w.steps.map((s) => s.stage.to)).toContain('wintered');
		expect(isoOf(w.planted).slice(0, 7)).toMatch(/2028-(09|10|11)/);
	});

	it('is never planted earlier when things go slower', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 700 }), fc.double({ min: 0.05, max: 0.9, noNaN: true }), (after, q) => {
				const on = day('2027-01-01') + after;
				expect(walk(lavender, semiRipe, on, q + 0.05, north)!.planted).toBeGreaterThanOrEqual(
					walk(lavender, semiRipe, on, q, north)!.planted
				);
			})
		);
	});

	it('goes through every winter until it is planted, and counts none twice', () => {
		const holly = kind('holly');
		const winters = (on: string, winteredOn: string | null) =>
			walk(holly, holly.ways[0]!, day(on), 0.9, north, null, winteredOn === null ? null : day(winteredOn))!.steps.filter(
				(s) => s.stage.to === 'wintered'
			).length;
		expect(winters('2027-09-20', null)).toBeGreaterThanOrEqual(2);
		expect(winters('2027-09-20', '2028-05-01')).toBe(winters('2027-09-20', null) - 1);
	});

	it('gives the share of luck that is in time', () => {
		expect(chanceInTime((q) => 1000 + q * 100, 1050)).toBe(0.5);
		expect(chanceInTime(() => 1000, 1000)).toBe(1);
		expect(chanceInTime(() => null, 1000)).toBe(0);
	});
});

describe('what stock gives', () => {
	const gives = {
		n: 48,
		at_cm: 80,
		measure: 'height',
		power: 2,
		recover_days: 120,
		uses_up: false,
		src: 'practice'
	} as const;
	const plant = { count: 1, sizeCm: 80, ageYears: 2, condition: 'strong' } as const;

	it('scales with size, count, age and condition', () => {
		expect(fullYield(plant, gives)).toBe(48);
		expect(fullYield({ ...plant, sizeCm: 40, count: 2 }, gives)).toBe(24);
		expect(fullYield({ ...plant, condition: 'weak' }, gives)).toBe(12);
		expect(fullYield({ ...plant, ageYears: 0.5 }, gives)).toBe(24);
		expect(fullYield({ ...plant, sizeCm: null }, gives)).toBe(48);
	});

	it('grows back: 48 pieces in about four months (common practice, no source)', () => {
		const took = [{ on: 1000, pieces: 48 }];
		expect(canGive(plant, gives, took, 1000)).toBe(0);
		expect(canGive(plant, gives, took, 1060)).toBe(24);
		expect(canGive(plant, gives, took, 1120)).toBe(48);
		expect(recoversOn(plant, gives, took, 24, 1000)).toBe(1060);
		expect(recoversOn(plant, gives, took, 49, 1000)).toBeNull();
		expect(canGive(plant, { ...gives, uses_up: true }, took, 2000)).toBe(0);
		expect(canGive(plant, gives, took, 999)).toBe(48);
	});

	it('is taken in as few flushes as will do', () => {
		expect(flushesFor(40, 1000, 900, plant, gives, [])).toEqual([{ on: 1000, pieces: 40 }]);
		expect(flushesFor(60, 1000, 800, plant, gives, [])).toEqual([
			{ on: 880, pieces: 48 },
			{ on: 1000, pieces: 12 }
		]);
		expect(flushesFor(60, 1000, 900, plant, gives, [])).toBeNull();
		expect(mostBy(1000, 800, plant, gives, [])).toBe(96);
	});

	it('is not multiplied while protected, but may be with leave or once the term is over', () => {
		expect(mayMultiply({ status: 'protected', until: 2041, leave: null }, 2027).may).toBe('no');
		expect(mayMultiply({ status: 'protected', until: 2020, leave: null }, 2027).may).toBe('look');
		expect(mayMultiply({ status: 'protected', until: 2041, leave: { basis: 'licence', reference: 'x' } }, 2027).may).toBe('yes');
		expect(mayMultiply({ status: 'unknown', until: null, leave: null }, 2027).may).toBe('look');
	});
});

describe('a plan', () => {
	const request = (over: Partial<PlanRequest> = {}): PlanRequest => ({
		kind: lavender,
		containers,
		stock: { count: 4, sizeCm: 50, ageYears: 4, condition: 'strong' },
		takings: [],
		record: {},
		target: 15,
		existing: certain(0),
		due: day('2028-06-30'),
		confidence: 0.9,
		today: day('2027-05-20'),
		climate: north,
		minutesPerWeek: 120,
		roomCm2: null,
		...over
	});

	it('strikes the smallest number that keeps its promise, by hand from the handbook’s odds', () => {
		const p = plan(request());
		const best = p.ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		const stages = best.stages.map((s) => semiRipe.stages.find((x) => x.to === s)!).map((s) => betaOf(s.chance, s.weight));
		const alone = strike(stages, 15, 0.9 / best.inTime);
		expect(alone.ok && alone.value.strike).toBe(best.strike);
		expect(best.probability).toBeGreaterThanOrEqual(0.9);
		expect(best.inTime * atLeast(outcome(stages, best.strike - 1), 15)).toBeLessThan(0.9);
		expect(best.flushes.reduce((n, f) => n + f.pieces, 0)).toBe(best.strike);
		expect(p.lastSafe).not.toBeNull();
		expect(best.ready.usual).toBeLessThanOrEqual(day('2028-06-30'));
	});

	it('asks for less when the garden’s own record is better than the handbook, and more when worse', () => {
		const good = [
			{
				rooted: { passed: 40, failed: 0 },
				potted: { passed: 40, failed: 0 },
				wintered: { passed: 38, failed: 2 }
			}
		];
		const bad = [{ rooted: { passed: 6, failed: 34 } }];
		const n = (record: PlanRequest['record']) =>
			plan(request({ record, stock: { count: 20, sizeCm: 50, ageYears: 4, condition: 'strong' } })).ways.find(
				(w) => w.wayId === 'semi-ripe'
			)!.best!.strike;
		expect(n({ 'semi-ripe': worthOf(good) })).toBeLessThan(n({}));
		expect(n({ 'semi-ripe': worthOf(bad) })).toBeGreaterThan(n({}));
	});

	it('says when it is too late, what can be had instead, and when it could be had', () => {
		const p = plan(request({ due: day('2027-08-01') }));
		expect(p.lastSafe).toBeNull();
		for (const w of p.ways) {
			expect(w.best).toBeNull();
			expect(w.why).toBeTruthy();
			expect(w.earliest!.ready).toBeGreaterThan(day('2027-08-01'));
		}
	});

	it('says when the stock is too small, and offers the most there is', () => {
		const p = plan(request({ stock: { count: 1, sizeCm: 30, ageYears: 3, condition: 'weak' } }));
		const w = p.ways.find((x) => x.wayId === 'semi-ripe')!;
		expect(w.best).toBeNull();
		expect(w.why).toMatch(/the stock gives about \d+/);
		expect(w.fallback!.probability).toBeLessThan(0.9);
		expect(w.fallback!.strike).toBe(fullYield({ count: 1, sizeCm: 30, ageYears: 3, condition: 'weak' }, semiRipe.gives));
	});

	it('asks only for what is missing beside what grows already', () => {
		const existing = outcome([betaOf(0.7, 20)], 14);
		const stock = { count: 20, sizeCm: 50, ageYears: 4, condition: 'strong' } as const;
		const best = plan(request({ existing, stock })).ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		const all = plan(request({ stock })).ways.find((w) => w.wayId === 'semi-ripe')!.best!;
		expect(best.strike).toBeLessThan(all.strike);
		const stages = best.stages.map((s) => semiRipe.stages.find((x) => x.to === s)!).map((s) => betaOf(s.chance, s.weight));
		// By hand: the sum of both reaches the target as surely as asked, and with one less it does not.
		const reach = (n: number) =>
			best.inTime * atLeast(sumOf(existing, outcome(stages, n)), 15) + (1 - best.inTime) * atLeast(existing, 15);
		expect(reach(best.strike)).toBeGreaterThanOrEqual(0.9 - 1e-5);
		expect(reach(best.strike - 1)).toBeLessThan(0.9);
		expect(best.probability).toBeCloseTo(reach(best.strike), 4);
	});

	it('names what binds', () => {
		const p = plan(request({ minutesPerWeek: 1, roomCm2: 10 }));
		const codes = p.ways.flatMap((w) => w.best?.binds.map((b) => b.code) ?? []);
		expect(codes).toContain('minutes');
		expect(codes).toContain('room');
	});
});

describe('a living batch', () => {
	const odds = new Map<StageName, Beta>(semiRipe.stages.map((s) => [s.to, stageOdds(s, {})]));
	const at = {
		unrooted: 20,
		rooted: 0,
		potted: 0,
		planted: 0,
		aliveOn: null,
		struckOn: day('2027-07-12'),
		since: day('2027-07-12'),
		lookedOn: null,
		seen: {}
	};
	const today = day('2027-07-20');

	it('untouched, is the chain of its stages', () => {
		const f = forecast(lavender, semiRipe, at, odds, today, null, north);
		const chain = outcome(
			['rooted', 'potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!),
			20
		);
		f.pmf.forEach((p, k) => expect(p).toBeCloseTo(chain[k]!, 12));
	});

	it('after a check, what was seen replaces what was guessed and the rest keeps its odds', () => {
		const seen = { rooted: { passed: 12, failed: 8 } };
		const f = forecast(
			lavender,
			semiRipe,
			{ ...at, unrooted: 0, rooted: 12, since: day('2027-08-16'), seen },
			odds,
			today,
			null,
			north
		);
		const rest = outcome(
			['potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!),
			12
		);
		rest.forEach((p, k) => expect(f.pmf[k]).toBeCloseTo(p, 12));
	});

	it('half seen, equals enumeration over what may come of the others', () => {
		// 8 rooted, 2 lost, 10 not rooted when looked at on day 35, when half of those that ever root have:
		// of the ten each is slow with p/2 against 1 − p never, p from Beta(α+8, β+2).
		const seen = { rooted: { passed: 8, failed: 2 } };
		const f = forecast(
			lavender,
			semiRipe,
			{ ...at, unrooted: 10, rooted: 8, lookedOn: day('2027-08-16'), seen },
			odds,
			today,
			null,
			north
		);
		const first = odds.get('rooted')!;
		const [a, b] = [first.alpha + 8, first.beta + 2];
		const p = a / (a + b);
		const open = outcome([betaOf(p / 2 / (p / 2 + 1 - p), a + b)], 10);
		const rest = ['potted', 'wintered', 'ready', 'planted'].map((s) => odds.get(s as StageName)!);
		const total = new Float64Array(19);
		open.forEach((w, k) => outcome(rest, 8 + k).forEach((q, j) => (total[j]! += w * q)));
		f.pmf.forEach((w, k) => expect(w).toBeCloseTo(total[k]!, 10));
	});

	it('slow pieces lose hope as time goes by', () => {
		expect(shareRooted([21, 35, 56], 35)).toBeCloseTo(0.5, 10);
		expect(shareRooted([21, 35, 56], 56)).toBeCloseTo(0.9, 10);
		expect(shareRooted([21, 35, 56], 0)).toBe(0);
		const still = (lookedOn: string) =>
			forecast(lavender, semiRipe, { ...at, lookedOn: day(lookedOn) }, odds, day(lookedOn), null, north).pmf.reduce(
				(m, w, k) => m + w * k,
				0
			);
		expect(still('2027-08-01')).toBeGreaterThan(still('2027-08-30'));
		expect(still('2027-08-30')).toBeGreaterThan(still('2027-10-30'));
	});

	it('a few laggards do not make the rest late', () => {
		const due = day('2028-06-10');
		const main = { ...at, unrooted: 0, potted: 18, since: day('2027-09-01') };
		const one = forecast(lavender, semiRipe, main, odds, today, due, north);
		const two = forecast(lavender, semiRipe, { ...main, unrooted: 2, lookedOn: day('2027-08-30') }, odds, today, due, north);
		expect(one.inTime).toBe(two.inTime);
		const atLeastTen = (pmf: Float64Array) => atLeast(pmf, 10);
		expect(atLeastTen(two.pmfInTime)).toBeGreaterThanOrEqual(atLeastTen(one.pmfInTime) - 1e-9);
		expect(two.pmfInTime.reduce((s, w) => s + w, 0)).toBeCloseTo(1, 9);
	});

	it('does not go through a winter twice that it was counted after', () => {
		const spring = { ...at, unrooted: 0, potted: 10, since: day('2027-09-01') };
		const winters = (aliveOn: string) =>
			forecast(lavender, semiRipe, { ...spring, aliveOn: day(aliveOn) }, odds, day('2028-04-25'), null, north).ahead.filter(
				(a) => a.stage === 'wintered'
			).length;
		expect(winters('2027-10-01')).toBe(1);
		expect(winters('2028-04-20')).toBe(0);
	});

	it('in the ground, is done', () => {
		const f = forecast(lavender, semiRipe, { ...at, unrooted: 0, planted: 9 }, odds, today, today, north);
		expect(f.pmf[9]).toBe(1);
		expect(f.inTime).toBe(1);
	});

	it('late by today is not planted in the past', () => {
		const f = forecast(lavender, semiRipe, { ...at, struckOn: day('2025-07-12') }, odds, today, null, north);
		expect(f.planted!.quick).toBeGreaterThanOrEqual(today);
	});
});

describe('the odds of a want', () => {
	const half = { pmfInTime: Float64Array.from([0.5, 0.5]), ahead: [] };
	it('adds its batches, and leaves out what comes too late', () => {
		expect(wantOdds(1, 0, [half, half]).probability).toBeCloseTo(0.75, 12);
		expect(wantOdds(2, 1, [half]).probability).toBeCloseTo(0.5, 12);
	});

	it('hangs on the least certain stage', () => {
		const batch = {
			pmfInTime: outcome([betaOf(0.5, 4), betaOf(0.95, 100)], 10),
			ahead: [
				{ stage: 'rooted' as const, odds: betaOf(0.5, 4), entering: 10 },
				{ stage: 'potted' as const, odds: betaOf(0.95, 100), entering: 5 }
			]
		};
		const hinge = hangsOn(4, [batch], (_, stage, odds) => ({
			pmfInTime: outcome(stage === 'rooted' ? [odds, betaOf(0.95, 100)] : [betaOf(0.5, 4), odds], 10)
		}));
		expect(hinge).toMatchObject({ batch: 0, stage: 'rooted' });
		expect(hinge!.swing).toBeGreaterThan(0.3);
	});

	it('keeping one through winter needs less of the cuttings when the parent is sheltered', () => {
		const shelters = [
			{ in: 'garage', chance: 0.8, weight: 10, care: 0, say: '' },
			{ in: 'sill', chance: 0.9, weight: 10, care: 0, say: '' }
		];
		const parent = keepThrough(shelters, new Set(['garage']), 'bed', 1);
		expect(parent).toMatchObject({ parentAlone: 0.8, toMove: true });
		// 1 − 0.2 · (1 − x) = 0.95 → the cuttings must bring x = 0.75 by themselves.
		const table = reachWith(parent.pmf, [betaOf(0.5, 10)], 1, 20);
		const alone = reachTable([betaOf(0.5, 10)], 1, 20);
		table.forEach((p, n) => expect(p).toBeCloseTo(1 - 0.2 * (1 - alone[n]!), 10));
		expect(smallestReaching(table, 0.95)).toBe(smallestReaching(alone, 0.75));
		// One that stands under shelter is reckoned where it stands.
		expect(keepThrough(shelters, new Set(['garage', 'sill']), 'garage', 2)).toMatchObject({
			parentAlone: 0.8,
			toMove: false
		});
		expect([...keepThrough(shelters, new Set(), 'garage', 2).pmf]).toEqual([expect.closeTo(0.2, 12), 0, 0.8]);
		expect(keepThrough(shelters, new Set(), 'bed', 1)).toMatchObject({ shelter: null, parentAlone: 0 });
	});
});

describe('evidence', () => {
	it('from one batch is worth less than its count: Kish’s effective sample size', () => {
		// n / (1 + (n − 1)·0.1): 20 pieces are worth 6.9.
		const e = asEvidence({ passed: 15, failed: 5 });
		expect(e.passed + e.failed).toBeCloseTo(20 / 2.9, 10);
		const a = { rooted: { passed: 12, failed: 8 } };
		const b = { rooted: { passed: 3, failed: 0 }, potted: { passed: 3, failed: 0 } };
		const left = without(worthOf([a, b]), a);
		expect(left.rooted!.passed).toBeCloseTo(worthOf([b]).rooted!.passed, 12);
		expect(left.potted).toEqual(worthOf([b]).potted);
		expect(asEvidence({ passed: 1, failed: 0 })).toEqual({ passed: 1, failed: 0 });
		expect(asEvidence({ passed: 0, failed: 0 })).toEqual({ passed: 0, failed: 0 });
	});
});

describe('the round', () => {
	const batch: Batch = {
		id: 'b',
		code: '322-U',
		kindId: 'lavender',
		wayId: 'semi-ripe',
		stockId: null,
		wantId: null,
		placeId: 'frame',
		fromBatch: null,
		status: 'growing',
		plannedOn: null,
		plannedCount: 0,
		struckOn: '2027-07-12',
		struck: 20,
		unrooted: 20,
		rooted: 0,
		potted: 0,
		winteredOn: null,
		planted: 0,
		given: 0,
		kept: 0,
		splitOff: 0,
		lost: 0,
		lostPlanted: 0,
		since: '2027-07-12',
		lastOn: '2027-07-12',
		lastSign: null,
		lookedOn: null,
		treatment: { medium: '', hormone: '', wound: false, cover: '' },
		container: '',
		seen: {},
		entries: 1
	};
	const tasks = (b: Partial<Batch>, on: string) =>
		batchTasks({ ...batch, ...b }, lavender, semiRipe, day(on), day(on) + 6, north).map((t) => t.kind);

	it('asks for a look when half should have rooted, and not again for ten days', () => {
		expect(tasks({}, '2027-08-01')).toEqual([]);
		expect(tasks({}, '2027-08-12')).toEqual(['look']);
		expect(tasks({ lastOn: '2027-08-16' }, '2027-08-18')).toEqual([]);
	});

	it('asks to pot what has rooted, to count after winter, and to plant in season', () => {
		expect(tasks({ unrooted: 0, rooted: 12, lastOn: '2027-08-20' }, '2027-08-21')).toEqual(['pot']);
		expect(tasks({ unrooted: 0, potted: 12, since: '2027-09-01', lastOn: '2027-09-01' }, '2028-04-12')).toContain('winter-count');
		expect(
			tasks({ unrooted: 0, potted: 12, since: '2027-09-01', lastOn: '2028-04-20', winteredOn: '2028-04-20' }, '2028-05-10')
		).toContain('plant');
		expect(tasks({ status: 'planned', plannedOn: '2027-07-20', plannedCount: 8 }, '2027-07-19')).toEqual(['strike']);
		expect(tasks({ status: 'done' }, '2027-08-12')).toEqual([]);
	});

	it('brings the tender in before frost is likely, and leaves the hardy out', () => {
		const coleus = kind('coleus');
		const of = { id: 'c', what: 'stock', placeId: null, count: 3, sheltered: false } as const;
		expect(shelterTask(of, coleus, day('2027-09-10'), day('2027-09-24'), north)).toHaveLength(1);
		expect(shelterTask(of, coleus, day('2027-07-10'), day('2027-07-24'), north)).toHaveLength(0);
		expect(shelterTask({ ...of, sheltered: true }, coleus, day('2027-09-10'), day('2027-09-24'), north)).toHaveLength(0);
		expect(shelterTask(of, lavender, day('2027-09-10'), day('2027-09-24'), north)).toHaveLength(0);
	});

	it('looks over what stands under shelter once a week in winter, and only then', () => {
		const look = (b: Partial<Batch>, on: string, sheltered = true) =>
			winterLook({ ...batch, unrooted: 0, potted: 9, ...b }, sheltered, day(on), day(on) + 6, north);
		expect(look({ lastOn: '2027-10-10' }, '2027-12-01')).toMatchObject([{ from: day('2027-12-01'), kind: 'winter-look' }]);
		expect(look({ lastOn: '2027-11-30' }, '2027-12-01')).toMatchObject([{ from: day('2027-12-07') }]);
		expect(look({}, '2027-08-01')).toEqual([]);
		expect(look({}, '2027-12-01', false)).toEqual([]);
		expect(look({ potted: 0 }, '2027-12-01')).toEqual([]);
	});

	it('expects no roots of hardwood while it rests', () => {
		const willow = kind('willow');
		const rods = { ...batch, struckOn: '2027-11-20', since: '2027-11-20', lastOn: '2027-11-20' };
		const due = (on: string) => batchTasks(rods, willow, willow.ways[0]!, day(on), day(on) + 6, north).map((t) => t.kind);
		expect(due('2028-01-20')).toEqual([]);
		expect(due('2028-06-10')).toContain('look');
	});

	it('goes by place in walking order, the most urgent first at each', () => {
		const t = (key: string, placeId: string, by: number) => ({
			key,
			kind: 'look' as const,
			from: 0,
			by,
			placeId,
			batchId: null,
			stockId: null,
			wantId: null,
			count: 1,
			minutes: 1,
			why: ''
		});
		const walkOf = (p: string | null) => (p === 'near' ? 1 : 2);
		expect(inWalkingOrder([t('a', 'far', 1), t('b', 'near', 9), t('c', 'near', 3)], walkOf).map((x) => x.key)).toEqual([
			'c',
			'b',
			'a'
		]);
	});
});
