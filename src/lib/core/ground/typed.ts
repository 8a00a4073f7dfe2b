/** A bed as it is typed into a form. */
import { ok } from '../result.js';
import type { Result } from '../result.js';
import { readRows } from './rows.js';
import type { ShapeSaid } from './shape.js';

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
	const rows = by === 'corners' ? readRows(text('corners'), 2, read, 'corners') : readRows(text('tapes'), 2, read, 'tapes');
	if ((by === 'corners' || by === 'tape') && !rows.ok) return rows;
	const pairs = (rows.ok ? rows.value : []) as [number, number][];
	const how: ShapeSaid['how'] =
		by === 'across'
			? { by, across_m: m('across') }
			: by === 'corners'
				? { by, corners: pairs }
				: by === 'tape'
					? { by, apart_m: m('apart'), tapes: pairs }
					: { by: 'sides', length_m: m('length'), width_m: m('width') };
	return ok({ how, holes: stones });
}
