/** Sheets of labels: of the handbook, or of a person's own measures. */
import { sheetSchema } from './benchSchema.js';
import type { Sheet } from './benchSchema.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

/** Width and height of the paper, mm: ISO 216, and ANSI A. */
export const PAPER_MM: Record<Sheet['paper'], readonly [number, number]> = { A4: [210, 297], LETTER: [215.9, 279.4] };

/** The number of that name in an address, or in a field. */
const MEASURES = ['across', 'down', 'width', 'height', 'left', 'top', 'gap_x', 'gap_y'] as const;
export type SheetMeasure = (typeof MEASURES)[number];

/** Rounded off by the printer's own step, which may put a sheet that just fits a hair over. */
const HAIR_MM = 0.5;

/** "A4,2,8,99,34,…" as an address carries a sheet of one's own. */
export const writeSheet = (s: Sheet): string => [s.paper, ...MEASURES.map((m) => s[m])].join(',');

export function readSheet(text: string): Result<Sheet> {
	const [paper, ...numbers] = text.split(',');
	const read = sheetSchema.safeParse({
		id: 'own',
		name: 'own',
		paper,
		...Object.fromEntries(MEASURES.map((m, i) => [m, Number(numbers[i] || Number.NaN)]))
	});
	if (!read.success) {
		const at = String(read.error.issues[0]!.path[0]);
		return refuse('sheet.measure', SAYS[at as SheetMeasure] ?? 'Give all measures of the sheet in mm.', at);
	}
	return fits(read.data);
}

const SAYS: Record<SheetMeasure, string> = {
	across: 'Labels across: a whole number from 1 to 10.',
	down: 'Labels down: a whole number from 1 to 40.',
	width: 'A label is 15 to 280 mm wide.',
	height: 'A label is 10 to 280 mm high.',
	left: 'From the left edge: 0 to 100 mm.',
	top: 'From the top edge: 0 to 100 mm.',
	gap_x: 'Between columns: 0 to 50 mm.',
	gap_y: 'Between rows: 0 to 50 mm.'
};

/** All labels lie on the paper. */
function fits(s: Sheet): Result<Sheet> {
	const [wide, high] = PAPER_MM[s.paper];
	const right = s.left + s.across * s.width + (s.across - 1) * s.gap_x;
	const bottom = s.top + s.down * s.height + (s.down - 1) * s.gap_y;
	if (right > wide + HAIR_MM)
		return refuse('sheet.wide', `Together they are ${Math.round(right)} mm wide: the paper has ${Math.round(wide)}.`, 'across');
	if (bottom > high + HAIR_MM)
		return refuse('sheet.high', `Together they are ${Math.round(bottom)} mm high: the paper has ${Math.round(high)}.`, 'down');
	return ok(s);
}
