/** What is said of a batch in trouble: every sentence for none, one and many. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { fateWord, sayFate } from './frostSeen.js';
import { offSeasonTimes } from './offSeason.js';
import { sayFrost, sayOffSeason, sayStruckOff, sayUsually, troubleOf } from './troubleWords.js';
import type { TroubleOf } from './troubleWords.js';

const off = { days: 40, opens: dayNumber('2027-05-19'), times: 0.05 };
const frost = { lowC: -21, on: dayNumber('2026-11-21'), soft: false, inPots: true, said: '−21 °C', alive: 0.001 };
const batch = (over: Partial<TroubleOf> = {}): TroubleOf => ({
	status: 'growing',
	plannedOn: null,
	today: dayNumber('2026-12-01'),
	unrooted: 12,
	count: 12,
	off: null,
	frost: null,
	chance: 0.17,
	...over
});

describe('what is said', () => {
	it('of how many take: none, one, some', () => {
		expect(sayUsually(12, 0.17)).toBe('Usually 2 of 12 take.');
		expect(sayUsually(12, 0.08)).toBe('Usually 1 of 12 takes.');
		expect(sayUsually(12, 0.01)).toBe('Don’t count on any.');
		expect(sayUsually(1, 0.2)).toBe('Don’t count on it.');
	});
	it('of a wrong day: what to expect, and the better one', () => {
		expect(sayOffSeason(off, 12, 0.17)).toBe('Out of season. Usually 2 of 12 take. Better from 19 May 2027.');
		expect(sayOffSeason({ ...off, opens: null }, 5, 0.01)).toBe(
			'Out of season. Don’t count on any. Its window does not open here in most years.'
		);
		expect(sayStruckOff(20, 0.1)).toBe('Struck out of season. Usually 2 of 20 take.');
	});
	it('of frost: one plant and many, from dead to alive', () => {
		expect(sayFrost(frost, 12)).toBe(
			'On 21 Nov it fell to −21 °C where they stand: they are almost certainly dead. Look, and count what lives.'
		);
		expect(sayFrost({ ...frost, alive: 0.3 }, 1)).toContain('where it stands: it is probably dead.');
		expect(sayFrost({ ...frost, alive: 0.3, soft: true }, 1)).toContain(
			'where it stands, before it was hardened: it is probably dead.'
		);
		expect(sayFate(0.6, 2)).toBe('they may be dead');
		expect(sayFate(0.85, 1)).toBe('it probably came through');
		expect([0.01, 0.2, 0.6, 0.85].map(fateWord)).toEqual([
			'killed by frost, by all odds',
			'probably killed by frost',
			'perhaps killed by frost',
			'frost to be looked for'
		]);
	});
	it('one trouble at a time: frost before the season, missed before late', () => {
		expect(troubleOf(batch())).toBeNull();
		expect(troubleOf(batch({ off }))!.word).toBe('struck out of season');
		expect(troubleOf(batch({ off, unrooted: 0 }))).toBeNull();
		expect(troubleOf(batch({ off, frost }))!.word).toBe('killed by frost, by all odds');
		const planned = { status: 'planned', plannedOn: dayNumber('2026-11-01') } as const;
		expect(troubleOf(batch(planned))!.word).toBe('late');
		expect(troubleOf(batch({ ...planned, off }))!.word).toBe('missed: its window is shut');
		expect(troubleOf(batch({ ...planned, plannedOn: dayNumber('2027-02-01') }))).toBeNull();
		expect(troubleOf(batch({ ...planned, plannedOn: dayNumber('2027-02-01'), off }))!.word).toBe('planned out of season');
	});
});

describe('odds off the window', () => {
	it('a week is nothing, then they only fall, to a twenty-fifth; what has roots of its own bears more', () => {
		expect([0, 3, 7].map((d) => offSeasonTimes(d, 'stem'))).toEqual([1, 1, 1]);
		let before = 1;
		for (let d = 8; d < 200; d++) {
			const now = offSeasonTimes(d, 'stem');
			expect(now).toBeLessThanOrEqual(before);
			expect(offSeasonTimes(d, 'clump')).toBeGreaterThan(now - 1e-12);
			before = now;
		}
		expect(before).toBe(0.04);
		expect(offSeasonTimes(Infinity, 'rod')).toBe(0.04);
	});
});
