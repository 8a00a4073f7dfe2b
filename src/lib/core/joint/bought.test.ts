/** Plants that may be bought: as few as it takes, none where what grows will do, none beyond what may be spent. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { kind } from '../../../testing/handbook.js';
import { CLIMATES } from '../../../testing/calibrate.js';
import { arctic, tropics } from '../../../testing/climates.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';
import { byHand } from './byHand.js';
import { patternsFor, tell } from './plan.js';
import { keyOf, patternOf } from './patterns.js';
import { solveJoint } from './solve.js';
import type { JointRequest, JointWant, Rules } from './types.js';

const lavender = kind('lavender');
const EACH = 6;

interface Asked {
	want?: Partial<JointWant>;
	plants?: number;
	rules?: Rules;
	today?: string;
	climate?: (typeof CLIMATES)[number];
}
const asked = ({ want = {}, plants = 1, rules, today = '2027-03-20', climate = CLIMATES[0]! }: Asked): JointRequest =>
	jointOf(climate, [lavender], {
		...{ today: dayNumber(today), rules },
		wants: [wantOf({ id: 'w', kindId: 'lavender', target: 60, due: dayNumber(today) + 500, ...want })],
		sources: plants > 0 ? [sourceOf('s', lavender, plants)] : []
	});
const solved = (r: JointRequest) => {
	const s = solveJoint(r, null, exactOf(r));
	return { s, x: s.chosen[0]!, told: tell(s.p, s).wants[0]! };
};
const MAY = { most: 60, each: EACH };

describe('what may be bought', () => {
	it.each([...CLIMATES, arctic, tropics].map((c) => [c.latitude, c] as const))(
		'is as little as it takes, at %s°: with one fewer it would be less sure than asked',
		(_, climate) => {
			for (const today of ['2027-01-10', '2027-07-10']) {
				const r = asked({ climate, today, want: { buys: MAY } });
				const { s, x, told } = solved(r);
				expect(s.promised[0], `${today} ${x.key}`).toBeGreaterThanOrEqual(0.9 - 1e-9);
				expect(x.buys).toBeGreaterThan(0);
				const own = x.parts.slice(s.p.faces[0]![0]!.odds.fixed.length);
				const fewer = patternOf(patternsFor(s.p, 0), own, keyOf(own), x.buys - 1);
				expect(exactOf(r)(x.as, fewer)).toBeLessThan(0.9);
				const grown = solved({ ...r, wants: [{ ...r.wants[0]!, buys: null }] });
				expect(grown.s.promised[0], 'it takes some').toBeLessThan(0.9);
				// What is bought is in what it costs.
				const { effortOf } = s.p.field;
				const growing = x.parts.reduce((sum, { c, n }) => sum + effortOf(c, n).cost, 0);
				expect(told.cost).toBeCloseTo(growing + x.buys * EACH, 6);
				expect(told.buys).toBe(x.buys);
			}
		}
	);

	it('is nothing where what grows will do, and all where it is nearly for nothing or where nothing can be grown', () => {
		const few = { target: 6 };
		expect(solved(asked({ want: { ...few, buys: { most: 6, each: EACH * 10 } }, plants: 4 })).x.buys).toBe(0);
		expect(solved(asked({ want: { ...few, buys: { most: 6, each: 0.01 } }, plants: 4 })).x).toMatchObject({
			...{ buys: 6, parts: [] }
		});
		expect(solved(asked({ want: { ...few, buys: { most: 6, each: EACH } }, plants: 0 })).s).toMatchObject({
			...{ promised: [1], odds: [1] }
		});
		const soon = { target: 6, due: dayNumber('2027-03-27') };
		expect(solved(asked({ want: { ...soon, buys: { most: 6, each: EACH } }, plants: 4 })).x.buys).toBe(6);
	});

	it('never costs more than all that is new may, and is no more than was said', () => {
		for (const spend of [0, 5, 20, 100, 200]) {
			const { x, told } = solved(asked({ want: { buys: MAY }, rules: { spend } }));
			expect(told.cost).toBeLessThanOrEqual(spend + 1e-6);
			expect(x.buys * EACH).toBeLessThanOrEqual(spend);
		}
		const { x, s } = solved(asked({ want: { target: 6, buys: { most: 4, each: 1 } }, plants: 0 }));
		expect(x.buys).toBe(4);
		expect(s.promised[0]).toBe(0);
	});

	it('is none for a hedge: what is bought is of another age', () => {
		expect(solved(asked({ want: { buys: MAY, oneAge: true } })).x.buys).toBe(0);
	});

	it('stays as it is when batches are changed by hand, and counts', () => {
		const r = asked({ want: { buys: MAY } });
		const { s, x } = solved(r);
		const batches = x.parts.map(({ c, n }) => ({ wantId: 'w', sourceId: 's', wayId: c.way.id, on: c.on, pieces: n }));
		const same = byHand(s.p, batches, exactOf(r), new Map([['w', x.buys]]));
		if (!same.ok) throw new Error(same.problem.sentence);
		expect(same.value.solved.promised).toEqual(s.promised);
		const without = byHand(s.p, batches, exactOf(r));
		expect(without.ok && without.value.solved.promised[0]).toBeLessThan(s.promised[0]!);
	});
});
