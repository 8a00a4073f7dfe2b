/** Of what is to be bought as few as it takes, against the chance of each number; asked for eight weeks ahead. */
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import { buyFrom, fewestToBuy } from './buying.js';

describe('plants to buy', () => {
	const grows = (n: number, q: number) => Array.from({ length: n + 1 }, (_, k) => jStat.binomial.pdf(k, n, q));
	/** With so many bought beside what grows. */
	const with_ = (bought: number, pmf: readonly number[]) => Float64Array.from([...Array<number>(bought).fill(0), ...pmf]);

	it('are the fewest that still make it as sure as asked (jStat’s binomial distribution)', () => {
		for (const [n, q, target, confidence] of [
			[20, 0.7, 15, 0.9],
			[20, 0.7, 10, 0.9],
			[30, 0.3, 12, 0.75],
			[4, 0.9, 30, 0.95]
		] as const) {
			const pmf = grows(n, q);
			const enough = (k: number) => pmf.reduce((sum, p, i) => sum + (i + k >= target ? p : 0), 0) >= confidence;
			const buying = 40;
			const told = fewestToBuy(with_(buying, pmf), { target, confidence, buying });
			expect(enough(told)).toBe(true);
			if (told > 0) expect(enough(told - 1)).toBe(false);
		}
	});

	it('are all of them where even all don’t do, and none where none is to be bought', () => {
		expect(fewestToBuy(with_(3, grows(2, 0.5)), { target: 20, confidence: 0.9, buying: 3 })).toBe(3);
		expect(fewestToBuy(with_(0, grows(30, 0.9)), { target: 20, confidence: 0.9, buying: 0 })).toBe(0);
	});

	it('come on the round eight weeks before their day, today where that is gone by', () => {
		expect(buyFrom(1000, 900)).toBe(944);
		expect(buyFrom(1000, 960)).toBe(960);
	});
});
