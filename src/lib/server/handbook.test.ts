import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { inconsistencies, loadHandbook } from './handbook.js';
import { ROOT } from '../../../bin/lib.js';
import { dayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import { checkFigure, editableFigures, expandLike, withFigures } from '$lib/core/handbook/index.js';
import type { Climate } from '$lib/core/season/climate.js';
import { guessClimate } from '$lib/core/season/climate.js';
import { openings } from '$lib/core/season/windows.js';

const book = loadHandbook(join(ROOT, 'handbook'));
const kinds = [...book.kinds.values()];
const wayOf = (kind: string, way: string) => book.kinds.get(kind)!.ways.find((w) => w.id === way)!;
const rooted = (kind: string, way: string) => wayOf(kind, way).stages[0]!;

describe('the handbook', () => {
	it('holds sixty kinds at least and points nowhere wrong', () => {
		expect(kinds.length).toBeGreaterThanOrEqual(60);
		expect(inconsistencies(book)).toEqual([]);
		for (const way of book.ways.values())
			expect(
				kinds.some((k) => k.ways.some((w) => w.way === way.id)),
				way.id
			).toBe(true);
	});

	it('covers the kinds of plant and ways that the work needs', () => {
		const pairs: [string, string][] = [
			['evergreen shrub', 'semi-ripe'],
			['deciduous shrub', 'hardwood'],
			['deciduous shrub', 'sucker'],
			['tender', 'soft-tip'],
			['tender', 'water'],
			['herbaceous', 'division'],
			['tender', 'offset'],
			['succulent', 'soft-tip'],
			['tender', 'leaf'],
			['tender', 'basal'],
			['tender', 'tuber'],
			['climber', 'soft-tip'],
			['tender', 'nodal'],
			['succulent', 'in-place'],
			['herbaceous', 'root']
		];
		for (const [habit, way] of pairs)
			expect(
				kinds.some((k) => k.habit === habit && k.ways.some((w) => w.way === way)),
				`${habit} by ${way}`
			).toBe(true);
	});

	it('has sane units and figures throughout', () => {
		for (const kind of kinds) {
			expect(kind.hardiness_c.v, kind.id).toBeGreaterThan(-51);
			expect(kind.hardiness_c.v, kind.id).toBeLessThan(15);
			// In growth a plant bears no more cold than at rest.
			expect(kind.winter.limit_c, kind.id).toBeGreaterThanOrEqual(kind.hardiness_c.v);
			expect(kind.size.spacing_cm, kind.id).toBeLessThanOrEqual(Math.max(kind.size.height_cm, 1.5 * kind.size.spread_cm));
			expect(kind.price.v, kind.id).toBeGreaterThan(0);
			for (const w of kind.ways) {
				const at = `${kind.id} ${w.id}`;
				const cut = cutOf(book.ways.get(w.way)!, w);
				if (w.piece.cm) expect(w.piece.cm[0], at).toBeLessThanOrEqual(w.piece.cm[1]);
				if (cut.cm) {
					expect(cut.cm[0], at).toBeGreaterThanOrEqual(2);
					expect(cut.cm[2], at).toBeLessThanOrEqual(100);
					expect(cut.cm[0] <= cut.cm[1] && cut.cm[1] <= cut.cm[2], at).toBe(true);
				}
				for (const s of w.stages) {
					expect(s.chance, at).toBeGreaterThan(0.2);
					expect(s.days[2], `${at} ${s.to}`).toBeLessThanOrEqual(1200);
				}
				// Nobody waits less than four days nor more than two years for roots. From memory.
				expect(w.stages[0]!.days[1], at).toBeGreaterThanOrEqual(w.way === 'sucker' ? 0 : 4);
				expect(w.stages[0]!.days[1], at).toBeLessThanOrEqual(730);
			}
		}
	});

	it('is written by likeness only one step deep, and by what there is', () => {
		const base = {
			id: 'a',
			plant_out: [1],
			winter: { limit_c: 3, say: 'x' },
			ways: [{ id: 'w', say: 'base', stages: [{ to: 'rooted', chance: 0.5, days: [1, 2, 3] }] }]
		};
		const others = (id: string) => (id === 'a' ? base : id === 'b' ? { like: 'a' } : undefined);
		expect(
			expandLike(
				{ id: 'c', like: 'a', winter: { limit_c: 7 }, ways: [{ like: 'a/w', id: 'v', stages: { rooted: { chance: 0.9 } } }] },
				others
			)
		).toEqual({
			id: 'c',
			plant_out: [1],
			winter: { limit_c: 7, say: 'x' },
			ways: [{ id: 'v', say: 'base', stages: [{ to: 'rooted', chance: 0.9, days: [1, 2, 3] }] }]
		});
		expect(() => expandLike({ id: 'c', like: 'b', ways: [] }, others)).toThrow('itself like another');
		expect(() => expandLike({ id: 'c', like: 'z', ways: [] }, others)).toThrow('not in the handbook');
		expect(() => expandLike({ id: 'c', ways: [{ like: 'a/none' }] }, others)).toThrow('not in the handbook');
		expect(() => expandLike({ id: 'c', ways: [{ like: 'a/w', stages: { potted: {} } }] }, others)).toThrow('no stage potted');
		// What makes a plant itself is never taken over.
		expect(
			expandLike({ id: 'c', like: 'a', ways: [] }, (id) => (id === 'a' ? { ...base, common: 'A', size: 1 } : undefined))
		).not.toHaveProperty('common');
	});

	it('agrees with the trade on what is commonly practised (common practice, no source)', () => {
		// Soft tips root in 2–4 weeks; box is looked at from 3–4 weeks on; scented pelargoniums in 1–3 weeks.
		for (const [kind, way] of [
			['marguerite', 'soft-tip'],
			['fuchsia', 'soft-tip'],
			['ivy-pelargonium', 'soft-tip']
		] as const) {
			expect(rooted(kind, way).days[1]).toBeGreaterThanOrEqual(14);
			expect(rooted(kind, way).days[2]).toBeLessThanOrEqual(30);
		}
		expect(rooted('box', 'semi-ripe').days[0]).toBe(28);
		expect(wayOf('box', 'semi-ripe').piece.cm).toEqual([7.5, 10]);
		expect(rooted('scented-pelargonium', 'soft-tip').days).toEqual([8, 15, 24]);
		// A big scented pelargonium gives about 48 pieces and regrows them in about four months.
		expect(wayOf('scented-pelargonium', 'soft-tip').gives).toMatchObject({ n: 48, recover_days: 120 });
		// Leaf halves: plantlets in 12–14 weeks. Basal shoots of 8–10 cm root in 2–3 weeks.
		expect(rooted('streptocarpus', 'leaf').days[1]).toBe(90);
		expect(wayOf('dahlia', 'basal').piece.cm).toEqual([8, 10]);
		expect(rooted('dahlia', 'basal').days[1]).toBe(18);
		// Nodal pieces in under a week when warm.
		expect(rooted('tradescantia', 'nodal').days[1]).toBeLessThanOrEqual(7);
		// Tender foliage plants stop at about 7 °C.
		expect(book.kinds.get('coleus')!.winter.limit_c).toBe(7);
	});

	it('opens every window once a year in temperate gardens of both hemispheres', () => {
		for (const [latitude, last, first] of [
			[56, 130, 280],
			[50, 115, 290],
			[38, 90, 315],
			[-38, 270, 130]
		] as const) {
			const climate = {
				latitude,
				longitude: 10,
				coldestC: -10,
				lastFrost: { doy: last, sd: 10 },
				firstFrost: { doy: first, sd: 10 }
			};
			const from = dayNumber('2027-01-01');
			for (const kind of kinds)
				for (const way of kind.ways)
					expect(openings(way.window, from, from + 365, climate).length, `${kind.id} ${way.id} at ${latitude}`).toBeGreaterThan(
						0
					);
		}
	});

	/** Gardens of twelve climates, made up. */
	const gardens: [name: string, climate: Climate][] = (
		[
			['equator', 0, 20, null, null],
			['monsoon', 15, 12, null, null],
			['savanna south', -12, 10, null, null],
			['mild oceanic', 50, -2, 60, 345],
			['mild oceanic south', -41, -2, 240, 165],
			['hardly a winter', 51, -3, 20, 364],
			['temperate', 52, -12, 115, 290],
			['temperate south', -38, -5, 270, 130],
			['continental', 48, -28, 135, 265],
			['mountain', 46, -22, 165, 240],
			['mountain south', -44, -15, 345, 62],
			['high arctic', 69, -38, 188, 212]
		] as const
	).map(([name, latitude, coldestC, last, first]) => [
		name,
		{
			latitude,
			longitude: 10,
			coldestC,
			lastFrost: last === null ? null : { doy: last, sd: 10 },
			firstFrost: first === null ? null : { doy: first, sd: 10 }
		}
	]);
	it.each(gardens)('%s: no way is open when it cannot be', (name, c) => {
		const from = dayNumber('2027-01-01');
		const shoots = new Set(['soft-tip', 'semi-ripe', 'basal', 'leaf']);
		const cold = dayNumber(c.latitude < 0 ? '2027-07-10' : '2027-01-10');
		const warm = dayNumber(c.latitude < 0 ? '2027-01-10' : '2027-07-10');
		for (const kind of kinds)
			for (const way of kind.ways) {
				const at = `${kind.id} ${way.id}, ${name}`;
				const all = openings(way.window, from, from + 800, c);
				for (let i = 0; i < all.length; i++) {
					const o = all[i]!;
					expect(o.opens <= o.bestFrom && o.bestFrom <= o.bestTo && o.bestTo <= o.closes, at).toBe(true);
					if (i > 0) expect(o.opens, at).toBeGreaterThan(all[i - 1]!.closes - 1);
					// Open until it opens again is no window: it is one that shut before it opened.
					if (c.lastFrost && way.window.no_frost !== 'all_year') expect(o.closes - o.opens, at).toBeLessThan(350);
				}
				const open = (day: number) => all.some((o) => day >= o.opens && day <= o.closes);
				if (!c.lastFrost) continue;
				// This year's shoots of what stands outdoors are not cut in the depth of winter, nor leafless wood in summer.
				if (shoots.has(way.way) && c.coldestC < -8 && /shrub|tree|climber/.test(kind.habit)) expect(open(cold), at).toBe(false);
				if (way.way === 'hardwood') expect(open(warm), at).toBe(false);
			}
	});

	it('puts box in midsummer in the north and half a year off in the south', () => {
		const month = (latitude: number) => {
			const { climate } = guessClimate({ latitude, longitude: 10, heightM: 50 });
			const from = dayNumber('2027-01-01');
			const w = openings(wayOf('box', 'semi-ripe').window, from, from + 365, climate).at(-1)!;
			return new Date(((w.bestFrom + w.bestTo) / 2) * 86_400_000).getUTCMonth() + 1;
		};
		// June–September in the north, mid-July best (common practice, no source).
		expect([6, 7, 8]).toContain(month(50));
		expect([12, 1, 2]).toContain(month(-40));
	});

	it('refuses a file that is not right', () => {
		expect(() => loadHandbook(join(ROOT, 'demo'))).toThrow();
	});
});

describe('own figures', () => {
	const box = book.kinds.get('box')!;

	it('replace the handbook’s without touching it', () => {
		const path = 'ways.semi-ripe.rooted.chance';
		const own = withFigures(box, { [path]: 0.5, 'no.such.path': 3 });
		expect(own.ways[0]!.stages[0]!.chance).toBe(0.5);
		expect(box.ways[0]!.stages[0]!.chance).not.toBe(0.5);
		expect(editableFigures(box).some((f) => f.path === path)).toBe(true);
	});

	it('are checked: known, in range, days in order', () => {
		expect(checkFigure(box, 'ways.semi-ripe.rooted.chance', 0.5).ok).toBe(true);
		expect(checkFigure(box, 'ways.semi-ripe.rooted.chance', 1.2)).toMatchObject({
			problem: { code: 'figure.range' }
		});
		expect(checkFigure(box, 'nonsense', 1)).toMatchObject({ problem: { code: 'figure.unknown' } });
		expect(checkFigure(box, 'ways.semi-ripe.rooted.days.0', 400)).toMatchObject({
			problem: { code: 'figure.order' }
		});
		expect(checkFigure(box, 'price', Number.NaN).ok).toBe(false);
	});
});
