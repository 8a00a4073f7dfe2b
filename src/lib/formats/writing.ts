/** The chosen writing of dates and numbers, kept on the device in a cookie so that the first paint is right. */
import { DAY_WRITINGS, NUMBER_WRITINGS, PLAIN } from '$lib/core/writing.js';
import type { DayWriting, NumberWriting, Writing } from '$lib/core/writing.js';

export const WRITING_COOKIE = 'writing';
const YEAR_S = 31_536_000;

export const DAY_SAMPLES: Record<DayWriting, string> = {
	'day-first': '1 May 2027',
	'month-first': 'May 1, 2027',
	dots: '1.5.2027',
	iso: '2027-05-01'
};
export const NUMBER_SAMPLES: Record<NumberWriting, string> = { point: '1,234.5', comma: '1.234,5', space: '1 234,5' };

/** "day-first.point", as the cookie and the page's root carry it. */
export const writingText = ({ days, numbers }: Writing): string => `${days}.${numbers}`;

/** Of a cookie that may hold anything; what it does not say is as it is for everyone. */
export function writingOf(text: string | undefined, otherwise: Writing = PLAIN): Writing {
	const [days, numbers] = (text ?? '').split('.');
	return {
		days: DAY_WRITINGS.find((d) => d === days) ?? otherwise.days,
		numbers: NUMBER_WRITINGS.find((n) => n === numbers) ?? otherwise.numbers
	};
}

export const writingCookie = (w: Writing): string =>
	`${WRITING_COOKIE}=${writingText(w)}; path=/; max-age=${YEAR_S}; samesite=lax`;

/** How numbers are written where the browser's first language is at home; dates are in words until chosen otherwise. */
export function writingOfLanguage(accepted: string | null): Writing {
	const first = /^[a-z]{2,3}(-[a-z0-9]{2,8})*/i.exec(accepted?.trim() ?? '')?.[0];
	try {
		const parts = new Intl.NumberFormat(first ?? 'en').formatToParts(12_345.5);
		const of = (type: string) => parts.find((p) => p.type === type)?.value ?? '';
		const numbers = of('decimal') !== ',' ? 'point' : of('group').trim() === '' ? 'space' : 'comma';
		return { ...PLAIN, numbers };
	} catch {
		return PLAIN;
	}
}
