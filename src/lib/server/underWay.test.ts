import { describe, expect, it } from 'vitest';
import { UnderWay } from './underWay.js';
import { DONE, STOP } from './watched.js';
import type { Watched } from './watched.js';

/** Work whose end the test holds in its hand. */
function work() {
	const begun: { watch: Watched; end: (told: string) => void; fail: (why: Error) => void }[] = [];
	const all = new UnderWay<Promise<string>>((made) => made);
	const ask = () => all.of('plan', (watch) => new Promise<string>((end, fail) => begun.push({ watch, end, fail })));
	return { begun, ask };
}
const stopped = (watch: Watched) => Atomics.load(watch, STOP) === 1;

describe('work that several wait for', () => {
	it('is done once, tells each how far it is, and stops when the last has gone', async () => {
		const { begun, ask } = work();
		const [a, b] = [ask(), ask()];
		expect(begun).toHaveLength(1);
		Atomics.store(begun[0]!.watch, DONE, 7);
		expect([a.done(), b.done()]).toEqual([7, 7]);
		a.leave();
		a.leave();
		expect(stopped(begun[0]!.watch)).toBe(false);
		b.leave();
		expect(stopped(begun[0]!.watch)).toBe(true);
		// Who comes after that is not handed what was stopped.
		const c = ask();
		expect(begun).toHaveLength(2);
		begun[1]!.end('told');
		expect(await c.made).toBe('told');
	});

	it('is begun anew once it is over, also when it failed', async () => {
		const { begun, ask } = work();
		const first = ask();
		begun[0]!.fail(new Error('gone wrong'));
		await expect(first.made).rejects.toThrow('gone wrong');
		const second = ask();
		expect(begun).toHaveLength(2);
		begun[1]!.end('told');
		await second.made;
		ask();
		expect(begun).toHaveLength(3);
	});
});
