import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { isoOf, sayDate } from './dates.js';
import { sayCost, sayMoney, sayNumber } from './numbers.js';
import { readDay } from './readDay.js';
import { DAY_WRITINGS, NUMBER_WRITINGS, PLAIN, plainly, writtenAs } from './writing.js';
import type { Writing } from './writing.js';
import { writingCookie, writingOf, writingOfLanguage, writingText } from '$lib/formats/writing.js';

const as = (w: Partial<Writing>) => writtenAs(() => ({ ...PLAIN, ...w }));
const space = (s: string) => s.replace(/[\u00a0\u202f]/g, ' ');
afterEach(() => as({}));

describe('dates and numbers', () => {
	it('are written as whoever reads writes them, the plain way unless chosen', () => {
		expect(DAY_WRITINGS.map((days) => (as({ days }), [sayDate('2027-09-01'), sayDate('2027-09-01', false)]))).toEqual([
			['1 Sep 2027', '1 Sep'],
			['Sep 1, 2027', 'Sep 1'],
			['1.9.2027', '1.9.'],
			['2027-09-01', '2027-09-01']
		]);
		expect(NUMBER_WRITINGS.map((numbers) => (as({ numbers }), space(sayNumber(-1234.56, 1))))).toEqual([
			...['−1,234.6', '−1.234,6', '−1 234,6']
		]);
		expect(NUMBER_WRITINGS.map((numbers) => (as({ numbers }), space(sayMoney(4.5, 'EUR'))))).toEqual([
			'€4.50',
			'4,50 €',
			'4,50 €'
		]);
		as({});
		expect([12, 270.4, 0, 1234].map((n) => sayMoney(n, 'EUR'))).toEqual(['€12', '€270', '€0', '€1,234']);
		expect([0, 0.3, 0.7, 3.2, 4.9, 11.15, 480.4].map((n) => sayCost(n, 'EUR'))).toEqual([
			...['next to nothing', 'next to nothing', 'about €0.50', 'about €3', 'about €5', 'about €11', 'about €480']
		]);
		expect([0, 0.04, 2, 2.25].map((n) => sayNumber(n, 1))).toEqual(['0', '0', '2', '2.3']);
		expect(sayNumber(2, 1, true)).toBe('2.0');
	});

	// ECMA-402, as the engine that runs the tests has it, is what people know from everything else on their device.
	it('are as ECMA-402 writes them in languages that write so', () => {
		const numbers = { point: 'en', comma: 'de', space: 'fr' } as const;
		const days = { 'day-first': 'en-GB', 'month-first': 'en-US', dots: 'de-DE', iso: 'sv-SE' } as const;
		fc.assert(
			fc.property(
				fc.double({ min: -1e9, max: 1e9, noNaN: true }),
				fc.integer({ min: 0, max: 3 }),
				fc.boolean(),
				fc.constantFrom(...NUMBER_WRITINGS),
				(n, digits, always, writing) => {
					as({ numbers: writing });
					const least = always ? digits : 0;
					const how = { maximumFractionDigits: digits, minimumFractionDigits: least, signDisplay: 'negative' } as const;
					expect(sayNumber(n, digits, always)).toBe(n.toLocaleString(numbers[writing], how).replace('-', '−'));
				}
			)
		);
		fc.assert(
			fc.property(fc.integer({ min: -20_000, max: 80_000 }), fc.constantFrom(...DAY_WRITINGS), (day, writing) => {
				as({ days: writing });
				const month = { 'day-first': 'short', 'month-first': 'short', dots: 'numeric', iso: '2-digit' }[writing] as 'short';
				const how = { day: writing === 'iso' ? '2-digit' : 'numeric', month, year: 'numeric', timeZone: 'UTC' } as const;
				const theirs = new Date(day * 86_400_000).toLocaleDateString(days[writing], how);
				expect(sayDate(isoOf(day))).toBe(theirs.replace('Sept', 'Sep'));
			})
		);
	});

	it('are stored in one hand, and a reader’s comes back after it, also when the work fails', () => {
		as({ days: 'iso' });
		expect(plainly(() => sayDate('2027-05-01'))).toBe('1 May 2027');
		expect(() => plainly(() => JSON.parse('{'))).toThrow();
		expect(sayDate('2027-05-01')).toBe('2027-05-01');
	});

	it('are kept in a cookie that may hold anything', () => {
		for (const days of DAY_WRITINGS)
			for (const numbers of NUMBER_WRITINGS)
				expect(writingOf(/writing=([^;]+)/.exec(writingCookie({ days, numbers }))![1])).toEqual({ days, numbers });
		expect([undefined, '', 'x.y', 'iso', '.comma', '<b>.point.z'].map((c) => writingText(writingOf(c)))).toEqual([
			...['day-first.point', 'day-first.point', 'day-first.point'],
			...['iso.point', 'day-first.comma', 'day-first.point']
		]);
	});

	it('begin as the browser’s language writes numbers, with dates in words', () => {
		const begins = [null, '*', 'en-US,en;q=0.9', 'de-DE,de;q=0.8', 'fr', 'de-CH', 'sv-SE', 'es', 'x'.repeat(5000)].map(
			(l) => writingOfLanguage(l).numbers
		);
		expect(begins).toEqual(['point', 'point', 'point', 'comma', 'space', 'point', 'space', 'comma', 'point']);
		expect(writingOfLanguage('de').days).toBe('day-first');
	});
});

describe('a day as typed', () => {
	const today = '2026-11-27';
	const read = (text: string) => readDay(text, today);

	it('is read in the ways people write one', () => {
		const ways = [
			'1 May 2027',
			'1 may',
			'May 1, 2027',
			'May 1st',
			'1.5.2027',
			'1/5/2027',
			'1/5/27',
			'2027-05-01',
			' 1st of May 2027 '
		];
		expect(ways.map(read)).toEqual(ways.map(() => '2027-05-01'));
		expect(['today', 'tomorrow', 'yesterday', 'in 3 weeks', '2 days ago'].map(read)).toEqual([
			...['2026-11-27', '2026-11-28', '2026-11-26', '2026-12-18', '2026-11-25']
		]);
		expect(read('29 Feb 2028')).toBe('2028-02-29');
	});

	it('has its month first for whoever writes it first, and only for them', () => {
		expect(read('5/1/2027')).toBe('2027-01-05');
		as({ days: 'month-first' });
		expect([read('5/1/2027'), read('1 May 2027'), read('2027-05-01')]).toEqual(['2027-05-01', '2027-05-01', '2027-05-01']);
	});

	it('comes back from every way it is shown', () => {
		for (const days of DAY_WRITINGS) {
			as({ days });
			for (let n = 0; n < 400; n += 7) {
				const iso = new Date(Date.UTC(2027, 0, 1 + n)).toISOString().slice(0, 10);
				expect(read(sayDate(iso)), `${days} ${iso}`).toBe(iso);
			}
		}
	});

	it('is none where it is no day, half a day, or more than one', () => {
		const none = [
			'',
			'12',
			'banana',
			'30 Feb 2027',
			'2027-02-30',
			'29 Feb 2027',
			'32.1.2027',
			'May',
			'May 2027',
			'2027',
			'1–5 May 2027'
		];
		expect(
			none.concat(['1 May 2027 and 2 May', 'see 1 May 2027', '1 May 1727', '1'.repeat(300)]).filter((t) => read(t) !== null)
		).toEqual([]);
	});
});
