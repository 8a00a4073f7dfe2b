/** Terms of protection. */
import { describe, expect, it } from 'vitest';
import { termEnd, termRuns } from './term.js';

const patent = { years: 20, woody_years: 20, from: 'filed' } as const;
const breeder = { years: 20, woody_years: 25, from: 'granted' } as const;

describe('the term of a right', () => {
	it('a patent runs twenty years from its filing (common practice, no source)', () => {
		expect(termEnd(patent, { filed: '2019-04-02', granted: '2021-01-01' }, false)).toBe('2039-04-01');
		expect(termEnd(patent, { filed: '2020-02-29', granted: null }, false)).toBe('2040-02-28');
		expect(termEnd({ ...patent, years: 21 }, { filed: '2020-02-29', granted: null }, false)).toBe('2041-02-28');
		expect(termEnd(patent, { filed: '2019-03-01', granted: null }, false)).toBe('2039-02-28');
	});
	it('a breeder’s right runs twenty years from its grant, twenty-five for trees and vines (UPOV 1991, article 19; from memory)', () => {
		expect(termEnd(breeder, { filed: '2010-01-01', granted: '2012-06-15' }, false)).toBe('2032-06-14');
		expect(termEnd(breeder, { filed: '2010-01-01', granted: '2012-06-15' }, true)).toBe('2037-06-14');
	});
	it('unknown stays unknown', () => {
		expect(termEnd(breeder, { filed: '2010-01-01', granted: null }, false)).toBeNull();
		expect(termRuns(null, '2026-01-01')).toBeNull();
		expect(termRuns('2026-01-01', '2026-01-01')).toBe(true);
		expect(termRuns('2025-12-31', '2026-01-01')).toBe(false);
	});
});
