/** When plants touch and when the earth is covered: laws, and a picture of the trade. */
import { describe, expect, it } from 'vitest';
import { closeAfter, spreadAfter, touchAfter } from './cover.js';
import { kind } from '../../../testing/handbook.js';

const KINDS = ['lavender', 'catmint', 'box', 'privet', 'dahlia', 'daylily', 'holly'].map(kind);

describe('cover', () => {
	it('comes when plants are as wide as they stand apart, and the earth is gone when the widest gap is', () => {
		for (const k of KINDS)
			for (const cm of [15, 25, 35, 60]) {
				const touch = touchAfter(k, cm);
				if (touch === null) expect(k.size.spread_cm * 0.98, k.id).toBeLessThanOrEqual(cm);
				else if (touch > 0) expect(spreadAfter(k, touch), k.id).toBeCloseTo(cm, 6);
				for (const [pattern, wide] of [
					['square', Math.SQRT2],
					['triangular', 2 / Math.sqrt(3)]
				] as const) {
					const closed = closeAfter(k, cm, pattern);
					if (closed === null) continue;
					expect(closed).toBeGreaterThanOrEqual(touch!);
					if (closed > 0) expect(spreadAfter(k, closed)).toBeCloseTo(cm * wide, 6);
				}
			}
	});
	it('is never undone: wider every year, sooner the closer they stand, and never wider than the kind', () => {
		for (const k of KINDS) {
			for (let n = 0; n < 12; n += 0.5) {
				expect(spreadAfter(k, n + 0.5)).toBeGreaterThanOrEqual(spreadAfter(k, n));
				expect(spreadAfter(k, n)).toBeLessThanOrEqual(k.size.spread_cm);
			}
			expect(touchAfter(k, 20) ?? Infinity).toBeLessThanOrEqual(touchAfter(k, 30) ?? Infinity);
			expect(touchAfter(k, 5)).toBe(0);
			expect(touchAfter(k, 2 * k.size.spread_cm)).toBeNull();
		}
	});
	it('of lavender at its 35 cm is there in two or three summers (common practice, no source)', () => {
		const lavender = kind('lavender');
		const touch = touchAfter(lavender, 35)!;
		expect(touch).toBeGreaterThan(1);
		expect(touch).toBeLessThan(3.5);
	});
});
