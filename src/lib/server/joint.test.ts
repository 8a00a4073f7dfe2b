/** The plan of all wants where little or nothing can be and with what a person rules out. */
import { describe, expect, it } from 'vitest';
import {
	JOINT,
	beginJoint,
	bindsOf,
	byHand,
	carrying,
	clashesOf,
	costOf,
	finishJoint,
	holds,
	prepareJoint,
	solveJoint,
	tell,
	toldOf,
	withLimits
} from '$lib/core/joint/index.js';
import { plantsOf } from '$lib/core/joint/patterns.js';
import type { Ground, JointRequest, JointWant, Pattern, Solved } from '$lib/core/joint/index.js';
import type { StageNeed } from '$lib/core/plan/effort.js';
import { north, tropics } from '../../testing/climates.js';
import { kind } from '../../testing/handbook.js';
import { exactly } from './solver.js';
import { alsoDoing, exactOf, jointOf, sourceOf, wantOf } from '../../testing/joint.js';
import { asked, lavender, solved, today, want } from '../../testing/lavenders.js';

describe('gardens that can carry little', () => {
	it('answers at once where there is nothing to take from, no time, no room, or no window', () => {
		for (const r of [
			asked({ sources: [] }),
			asked({ minutesPerWeek: 0 }),
			asked({ wants: [] }),
			asked({ wants: [want({ due: today + 1 })] }),
			asked({ away: [{ from: today, to: today + 2000 }] }),
			jointOf(tropics, [lavender], { wants: [want()], sources: [sourceOf('s', lavender, 0)] })
		]) {
			const s = solved(r);
			expect(s.chosen.every((x) => x.parts.length === 0)).toBe(true);
			expect(tell(s.p, s).wants).toHaveLength(r.wants.length);
		}
	});

	it('plans no more for a bed than its ground takes, waits for what moves away, and names a bed that has room', () => {
		const moves = today + 560;
		const from = [today, moves];
		const bed = (fits: number[], over: Partial<Ground> = {}): Ground => ({ bedId: 'bed', from, fits, there: 0, ...over });
		const sources = [sourceOf('s', lavender, 8)];
		const inBed = (s: Solved) =>
			s.chosen.reduce((n, x) => n + (x.parts.length ? Math.min(x.as.target, plantsOf(x.parts)) : 0), 0);
		const both = (fits: number[]) =>
			asked({
				sources,
				wants: [want({ id: 'a', target: 12, ground: bed(fits) }), want({ id: 'b', target: 14, ground: bed(fits), priority: 4 })]
			});
		// Without a bed that is measured, and where there is room for all, both are met.
		for (const r of [both([26, 26]), asked({ sources, wants: [want({ id: 'a' }), want({ id: 'b', target: 14 })] })])
			expect(Math.min(...solved(r).odds)).toBeGreaterThan(0.9);
		const s = solved(both([20, 20]));
		expect(inBed(s)).toBeLessThanOrEqual(20 + 1e-6);
		expect(s.odds[1]!).toBeGreaterThan(0.9);
		expect(s.odds[0]!).toBeLessThan(0.9);
		const [bound] = bindsOf({
			...{ solved: s, exact: exactOf(s.p.r), already: (w) => w.already },
			elsewhere: () => [bed([8, 8], { bedId: 'small' }), bed([30, 30], { bedId: 'free' })]
		});
		expect(bound!.by).toContain('ground');
		expect(bound!.changes.find(({ change }) => change.of === 'bed')!.change).toEqual({ of: 'bed', bedId: 'free' });
		// Of what stands there already of the want itself only the rest asks for room.
		const there = solved(asked({ sources, wants: [want({ target: 30, ground: bed([20, 20], { there: 12 }) })] }));
		expect(inBed(there) - 12).toBeGreaterThan(0);
		expect(Math.min(18, plantsOf(there.chosen[0]!.parts))).toBeLessThanOrEqual(20);

		// Something stands there until it moves: in time there is no ground, later there is.
		const due = moves - 60;
		const full = (over: Partial<JointWant> = {}) =>
			asked({ sources, wants: [alsoDoing(want({ due, ground: bed([0, 30]), ...over }), {})] });
		const held = solved(full());
		expect(held.chosen[0]!.parts).toEqual([]);
		const [waits] = bindsOf({ solved: held, exact: exactOf(held.p.r), already: (w) => w.already });
		expect(waits!.by).toEqual(expect.arrayContaining(['ground', 'time']));
		const weeks = waits!.changes.flatMap(({ change }) => (change.of === 'due' ? [change.weeks] : []));
		expect(due + 7 * weeks[0]!).toBeGreaterThanOrEqual(moves);
		const late = solved({ ...full(), wants: [alsoDoing(full().wants[0]!, { lateWeeks: 16 })] });
		expect(late.chosen[0]!.as.due).toBeGreaterThanOrEqual(moves);
		expect(late.promised[0]!).toBeGreaterThan(0.9);

		// By hand: told; pinned: obeyed, and nothing more comes there.
		const { sourceId, wayId, on, pieces } = tell(s.p, s).wants[1]!.batches[0]!;
		const mine = byHand(
			s.p,
			['a', 'b'].map((wantId) => ({ wantId, sourceId, wayId, on, pieces })),
			exactOf(s.p.r)
		);
		const clashes = mine.ok ? mine.value.clashes : [];
		expect(clashes.filter((c) => c.of === 'ground')).toMatchObject([{ bedId: 'bed', day: today }]);
		const pinned = { wantId: 'a', sourceId, wayId, on, pieces };
		const obeyed = solved({ ...both([20, 20]), rules: { pinned: [pinned] } });
		expect(obeyed.chosen[0]!.parts.some((x) => x.n === pieces)).toBe(true);
		expect(inBed(obeyed)).toBeLessThanOrEqual(20 + 1e-6);
	});

	it('meets a want of any of several kinds with all of them together, each from its own plants and in its own season', () => {
		const sage = kind('sage');
		const catmint = kind('catmint');
		const kinds = [lavender, sage, catmint];
		const sources = [sourceOf('l', lavender, 1), sourceOf('s', sage, 1), sourceOf('c', catmint, 1)];
		// A plant of each gives too few by itself for so many.
		const of = (orKinds: string[], target: number) =>
			solved(jointOf(north, kinds, { wants: [want({ target, orKinds })], sources, minutesPerWeek: 300 }));
		const met = (s: Solved) => s.odds[0]! >= 0.9;
		const most = (orKinds: string[]) => {
			let n = 4;
			while (n < 2_000 && met(of(orKinds, n + 4))) n += 4;
			return n;
		};
		const alone = most([]);
		const both = most(['sage']);
		expect(alone).toBeGreaterThan(4);
		expect(both).toBeGreaterThan(alone);
		const s = of(['sage'], both);
		const taken = new Set(s.chosen[0]!.parts.map(({ c }) => c.source.kindId));
		expect(taken.size).toBeGreaterThan(1);
		for (const { c } of s.chosen[0]!.parts) {
			const its = kinds.find((k) => k.id === c.source.kindId)!;
			expect(its.ways).toContain(c.way);
			expect(c.inBest || s.p.field.windowOn(its.id, c.way, c.on).opens < c.on).toBe(true);
		}
		// One more kind to choose from is never a dearer plan, by the sample that it was found on.
		for (const target of [6, 12, alone]) {
			const cost = (orKinds: string[]) => costOf(of(orKinds, target).chosen);
			expect(cost(['sage'])).toBeLessThanOrEqual(cost([]) + 1e-9);
		}
		// Stock that would help is of the kind of which the fewest are missing; money buys whichever kind is cheapest.
		const short = of(['sage', 'catmint'], both * 3);
		const [bound] = bindsOf({ solved: short, exact: exactOf(short.p.r), already: () => Float64Array.of(1) });
		const more = bound!.changes.flatMap(({ change }) => (change.of === 'stock' ? [change] : []));
		expect(more).toHaveLength(1);
		for (const { kindId, more: plants } of more) {
			expect(kinds.map((k) => k.id)).toContain(kindId);
			const grown = sources.map((x) => (x.kindId === kindId ? { ...x, stock: { ...x.stock, count: 1 + plants } } : x));
			expect(met(solved({ ...short.p.r, sources: grown }))).toBe(true);
		}
	});

	it('is stopped between any two steps, and comes to the same plan when it is asked again', async () => {
		const r = asked({
			wants: [want({ id: 'a', target: 30 }), want({ id: 'b', target: 30 }), want({ id: 'c', target: 200 })],
			sources: [sourceOf('s', lavender, 2)]
		});
		const solvers = await exactly();
		const told = (s: Solved) => s.chosen.map((x) => x.key);
		const whole = told(solveJoint(r, solvers, exactOf(r)));
		const begun = beginJoint(r, exactOf(r));
		const first = toldOf(begun, begun.found);
		expect(holds({ pools: first.p.pools, limits: first.p.rows.limits }, first.chosen)).toBe(true);
		let steps = 0;
		for (let most = 0; ; most++) {
			steps = 0;
			const found = finishJoint(begun, solvers, () => ++steps > most);
			if (found) {
				expect(told(found)).toEqual(whole);
				break;
			}
		}
		expect(steps).toBeGreaterThan(3);
		expect(toldOf(begun, begun.found)).toEqual(first);
		// The best is no dearer than the first, by the sample that both were found on.
		expect(costOf(solveJoint(r, solvers, () => 1).chosen)).toBeLessThanOrEqual(costOf(first.chosen) + 1e-9);
	});

	it('promises what was asked where it can, and says by how much it falls short where not', () => {
		const easy = solved(asked());
		expect(easy.odds[0]).toBeGreaterThanOrEqual(0.9);
		const hard = solved(asked({ wants: [want({ target: 400 })] }));
		expect(hard.odds[0]).toBeLessThan(0.5);
		expect(hard.chosen[0]!.parts.length).toBeGreaterThan(0);
	});

	it('keeps two wants of one plant from taking more than it gives', () => {
		const r = asked({
			wants: [want({ id: 'a', target: 40 }), want({ id: 'b', target: 40 })],
			sources: [sourceOf('s', lavender, 1)]
		});
		const s = solved(r);
		const free = solved(asked({ wants: [want({ id: 'a', target: 40 })], sources: [sourceOf('s', lavender, 1)] }));
		expect(holds({ pools: s.p.pools, limits: s.p.rows.limits }, s.chosen)).toBe(true);
		const taken = (x: Pattern) => x.parts.reduce((n, p) => n + p.n, 0);
		expect(taken(s.chosen[0]!) + taken(s.chosen[1]!)).toBeLessThan(2 * taken(free.chosen[0]!));
	});

	it('takes fewer or later where that would do and the want itself cannot be met, and promises what it then gives', () => {
		const whole = want({ target: 60 });
		const one = { sources: [sourceOf('s', lavender, 1)] };
		const short = solved(asked({ ...one, wants: [whole] }));
		expect(short.odds[0]).toBeLessThan(0.7);
		const most = bindsOf({ solved: short, exact: exactOf(asked()), already: (w) => w.already })[0]!.changes;
		const number = most.flatMap((c) => (c.change.of === 'number' ? [c.change.to] : []))[0]!;
		const soon = want({ target: 8, due: today + 120 });
		expect(solved(asked({ ...one, wants: [soon] })).odds[0]).toBeLessThan(0.1);
		for (const [asking, least] of [
			// One fewer than can just be had: away from the edge of what the sample can tell.
			[alsoDoing(whole, { enough: number - 1 }), 0.895],
			[alsoDoing(whole, { enough: number - 2, lateWeeks: 4 }), 0.895],
			// Half as late and nearly as sure is better than as late as it may be.
			[alsoDoing(soon, { lateWeeks: 60 }), 0.85]
		] as const) {
			const s = solved(asked({ ...one, wants: [asking] }));
			const { as } = s.chosen[0]!;
			expect(as.target < asking.target || as.due > asking.due).toBe(true);
			expect(s.promised[0]).toBeGreaterThanOrEqual(least);
			expect(s.promised[0]).toBeCloseTo(exactOf(s.p.r)(as, s.chosen[0]!), 9);
			expect(s.odds[0]).toBeLessThan(s.promised[0]!);
		}
		// What can be met whole is not met with less, nor what less would not help.
		const easy = solved(asked({ wants: [alsoDoing(want(), { enough: 6, lateWeeks: 20 })] }));
		expect(easy.chosen[0]!.as).toBe(easy.p.r.wants[0]);
		const none = solved(asked({ sources: [], wants: [alsoDoing(want(), { enough: 6 })] }));
		expect(none.chosen[0]!.parts).toEqual([]);
	});

	it('gives the plant to the want that goes before others', () => {
		for (const first of [0, 1]) {
			const wants = ['a', 'b'].map((id, i) =>
				want({ id, target: 10, priority: JOINT.weighs.value[i === first ? 'first' : 'last'] })
			);
			const s = solved(asked({ wants, sources: [sourceOf('s', lavender, 1)] }));
			expect(s.odds[first]!).toBeGreaterThan(s.odds[1 - first]! + 0.2);
		}
	});

	it('spends no more than it may, and says what more money would do', () => {
		const free = solved(asked({ wants: [want({ target: 40 })] }));
		const costOfAll = tell(free.p, free).wants[0]!.cost;
		const r = asked({ wants: [want({ target: 40 })], rules: { spend: costOfAll / 3 } });
		const s = solved(r);
		expect(tell(s.p, s).wants[0]!.cost).toBeLessThanOrEqual(costOfAll / 3 + 1e-6);
		expect(s.odds[0]).toBeLessThan(free.odds[0]!);
		const [bound] = bindsOf({ solved: s, exact: exactOf(r), already: (w) => w.already });
		expect(bound!.by).toContain('spend');
		const more = bound!.changes.flatMap((c) => (c.change.of === 'spend' ? [c.change.more] : []))[0]!;
		expect(solved({ ...r, rules: { spend: costOfAll / 3 + more } }).odds[0]).toBeGreaterThanOrEqual(0.895);
		expect(solved({ ...r, rules: { spend: 0 } }).chosen[0]!.parts.every((x) => x.n >= 0)).toBe(true);
	});

	it('finds too little of the same for one batch as for the plan that has only it', () => {
		const rooms = [
			{ id: 'sill', kind: 'sill', cm2: 400 },
			{ id: 'frame', kind: 'frame', cm2: 600 }
		];
		const r = asked({ rooms, minutesPerWeek: 12, wants: [want({ target: 40 })] });
		const p = prepareJoint(r);
		const over = carrying(r);
		let clashed = 0;
		for (const x of p.pools[0]!.filter((y) => y.parts.length === 1)) {
			const [{ c, n }] = x.parts as [(typeof x.parts)[0]];
			const told = clashesOf(p, [x]).filter((y) => y.of !== 'stock');
			const alone = over(p.field.stagesOf(p.rows, c, n));
			const plain = (list: typeof told) => list.map((y) => [String(y.of), y.day, Math.round(y.over * 1e6)].join(' ')).sort();
			// The plan's own rows end with its last batch; what is planted is out of them all the same.
			expect(plain(alone)).toEqual(plain(told));
			clashed += told.length;
		}
		expect(clashed).toBeGreaterThan(20);
	});

	it('strikes nothing in part for a want whose stock is grown first', () => {
		const few = { sources: [sourceOf('s', lavender, 1)] };
		const part = solved(asked({ ...few, wants: [want({ target: 60 })] }));
		expect(part.chosen[0]!.parts.length).toBeGreaterThan(0);
		expect(solved(asked({ ...few, wants: [want({ target: 60, waits: true })] })).chosen[0]!.parts).toEqual([]);
		// What it can be met with is planned all the same.
		const met = solved(asked({ wants: [want({ waits: true })] }));
		expect(met.odds[0]!).toBeGreaterThan(0.89);
		expect(met.chosen[0]!.parts.length).toBeGreaterThan(0);
	});

	it('holds what was pinned with other limits too: no room or stock of it is given twice', () => {
		const r = asked({ sources: [sourceOf('s', lavender, 8)] });
		const { sourceId, wayId, on, pieces } = tell(solved(r).p, solved(r)).wants[0]!.batches[0]!;
		const p = prepareJoint({ ...r, rules: { pinned: [{ wantId: 'w', sourceId, wayId, on, pieces }] } });
		expect(withLimits(p, p.r).rows.limits).toEqual(p.rows.limits);
		expect(withLimits(p, p.r).rows.held.some((x) => x > 0)).toBe(true);
	});

	it('does what was pinned, keeps off what was ruled out', () => {
		const plain = solved(asked());
		const [{ c }] = plain.chosen[0]!.parts as [(typeof plain.chosen)[0]['parts'][0]];
		const without = solved(asked({ rules: { notWays: [`lavender ${c.way.id}`] } }));
		expect(without.chosen[0]!.parts.every((x) => x.c.way.id !== c.way.id)).toBe(true);
		const later = solved(asked({ rules: { notIn: [{ from: today, to: c.on + 20 }] } }));
		expect(later.chosen[0]!.parts.every((x) => x.c.on > c.on + 20)).toBe(true);
	});

	it('keeps a place free: nothing new stands there, and what does takes no room of the others', () => {
		const rooms = [
			{ id: 'sill', kind: 'sill', cm2: 6_000 },
			{ id: 'frame', kind: 'frame', cm2: null },
			{ id: 'bench', kind: 'bench', cm2: 9_000 }
		];
		const standsIn = (r: JointRequest) => {
			const s = solved(r);
			return new Set(tell(s.p, s).wants.flatMap((w) => w.batches.flatMap((b) => b.rooms)));
		};
		const freed = (...notPlaces: string[]) => asked({ rooms, rules: { notPlaces } });
		// A frame of which nobody said how large it is has room for all; kept free it has none.
		expect(standsIn(freed('frame')).has('frame')).toBe(false);
		expect(standsIn(freed('frame')).size).toBeGreaterThan(0);
		expect(standsIn(freed('frame', 'bench')).has('bench')).toBe(false);
		const none = solved(freed('frame', 'bench', 'sill'));
		const stood = tell(none.p, none).loads.filter((l) => l.of !== 'minutes');
		expect(stood.length).toBeGreaterThan(0);
		expect(Math.max(...stood.flatMap((l) => l.weeks.map((w) => w.plan)))).toBe(0);
		// Most of the bench is full of what grows already: with it kept free the others are as they were.
		const need: StageNeed = {
			...{ to: 'rooted', from: today, until: today + 300, entering: 40, container: 'tray', containers: 2 },
			...{ areaCm2: 8_000, open: false, litres: 0, minutes: 0, handling: 0, minutesPerWeek: 0 }
		};
		const busy = [{ kindId: 'lavender', roomId: 'bench', grows: 'season' as const, struck: false, need }];
		// By the places that share the room, week by week; what stands somewhere makes that place a row of its own.
		const limits = (r: JointRequest) => {
			const { rows } = prepareJoint(r);
			return rows.sets.map((set, i) => [set, [...rows.limits.slice(rows.roomRow(i, 0), rows.roomRow(i, rows.weeks))]]);
		};
		const [full, bare] = [limits({ ...freed('bench', 'frame'), busy }), limits(freed('bench', 'frame'))];
		expect(bare.length).toBeGreaterThan(0);
		expect(full).toEqual(expect.arrayContaining(bare));
		expect(limits({ ...freed('frame'), busy })).not.toEqual(expect.arrayContaining(limits(freed('frame'))));
	});
});

describe('a hedge', () => {
	it('is struck by one way within a season, in every combination that is looked at; by hand it is told where it is not', () => {
		const of = (oneAge: boolean) =>
			prepareJoint(
				jointOf(north, [lavender], {
					wants: [{ ...wantOf({ id: 'w', kindId: 'lavender', due: today + 900, target: 120 }), oneAge }],
					sources: [sourceOf('s', lavender, 2), sourceOf('t', lavender, 1)]
				})
			);
		const spread = ({ parts }: Pattern) => {
			const days = parts.map((x) => x.c.on);
			return { days: parts.length ? Math.max(...days) - Math.min(...days) : 0, ways: new Set(parts.map((x) => x.c.way.id)).size };
		};
		const free = of(false).pools[0]!.map(spread);
		expect(free.some((x) => x.days > 300)).toBe(true);
		expect(free.some((x) => x.ways > 1)).toBe(true);
		const p = of(true);
		const alike = p.pools[0]!.map(spread);
		expect(alike.length).toBeGreaterThan(20);
		expect(alike.every((x) => x.days <= 100 && x.ways < 2)).toBe(true);
		// Two of one season still go together.
		expect(p.pools[0]!.some((x) => x.parts.length > 1)).toBe(true);
		const [first] = p.candidates[0]!;
		const later = p.candidates[0]!.find((c) => c.on > first!.on + 150 && c.way === first!.way)!;
		const batch = (c: typeof later) => ({ wantId: 'w', sourceId: c.source.id, wayId: c.way.id, on: c.on, pieces: 5 });
		const told = byHand(p, [batch(first!), batch(later)], (_, x) => x.odds);
		expect(told.ok && told.value.clashes.map((c) => [c.of, c.wantId])).toEqual([['age', 'w']]);
		const one = byHand(p, [batch(later)], (_, x) => x.odds);
		expect(one.ok && one.value.clashes).toEqual([]);
	});
});
