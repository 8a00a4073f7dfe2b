/** Where so many go: laws that hold for any beds. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inOrder, share, suitsLight } from './where.js';
import type { Liking, Offer } from './where.js';
import { kind } from '../../../testing/handbook.js';

const beds = fc.array(fc.record({ liking: fc.constantFrom<Liking>(0, 1, 2, 3), fits: fc.integer({ min: 0, max: 40 }) }), {
	maxLength: 8
});
const named = (some: { liking: Liking; fits: number }[]): Offer[] => some.map((b, i) => ({ ...b, id: String(i) }));

describe('where they go', () => {
	it('none is lost, no bed takes more than fits, and none goes where it would not grow', () => {
		fc.assert(
			fc.property(beds, fc.integer({ min: 1, max: 120 }), (some, count) => {
				const all = named(some);
				const { shares, left } = share(all, count);
				expect(shares.reduce((n, s) => n + s.takes, left)).toBe(count);
				for (const s of shares) {
					const bed = all.find((b) => b.id === s.id)!;
					expect(bed.liking).toBeLessThan(3);
					expect(s.takes).toBeLessThanOrEqual(bed.fits);
				}
				const room = all.filter((b) => b.liking < 3).reduce((n, b) => n + b.fits, 0);
				expect(left).toBe(Math.max(0, count - room));
			})
		);
	});
	it('a kind keeps together where one bed of the light it likes best takes all of it', () => {
		const some = named([
			{ liking: 0, fits: 5 },
			{ liking: 0, fits: 12 },
			{ liking: 1, fits: 60 }
		]);
		expect(share(some, 9).shares).toEqual([{ id: '1', takes: 9 }]);
		// Too many for one of them, not for both: still none in the half shade.
		expect(share(some, 15).shares).toEqual([
			{ id: '1', takes: 12 },
			{ id: '0', takes: 3 }
		]);
		// Past that all together where it will do.
		expect(share(some, 30).shares).toEqual([{ id: '2', takes: 30 }]);
		expect(inOrder(some).map((b) => b.id)).toEqual(['1', '0', '2']);
	});
	it('light is told as the handbook has it (common practice, no source)', () => {
		expect(suitsLight(kind('lavender'), 'sun')).toEqual({ liking: 0, say: 'full sun, as it likes it' });
		expect(suitsLight(kind('lavender'), 'shade')).toEqual({ liking: 3, say: 'too shady for it' });
		expect(suitsLight(kind('hosta'), 'sun')).toEqual({ liking: 3, say: 'too sunny for it' });
		expect(suitsLight(kind('hosta'), 'part').liking).toBe(1);
		expect(suitsLight(kind('box'), 'shade').liking).toBe(1);
		expect(suitsLight({}, 'sun').liking).toBe(2);
	});
});
