/** Numbers as people type and read them. */
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

/** A language whose numbers are written so. */
const LOCALE: Record<NumberWriting, string> = { point: 'en', comma: 'de', space: 'fr' };
const formats = new Map<string, Intl.NumberFormat>();
function formatOf(key: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
	const { numbers } = writing();
	const whole = `${numbers} ${key}`;
	let format = formats.get(whole);
	if (!format) formats.set(whole, (format = new Intl.NumberFormat(LOCALE[numbers], options)));
	return format;
}

/** "1,234.5", or as whoever reads writes it: rounded to so many digits behind the point, `always` shown or not. */
export const sayNumber = (n: number, digits = 0, always = false): string =>
	formatOf(`${digits} ${always}`, {
		maximumFractionDigits: digits,
		minimumFractionDigits: always ? digits : 0,
		signDisplay: 'negative'
	})
		.format(n)
		.replace('-', '−');

/** "€12", "€4.50", or as whoever reads writes it. */
export const sayMoney = (amount: number, currency: string): string => {
	const digits = amount < 20 ? {} : { maximumFractionDigits: 0 };
	return formatOf(`${currency} ${amount < 20}`, {
		style: 'currency',
		currency,
		trailingZeroDisplay: 'stripIfInteger',
		...digits
	}).format(amount);
};

/** Text as the database can hold it: no null character, no half of a character pair. */
export const plainText = (text: string): string => text.replaceAll('\u0000', '').toWellFormed();
