import { addDays, dayNumber } from '$lib/core/dates.js';
import { awayPlan } from '../away.js';
import { awaySpan } from '../awaySpan.js';
import { gardenOr404 } from '../forms.js';
import type { RoundTask } from '../roundTasks.js';
import { rowsAsked } from '../rows.js';
import type { Ask } from './ask.js';

/** Of a task only what the list shows. */
const shownBefore = ({ key, title, link, by, minutes }: RoundTask) => ({ key, title, link, by, minutes });

export async function awayView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const planned = garden.data.away.filter((a) => a.to >= garden.today);
	const usual = planned[0] ?? { from: addDays(garden.today, 1), to: addDays(garden.today, 14) };
	const asked = { from: query.get('from') ?? usual.from, to: query.get('to') ?? usual.to };
	const span = awaySpan(asked, garden.today);
	if (!span.ok) return { asked, planned, problem: span.problem, rows: 0, away: null };
	const away = await awayPlan(garden, dayNumber(garden.today), dayNumber(span.value.from), dayNumber(span.value.to));
	const rows = rowsAsked(query.get('rows'));
	const hidden = Math.max(0, away.before.length - rows);
	return { asked, planned, problem: null, rows, away: { ...away, before: away.before.slice(0, rows).map(shownBefore), hidden } };
}
