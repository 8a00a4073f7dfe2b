/** Numbers as people type and read them. */
import { formatLocale } from 'd3-format';
import type { FormatLocaleObject } from 'd3-format';
import { writing } from './writing.js';
import type { NumberWriting } from './writing.js';

/** Nobody types a longer one on purpose: longer text is no number, before anything looks into it. */
const LONGEST = 40;

/** "1.5", "1,5", "1 200", "−3". Null when blank, NaN when it is no number. */
export function readNumber(text: string): number | null {
	if (text.length > LONGEST) return text.trim() === '' ? null : Number.NaN;
	const plain = text.replace(/\s/g, '').replace('−', '-').replace(',', '.');
	if (plain === '') return null;
	return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : Number.NaN;
}

/** The marks of each writing. What the browser itself offers for it takes a slow phone a quarter of a second to make first. */
const FORMATS: Record<NumberWriting, FormatLocaleObject> = {
	point: formatLocale({ decimal: '.', thousands: ',', grouping: [3], currency: ['', ''] }),
	comma: formatLocale({ decimal: ',', thousands: '.', grouping: [3], currency: ['', ''] }),
	space: formatLocale({ decimal: ',', thousands: '\u202f', grouping: [3], currency: ['', ''] })
};
const formats = new Map<string, (n: number) => string>();

/** "1,234.5", or as whoever reads writes it: rounded to so many digits behind the point, `always` shown or not. */
export function sayNumber(n: number, digits = 0, always = false): string {
	const { numbers } = writing();
	const key = `${numbers} ${digits} ${always}`;
	let format = formats.get(key);
	if (!format) formats.set(key, (format = FORMATS[numbers].format(`,.${digits}${always ? '' : '~'}f`)));
	return format(n);
}

/** A language whose money is written so. */
const LOCALE: Record<NumberWriting, string> = { point: 'en', comma: 'de', space: 'fr' };
const moneys = new Map<string, Intl.NumberFormat>();

/** "€12", "€4.50", or as whoever reads writes it. */
export const sayMoney = (amount: number, currency: string): string => {
	const { numbers } = writing();
	const key = `${numbers} ${currency} ${amount < 20}`;
	let format = moneys.get(key);
	if (!format) {
		const digits = amount < 20 ? {} : { maximumFractionDigits: 0 };
		const how = { style: 'currency', currency, trailingZeroDisplay: 'stripIfInteger', ...digits } as const;
		moneys.set(key, (format = new Intl.NumberFormat(LOCALE[numbers], how)));
	}
	return format.format(amount);
};

/** What something will come to, as a person would say it: "about €12", "about €4.50", "next to nothing". */
export const sayCost = (amount: number, currency: string): string =>
	amount < 0.5 ? 'next to nothing' : `about ${sayMoney(amount < 5 ? Math.round(amount * 2) / 2 : Math.round(amount), currency)}`;

/** Text as the database can hold it: no null character, no half of a character pair. */
export const plainText = (text: string): string => text.replaceAll('\u0000', '').toWellFormed();
