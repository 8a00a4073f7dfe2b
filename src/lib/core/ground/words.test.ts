/** What is said of a bed: of none, one, two and many. */
import { describe, expect, it } from 'vitest';
import { sayCover, sayFits, sayInHand, sayWhen } from './words.js';

describe('what is said', () => {
	it('of how many fit and are in hand', () => {
		expect([0, 1, 2, 1234].map(sayFits)).toEqual(['No plant fits', '1 plant fits', '2 plants fit', '1,234 plants fit']);
		expect(sayInHand(10, 0)).toBe('');
		expect(sayInHand(10, 12)).toBe('You will have about 12: enough.');
		expect(sayInHand(10, 9)).toBe('You will have about 9: 1 too few.');
	});
	it('of when they touch and cover the earth', () => {
		expect([null, 0, 1, 2.4, 9.9, 14].map(sayWhen)).toEqual([
			null,
			'in the first summer',
			'in the first summer',
			'in the third summer',
			'in the tenth summer',
			'after some 14 summers'
		]);
		expect(sayCover(0.4, 0.9)).toBe('They touch and cover the earth in the first summer.');
		expect(sayCover(1.4, 2.9)).toBe('They touch in the second summer and cover the earth in the third summer.');
		expect(sayCover(1.4, null)).toBe('They touch in the second summer; earth is seen between them always.');
		expect(sayCover(null, null)).toBe('They never touch: the earth between them stays bare.');
	});
});
