/** A day as people type it. */
import { parseDate } from '@internationalized/date';
import * as chrono from 'chrono-node/en';
import { isIsoDate } from './dates.js';
import type { IsoDate } from './dates.js';
import { writing } from './writing.js';

/** Nobody types a longer one on purpose. */
const LONGEST = 40;
const pad = (n: number | null, to: number): string => String(n ?? 0).padStart(to, '0');

/**
 * "1 May 2027", "May 1", "1.5.2027", "2027-05-01", "tomorrow", "in 3 weeks", "next Friday": a day of the calendar, from
 * 1900 to 2199. Bare figures ("5/1/2027") are read as the person writes dates: the month first only for whoever does.
 *
 * @returns null when it is no day, or says more or less than one
 */
export function readDay(text: string, today: IsoDate): IsoDate | null {
	const plain = text.trim();
	if (plain === '' || plain.length > LONGEST) return null;
	if (isIsoDate(plain)) return plain;
	const reader = writing().days === 'month-first' ? chrono.casual : chrono.GB;
	const found = reader.parse(plain, { instant: parseDate(today).toDate('UTC'), timezone: 0 });
	const [one] = found;
	if (found.length !== 1 || !one || one.end || one.text.length !== plain.length) return null;
	if (!one.start.isCertain('day') && !one.start.isCertain('weekday')) return null;
	const iso = `${pad(one.start.get('year'), 4)}-${pad(one.start.get('month'), 2)}-${pad(one.start.get('day'), 2)}`;
	return isIsoDate(iso) ? iso : null;
}
