import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { dayNumber, sayDate } from '$lib/core/dates.js';
import { awaySheetPdf } from '$lib/formats/awaySheet.js';
import { awayPlan } from '$lib/server/away.js';
import { awaySpan } from '$lib/server/awaySpan.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { paperFonts } from '$lib/server/fonts.js';

export const GET: RequestHandler = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const span = awaySpan({ from: url.searchParams.get('from') ?? '', to: url.searchParams.get('to') ?? '' }, garden.today);
	if (!span.ok) error(400, { message: span.problem.sentence, code: span.problem.code });
	const { from, to } = span.value;
	const away = await guarded(() => awayPlan(garden, dayNumber(garden.today), dayNumber(from), dayNumber(to)));
	const pdf = await awaySheetPdf({
		garden: garden.data.name,
		span: `${sayDate(from)} to ${sayDate(to)}`,
		rows: away.rows,
		fonts: paperFonts()
	});
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${garden.slug}-away.pdf"` }
	});
};
