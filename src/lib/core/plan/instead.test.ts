import { describe, expect, it } from 'vitest';
import { insteadOf } from './instead.js';

type Way = Parameters<typeof insteadOf>[0][number] & { id: string };
const way = (id: string, probability: number | null, usually: number, ready: number | null): Way =>
	({
		id,
		fallback: probability === null ? null : { on: 1, strike: 9, flushes: [{ on: 1, pieces: 9 }], usually, probability },
		earliest: ready === null ? null : { on: 2, strike: 9, ready, flushes: [{ on: 2, pieces: 9 }] }
	}) as Way;

describe('what can be had instead', () => {
	it('the odds of the whole come before the number, and the number decides where there are none', () => {
		expect(insteadOf([way('many', 0.01, 30, null), way('sure', 0.4, 6, null)], 0.9).most!.id).toBe('sure');
		expect(insteadOf([way('few', 0.001, 3, null), way('many', 0.004, 9, null)], 0.9).most!.id).toBe('many');
	});
	it('the soonest of those that are as sure as asked; nothing where nothing is', () => {
		expect(insteadOf([way('late', 0.1, 1, 900), way('soon', 0.1, 1, 700)], 0.9).soonest!.id).toBe('soon');
		expect(insteadOf([way('none', null, 0, null)], 0.9)).toEqual({ most: null, soonest: null, nearly: false });
		expect(insteadOf([], 0.9)).toEqual({ most: null, soonest: null, nearly: false });
	});
	it('nearly is within a tenth of what was asked', () => {
		expect(insteadOf([way('a', 0.81, 6, null)], 0.9).nearly).toBe(true);
		expect(insteadOf([way('a', 0.79, 6, null)], 0.9).nearly).toBe(false);
	});
});
