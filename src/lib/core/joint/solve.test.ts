/** A plan told by the wants' own odds: what its sample flatters is asked for more, and no shortfall is small enough to take. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { kind } from '../../../testing/handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../../testing/joint.js';
import { solveJoint } from './solve.js';

/** 42° S by the sea, light frosts. */
const SEASIDE = {
	...{ latitude: -42.9, longitude: 147.3, coldestC: -2 },
	lastFrost: { doy: 263, sd: 12 },
	firstFrost: { doy: 145, sd: 12 }
};

describe('a want that one day gives as surely as asked', () => {
	it('is never left a little short to save a little work, whatever the seed', { timeout: 240_000 }, () => {
		const fuchsia = kind('fuchsia');
		for (let seed = 1; seed <= 30; seed++) {
			const r = jointOf(SEASIDE, [fuchsia], {
				...{ today: dayNumber('2026-10-05'), seed },
				wants: [wantOf({ id: `w${seed}`, kindId: 'fuchsia', target: 8, due: dayNumber('2027-11-01') })],
				sources: [sourceOf('s', fuchsia, 1)]
			});
			const { promised, chosen } = solveJoint(r, null, exactOf(r));
			expect(promised[0], `seed ${seed}: ${chosen[0]!.key}, ${chosen[0]!.odds} on the sample`).toBeGreaterThanOrEqual(0.9 - 1e-9);
		}
	});
});
