import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { labelsPdf } from '$lib/formats/labels.js';
import { originOf } from '$lib/server/api.js';
import { paperFonts } from '$lib/server/fonts.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import { labelsFor } from '$lib/server/labels.js';

const bounded = (text: string | null, least: number, most: number): number => {
	const n = Number(text ?? 0);
	return Number.isFinite(n) ? Math.max(least, Math.min(most, n)) : 0;
};

export const GET: RequestHandler = async ({ params, url, request }) => {
	const garden = await gardenOr404(params.garden);
	const q = url.searchParams;
	const sheet = handbook().sheets.get(q.get('sheet') ?? '') ?? [...handbook().sheets.values()][0]!;
	const { labels } = await guarded(() => labelsFor(garden, q.get('codes') ?? '', originOf(request, url)));
	if (labels.length === 0) error(400, { message: 'No batch was named: choose one at least.', code: 'labels.none' });
	const pdf = await labelsPdf({
		sheet,
		labels,
		skip: Math.floor(bounded(q.get('skip'), 0, sheet.across * sheet.down - 1)),
		shift: [bounded(q.get('right'), -20, 20), bounded(q.get('down'), -20, 20)],
		lines: q.get('lines') !== '0',
		fonts: paperFonts()
	});
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="labels.pdf"` }
	});
};
