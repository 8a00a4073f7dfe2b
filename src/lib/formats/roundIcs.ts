/** The round as an iCalendar (RFC 5545): whole-day events with stable names, alarms for what the weather asks. */
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventRepeatingFreq } from 'ical-generator';
import { addDays, isoOf, sayDate } from '../core/dates.js';
import type { DayNumber } from '../core/dates.js';

export interface CalendarItem {
	/** The same for the same work from one reading of the calendar to the next. */
	key: string;
	on: DayNumber;
	by: DayNumber;
	title: string;
	place: string;
	text: string;
	/** Wakes the person: weather that will not wait. */
	alarm: 'evening-before' | 'afternoon' | null;
	address: string;
	/** Care that comes again after so many days; null for what is done once. */
	every: number | null;
}

const NOON_MS = 12 * 3_600_000;
const HOUR = 3600;
/** Care that comes again is told for so long ahead. */
const AHEAD_DAYS = 60;
const FIRST_EDITION_MS = Date.UTC(2026, 0, 1);
const MINUTE_MS = 60_000;
const ALARMS = { 'evening-before': -6 * HOUR, afternoon: 15 * HOUR } as const;

/** `stamp` is the instant the calendar was made; dates have no time zone, as whole days should. */
export function roundCalendar(gardenName: string, gardenId: string, items: readonly CalendarItem[], stamp: Date): string {
	const calendar = ical({
		name: `${gardenName}: round`,
		prodId: { company: 'Surculus', product: 'round', language: 'EN' },
		method: ICalCalendarMethod.PUBLISH,
		ttl: 6 * HOUR
	});
	for (const item of items) {
		const event = calendar.createEvent({
			id: `${item.key.replace(/[^A-Za-z0-9-]/g, '-')}@${gardenId}.surculus`,
			start: noon(isoOf(item.on)),
			end: noon(addDays(isoOf(item.on), 1)),
			allDay: true,
			floating: false,
			stamp,
			// Each reading may have moved it: a later one counts more (RFC 5545, 3.8.7.4).
			sequence: Math.max(0, Math.floor((stamp.getTime() - FIRST_EDITION_MS) / MINUTE_MS)),
			summary: item.title,
			description: `${item.text}${item.by > item.on ? `\nBy ${sayDate(isoOf(item.by))}.` : ''}`,
			...(item.place ? { location: item.place } : {}),
			...(item.address ? { url: item.address } : {})
		});
		if (item.every && item.every < AHEAD_DAYS)
			event.repeating({
				freq: ICalEventRepeatingFreq.DAILY,
				interval: item.every,
				count: Math.floor(AHEAD_DAYS / item.every)
			});
		if (item.alarm) {
			const seconds = ALARMS[item.alarm];
			event.createAlarm({
				type: ICalAlarmType.display,
				description: item.title,
				...(seconds < 0 ? { triggerBefore: -seconds } : { triggerAfter: seconds })
			});
		}
	}
	// Every line is ended, the last one too (RFC 5545, 3.1).
	return `${calendar.toString().replace(/\r\n$/, '')}\r\n`;
}

/** A moment that lies on the date in every time zone the library may read it in. */
const noon = (iso: string): Date => new Date(Date.parse(`${iso}T00:00:00Z`) + NOON_MS);
