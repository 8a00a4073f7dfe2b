/** The days away as asked for in an address. */
import { MOST_AWAY_DAYS } from './away.js';
import { dayNumber } from '$lib/core/dates.js';
import { readDay } from '$lib/core/readDay.js';
import { ok, refuse } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';

export function awaySpan(asked: { from: string; to: string }, today: string): Result<{ from: string; to: string }> {
	const from = readDay(asked.from, today);
	const to = readDay(asked.to, today);
	if (!from) return refuse('away.date', 'Give the first day away as a day of the calendar.', 'from');
	if (!to) return refuse('away.date', 'Give the last day away as a day of the calendar.', 'to');
	if (from > to) return refuse('away.order', 'The first day away comes after the last.', 'from');
	if (to < today) return refuse('away.past', 'Those days have gone by.', 'to');
	if (dayNumber(to) - dayNumber(from) >= MOST_AWAY_DAYS)
		return refuse('away.long', `At most ${MOST_AWAY_DAYS} days at a time.`, 'to');
	if (dayNumber(from) - dayNumber(today) > 366) return refuse('away.far', 'More than a year ahead.', 'from');
	return ok({ from: from < today ? today : from, to });
}
