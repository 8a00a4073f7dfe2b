/** Spots of what moves, who waits for whom, and the days of it: worked by hand, and every rule looked at again. */
import { describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { dayNumber, isoOf, plainDate } from '../dates.js';
import { daysOfMoves, minutesToMove } from './moveDays.js';
import type { StepToDate } from './moveDays.js';
import { mayStand } from './outline.js';
import type { Disk, Point } from './region.js';
import { spotsFor, waitsOf } from './spots.js';
import { survives } from './survive.js';
import { turnsOf } from './turns.js';

const bed = (wide: number, tall: number) => ({
	outline: [
		[0, 0],
		[wide, 0],
		[wide, tall],
		[0, tall]
	] as Point[],
	holes: []
});
const apartFrom = (points: readonly Point[], disks: readonly Disk[], half: number) =>
	Math.min(Infinity, ...points.flatMap(([x, y]) => disks.map((d) => Math.hypot(x - d.x, y - d.y) - d.r - half)));

describe('spots', () => {
	it('keep off what stays, and take ground that others leave only where there is no other', () => {
		const u = randomLcg(0.6);
		for (let i = 0; i < 40; i++) {
			const ground = bed(2 + 4 * u(), 1 + 2 * u());
			const somewhere = (): Disk => ({ x: ground.outline[1]![0] * u(), y: ground.outline[2]![1] * u(), r: 0.1 + 0.4 * u() });
			const [keepOff, leaves] = [Array.from({ length: 3 }, somewhere), Array.from({ length: 3 }, somewhere)];
			const [apart, half, count] = [0.3 + 0.3 * u(), 0.15 + 0.15 * u(), 1 + Math.floor(4 * u())];
			const spots = spotsFor({ ground, count, apart, half, keepOff, leaves });
			for (const p of spots) expect(mayStand({ ...ground, margin: 0 }, p)).toBe(true);
			expect(apartFrom(spots, keepOff, half)).toBeGreaterThan(-1e-6);
			for (const [n, a] of spots.entries())
				for (const b of spots.slice(n + 1)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(apart - 1e-6);
			const without = spotsFor({ ground, count, apart, half, keepOff: [...keepOff, ...leaves], leaves: [] });
			if (without.length === count) expect(apartFrom(spots, leaves, half)).toBeGreaterThan(-1e-6);
			expect(spots.length).toBeGreaterThanOrEqual(without.length);
		}
	});

	it('are where they were asked for', () => {
		const near: Point = [3.6, 0.9];
		const [spot] = spotsFor({ ground: bed(4, 1.2), count: 1, apart: 0.4, half: 0.2, keepOff: [], leaves: [], near });
		expect(Math.hypot(spot![0] - near[0], spot![1] - near[1])).toBeLessThan(0.4);
	});
});

describe('who waits for whom', () => {
	const at = (x: number, y: number, r = 0.3): Disk[] => [{ x, y, r }];
	const mover = (from: Disk[], to: Disk[], takesFrom: number[] = []) => ({
		...{ now: { bed: 'a', disks: from }, next: { bed: 'a', disks: to } },
		...{ takesFrom, pots: 1 }
	});
	it('holes that lie in another’s ball wait for it; beside it they do not', () => {
		// The first goes half into the second's place, the second into the third's, the third to free ground.
		const waits = waitsOf([mover(at(0, 0), at(1.2, 0)), mover(at(1.6, 0), at(3, 0.2)), mover(at(3, 0), at(6, 0))]);
		expect(waits.after).toEqual([[1], [2], []]);
		expect(turnsOf(waits).steps.map((s) => s.plant)).toEqual([2, 1, 0]);
		// Exactly beside it, .6 m off, is free.
		expect(waitsOf([mover(at(0, 0), at(1, 0)), mover(at(1.6, 0), at(5, 0))]).after).toEqual([[], []]);
	});
	it('one large one that goes where three stand waits for all three, and in another bed for none', () => {
		const three = [0, 0.6, 1.2].map((x) => mover(at(x, 0), at(x, 5)));
		expect(waitsOf([mover(at(9, 9), [{ x: 0.6, y: 0, r: 0.8 }]), ...three]).after[0]).toEqual([1, 2, 3]);
		const elsewhere = { ...mover(at(9, 9), [{ x: 0.6, y: 0, r: 0.8 }]), next: { bed: 'b', disks: at(0.6, 0, 0.8) } };
		expect(waitsOf([elsewhere, ...three]).after[0]).toEqual([]);
	});
	it('taking another’s spot waits for it, drawn or not', () => {
		const swap = waitsOf([mover([], [], [1]), mover([], [], [0])]);
		expect(swap.after).toEqual([[1], [0]]);
		expect(turnsOf(swap)).toMatchObject({ mostHeld: 1, held: 1 });
	});
});

describe('days of moves', () => {
	const from = dayNumber('2027-03-01');
	const any = (minutes: number, sitting = minutes): StepToDate => ({ opens: (d) => d, minutes, sitting });
	it('keep their order, the week’s minutes and the days off, for 60 random lists', () => {
		const u = randomLcg(0.21);
		for (let i = 0; i < 60; i++) {
			const weekends = u() < 0.5;
			const budget = 30 + Math.round(150 * u());
			const steps = Array.from({ length: 1 + Math.floor(u() * 9) }, (_, sitting): StepToDate => {
				const opens = from + Math.floor(u() * 60);
				return { opens: (d) => Math.max(d, opens), minutes: 10 + Math.round(80 * u()), sitting };
			});
			const days = daysOfMoves({ steps, from, budget, weekends });
			const weeks = new Map<number, number[]>();
			days.forEach((d, n) => {
				expect(d).not.toBeNull();
				expect(d!).toBeGreaterThanOrEqual(Math.max(steps[n]!.opens(from)!, n > 0 ? days[n - 1]! : from));
				if (weekends) expect(plainDate(d!).dayOfWeek).toBeGreaterThanOrEqual(6);
				const week = Math.floor((d! - from) / 7);
				weeks.set(week, [...(weeks.get(week) ?? []), steps[n]!.minutes]);
			});
			for (const all of weeks.values()) if (all.length > 1) expect(all.reduce((a, b) => a + b)).toBeLessThanOrEqual(budget);
		}
	});
	it('worked by hand: 60 minutes a week, three moves of 40 minutes from Monday 1 March 2027', () => {
		const days = daysOfMoves({ steps: [any(40, 0), any(40, 1), any(40, 2)], from, budget: 60, weekends: true });
		expect(days.map((d) => isoOf(d!))).toEqual(['2027-03-06', '2027-03-13', '2027-03-20']);
	});
	it('nothing waits overnight where one day suits a whole knot, whatever the week has left', () => {
		const days = daysOfMoves({ steps: [any(30, 0), any(20, 1), any(30, 1), any(20, 1)], from, budget: 90, weekends: false });
		expect(days.map((d) => d! - from)).toEqual([0, 7, 7, 7]);
		// Seasons that never meet: each on its own day.
		const late = { opens: (d: number) => (d > from + 20 ? null : d), minutes: 5, sitting: 1 };
		const apart = daysOfMoves({
			...{ from, budget: 90, weekends: false },
			steps: [late, { opens: (d) => Math.max(d, from + 30), minutes: 5, sitting: 1 }]
		});
		expect(apart).toEqual([from, from + 30]);
	});
	it('a season that never opens ends the list', () => {
		const days = daysOfMoves({
			steps: [any(10), { opens: () => null, minutes: 5, sitting: 99 }, any(10)],
			from,
			budget: 60,
			weekends: false
		});
		expect(days).toEqual([from, null, null]);
	});
	it('a ball of 20 litres takes about 25 minutes (own judgement)', () => expect(minutesToMove(1, 20)).toBe(24));
});

describe('whether it lives', () => {
	const shrub = { habit: 'deciduous shrub' as const, size: { height_cm: 300, spread_cm: 200, spacing_cm: 100, src: 'invented' } };
	const clump = { habit: 'herbaceous' as const, size: { height_cm: 60, spread_cm: 50, spacing_cm: 40, src: 'invented' } };
	const of = (over: Partial<Parameters<typeof survives>[0]>) =>
		survives({ kind: shrub, tallCm: 150, ageYears: null, inSeason: true, ...over });
	it('falls with height, out of season and with a smaller ball, and gains by roots cut round (common practice, no source)', () => {
		expect(of({ tallCm: 40 })).toBeGreaterThan(of({}));
		expect(of({})).toBeGreaterThan(of({ tallCm: 300 }));
		expect(of({})).toBeGreaterThan(of({ inSeason: false }));
		expect(of({})).toBeGreaterThan(of({ ball: 0.6 }));
		expect(of({ tallCm: 300, cutRound: true })).toBeGreaterThan(of({ tallCm: 300 }));
		// Nothing is gained where nothing is lost.
		expect(of({ tallCm: 40, cutRound: true })).toBe(of({ tallCm: 40 }));
		expect(survives({ kind: clump, tallCm: null, ageYears: 10, inSeason: true })).toBeGreaterThan(0.95);
	});
	it('goes by the garden’s own record as it grows, the book’s word worth 20 plants (Beta and binomial, worked by hand)', () => {
		const after = of({ tallCm: 40, before: { lived: 5, died: 15 } });
		expect(after).toBeCloseTo((20 * 0.92 + 5) / 40, 10);
		expect(of({ tallCm: 40, before: { lived: 0, died: 0 } })).toBeCloseTo(0.92, 10);
	});
});
