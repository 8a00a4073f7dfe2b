import { error } from '@sveltejs/kit';
import { paperFonts } from '../fonts.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { labelsFor } from '../labels.js';
import type { Ask } from './ask.js';
import { labelSvg } from '$lib/formats/labels.js';
import type { LabelJob } from '$lib/formats/labels.js';

const bounded = (text: string | null, least: number, most: number): number => {
	const n = Number(text ?? 0);
	return Number.isFinite(n) ? Math.max(least, Math.min(most, n)) : 0;
};

const sheetAsked = (id: string | null) => handbook().sheets.get(id ?? '') ?? [...handbook().sheets.values()][0]!;

/** What stands on a sheet of labels, and where. */
export async function labelSheetView({ params, query, origin }: Ask): Promise<LabelJob> {
	const garden = await gardenOr404(params.garden);
	const sheet = sheetAsked(query.get('sheet'));
	const { labels } = await labelsFor(garden, query.get('codes') ?? '', origin);
	if (labels.length === 0) error(400, { message: 'No batch was named: choose one at least.', code: 'labels.none' });
	return {
		sheet,
		labels,
		skip: Math.floor(bounded(query.get('skip'), 0, sheet.across * sheet.down - 1)),
		shift: [bounded(query.get('right'), -20, 20), bounded(query.get('down'), -20, 20)],
		lines: query.get('lines') !== '0',
		fonts: paperFonts()
	};
}

/** One label, drawn. */
export async function labelDrawnView({ params, query, origin }: Ask<'code'>): Promise<string> {
	const { labels } = await labelsFor(await gardenOr404(params.garden), params.code, origin);
	if (!labels[0]) error(404, { message: 'There is no batch by that code.', code: 'batch.unknown' });
	return labelSvg(labels[0], sheetAsked(query.get('sheet')));
}
