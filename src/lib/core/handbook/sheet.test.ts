import { describe, expect, test } from 'vitest';
import { readSheet, writeSheet } from './sheet.js';

describe('a sheet of labels of one’s own', () => {
	test('goes into an address and comes back', () => {
		// Sixteen to a sheet of A4, 99.1 × 33.9 mm: a size sold by every stationer (common practice, no source).
		const sheet = readSheet('A4,2,8,99.1,33.9,4.6,13,2.5,0');
		expect(sheet.ok && sheet.value).toMatchObject({ paper: 'A4', across: 2, down: 8, width: 99.1, gap_x: 2.5 });
		expect(sheet.ok && readSheet(writeSheet(sheet.value))).toEqual(sheet);
	});
	test.each([
		['A4,3,8,99,34,5,13,2,0', 'mm wide: the paper has 210'],
		['A4,2,9,99,34,5,13,2,0', 'mm high: the paper has 297'],
		['LETTER,2,8,99,34,5,13,2,0', 'mm high: the paper has 279'],
		['A4,0,8,99,34,5,13,2,0', 'Labels across'],
		['A4,2.5,8,40,34,5,13,2,0', 'Labels across'],
		['A4,2,8,9,34,5,13,2,0', '15 to 280 mm wide'],
		['A4,2,8,99,34,-5,13,2,0', 'From the left edge'],
		['A4,2,8,99,34,5,13', 'Between columns'],
		['A5,2,8,99,34,5,13,2,0', 'all measures'],
		['', 'all measures'],
		['A4,x,y', 'Labels across']
	])('%s is told what is wrong with it', (text, says) => {
		const sheet = readSheet(text);
		expect(sheet.ok ? '' : sheet.problem.sentence).toContain(says);
	});
});
