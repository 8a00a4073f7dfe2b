/**
 * The code pencilled on a stick: three characters and a check character, from an alphabet without
 * the look-alikes I, L, O, 0 and 1. Its 31 characters are a prime number of them, so a weighted sum
 * modulo 31 with different weights catches every single wrong character and every swap of two.
 * Source: the principle of ISBN-10 (ISO 2108:1992), here modulo 31.
 */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

const ALPHABET = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
const BASE = ALPHABET.length;
/** The first code has three characters already. */
const FIRST = BASE * BASE;
export const MOST_CODES = BASE ** 3 - FIRST;

function checkValue(digits: readonly number[]): number {
	// Weights 2, 3, 4 for the three characters and 1 for the check: all different modulo 31.
	const sum = digits.reduce((total, d, i) => total + d * (i + 2), 0);
	return (BASE - (sum % BASE)) % BASE;
}

/** Code of the nth batch of a garden (n from 0), e.g. "322-U". */
export function codeOf(n: number): string {
	const number = FIRST + n;
	const digits = [Math.floor(number / FIRST) % BASE, Math.floor(number / BASE) % BASE, number % BASE];
	return `${digits.map((d) => ALPHABET[d]!).join('')}-${ALPHABET[checkValue(digits)]!}`;
}

/** Reads a code as a person writes it: any case, with or without dash or spaces. */
export function readCode(text: string): Result<string> {
	const plain = text.toUpperCase().replace(/[\s\-–_.]/g, '');
	if (plain.length !== 4) return refuse('code.length', 'A code has four characters, like 322-U.', 'code');
	const digits = [...plain].map((c) => ALPHABET.indexOf(c));
	if (digits.some((d) => d < 0))
		return refuse('code.character', 'Codes have no 0, 1, I, L or O: look at the stick again.', 'code');
	if (digits[3] !== checkValue(digits.slice(0, 3)))
		return refuse('code.check', 'The last character does not go with the others: one of the four is misread.', 'code');
	return ok(`${plain.slice(0, 3)}-${plain[3]!}`);
}
