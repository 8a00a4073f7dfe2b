import { error } from '@sveltejs/kit';
import { awayPlan } from '../away.js';
import { awaySpan } from '../awaySpan.js';
import { paperFonts } from '../fonts.js';
import { gardenOr404 } from '../forms.js';
import type { Ask } from './ask.js';
import { dayNumber, sayDate } from '$lib/core/dates.js';
import type { TickSheet } from '$lib/formats/tickSheet.js';

/** What stands on the sheet for whoever waters. */
export async function awaySheetView({ params, query }: Ask): Promise<TickSheet> {
	const garden = await gardenOr404(params.garden);
	const span = awaySpan({ from: query.get('from') ?? '', to: query.get('to') ?? '' }, garden.today);
	if (!span.ok) error(400, { message: span.problem.sentence, code: span.problem.code });
	const { from, to } = span.value;
	const away = await awayPlan(garden, dayNumber(garden.today), dayNumber(from), dayNumber(to));
	return {
		title: garden.data.name,
		under: `While we are away: ${sayDate(from)} to ${sayDate(to)}`,
		rows: away.rows.map((r) => ({ head: r.day, what: r.what, how: `${r.place}: ${r.how}` })),
		none: 'Nothing needs doing.',
		fonts: paperFonts()
	};
}
