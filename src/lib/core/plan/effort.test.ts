/** What a plan asks for, reckoned by hand; and plans of all kinds held to what they promise. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import type { Kind, Stage, StageName } from '../handbook/schema.js';
import { betaOf, meanOf } from '../odds/beta.js';
import type { Beta } from '../odds/beta.js';
import type { Climate } from '../season/climate.js';
import { guessClimate } from '../season/climate.js';
import { openings } from '../season/windows.js';
import { effortOf, flushesFor, MIX_COST_PER_LITRE, mostBy, piecesOf, plan, plantingDay, walk } from './index.js';
import type { Walk } from './index.js';
import { allKinds, book, containers, kind as kindOf } from '../../../testing/handbook.js';
import { canGive, takingOf } from '../material/capacity.js';
import { seasonOfClimate } from '../season/season.js';
import { requestOf } from '../../../testing/plans.js';

const kinds: Kind[] = allKinds();
const north: Climate = {
	latitude: 52,
	longitude: 15,
	coldestC: -17,
	lastFrost: { doy: 125, sd: 10 },
	firstFrost: { doy: 285, sd: 12 }
};

const stage = (to: StageName, over: Partial<Stage> = {}): Stage => ({
	to,
	days: [10, 10, 10],
	chance: 0.5,
	weight: 10,
	grows: 'always',
	holds: 'pot-9',
	minutes: 0,
	care: 0,
	src: 'memory',
	...over
});

/** Soft tips: set round the rim of what takes several. */
const soft = kindOf('coleus').ways.find((w) => w.way === 'soft-tip')!;

describe('effort', () => {
	const steps: Walk['steps'] = [
		{ stage: stage('rooted', { holds: 'cell-tray', minutes: 1, care: 7 }), from: 0, to: 14 },
		{ stage: stage('potted', { holds: 'pot-9', minutes: 2, care: 0.7 }), from: 14, to: 24 },
		{ stage: stage('ready', { holds: 'pot-9', care: 0.7 }), from: 24, to: 34 }
	];
	const odds = new Map<StageName, Beta>([
		['rooted', betaOf(0.5, 10)],
		['potted', betaOf(0.8, 10)],
		['ready', betaOf(0.9, 10)]
	]);
	const e = effortOf({ walk: { steps, planted: 34, leaves: 34 }, odds, struck: 40, way: soft, book });

	it('counts containers by what is expected to enter each stage', () => {
		// 40 struck fill two trays of 24; 20 are expected to root, 16 of them to live in their pots.
		expect(e.stages.map((s) => s.containers)).toEqual([2, 20, 16]);
		expect(e.stages.map((s) => s.entering)).toEqual([40, 20, 16]);
	});

	it('adds handling and weeks of care', () => {
		// Tray: 40·1 + 2 trays · 7 min · 2 weeks; pots: 20·2 + 20 · 0.7 · 10/7; then 16 · 0.7 · 10/7.
		expect(e.stages[0]!.minutes).toBeCloseTo(40 + 28, 10);
		expect(e.stages[1]!.minutes).toBeCloseTo(40 + 20, 10);
		expect(e.stages[2]!.minutes).toBeCloseTo(16, 10);
		expect(e.minutes).toBeCloseTo(68 + 60 + 16, 10);
		// Potting twenty and the first week of their care.
		expect(e.peakMinutesPerWeek).toBeCloseTo(40 + 14, 10);
	});

	it('a winter within a stage is cared for once, and what is ready waits at a cost', () => {
		const w: Walk['steps'] = [
			{ stage: stage('rooted', { holds: 'cell-tray', care: 0 }), from: 0, to: 14 },
			{ stage: stage('wintered', { holds: 'pot-9', care: 0.07, chance: 0.9999 }), from: 30, to: 170 },
			{ stage: stage('ready', { holds: 'pot-9', care: 0.7 }), from: 14, to: 190 }
		];
		const sure = new Map<StageName, Beta>([
			['rooted', betaOf(0.9999, 1e6)],
			['wintered', betaOf(0.9999, 1e6)],
			['ready', betaOf(0.9999, 1e6)]
		]);
		const e = effortOf({ walk: { steps: w, planted: 204, leaves: 204 }, odds: sure, struck: 10, way: soft, book });
		// Ten pots: twenty weeks of winter, and from day 14 to planting on day 204 without the 140 days of winter.
		expect(e.minutes).toBeCloseTo(10 * 0.07 * 20 + (10 * 0.7 * 50) / 7, 1);
		// They take their room until they leave.
		expect(e.stages.find((s) => s.to === 'ready')!.until).toBe(204);
	});

	it('buys pots and mix once for stages that keep the same container', () => {
		const tray = containers.get('cell-tray')!;
		const pot = containers.get('pot-9')!;
		expect(e.litres).toBeCloseTo(2 * tray.litres + 20 * pot.litres, 10);
		expect(e.pots).toBe(22);
		expect(e.cost).toBeCloseTo(2 * tray.cost + 20 * pot.cost + e.litres * MIX_COST_PER_LITRE, 10);
		expect(e.peakAreaCm2).toBe(20 * pot.area_cm2);
	});
});

describe('planting', () => {
	it('waits for a day on which the kind may go out, wherever the garden lies', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...kinds),
				fc.integer({ min: -60, max: 66 }),
				fc.integer({ min: 20_000, max: 22_000 }),
				(kind, latitude, day) => {
					const c = guessClimate({ latitude, longitude: 10, heightM: 100 }).climate;
					const on = plantingDay(kind, day, seasonOfClimate(c));
					if (on === null) return;
					expect(on).toBeGreaterThanOrEqual(day);
					expect(kind.plant_out.some((rule) => openings(rule, on, on, c).length > 0)).toBe(true);
					// And no day before it would have done.
					if (on > day) expect(kind.plant_out.every((rule) => openings(rule, day, on - 1, c).length === 0)).toBe(true);
				}
			),
			{ numRuns: 120 }
		);
	});

	it('comes after all stages, and these follow each other without a gap or a step back', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...kinds),
				fc.integer({ min: 20_000, max: 20_365 }),
				fc.double({ min: -1.6, max: 1.6, noNaN: true }),
				(kind, day, q) => {
					for (const way of kind.ways) {
						const w = walk({ kind, way, start: day, luck: q, season: seasonOfClimate(north) });
						if (!w) continue;
						const growing = w.steps.filter((s) => s.stage.to !== 'wintered' && s.stage.to !== 'planted');
						let at = day;
						for (const s of growing) {
							expect(s.from).toBe(at);
							expect(s.to).toBeGreaterThanOrEqual(s.from);
							at = s.to;
						}
						expect(w.planted).toBeGreaterThanOrEqual(at);
						expect(w.steps.at(-1)!.stage.to).toBe('planted');
					}
				}
			),
			{ numRuns: 80 }
		);
	});
});

describe('flushes', () => {
	const gives = fc.record({
		n: fc.integer({ min: 1, max: 60 }),
		at_cm: fc.constant(50),
		measure: fc.constant('height' as const),
		power: fc.constant(1),
		recover_days: fc.integer({ min: 10, max: 200 }),
		uses_up: fc.boolean(),
		src: fc.constant('memory')
	});

	it('never take more than there is on any day, nor too few, and most is the most', () => {
		fc.assert(
			fc.property(gives, fc.integer({ min: 1, max: 150 }), fc.integer({ min: 0, max: 400 }), (g, pieces, span) => {
				const stock = { count: 1, sizeCm: 50, ageYears: 3, condition: 'strong' } as const;
				const f = { last: 1000, open: [{ from: 1000 - span, to: 1000 }], stock, gives: g, takings: [] };
				const flushes = flushesFor(pieces, f);
				const most = piecesOf(mostBy(f));
				if (flushes === null) {
					if (!g.uses_up) expect(pieces).toBeGreaterThan(g.n);
					return;
				}
				expect(flushes.reduce((n, f) => n + f.pieces, 0)).toBe(pieces);
				expect(most).toBeGreaterThanOrEqual(pieces);
				flushes.forEach((f, i) => {
					expect(f.on).toBeGreaterThanOrEqual(1000 - span);
					expect(
						canGive(
							stock,
							g,
							flushes.slice(0, i).map((x) => takingOf(stock, g, x.pieces, x.on)),
							f.on
						)
					).toBeGreaterThanOrEqual(f.pieces);
				});
			})
		);
	});
});

describe('a plan of any kind', () => {
	const today = dayNumber('2027-03-01');

	it('keeps its promises: sure enough, in time, in its window, and within what the stock gives', { timeout: 480_000 }, () => {
		for (const kind of kinds) {
			const stock = { count: 3, sizeCm: null, ageYears: 4, condition: 'strong' } as const;
			// Holly takes three years, yew four.
			const due = dayNumber('2031-06-15');
			const p = plan(requestOf(kind, north, { stock, target: 5, due, confidence: 0.85, today }));
			expect(p.ways.length).toBe(kind.ways.length);
			expect(
				p.ways.some((w) => w.best),
				kind.id
			).toBe(true);
			for (const w of p.ways) {
				if (!w.best) {
					expect(w.why, `${kind.id} ${w.wayId}`).toBeTruthy();
					continue;
				}
				const way = kind.ways.find((x) => x.id === w.wayId)!;
				// Where all is taken that the stock gives, what would be told as kept is kept.
				const { canGive } = w.curve.find((c) => c.on === w.best!.on)!;
				const all = w.best.flushes.length > 1 || w.best.strike >= canGive;
				expect(w.best.probability).toBeGreaterThanOrEqual(all ? 0.845 : 0.85 - 1e-9);
				expect(w.best.ready.quick).toBeLessThanOrEqual(w.best.ready.usual);
				expect(w.best.ready.usual).toBeLessThanOrEqual(w.best.ready.slow);
				expect(w.best.ready.usual).toBeLessThanOrEqual(due);
				expect(openings(way.window, w.best.on, w.best.on, north).length).toBe(1);
				expect(w.best.flushes.reduce((n, f) => n + f.pieces, 0)).toBe(w.best.strike);
				expect(w.lastSafe!).toBeGreaterThanOrEqual(w.best.flushes[0]!.on);
				expect(w.best.mean).toBeGreaterThan(4);
				// No piece is thought to fare better than its stages allow.
				const through = way.stages.filter((s) => s.to !== 'wintered').reduce((m, s) => m * meanOf(betaOf(s.chance, s.weight)), 1);
				expect(w.best.mean).toBeLessThanOrEqual(w.best.strike * through * 1.001);
			}
		}
	});

	it('asks for more pieces, never fewer, for more plants or more certainty', () => {
		const kind = kinds.find((k) => k.id === 'fuchsia')!;
		const ask = (target: number, confidence: number) =>
			plan(
				requestOf(kind, north, {
					stock: { count: 20, sizeCm: null, ageYears: 4, condition: 'strong' },
					target,
					due: dayNumber('2028-06-15'),
					confidence,
					today
				})
			).ways.find((w) => w.wayId === 'soft-tip')!.best!.strike;
		expect(ask(10, 0.8)).toBeGreaterThan(ask(5, 0.8));
		expect(ask(10, 0.95)).toBeGreaterThan(ask(10, 0.6));
	});

	it('works in a southern garden and in one without frost', () => {
		for (const climate of [
			guessClimate({ latitude: -41, longitude: 174, heightM: 20 }).climate,
			guessClimate({ latitude: 8, longitude: -80, heightM: 10 }).climate
		]) {
			const kind = kinds.find((k) => k.id === 'coleus')!;
			const p = plan(
				requestOf(kind, climate, {
					stock: { count: 3, sizeCm: null, ageYears: 2, condition: 'strong' },
					target: 6,
					due: today + 420,
					today
				})
			);
			expect(p.ways.some((w) => w.best)).toBe(true);
		}
	});
});
