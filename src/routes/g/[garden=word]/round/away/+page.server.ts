import type { PageServerLoad } from './$types';
import { addDays, dayNumber } from '$lib/core/dates.js';
import { awayPlan } from '$lib/server/away.js';
import { awaySpan } from '$lib/server/awaySpan.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const planned = garden.data.away.filter((a) => a.to >= garden.today);
	const usual = planned[0] ?? { from: addDays(garden.today, 1), to: addDays(garden.today, 14) };
	const asked = { from: url.searchParams.get('from') ?? usual.from, to: url.searchParams.get('to') ?? usual.to };
	const span = awaySpan(asked, garden.today);
	if (!span.ok) return { asked, planned, problem: span.problem, away: null };
	const away = await guarded(() =>
		awayPlan(garden, dayNumber(garden.today), dayNumber(span.value.from), dayNumber(span.value.to))
	);
	return { asked, planned, problem: null, away };
};
