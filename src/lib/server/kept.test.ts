import { describe, expect, it } from 'vitest';
import { Kept } from './kept.js';

const text = (letters: number) => ({ text: 'x'.repeat(letters) });
const kept = () => new Kept<{ text: string }>(1, (v) => v.text.length);

describe('what is kept', () => {
	it('gives way by size, what was asked for longest ago first', () => {
		const k = kept();
		k.set('old', text(400_000));
		k.set('used', text(400_000));
		k.get('old');
		k.set('new', text(400_000));
		expect([k.get('old'), k.get('used'), k.get('new')].map(Boolean)).toEqual([true, false, true]);
	});

	it('keeps many small ones where one large one would fill it', () => {
		const k = kept();
		for (let i = 0; i < 1000; i++) k.set(`${i}`, text(1000));
		expect(Array.from({ length: 1000 }, (_, i) => k.get(`${i}`)).every(Boolean)).toBe(true);
	});

	it('does not keep what is larger than its room', () => {
		const k = kept();
		expect(k.of('huge', () => text(2_000_000)).text.length).toBe(2_000_000);
		expect(k.get('huge')).toBeUndefined();
	});

	it('makes once what two ask for at once, and anew what failed', async () => {
		const k = kept();
		let made = 0;
		const slow = async () => {
			made++;
			await new Promise((r) => setTimeout(r, 5));
			if (made === 1) throw new Error('away');
			return text(1);
		};
		const both = await Promise.allSettled([k.waited('a', slow), k.waited('a', slow)]);
		expect(both.map((b) => b.status)).toEqual(['rejected', 'rejected']);
		expect(made).toBe(1);
		await Promise.all([k.waited('a', slow), k.waited('a', slow)]);
		await k.waited('a', slow);
		expect(made).toBe(2);
	});
});
