/** Ready-made ways to a want: each asks of a plant only what it gives, whatever else is planned. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { plan } from '../plan/index.js';
import { solveJoint } from './solve.js';
import { CLIMATES, TRUE_RHO } from '../../../testing/calibrate.js';
import { arctic, north, south, tropics } from '../../../testing/climates.js';
import { requestOf } from '../../../testing/plans.js';
import { canGive, takingOf } from '../material/capacity.js';
import type { Taking } from '../material/capacity.js';
import { prepareJoint } from './plan.js';
import { plantsOf } from './patterns.js';
import type { Pattern } from './patterns.js';
import { dice } from '../../../testing/growIt.js';
import { allKinds, kind } from '../../../testing/handbook.js';
import { exactOf, inventGarden, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';

/** Takes what it asks for day by day, as a grower would: the first batch that the plant cannot give, if there is one. */
function refused({ parts }: Pattern): string | null {
	const taken = new Map<string, Taking[]>();
	for (const { c, n } of parts.toSorted((a, b) => a.c.on - b.c.on)) {
		const before = taken.get(c.source.id) ?? [...c.source.takings];
		if (canGive(c.source.stock, c.way.gives, before, c.on) < n) return `${n} ${c.name}`;
		taken.set(c.source.id, [...before, takingOf(c.source.stock, c.way.gives, n, c.on)]);
	}
	return null;
}

describe('ready-made ways to a want', () => {
	it('ask of a plant no more than it gives, in pairs of unlike ways as well', () => {
		const d = dice(0.314);
		const kinds = allKinds();
		let pairs = 0;
		for (let g = 0; g < 8; g++) {
			const p = prepareJoint(inventGarden(kinds, d, g).r);
			for (const x of p.pools.flat()) {
				expect(refused(x), x.key).toBeNull();
				if (x.parts.length === 2 && x.parts[0]!.c.source === x.parts[1]!.c.source) pairs++;
			}
		}
		expect(pairs).toBeGreaterThan(60);
	});

	it('give hardly any chance away for less work, where a want cannot be met as surely as asked', () => {
		let told = 0;
		let given = 0;
		for (const [i, id] of [
			'currant',
			'firethorn',
			'photinia',
			'spurge',
			'lupin',
			'delphinium',
			'hibiscus',
			'ceanothus'
		].entries())
			for (const [at, climate] of [north, south, tropics, arctic].entries()) {
				const today = dayNumber((i + at) % 2 ? '2027-01-15' : '2027-07-15');
				const due = today + 650;
				const k = kind(id);
				const r = jointOf(climate, [k], {
					today,
					wants: [wantOf({ id: 'w', kindId: id, target: 20, due })],
					sources: [sourceOf('s', k, 1)]
				});
				// The want's own plan goes for the surest of each way, whatever work it is.
				const own = plan(requestOf(k, climate, { today, due, target: 20, stock: r.sources[0]!.stock, rho: TRUE_RHO }));
				const surest = Math.max(...own.ways.map((w) => w.fallback?.probability ?? 0));
				if (surest < 0.02 || own.ways.some((w) => w.best)) continue;
				const promised = solveJoint(r, null, exactOf(r)).promised[0]!;
				expect(promised, `${id} ${climate.latitude}°`).toBeGreaterThan(surest - 0.05);
				told++;
				given += surest - promised;
			}
		expect(told).toBeGreaterThan(8);
		expect(given / told).toBeLessThan(0.008);
	});

	it('are none that one is told not to count on', () => {
		const d = dice(0.73);
		const kinds = allKinds();
		let looked = 0;
		for (let g = 0; g < 60; g++) {
			const k = kinds[Math.floor(d.uniform() * kinds.length)]!;
			const climate = [...CLIMATES, tropics, arctic][Math.floor(d.uniform() * (CLIMATES.length + 2))]!;
			const today = dayNumber('2027-01-01') + Math.floor(d.uniform() * 365);
			// In two months hardly anything is there.
			const wants = [wantOf({ id: 'w', kindId: k.id, target: 4 + Math.floor(d.uniform() * 30), due: today + 60 })];
			const r = jointOf(climate, [k], { today, wants, sources: [sourceOf('s', k, 1 + (g % 2))] });
			for (const x of prepareJoint(r).pools[0]!)
				if (!x.empty) {
					looked++;
					expect(Math.max(plantsOf(x.parts) / 0.5, x.odds / 0.005), x.key).toBeGreaterThanOrEqual(1);
				}
		}
		expect(looked).toBeGreaterThan(50);
	});
});
