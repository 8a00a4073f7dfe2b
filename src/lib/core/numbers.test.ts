import { describe, expect, it } from 'vitest';
import { plainText, readNumber } from './numbers.js';

describe('numbers as typed', () => {
	it('are read with a point or a comma, spaces, either minus', () => {
		expect(['1.5', '1,5', ' 1 200 ', '−3', '+.5', '7.'].map(readNumber)).toEqual([1.5, 1.5, 1200, -3, 0.5, 7]);
	});
	it('are null when blank and no number when they are none', () => {
		expect(['', '   ', ' '.repeat(50_000)].map(readNumber)).toEqual([null, null, null]);
		expect(['1.2.3', 'abc', '1e5', '0x10', '1,000,000', '--1', 'Infinity'].map(readNumber).every(Number.isNaN)).toBe(true);
	});
	it('of 400,000 digits are none, looked at no longer than one of 40', () => {
		expect(readNumber('1'.repeat(400_000))).toBeNaN();
		expect(readNumber('1'.repeat(40))).toBe(1.1111111111111112e39);
	});
	it('text keeps what can be kept', () => {
		expect(plainText('a\u0000b\ud800c🌱')).toBe('ab\ufffdc🌱');
	});
});
