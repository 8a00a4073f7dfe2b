/** A bed as it is typed into a form. */
import { readNumber } from '../numbers.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { readRows } from './rows.js';
import { readSlope } from './slope.js';
import type { ShapeSaid } from './shape.js';

/** "0 2,5 shade": from, to, and the light between them; one a line. */
function readLight(text: string, read: (typed: string) => number | null): Result<NonNullable<ShapeSaid['light']>> {
	const parts: NonNullable<ShapeSaid['light']> = [];
	for (const [i, line] of text.split('\n').entries()) {
		if (line.trim() === '') continue;
		const [from, to, ...words] = line.trim().split(/[\s;]+/);
		const [a, b] = [read(from ?? ''), read(to ?? '')];
		const light = (['sun', 'part', 'shade'] as const).find((l) => words.join(' ').toLowerCase() === l);
		if (a === null || b === null || b <= a || !light)
			return refuse('ground.light', `Line ${i + 1}: from, to, and one of sun, part or shade, as in “0 2.5 shade”.`, 'light');
		parts.push({ from_m: a, to_m: b, light });
	}
	return ok(parts);
}

/**
 * What a form tells of a bed, in metres; nothing of it is believed yet.
 *
 * @param text what stands in a field, by its name
 * @param read a length in the garden's own unit, to metres
 */
export function shapeOf(text: (name: string) => string, read: (typed: string) => number | null): Result<ShapeSaid> {
	const m = (name: string) => read(text(name)) ?? Number.NaN;
	const holes = readRows(text('holes'), 3, read, 'holes');
	if (!holes.ok) return holes;
	const stones = holes.value.map(([across_m, x_m, y_m]) => ({ across_m: across_m!, x_m: x_m!, y_m: y_m! }));
	const by = text('by');
	const rows =
		by === 'corners' || by === 'line' ? readRows(text('corners'), 2, read, 'corners') : readRows(text('tapes'), 2, read, 'tapes');
	if ((by === 'corners' || by === 'line' || by === 'tape') && !rows.ok) return rows;
	const pairs = (rows.ok ? rows.value : []) as [number, number][];
	const how: ShapeSaid['how'] =
		by === 'across'
			? { by, across_m: m('across') }
			: by === 'corners'
				? { by, corners: pairs }
				: by === 'line'
					? { by, line: pairs, width_m: m('width') }
					: by === 'tape'
						? { by, apart_m: m('apart'), tapes: pairs }
						: { by: 'sides', length_m: m('length'), width_m: m('width') };
	const steep = text('slope').trim();
	const deg = steep === '' ? null : readSlope(steep);
	if (deg !== null && Number.isNaN(deg))
		return refuse('ground.slope', 'A slope is written in degrees (28), as 1 in 3, or by level and stick (40/100).', 'slope');
	const light = readLight(text('light'), read);
	if (!light.ok) return light;
	const lies = ['east', 'north', 'turn'].map((name) => text(name).trim());
	return ok({
		...{ how, holes: stones, light: light.value },
		slope: deg === null ? null : { deg, on: text('slope_on') === 'map' ? 'map' : 'ground' },
		lies: lies.every((t) => t === '')
			? null
			: { east_m: read(lies[0]!) ?? 0, north_m: read(lies[1]!) ?? 0, turn_deg: readNumber(lies[2]!) ?? 0 }
	});
}
