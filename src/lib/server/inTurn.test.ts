import { describe, expect, test } from 'vitest';
import { isDatabaseBusy } from './db.js';
import { inTurn, MOST_WAITING, writingIn } from './inTurn.js';

const soon = () => new Promise((done) => setImmediate(done));

describe('writers of one garden', () => {
	test('go one after another in the order they came; another garden does not wait', async () => {
		let inside = 0;
		let most = 0;
		const order: number[] = [];
		const work = (n: number) => async () => {
			most = Math.max(most, ++inside);
			await soon();
			order.push(n);
			inside--;
			return n;
		};
		let held = () => {};
		const holding = inTurn('b', () => new Promise<void>((done) => (held = done)));
		expect(await Promise.all([0, 1, 2, 3].map((n) => inTurn('a', work(n))))).toEqual([0, 1, 2, 3]);
		expect([order, most, writingIn()]).toEqual([[0, 1, 2, 3], 1, 1]);
		held();
		await holding;
		expect(writingIn()).toBe(0);
	});
	test('one that fails lets the next through, and past the limit it is said at once', async () => {
		let open = () => {};
		const first = inTurn('a', () => new Promise<void>((done) => (open = done)));
		await soon();
		const bad = inTurn('a', () => Promise.reject(new Error('no'))).catch((e: Error) => e.message);
		const rest = Array.from({ length: MOST_WAITING - 1 }, (_, n) => inTurn('a', () => Promise.resolve(n)));
		const over = await inTurn('a', () => Promise.resolve()).catch((e: unknown) => e);
		expect(isDatabaseBusy(over)).toBe(true);
		open();
		await first;
		expect(await bad).toBe('no');
		expect(await Promise.all(rest)).toHaveLength(MOST_WAITING - 1);
		expect(writingIn()).toBe(0);
	});
});
