/** What drawings are reckoned from, and the words screens share. */
import { sayMoney } from '$lib/core/numbers.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addressWithDay, DAYS_AHEAD, DAYS_BACK, monthsOf, weeksOf } from './strip.js';
import { packed } from '$lib/core/season/lanes.js';
import { daysRead, alsoReading } from './daysRead.js';
import { steady } from './steady.js';
import { plural, sayNext, sayRange } from './say.js';
import { STARTING_PLACES } from './startingPlaces.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { placeData } from '$lib/core/ledger/entries.js';

const climate = { latitude: 50, longitude: 20, coldestC: -18, lastFrost: { doy: 128, sd: 9 }, firstFrost: { doy: 278, sd: 11 } };

describe('the season strip', () => {
	it('reaches three months back and fifteen ahead', () => {
		const now = dayNumber('2027-01-15');
		expect(isoOf(now - DAYS_BACK)).toBe('2026-10-15');
		expect(isoOf(now + DAYS_AHEAD).slice(0, 7)).toBe('2028-04');
	});

	it('finds every first of a month, as looking at each day does', () => {
		fc.assert(
			fc.property(fc.integer({ min: 18_000, max: 26_000 }), fc.integer({ min: 1, max: 600 }), (first, span) => {
				const byDay: number[] = [];
				for (let day = first; day <= first + span; day++) if (isoOf(day).endsWith('-01')) byDay.push(day);
				const months = monthsOf(first, first + span);
				expect(months.map((m) => m.day)).toEqual(byDay);
				for (const m of months) expect(m.year).toBe(isoOf(m.day).slice(5, 7) === '01' ? isoOf(m.day).slice(0, 4) : null);
			})
		);
	});

	it('has frosty winters, frostless summers, long days in June', () => {
		const weeks = weeksOf(climate, dayNumber('2027-01-01'), dayNumber('2027-12-31'));
		const of = (date: string) => weeks.find((w) => w.day >= dayNumber(date))!;
		expect(of('2027-01-10').frost).toBeGreaterThan(0.99);
		expect(of('2027-07-10').frost).toBeLessThan(0.01);
		expect(of('2027-06-18').hours).toBeGreaterThan(16);
		expect(of('2027-12-20').hours).toBeLessThan(8.3);
	});

	it('packs lanes so that none lie on each other, and none is left out', () => {
		const lane = fc.record({ from: fc.integer({ min: 0, max: 500 }), long: fc.integer({ min: 0, max: 300 }) });
		fc.assert(
			fc.property(fc.array(lane, { maxLength: 60 }), (lanes) => {
				const rows = packed(
					lanes.map((l, i) => ({ code: String(i), label: '', from: l.from, to: l.from + l.long, kind: 'growing' as const }))
				);
				expect(rows).toHaveLength(lanes.length);
				for (const a of rows)
					for (const b of rows) if (a !== b && a.row === b.row) expect(a.to < b.from || b.to < a.from).toBe(true);
			})
		);
	});

	it('puts the day into the address and takes it out again', () => {
		const url = new URL('http://x/g/a/bench?q=1');
		const there = addressWithDay(url, dayNumber('2027-03-01'));
		expect(there).toBe('/g/a/bench?q=1&day=2027-03-01');
		expect(addressWithDay(new URL(`http://x${there}`), null)).toBe('/g/a/bench?q=1');
	});
});

describe('words', () => {
	it('say money, numbers and spans of days shortly', () => {
		expect(sayMoney(3.5, 'EUR')).toBe('€3.50');
		expect(sayMoney(270, 'GBP')).toBe('£270');
		expect(plural(1, ['rod', 'rods'])).toBe('1 rod');
		expect(plural(0, ['rod', 'rods'])).toBe('0 rods');
		expect(sayRange('2027-05-12', '2027-05-12')).toBe('12 May 2027');
		expect(sayRange('2027-05-12', '2027-06-03')).toBe('12 May – 3 Jun 2027');
		expect(sayRange('2026-12-30', '2027-01-03')).toBe('30 Dec 2026 – 3 Jan 2027');
	});

	it('offers places that can be written down as they are', () => {
		for (const place of STARTING_PLACES) expect(placeData.safeParse({ ...place, walk: 1 }).success).toBe(true);
		expect(new Set(STARTING_PLACES.map((p) => p.kind)).size).toBe(STARTING_PLACES.length);
	});
});

describe('what a batch asks for next', () => {
	const task = { kind: 'pot', count: 12, from: 20_000, by: 20_014, why: 'Short roots settle quickest.' } as const;
	it('says what to do, by when, and why: of one and of many, due and to come', () => {
		expect(sayNext(task, ['cutting', 'cuttings'], '2024-10-10')).toBe(
			'Pot the 12 cuttings by 18 Oct 2024: short roots settle quickest.'
		);
		expect(sayNext({ ...task, count: 1 }, ['rod', 'rods'], '2024-09-01')).toBe(
			'Pot the rod from 4 Oct 2024: short roots settle quickest.'
		);
	});
});

describe('what stands in a field', () => {
	it('is the same as long as nothing in what is given has changed', () => {
		fc.assert(
			fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
				let now: unknown = a;
				const seen = steady(() => structuredClone(now));
				const first = seen();
				expect(seen()).toBe(first);
				now = b;
				const then = seen();
				expect(then).toEqual(JSON.parse(JSON.stringify(b)) === null ? then : b);
				expect(then === first).toBe(JSON.stringify(a) === JSON.stringify(b));
			})
		);
	});

	it('is read before anything is done with it, also what is typed while others are read', async () => {
		const done: string[] = [];
		const after = (ms: number, name: string) => new Promise<void>((r) => setTimeout(() => (done.push(name), r()), ms));
		alsoReading(after(20, 'first').then(() => alsoReading(after(20, 'typed meanwhile'))));
		alsoReading(Promise.reject(new Error('never came')));
		await daysRead();
		expect(done).toEqual(['first', 'typed meanwhile']);
	});
});
