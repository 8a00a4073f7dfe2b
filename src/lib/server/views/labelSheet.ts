import { error } from '@sveltejs/kit';
import { paperFonts } from '../fonts.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { labelsFor } from '../labels.js';
import type { Ask } from './ask.js';
import { labelSvg } from '$lib/formats/labels.js';
import { readSheet } from '$lib/core/handbook/sheet.js';
import type { Sheet } from '$lib/core/handbook/benchSchema.js';
import type { LabelJob } from '$lib/formats/labels.js';

const bounded = (text: string | null, least: number, most: number): number => {
	const n = Number(text ?? 0);
	return Number.isFinite(n) ? Math.max(least, Math.min(most, n)) : 0;
};

/** One of the handbook's, or of the person's own measures. */
function sheetAsked(query: URLSearchParams): Sheet {
	const id = query.get('sheet') ?? '';
	if (id !== 'own') return handbook().sheets.get(id) ?? [...handbook().sheets.values()][0]!;
	const own = readSheet(query.get('own') ?? '');
	if (!own.ok) error(400, { message: own.problem.sentence, code: own.problem.code });
	return own.value;
}

const LONGEST_ADDRESS = 200;
/** Where the QR codes lead: an address that phones can reach, if one was given. */
function addressAsked(query: URLSearchParams, origin: string): string {
	const at = query.get('at');
	if (at === null) return origin;
	const url = at.length <= LONGEST_ADDRESS && URL.canParse(at) ? new URL(at) : null;
	if (!url || !/^https?:$/.test(url.protocol))
		error(400, { message: 'The address on the labels begins with http:// or https://.', code: 'labels.address' });
	return url.origin;
}

/** What stands on a sheet of labels, and where. */
export async function labelSheetView({ params, query, origin }: Ask): Promise<LabelJob> {
	const garden = await gardenOr404(params.garden);
	const sheet = sheetAsked(query);
	const { labels } = await labelsFor(garden, query.get('codes') ?? '', addressAsked(query, origin));
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
	const { labels } = await labelsFor(await gardenOr404(params.garden), params.code, addressAsked(query, origin));
	if (!labels[0]) error(404, { message: 'There is no batch by that code.', code: 'batch.unknown' });
	return labelSvg(labels[0], sheetAsked(query));
}
