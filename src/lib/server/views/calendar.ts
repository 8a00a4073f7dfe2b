import { gardenCalendar } from '../calendar.js';
import { gardenOr404 } from '../forms.js';
import type { Ask } from './ask.js';

/** The round as a calendar file. */
export async function calendarView({ params, origin }: Ask) {
	return gardenCalendar(await gardenOr404(params.garden), origin);
}
