import { describe, expect, it } from 'vitest';
import { sayLoad, sayMoves, sayMovesDays } from './movesWords.js';

describe('moves in words', () => {
	it('has a noun for every number', () => {
		expect(sayMoves(1, 0)).toBe('1 move; nothing waits in between');
		expect(sayMoves(3, 1)).toBe('3 moves; 1 plant waits in between');
		expect(sayMoves(9, 12)).toBe('9 moves; 12 plants wait in between');
	});
	it('says the load', () => {
		expect(sayLoad(1, 1, 3.2)).toBe('It comes along, about 3 kg');
		expect(sayLoad(14, 16, 121)).toBe('14 of 16 come along, about 120 kg');
		expect(sayLoad(16, 16, 52.4)).toBe('All 16 come along, about 50 kg');
	});
	it('says when, as it is', () => {
		const today = '2027-03-01';
		expect(sayMovesDays(null, null, today)).toBe('No day suits the first of them.');
		expect(sayMovesDays(today, today, today)).toBe('Today suits all of them.');
		expect(sayMovesDays('2027-04-02', '2027-04-02', today)).toBe('2 Apr 2027 suits all of them.');
		expect(sayMovesDays(today, '2027-04-02', today)).toBe('From today to 2 Apr 2027, each on its day.');
		expect(sayMovesDays(today, null, today)).toBe('The first can be made today; not all find a day.');
	});
});
