/** Ground as it is measured: closed forms, and the field's own worked triangles. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaOf } from './outline.js';
import { outlineOf, shapeData } from './shape.js';
import type { ShapeSaid } from './shape.js';
import { reach } from './tape.js';

const measured = (said: ShapeSaid) => {
	const r = outlineOf(shapeData.parse(said));
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value;
};
const refused = (said: ShapeSaid) => {
	const r = outlineOf(shapeData.parse(said));
	return r.ok ? null : r.problem;
};

describe('a bed', () => {
	it('by its sides, across, and by corners has the area of its kind of figure, less its stones', () => {
		expect(areaOf(measured({ how: { by: 'sides', length_m: 3, width_m: 1.2 } }))).toBeCloseTo(3.6, 12);
		expect(areaOf(measured({ how: { by: 'across', across_m: 2 } }))).toBeCloseTo(Math.PI, 9);
		const corners: [number, number][] = [
			[0, 0],
			[4, 0],
			[0, 3]
		];
		expect(areaOf(measured({ how: { by: 'corners', corners } }))).toBeCloseTo(6, 12);
		const stone = { across_m: 0.6, x_m: 1, y_m: 0.8 };
		expect(areaOf(measured({ how: { by: 'corners', corners }, holes: [stone] }))).toBeCloseTo(6 - Math.PI * 0.09, 9);
		expect(refused({ how: { by: 'corners', corners }, holes: [{ ...stone, x_m: 4 }] })!.path).toBe('holes.0');
		expect(refused({ how: { by: 'corners', corners: corners.slice(1) } })!.path).toBe('how');
	});

	it('by tape from two points lies where the tapes meet: 3, 4 and 5; and what the tape makes of it', () => {
		// From points 5 m apart 3 m and 4 m meet at a right angle: 1.8 m along, 2.4 m out.
		const r = reach(5, 3, 4, 'Corner 1');
		expect(r.ok && r.value.at[0]).toBeCloseTo(1.8, 12);
		expect(r.ok && r.value.at[1]).toBeCloseTo(2.4, 12);
		// Square to each other the two tapes' errors are all there is: 3 cm and 4 cm.
		expect(r.ok && r.value.offM).toBeCloseTo(0.05, 2);
		// A bed of 4 × 3 m measured from points at two of its corners.
		const bed = measured({
			how: {
				...{ by: 'tape', apart_m: 4 },
				tapes: [
					[0, 4],
					[4, 0],
					[5, 3],
					[3, 5]
				]
			}
		});
		expect(areaOf(bed)).toBeCloseTo(12, 9);
		expect(bed.offM!.every((m) => m > 0.01 && m < 0.4)).toBe(true);
	});

	it('is not where tapes cannot meet, and the sentence says by how much', () => {
		const tape = (a: number, b: number): ShapeSaid => ({
			how: { by: 'tape', apart_m: 4, tapes: [[1, 4], [2, 3], [a, b]] } // prettier-ignore
		});
		const short = refused(tape(1, 2.5))!;
		expect(short.path).toBe('how.tapes.2');
		expect(short.sentence).toBe(
			'Corner 3: 1 m and 2.5 m do not reach each other over the 4 m between the points: 0.5 m are missing.'
		);
		expect(refused(tape(9, 1))!.sentence).toContain('do not meet');
		// Short by less than a tape is off: on the line.
		expect(reach(4, 1.99, 1.99, 'Corner 1').ok).toBe(true);
	});

	it('by tape is the bed that it was, wherever the two points stand, within the tape’s error', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 30, noNaN: true }),
				fc.double({ min: -20, max: 20, noNaN: true }),
				fc.double({ min: 0.4, max: 20, noNaN: true }),
				fc.double({ min: -1, max: 1, noNaN: true }),
				fc.double({ min: -1, max: 1, noNaN: true }),
				(d, x, y, e, f) => {
					const [a, b] = [Math.hypot(x, y), Math.hypot(x - d, y)];
					const exact = reach(d, a, b, 'Corner 1');
					expect(exact.ok && exact.value.at[0]).toBeCloseTo(x, 6);
					expect(exact.ok && exact.value.at[1]).toBeCloseTo(y, 4);
					if (!exact.ok || exact.value.offM > 0.1 * y) return;
					// Read wrong by no more than the tape is off.
					const off = (m: number) => Math.max(0.02, 0.01 * m);
					const read = reach(d, a + e * off(a), b + f * off(b), 'Corner 1');
					if (!read.ok) return;
					const missed = Math.hypot(read.value.at[0] - x, read.value.at[1] - y);
					// Both at their worst the same way: √2 of what errors that know nothing of each other come to.
					expect(missed).toBeLessThan(exact.value.offM * 1.6);
				}
			)
		);
	});

	it('has limits, each with a sentence', () => {
		for (const [said, sentence] of [
			[{ how: { by: 'sides', length_m: 0, width_m: 1 } }, 'Length: between 0.01 and 2,000 m.'],
			[{ how: { by: 'sides', length_m: 10_000, width_m: 1 } }, 'Length: between 0.01 and 2,000 m.'],
			[{ how: { by: 'sides', length_m: Number.NaN, width_m: 1 } }, 'Length: a number, please.'],
			[{ how: { by: 'guess' } }, 'Say how it was measured.']
		] as const) {
			const r = shapeData.safeParse(said);
			expect(r.error?.issues[0]?.message).toBe(sentence);
		}
	});
});
