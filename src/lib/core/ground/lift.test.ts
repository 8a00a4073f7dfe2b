/** Balls: the American Standard for Nursery Stock (ANSI Z60.1) and the trade's weight of soil, both from memory; NIOSH's constant. */
import { describe, expect, it } from 'vitest';
import { liftOf, liftOfBall } from './lift.js';
import { kind } from '../../../testing/handbook.js';

describe('a ball', () => {
	it('is as deep as the standard has it: three quarters, two thirds, six tenths of its width', () => {
		expect(liftOfBall(30).deepCm).toBeCloseTo(22.5, 9);
		expect(liftOfBall(61).deepCm).toBeCloseTo(40.7, 1);
		expect(liftOfBall(100).deepCm).toBeCloseTo(60, 9);
	});
	it('of 24 inches weighs about 300 pounds, and is for more hands than a person has', () => {
		const { kg, people } = liftOfBall(24 * 2.54);
		expect(kg / 0.4536).toBeGreaterThan(280);
		expect(kg / 0.4536).toBeLessThan(330);
		expect(people).toBe(Math.ceil(kg / 23));
		// One person lifts 23 kg (NIOSH): a ball of some 30 cm.
		expect(liftOfBall(29).people).toBe(1);
		expect(liftOfBall(34).people).toBe(2);
	});
	it('of a shrub goes by its height, of a clump by its crown; of a big one nothing is said', () => {
		const at = (size_cm: number | null) => ({ size_cm, age_years: 4 });
		expect(liftOf(kind('box'), at(30))!.acrossCm).toBeCloseTo(18, 9);
		expect(liftOf(kind('box'), at(400))).toBeNull();
		expect(liftOf(kind('box'), at(null))).toBeNull();
		const clump = liftOf(kind('daylily'), at(45))!;
		expect(clump.acrossCm).toBeGreaterThan(20);
		expect(clump.acrossCm).toBeLessThanOrEqual(45);
	});
});
