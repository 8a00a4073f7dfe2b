/** What the season strip draws, reckoned once: weeks of frost odds, day lengths, lanes of batches. */
import { isoOf, plainDate } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { dayLength } from '$lib/core/season/solar.js';
import { frostOdds } from '$lib/core/season/frost.js';
import type { Climate } from '$lib/core/season/climate.js';

export const DAYS_BACK = 92;
export const DAYS_AHEAD = 457;

export interface StripWeek {
	day: DayNumber;
	frost: number;
	hours: number;
}

export function weeksOf(climate: Climate, first: DayNumber, last: DayNumber): StripWeek[] {
	const weeks: StripWeek[] = [];
	for (let day = first; day <= last; day += 7)
		weeks.push({
			day,
			frost: frostOdds(day + 3, climate),
			hours: dayLength(climate.latitude, climate.longitude, day + 3)
		});
	return weeks;
}

export interface Month {
	day: DayNumber;
	name: string;
	year: string | null;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export function monthsOf(first: DayNumber, last: DayNumber): Month[] {
	const months: Month[] = [];
	// From the first of a month to the first of the next, not day by day: it is asked for many times a page.
	let { year, month } = plainDate(first);
	for (;;) {
		const day = Date.UTC(year, month - 1, 1) / 86_400_000;
		if (day > last) break;
		if (day >= first) months.push({ day, name: MONTHS[month - 1]!, year: month === 1 ? String(year) : null });
		month++;
		if (month > 12) {
			month = 1;
			year++;
		}
	}
	return months;
}

export const addressWithDay = (url: URL, day: DayNumber | null): string => {
	const next = new URL(url);
	if (day === null) next.searchParams.delete('day');
	else next.searchParams.set('day', isoOf(day));
	return next.pathname + next.search;
};
