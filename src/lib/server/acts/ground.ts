/** Ground: a bed as it was measured. */
import type { Asked, Made } from './doing.js';
import { isId, refused } from '../forms.js';
import { readRows, shapeData, shapeOf } from '$lib/core/ground/index.js';
import { longMeasure } from '$lib/core/units/index.js';

/** Where in the form a refusal's path is. */
const FIELD: Record<string, string> = {
	'how.length_m': 'length',
	'how.width_m': 'width',
	'how.across_m': 'across',
	'how.apart_m': 'apart'
};
export function fieldOf(path: string | undefined): string {
	if (!path) return 'by';
	if (path.startsWith('holes')) return 'holes';
	if (path.startsWith('how.tapes')) return 'tapes';
	if (path.startsWith('how.corners') || path === 'outline' || path === 'how') return 'corners';
	return FIELD[path] ?? 'by';
}

export function measured({ garden, f, frame, params }: Asked<'place'>): Made | ReturnType<typeof refused> {
	const said = shapeOf((name) => f.text(name), longMeasure(garden.units).read);
	if (!said.ok) return refused(said.problem);
	const read = shapeData.safeParse(said.value);
	if (!read.success) {
		const issue = read.error.issues[0]!;
		return refused({ code: 'entry.invalid', sentence: issue.message, path: fieldOf(issue.path.join('.')) });
	}
	return {
		acts: [{ ...frame, kind: 'place.shaped', subjectId: params.place, seen: f.number('seen'), data: read.data }],
		said: 'Measured.'
	};
}

/** Where each plant of a stock stands in the bed. */
export function set({ garden, f, frame, params }: Asked<'place'>): Made | ReturnType<typeof refused> {
	const stock = f.text('stock');
	if (!isId(stock)) return refused({ code: 'stock.unknown', sentence: 'There is no such plant in this garden.' });
	const at = readRows(f.text('at'), 2, longMeasure(garden.units).read, 'at');
	if (!at.ok) return refused(at.problem);
	return {
		acts: [
			{
				...frame,
				kind: 'stock.placed',
				subjectId: stock,
				seen: f.number('seen'),
				data: { place_id: params.place, at: at.value.map((row) => row.map((m) => Math.round(m * 1000) / 1000)) }
			}
		],
		said: at.value.length === 0 ? 'Taken out of the drawing.' : 'Set.'
	};
}
