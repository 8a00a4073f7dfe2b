/** The figures that are judgements are said in full: with meaning, unit and source. */
import { describe, expect, it } from 'vitest';
import { JUDGED } from './judgedAll.js';
import { sayFigure } from './judgement.js';

describe('what every sum takes for granted', () => {
	const all = JUDGED.flatMap((j) => j.figures);

	it('has a unit, a sentence and a source for every figure, and says none twice', () => {
		expect(all.length).toBeGreaterThan(70);
		for (const f of all) {
			expect(f.unit, f.what).not.toBe('');
			expect(f.what).toMatch(/^[A-Z].*\.$/);
			expect(f.source, f.what).toMatch(/own judgement|from memory|common practice, no source|\d{4}/);
		}
		expect(new Set(all.map((f) => f.what)).size).toBe(all.length);
	});

	it('is read as people write figures', () => {
		expect(sayFigure(0.2)).toBe('0.2');
		expect(sayFigure([0.7, 2, 30])).toBe('0.7, 2, 30');
		expect(sayFigure({ outside: 1.33, perDayAway: 0.01 })).toBe('outside 1.33, per day away 0.01');
		expect(sayFigure(1 / 3)).toBe('0.333');
	});
});
