/** Plants that are to stand so tall: how long that takes, what it does to the odds, and that nothing else is changed by it. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLIMATES } from '../../../testing/calibrate.js';
import { arctic, south, tropics } from '../../../testing/climates.js';
import { allKinds, book, kind } from '../../../testing/handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';
import { dayNumber } from '../dates.js';
import { cutOf } from '../handbook/schema.js';
import { wayFor } from '../joint/index.js';
import { solveJoint } from '../joint/solve.js';
import { afterGrowth, seasonOfClimate } from '../season/season.js';
import { inPots } from './ends.js';
import { grownOn } from './grownOn.js';
import { growthUntil, setHeight, shootOf, tallOn } from './tall.js';
import { FURTHEST_DAYS, walk } from './walk.js';

const woody = allKinds().flatMap((k) =>
	k.ways
		.map((way) => ({ kind: k, way, cut: cutOf(book.ways.get(way.way)!, way) }))
		.filter((x) => shootOf(k) !== null && setHeight(x.cut) !== null)
);
const seasons = [...CLIMATES, arctic, south, tropics].map(seasonOfClimate);
const anyOne = {
	x: fc.constantFrom(...woody),
	season: fc.constantFrom(...seasons),
	from: fc.integer({ min: 20_800, max: 21_500 }),
	share: fc.double({ min: 0.05, max: 0.8, noNaN: true })
};

describe('growing until so tall', () => {
	it('is the growth by which heights are told, the other way round', () => {
		fc.assert(
			fc.property(fc.record(anyOne), ({ x, season, from, share }) => {
				const t = { kind: x.kind, cut: x.cut, rooted: from, season };
				const cm = share * x.kind.size.height_cm;
				const days = growthUntil(cm, t)!;
				const there = tallOn(t, afterGrowth(season, from, Math.ceil(days)))!;
				expect(there).toBeGreaterThanOrEqual(Math.min(cm, x.kind.size.height_cm) - 0.01);
				if (days > 1) expect(tallOn(t, afterGrowth(season, from, Math.floor(days) - 1))!).toBeLessThan(cm);
			})
		);
		const holly = woody.find((x) => x.kind.id === 'holly')!;
		const t = { kind: holly.kind, cut: holly.cut, rooted: 21_000, season: seasons[0]! };
		expect(growthUntil(5, t)).toBe(0);
		expect(growthUntil(holly.kind.size.height_cm, t)).toBe(Infinity);
		// A division of no told length starts from the ground: no sooner than a piece that stands above it.
		const yucca = kind('yucca');
		const offset = cutOf(
			book.ways.get('offset')!,
			yucca.ways.find((w) => w.id === 'offset')!
		);
		expect(setHeight(offset)).toBeNull();
		expect(growthUntil(30, { ...t, kind: yucca, cut: offset })!).toBeGreaterThan(growthUntil(30, { ...t, kind: yucca })!);
		const iris = allKinds().find((k) => shootOf(k) === null)!;
		expect(growthUntil(20, { ...t, kind: iris })).toBeNull();
	});

	it('leaves no plant shorter than was asked on the usual day, and none much longer than it takes', () => {
		let longer = 0;
		fc.assert(
			fc.property(fc.record({ ...anyOne, pots: fc.boolean() }), ({ x, season, from, share, pots }) => {
				const cm = share * x.kind.size.height_cm;
				const whole = pots ? inPots(x.way) : x.way;
				const as = grownOn(whole, growthUntil(cm, { kind: x.kind, cut: x.cut, rooted: from, season })!);
				const w = walk({ kind: x.kind, way: as, start: from, season });
				// Farther ahead nothing is planned.
				if (!w || w.leaves > from + FURTHEST_DAYS) return;
				const rooted = w.steps.find((s) => s.stage.to === 'rooted')!.to;
				const t = { kind: x.kind, cut: x.cut, rooted, season };
				// The year after rooting is not the year after striking, where growth rests at another time: a day or two.
				expect(tallOn(t, w.leaves)!).toBeGreaterThan(cm * 0.99 - 0.2);
				if (as === whole) return;
				longer++;
				expect(as.stages.filter((s) => s.to !== 'ready')).toEqual(whole.stages.filter((s) => s.to !== 'ready'));
				const ready = w.steps.findLast((s) => s.stage.to === 'ready')!.to;
				// A month in its first pot, under cover or not, may be counted for nothing.
				expect(tallOn(t, ready)!).toBeLessThan(cm + 0.2 * shootOf(x.kind)! + 0.5);
			}),
			{ numRuns: 400 }
		);
		expect(longer).toBeGreaterThan(100);
	});

	it('changes nothing where the way itself takes longer, and is one way for one height', () => {
		const { way } = woody.find((x) => x.way.id === 'semi-ripe-row')!;
		expect(grownOn(way, 0)).toBe(way);
		expect(grownOn(way, 900)).toBe(grownOn(way, 900));
		expect(grownOn(way, 900)).not.toBe(grownOn(way, 901));
		// The spread grows with what is grown on.
		const [low, usual, high] = grownOn(way, 900).stages.find((s) => s.to === 'ready')!.days;
		expect(usual).toBe(900);
		expect(low).toBeLessThan(0.9 * usual);
		expect(high).toBeGreaterThan(1.1 * usual);
	});
});

describe('a want of plants so tall', () => {
	const box = kind('box');
	const today = dayNumber('2026-08-10');
	const cuts = new Map(box.ways.map((way) => [way.id, cutOf(book.ways.get(way.way)!, way)]));
	const grown = (climate: (typeof CLIMATES)[number], cm: number) =>
		Object.fromEntries(
			box.ways.map((way) => {
				const t = { kind: box, cut: cuts.get(way.id)!, rooted: today, season: seasonOfClimate(climate) };
				return [`box ${way.id}`, growthUntil(cm, t)!] as const;
			})
		);
	const asked = (climate: (typeof CLIMATES)[number], due: string, cm: number | null) =>
		jointOf(climate, [box], {
			today,
			wants: [
				{
					...wantOf({ id: 'w', kindId: 'box', target: 10, due: dayNumber(due) }),
					...(cm === null ? {} : { grown: grown(climate, cm) })
				}
			],
			sources: [sourceOf('s', box, 6)]
		});

	it('is not met by shorter ones in time, and is met when they have had their years', () => {
		for (const climate of CLIMATES.slice(0, 2)) {
			const short = asked(climate, '2028-11-01', null);
			expect(solveJoint(short, null, exactOf(short)).promised[0]).toBeGreaterThan(0.89);
			const early = asked(climate, '2028-11-01', 30);
			expect(solveJoint(early, null, exactOf(early)).promised[0]).toBeLessThan(0.05);
			const late = asked(climate, '2031-06-01', 30);
			const { chosen, promised, p } = solveJoint(late, null, exactOf(late));
			expect(promised[0]).toBeGreaterThan(0.89);
			for (const { c, n } of chosen[0]!.parts) {
				expect(c.way).toBe(
					wayFor(
						late.wants[0]!,
						'box',
						box.ways.find((w) => w.id === c.way.id)!
					)
				);
				const rooted = c.usual.steps.find((s) => s.stage.to === 'rooted')!.to;
				const season = seasonOfClimate(climate);
				expect(tallOn({ kind: box, cut: cuts.get(c.way.id)!, rooted, season }, c.usual.planted)!).toBeGreaterThan(29);
				// They are cared for as long as they stand.
				expect(Math.max(...p.field.effortOf(c, n).stages.map((s) => s.until))).toBeGreaterThanOrEqual(c.usual.planted);
			}
		}
	});
});
