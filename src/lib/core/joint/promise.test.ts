/** Promises of joint plans, counted: invented gardens of nine climates, grown by the tests' own engine (testing/growIt.ts). */
import { describe, expect, it } from 'vitest';
import { allKinds } from '../../../testing/handbook.js';
import { keepJoint, told } from '../../../testing/joint.js';

/** npm run calibrate counts 300 (docs/calibration.md). */
const GARDENS = 70;

describe('what the joint plan promises is kept', () => {
	it('wants promised at 90 in 100 are met 88 to 92 times, whatever else the garden carries', { timeout: 480_000 }, () => {
		const all = keepJoint(allKinds(), GARDENS, 40, 0.2718, null);
		const met = told(all.filter((k) => k.promised >= 0.895 && k.promised < 0.93));
		const short = told(all.filter((k) => k.promised < 0.895));
		expect(met.wants).toBeGreaterThan(70);
		expect(short.wants).toBeGreaterThan(25);
		expect(met.kept).toBeGreaterThan(0.88);
		expect(met.kept).toBeLessThan(0.93);
		// Whole pieces and weeks make the promise a little more than was asked; it is told as it is.
		expect(Math.abs(met.kept - met.promised)).toBeLessThan(0.02);
		// What is short is told as honestly.
		expect(Math.abs(short.kept - short.promised)).toBeLessThan(0.035);
		// Several batches share their season and their ways: that is where a plan would flatter.
		const several = told(all.filter((k) => k.promised >= 0.895 && k.promised < 0.93 && k.batches > 1));
		expect(several.wants).toBeGreaterThan(30);
		expect(several.kept - several.promised).toBeGreaterThan(-0.025);
	});
});
