/** Growing the stock first: against the recurrence by hand where nothing is left to chance, and against dice where all is. */
import { describe, expect, it } from 'vitest';
import { ladderFor, youngGives } from './ladder.js';
import type { Ladder, Rung } from './ladder.js';
import type { Source } from './types.js';
import { Sample } from './sample.js';
import { dayNumber } from '../dates.js';
import type { Kind, WayProfile } from '../handbook/schema.js';
import { canGive, takingOf } from '../material/capacity.js';
import { dice, grow, yearByChance } from '../../../testing/growIt.js';
import { worldOf } from '../../../testing/calibrate.js';
import { north, south, tropics } from '../../../testing/climates.js';
import { allKinds, kind } from '../../../testing/handbook.js';
import { jointOf, sourceOf, wantOf } from '../../../testing/joint.js';

const today = dayNumber('2027-03-20');
const asked = (k: Kind, climate = south, target = 60) =>
	jointOf(climate, [k], {
		wants: [wantOf({ id: 'w', kindId: k.id, due: today + 300, target })],
		sources: [sourceOf('s', k, 1)]
	});
const found = (r: ReturnType<typeof asked>) => ladderFor(r, r.wants[0]!, new Sample(400, 1, r.rho));

/** What is taken at each step, by hand: of the parent and of each kept before, so much as has grown back, less what is left on them. */
function asking(source: Source, { gives, ...way }: WayProfile, l: Ladder) {
	const takings: ReturnType<typeof takingOf>[] = [];
	const stock: { born: number; count: number; asked: number; left: number }[] = [];
	const end = l.rungs.length - 1;
	return (k: number, came: number): number => {
		const { on } = l.rungs[k]!;
		if (k > 0) stock.push({ born: l.rungs[k - 1]!.on, count: came, asked: on, left: 1 });
		const share = k === end ? 1 : l.share;
		const parent = Math.ceil(share * canGive(source.stock, gives, takings, on));
		takings.push(takingOf(source.stock, gives, parent, on));
		let pieces = parent;
		for (const y of stock) {
			const back = gives.uses_up ? 0 : Math.min(1, (on - y.asked) / gives.recover_days);
			const there = y.left + (1 - y.left) * back;
			pieces += y.count * youngGives(source, { ...way, gives }, y.born, on) * there * share;
			y.left = there - share * there;
			y.asked = on;
		}
		return Math.min(2_000, Math.floor(pieces + 1e-9));
	};
}

describe('growing the stock first', () => {
	it('is the recurrence where every piece lives: what all stock gives is struck, all that was struck gives the next time', () => {
		const plain = kind('daylily');
		const sure: Kind = {
			...plain,
			ways: plain.ways.map((w) => ({
				...w,
				stages: w.stages.map((s) => ({ ...s, chance: 0.995, weight: 2_000, days: [s.days[1], s.days[1], s.days[1]] as const }))
			}))
		};
		// Every year and every pace the same: none of them is late.
		const still = { ...south, lastFrost: { ...south.lastFrost!, sd: 0 }, firstFrost: { ...south.firstFrost!, sd: 0 } };
		const r = { ...asked(sure, still, 24), rho: 0.01 };
		const l = found(r)!;
		const [source] = r.sources;
		const way = sure.ways.find((w) => w.id === l.wayId)!;
		expect(l.rungs.length).toBeGreaterThanOrEqual(2);
		const asks = asking(source!, way, l);
		l.rungs.forEach((x, k) => {
			const all = asks(k, k > 0 ? l.rungs[k - 1]!.plants : 0);
			// At the last no more than it takes.
			if (k === l.rungs.length - 1) expect(x.pieces).toBeLessThanOrEqual(all + 1);
			else expect(Math.abs(x.pieces - all)).toBeLessThanOrEqual(1);
			if (k < l.rungs.length - 1) expect(x.plants).toBeGreaterThanOrEqual(x.pieces - 2);
		});
		expect(l.rungs.at(-1)!.pieces).toBeGreaterThanOrEqual(24);
		expect(l.rungs.at(-1)!.pieces).toBeLessThan(27);
	});

	it('goes on from plants that are being grown already: by the same day as if they were grown now, later with fewer of them', () => {
		let [ladders, same] = [0, 0];
		for (const climate of [north, south])
			for (const k of ['daylily', 'sweet-potato-vine', 'iris', 'sage', 'dahlia', 'mint'].map(kind)) {
				const r = asked(k, climate, 15);
				const l = found(r);
				if (l?.rungs.length !== 2) continue;
				ladders++;
				const [source] = r.sources;
				const way = k.ways.find((w) => w.id === l.wayId)!;
				const [first, second] = l.rungs as [Rung, Rung];
				const begun = {
					...r,
					sources: [{ ...source!, takings: [takingOf(source!.stock, way.gives, first.pieces, first.on)] }]
				};
				const goes = (plants: number) => {
					const pmf = Float64Array.from({ length: plants + 1 }, (_, n) => (n === plants ? 1 : 0));
					return ladderFor(begun, r.wants[0]!, new Sample(400, 1, r.rho), [
						{ kindId: k.id, born: first.on, by: second.on - 1, pmf }
					]);
				};
				const on = goes(first.plants)!;
				expect(on.rungs[0]!.on, k.id).toBeGreaterThanOrEqual(second.on);
				// What usually comes is taken for certain here, so it can only be as soon or sooner.
				expect(on.due, k.id).toBeLessThanOrEqual(l.due);
				if (on.due === l.due) same++;
				const none = goes(0);
				if (none) expect(none.due, k.id).toBeGreaterThanOrEqual(on.due);
			}
		expect(ladders).toBeGreaterThan(3);
		expect(same).toBeGreaterThan(ladders / 2);
	});

	it('takes from all plants of a kind together, as from one row of so many', () => {
		let ladders = 0;
		for (const climate of [north, south])
			for (const k of ['daylily', 'iris', 'sage', 'dahlia'].map(kind)) {
				const r = asked(k, climate, 60);
				const three = found({ ...r, sources: [sourceOf('s', k, 3)] });
				const each = found({ ...r, sources: ['s', 't', 'u'].map((id) => sourceOf(id, k, 1)) });
				expect(each === null, k.id).toBe(three === null);
				if (!three || !each) continue;
				ladders++;
				expect(each.sourceIds).toEqual(['s', 't', 'u']);
				expect([each.wayId, each.due], k.id).toEqual([three.wayId, three.due]);
				// A share of each is rounded up by itself.
				each.rungs.forEach((x, i) =>
					expect(Math.abs(x.pieces - three.rungs[i]!.pieces), k.id).toBeLessThanOrEqual(x.pieces * 0.1 + 3)
				);
				// Three are never later than one.
				const one = found(r);
				if (one) expect(each.due, k.id).toBeLessThanOrEqual(one.due);
				// Of another form, with a record of its own, they are not taken for the same.
				const apart = { ...sourceOf('u', k, 1), shares: Object.fromEntries(k.ways.map((w) => [w.id, `${k.id} ${w.id} other`])) };
				const forms = found({ ...r, sources: [sourceOf('s', k, 1), sourceOf('t', k, 1), apart] });
				expect([['s', 't'], ['u'], undefined]).toContainEqual(forms?.sourceIds);
			}
		expect(ladders).toBeGreaterThan(3);
	});

	it('strikes in season only, each time after what was struck before stands; and by a day that is no sooner than it can be', () => {
		let ladders = 0;
		for (const climate of [north, south, tropics])
			for (const k of allKinds().filter((_, i) => i % 5 === 0)) {
				const r = asked(k, climate, 15);
				const l = found(r);
				if (!l) continue;
				ladders++;
				const way = k.ways.find((w) => w.id === l.wayId)!;
				const { season } = r.kinds.get(k.id)!;
				for (const x of l.rungs)
					expect(season.openings(way.window, x.on, x.on).some((o) => o.opens <= x.on && x.on <= o.closes)).toBe(true);
				expect(l.rungs.every((x, i) => i === 0 || x.on > l.rungs[i - 1]!.on)).toBe(true);
				expect(l.due).toBeGreaterThan(l.rungs.at(-1)!.on);
				expect(l.odds).toBeGreaterThanOrEqual(0.9);
			}
		expect(ladders).toBeGreaterThan(8);
	});

	it(
		'keeps its promise when the tests’ own engine grows it: one season for all, each batch with its own chance and pace',
		{ timeout: 400_000 },
		() => {
			const d = dice(0.31);
			let kept = 0;
			let promised = 0;
			let runs = 0;
			for (const climate of [south, north, tropics])
				for (const k of allKinds().filter((_, i) => i % 4 === 2)) {
					const r = asked(k, climate, 15);
					const l = found(r);
					if (!l) continue;
					const [source] = r.sources;
					const way = k.ways.find((w) => w.id === l.wayId)!;
					for (let run = 0; run < 40; run++) {
						const world = worldOf(way, d);
						const season = yearByChance(climate, d);
						const asks = asking(source!, way, l);
						let count = 0;
						l.rungs.forEach((x, i) => {
							const last = i === l.rungs.length - 1;
							const n = Math.min(asks(i, count), last ? l.most : Infinity);
							const by = last ? l.due : l.rungs[i + 1]!.on - 1;
							const g = grow({ kind: k, way, world, season, struckOn: x.on, pieces: n, dice: d });
							count = g.pieces.filter((p) => p.plantedOn !== null && p.plantedOn <= by).length;
						});
						kept += count >= 15 ? 1 : 0;
						runs++;
						promised += l.odds;
					}
				}
			expect(runs).toBeGreaterThan(500);
			// Ladders of one garden share nothing: some twenty of them, each with forty seasons.
			expect(kept / runs).toBeGreaterThan(promised / runs - 0.03);
			expect(kept / runs).toBeLessThan(promised / runs + 0.03);
		}
	);
});
