/** The calendar as another parser reads it (ical.js), and by the letter of RFC 5545. */
import ICAL from 'ical.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, isoOf } from '../core/dates.js';
import { roundCalendar } from './roundIcs.js';
import type { CalendarItem } from './roundIcs.js';

const STAMP = new Date('2026-09-05T06:00:00Z');
const item = (over: Partial<CalendarItem> = {}): CalendarItem => ({
	key: 'pot:1',
	on: dayNumber('2026-09-07'),
	by: dayNumber('2026-09-20'),
	title: 'Pot 12 Lavender',
	place: 'Cold frame',
	text: 'Rooted.',
	alarm: null,
	address: '',
	every: null,
	...over
});
const read = (text: string) =>
	new ICAL.Component(ICAL.parse(text) as never[]).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));

describe('the calendar of the round', () => {
	it('is read by another parser: whole days, the day after as end, text as it was', () => {
		const nasty = item({
			key: 'change-water:sill:1',
			title: 'Change the water; 12 jars, “kitchen” \\ sill – Überwinterung 🌱',
			text: 'Line one,\nline two; with a very long sentence that must be folded because it is longer than seventy-five octets, ä ö ü included.',
			place: 'Sill, south; window'
		});
		const text = roundCalendar('Garten, „Ost“', 'g1', [item(), nasty], STAMP);
		const events = read(text);
		expect(events).toHaveLength(2);
		expect(events[0]!.startDate.toString()).toBe('2026-09-07');
		expect(events[0]!.endDate.toString()).toBe('2026-09-08');
		expect(events[0]!.startDate.isDate).toBe(true);
		expect(events[1]!.summary).toBe(nasty.title);
		expect(events[1]!.description.split('\n').slice(0, 2).join('\n')).toBe(nasty.text);
		expect(events[1]!.location).toBe(nasty.place);
	});

	it('has lines of at most 75 octets ended by CRLF, and what RFC 5545 demands of every calendar and event', () => {
		const text = roundCalendar('G', 'g1', [item({ text: 'ä'.repeat(400) })], STAMP);
		expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
		for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
		for (const wanted of [
			'BEGIN:VCALENDAR',
			'VERSION:2.0',
			'PRODID:',
			'UID:',
			'DTSTAMP:20260905T060000Z',
			'DTSTART;VALUE=DATE:20260907'
		])
			expect(text).toContain(wanted);
		expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
		expect(text).toContain('By 20 Sep 2026.');
	});

	it('keeps its names from reading to reading, each once', () => {
		const uids = (stamp: Date) => read(roundCalendar('G', 'g1', [item(), item({ key: 'look:2' })], stamp)).map((e) => e.uid);
		expect(uids(STAMP)).toEqual(uids(new Date('2026-09-06T09:00:00Z')));
		expect(new Set(uids(STAMP)).size).toBe(2);
		expect(uids(STAMP)[0]).toBe('pot-1@g1.surculus');
	});

	it('a later reading counts more, and care with a rhythm comes again by rule', () => {
		const sequence = (stamp: string) => read(roundCalendar('G', 'g1', [item()], new Date(stamp)))[0]!.sequence;
		expect(sequence('2026-09-05T06:05:00Z')).toBeGreaterThan(sequence('2026-09-05T06:00:00Z'));
		const [event] = read(roundCalendar('G', 'g1', [item({ every: 3 })], STAMP));
		expect(event!.isRecurring()).toBe(true);
		const each = event!.iterator();
		expect([each.next(), each.next(), each.next()].map(String)).toEqual(['2026-09-07', '2026-09-10', '2026-09-13']);
		expect(read(roundCalendar('G', 'g1', [item()], STAMP))[0]!.isRecurring()).toBe(false);
	});

	it('sounds for the weather only: the evening before, or in the afternoon of a frosty night', () => {
		const text = roundCalendar(
			'G',
			'g1',
			[item(), item({ key: 'a', alarm: 'evening-before' }), item({ key: 'b', alarm: 'afternoon' })],
			STAMP
		);
		const alarms = read(text).map((e) => e.component.getAllSubcomponents('valarm'));
		expect(alarms.map((a) => a.length)).toEqual([0, 1, 1]);
		const trigger = (i: number) =>
			(alarms[i]![0]!.getFirstPropertyValue('trigger') as unknown as { toSeconds(): number }).toSeconds();
		expect(trigger(1)).toBe(-6 * 3600);
		expect(trigger(2)).toBe(15 * 3600);
		expect(alarms[1]![0]!.getFirstPropertyValue('action')).toBe('DISPLAY');
	});

	it('any day of any year is that day, leap days and changes of clock included', () => {
		fc.assert(
			fc.property(fc.integer({ min: dayNumber('2020-01-01'), max: dayNumber('2040-12-31') }), (on) => {
				const [event] = read(roundCalendar('G', 'g', [item({ on })], STAMP));
				expect(event!.startDate.toString()).toBe(isoOf(on));
				expect(event!.endDate.toString()).toBe(isoOf(on + 1));
			}),
			{ numRuns: 60 }
		);
	});
});
