/** Ground as people measure it: by its sides, across, by corners, or by tape from two fixed points. */
import { z } from 'zod';
import { sayNumber } from '../numbers.js';
import { refuse } from '../result.js';
import type { Result } from '../result.js';
import { alongLine } from './line.js';
import { checkOutline, FARTHEST_M, MOST_CORNERS, MOST_HOLES } from './outline.js';
import type { Outline } from './outline.js';
import type { Point } from './region.js';
import { groundLength } from './spacing.js';
import { reach } from './tape.js';

/** The longest side that is measured with a tape, m. */
const LONGEST_M = 2_000;
const metres = (what: string, least = 0.01, most = LONGEST_M) =>
	z
		.number({ error: `${what}: a number, please.` })
		.min(least, { error: () => `${what}: between ${sayNumber(least, 2)} and ${sayNumber(most)} m.` })
		.max(most, { error: () => `${what}: between ${sayNumber(least, 2)} and ${sayNumber(most)} m.` });
const at = (what: string) => metres(what, -FARTHEST_M, FARTHEST_M);

/** A stone, a trunk: round, so wide, its middle so far right of the first corner and above it. */
const hole = z.object({ across_m: metres('Stone or trunk'), x_m: at('From the left'), y_m: at('From the front') });

/** As it was said; what is reckoned from it is told by outlineOf. */
export const shapeData = z.object({
	how: z.discriminatedUnion(
		'by',
		[
			z.object({ by: z.literal('sides'), length_m: metres('Length'), width_m: metres('Width') }),
			z.object({ by: z.literal('across'), across_m: metres('Across') }),
			z.object({
				by: z.literal('corners'),
				corners: z
					.array(z.tuple([at('From the left'), at('From the front')]))
					.max(MOST_CORNERS, `At most ${MOST_CORNERS} corners.`)
			}),
			z.object({
				by: z.literal('tape'),
				/** Between the two fixed points. */
				apart_m: metres('Between the two points'),
				/** Of each corner, how far from the first point and from the second; all lie on one side of the line between them. */
				tapes: z
					.array(z.tuple([metres('From the first point', 0), metres('From the second point', 0)]))
					.max(MOST_CORNERS, `At most ${MOST_CORNERS} corners.`)
			}),
			z.object({
				by: z.literal('line'),
				/** The line of a hedge, from end to end; and how wide it is. */
				line: z
					.array(z.tuple([at('From the left'), at('From the front')]))
					.min(2, 'A line has two ends at least.')
					.max(MOST_CORNERS, `At most ${MOST_CORNERS} corners.`),
				width_m: metres('Width')
			})
		],
		{ error: 'Say how it was measured.' }
	),
	holes: z.array(hole).max(MOST_HOLES, `At most ${MOST_HOLES} stones or trunks.`).default([]),
	/** How steep, rising away from the front; and whether it was measured along the ground or on a map. */
	slope: z
		.object({
			deg: z
				.number({ error: 'Slope: a number, please.' })
				.min(0, 'A slope is between 0° (level) and 60°; steeper is a wall.')
				.max(60, 'A slope is between 0° (level) and 60°; steeper is a wall.'),
			on: z.enum(['ground', 'map'])
		})
		.nullable()
		.default(null),
	/** Where the first corner lies, east and north of the garden's own spot, and how far the bed is turned against the clock. */
	lies: z
		.object({ east_m: at('East'), north_m: at('North'), turn_deg: z.number().min(-360).max(360) })
		.nullable()
		.default(null),
	/** Light that differs along it: from so far to so far from the left. Elsewhere as the place says. */
	light: z
		.array(z.object({ from_m: at('From'), to_m: at('To'), light: z.enum(['sun', 'part', 'shade']) }))
		.max(20, 'At most 20 parts of other light.')
		.default([])
});
export type ShapeData = z.infer<typeof shapeData>;
export type ShapeSaid = z.input<typeof shapeData>;

/** Corners that draw a circle: as large as it, and nowhere 3 mm off for each metre across. */
const ROUND = 48;
function circle(x: number, y: number, across: number): Point[] {
	const step = (2 * Math.PI) / ROUND;
	// The area of the circle, not of what is cut out of it.
	const r = (across / 2) * Math.sqrt(step / Math.sin(step));
	return Array.from({ length: ROUND }, (_, i) => [x + r * Math.cos(i * step), y + r * Math.sin(i * step)]);
}

export interface Measured extends Outline {
	outline: Point[];
	holes: Point[][];
	/** How far each corner may be off by the tape's own error, m; null where it was not measured so. */
	offM: number[] | null;
}

/** Corners of what was said, refused with a sentence where they make no ground. */
export function outlineOf({ how, holes, slope }: ShapeData): Result<Measured> {
	let outline: Point[];
	let offM: number[] | null = null;
	if (how.by === 'sides')
		outline = [
			[0, 0],
			[how.length_m, 0],
			[how.length_m, how.width_m],
			[0, how.width_m]
		];
	else if (how.by === 'line') {
		const along = alongLine(how.line, how.width_m);
		if (!along.ok) return along;
		outline = along.value;
	} else if (how.by === 'across') outline = circle(how.across_m / 2, how.across_m / 2, how.across_m);
	else if (how.by === 'corners') outline = how.corners.map(([x, y]) => [x, y]);
	else {
		const corners = how.tapes.map(([a, b], i) => reach(how.apart_m, a, b, `Corner ${i + 1}`));
		for (const [i, c] of corners.entries()) if (!c.ok) return { ok: false, problem: { ...c.problem, path: `how.tapes.${i}` } };
		const found = corners.flatMap((c) => (c.ok ? [c.value] : []));
		outline = found.map((c) => c.at);
		offM = found.map((c) => c.offM);
	}
	if (outline.length < 3) return refuse('ground.corners', 'A bed has three corners at least.', 'how');
	// Along the ground a slope is longer than on the map, from its foot to its top; across it is as wide.
	const up = slope?.on === 'map' ? groundLength(1, slope.deg) : 1;
	const stones = holes.map((h) => circle(h.x_m, h.y_m * up, h.across_m));
	return checkOutline({ outline: outline.map(([x, y]): Point => [x, y * up]), offM, holes: stones });
}
