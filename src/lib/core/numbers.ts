/** Numbers as people type them. */

/** Nobody types a longer one on purpose: longer text is no number, before anything looks into it. */
const LONGEST = 40;

/** "1.5", "1,5", "1 200", "−3". Null when blank, NaN when it is no number. */
export function readNumber(text: string): number | null {
	if (text.length > LONGEST) return text.trim() === '' ? null : Number.NaN;
	const plain = text.replace(/\s/g, '').replace('−', '-').replace(',', '.');
	if (plain === '') return null;
	return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : Number.NaN;
}

/** Text as the database can hold it: no null character, no half of a character pair. */
export const plainText = (text: string): string => text.replaceAll('\u0000', '').toWellFormed();
