/** The days away as asked for in an address. */
import { MOST_AWAY_DAYS } from './away.js';
import { dayNumber, isIsoDate } from '$lib/core/dates.js';
import { ok, refuse } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';

export function awaySpan(asked: { from: string; to: string }, today: string): Result<{ from: string; to: string }> {
	if (!isIsoDate(asked.from)) return refuse('away.date', 'Give the first day away as a day of the calendar.', 'from');
	if (!isIsoDate(asked.to)) return refuse('away.date', 'Give the last day away as a day of the calendar.', 'to');
	if (asked.from > asked.to) return refuse('away.order', 'The first day away comes after the last.', 'from');
	if (asked.to < today) return refuse('away.past', 'Those days have gone by.', 'to');
	if (dayNumber(asked.to) - dayNumber(asked.from) >= MOST_AWAY_DAYS)
		return refuse('away.long', `At most ${MOST_AWAY_DAYS} days at a time.`, 'to');
	if (dayNumber(asked.from) - dayNumber(today) > 366) return refuse('away.far', 'More than a year ahead.', 'from');
	return ok({ from: asked.from < today ? today : asked.from, to: asked.to });
}
