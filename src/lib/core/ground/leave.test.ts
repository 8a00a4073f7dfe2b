import { describe, expect, it } from 'vitest';
import { loadOf, takingOf } from './leave.js';
import type { Pieces, WholePlant } from './leave.js';

const whole = (over: Partial<WholePlant> = {}): WholePlant => ({
	on: 100,
	lives: 0.9,
	kgEach: 10,
	litresEach: 8,
	people: 1,
	inPot: false,
	...over
});
const cuttings = (over: Partial<Pieces> = {}): Pieces => ({ wayId: 'semi-ripe', from: 20, until: 60, gives: 12, ...over });

describe('what is taken along', () => {
	it('a light plant that will live is lifted, a heavy or a doubtful one gives pieces, what gives none is lifted all the same', () => {
		expect(takingOf(whole(), [cuttings()]).how).toBe('whole');
		expect(takingOf(whole({ kgEach: 90 }), [cuttings()]).how).toBe('pieces');
		expect(takingOf(whole({ lives: 0.5 }), [cuttings()]).how).toBe('pieces');
		expect(takingOf(whole({ kgEach: 90, inPot: true }), [cuttings()]).how).toBe('whole');
		expect(takingOf(whole({ lives: 0.5 }), []).how).toBe('whole');
		expect(takingOf(whole({ on: null }), [cuttings()]).how).toBe('pieces');
		expect(takingOf(whole({ on: null }), [cuttings({ gives: 0 })]).how).toBe('none');
		// A window that shuts before it opens is none.
		expect(takingOf(null, [cuttings({ from: 70 })]).how).toBe('none');
		expect(takingOf(null, [cuttings(), cuttings({ wayId: 'hardwood', gives: 30 })])).toMatchObject({
			pieces: { wayId: 'hardwood' }
		});
	});
	it('weighs what is taken (by hand: three balls of 10 kg and six small pots)', () => {
		const load = loadOf([
			{ taking: takingOf(whole(), []), count: 3, pieces: 0 },
			{ taking: takingOf(null, [cuttings()]), count: 1, pieces: 6 },
			{ taking: { how: 'none' }, count: 9, pieces: 9 }
		]);
		expect(load).toEqual({ kg: 33, litres: 27, pots: 9 });
	});
});
