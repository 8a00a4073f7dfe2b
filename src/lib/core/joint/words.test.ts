/** What is said of a plan, with none, one and many. */
import { describe, expect, it } from 'vitest';
import {
	sayBinds,
	sayBuy,
	sayChange,
	sayClash,
	sayDoing,
	sayMet,
	sayMore,
	sayMove,
	sayRepair,
	sayReplanned,
	sayWouldDo,
	sayNoMoves
} from './words.js';

const METRIC = { length: 'metric', temperature: 'C' } as const;
const plain = (text: string) => text.replaceAll('\u00a0', ' ');

describe('what is said of a plan', () => {
	it('how many wants are met: none, one, some, all', () => {
		expect(sayMet(0, 0)).toBe('Nothing is wanted that is still to be planned.');
		expect(sayMet(1, 1)).toBe('The one want can be met as surely as you ask.');
		expect(sayMet(0, 1)).toBe('The one want can’t be met as surely as you ask.');
		expect(sayMet(0, 4)).toBe('None of the 4 wants can be met as surely as you ask.');
		expect(sayMet(3, 4)).toBe('3 of 4 wants can be met as surely as you ask.');
		expect(sayMet(4, 4)).toBe('All 4 wants can be met as surely as you ask.');
		expect(sayMet(3, 5, 1)).toBe('3 of 5 wants can be met as surely as you ask; 1 more with fewer or later, as would do.');
		expect(sayMet(0, 5, 2)).toBe('None of the 5 wants can be met as surely as you ask; 2 with fewer or later, as would do.');
		expect(sayMet(0, 1, 1)).toBe('The one want can’t be met as surely as you ask; with fewer or later, as would do, it can.');
	});

	it('what would do too: only what differs is named', () => {
		const of = { target: 20, due: '2027-05-01', confidence: 0.9 };
		expect(plain(sayWouldDo(of, { ...of, target: 12 }, 0.91))).toBe('12 would do: 9 times in 10');
		expect(plain(sayWouldDo(of, { ...of, due: '2027-06-12' }, 0.91))).toBe('All 20 by 12 Jun 2027 would do: 9 times in 10');
		expect(plain(sayWouldDo(of, { target: 12, due: '2027-06-12' }, 0.91))).toBe('12 by 12 Jun 2027 would do: 9 times in 10');
		expect(plain(sayWouldDo(of, { ...of, target: 12 }, 0.88))).toBe('12 would do: not quite 9 times in 10');
	});

	it('the next move with its last day: a noun for its number', () => {
		const move = { piece: ['rod', 'rods'] as const, kind: 'Red-stemmed dogwood', today: '2027-01-10' };
		expect(plain(sayMove({ ...move, pieces: 24, on: '2027-02-12', last: '2027-02-20' }))).toBe(
			'24 rods of Red-stemmed dogwood on 12 Feb 2027; until 20 Feb 2027 it is as good.'
		);
		expect(plain(sayMove({ ...move, pieces: 1, on: '2027-01-10', last: '2027-01-10' }))).toBe(
			'1 rod of Red-stemmed dogwood now; no later day is as good.'
		);
	});

	it('what a plan made anew changes: more, less, other, and what that does to the odds', () => {
		const of = { want: '8 Daylily', before: 0.95, then: 0.98, buys: [0, 0] as const };
		const [a, b] = [
			{ pieces: 11, on: '2027-07-30' },
			{ pieces: 12, on: '2027-08-06' }
		];
		expect(plain(sayReplanned({ ...of, old: [a], now: [b] }))).toBe(
			'8 Daylily: strike 12 on 6 Aug 2027 instead of 11 on 30 Jul 2027; 98 times in 100 instead of 95 times in 100.'
		);
		expect(plain(sayReplanned({ ...of, old: [], now: [a, b] }))).toContain(
			'strike 11 on 30 Jul 2027 and 12 on 6 Aug 2027 as well; 98'
		);
		expect(plain(sayReplanned({ ...of, then: 0.95, old: [a], now: [] }))).toBe(
			'8 Daylily: leave out the 11 on 30 Jul 2027; 95 times in 100 as before.'
		);
		expect(plain(sayReplanned({ ...of, old: [a], now: [], buys: [0, 6] }))).toBe(
			'8 Daylily: leave out the 11 on 30 Jul 2027; buy 6 instead of none; 98 times in 100 instead of 95 times in 100.'
		);
		expect(plain(sayReplanned({ ...of, then: 0.95, old: [], now: [], buys: [6, 2] }))).toBe(
			'8 Daylily: buy 2 instead of 6; 95 times in 100 as before.'
		);
	});

	it('what mends a want: the next move, how many after it, and the odds then', () => {
		const move = {
			pieces: 3,
			piece: ['slip', 'slips'] as const,
			kind: 'Sage',
			today: '2027-06-01',
			on: '2027-06-01',
			last: '2027-07-03'
		};
		const to = { odds: 0.91, target: 9, met: true, buys: 0 };
		expect(plain(sayRepair(move, 0, to))).toBe(
			'3 slips of Sage now; until 3 Jul 2027 it is as good. Then 9 times in 10 you get all 9.'
		);
		expect(plain(sayRepair(move, 1, to))).toContain('With another batch after it 9 times in 10 you get all 9.');
		expect(plain(sayRepair(move, 2, { ...to, target: 1 }))).toContain('With 2 more batches after it 9 times in 10 you get it.');
		expect(plain(sayRepair(move, 0, { ...to, odds: 0.41, met: false }))).toContain('Even then 4 times in 10 you get all 9.');
		expect(plain(sayRepair(move, 0, { ...to, odds: 0.001, met: false }))).toContain('Even then you hardly ever get all 9.');
		expect(plain(sayRepair(move, 1, { ...to, buys: 2 }))).toContain(
			'With another batch after it and 2 bought 9 times in 10 you get all 9.'
		);
		expect(plain(sayRepair(null, 0, { ...to, buys: 2 }))).toBe('With 2 bought 9 times in 10 you get all 9.');
		expect(sayRepair(null, 0, to)).toBe('Nothing that can still be struck mends it: the plan tells what else would.');
	});

	it('what holds a want back: a verb for its subject', () => {
		expect(sayBinds([])).toBe('No one thing holds it back: it takes a change in more than one.');
		expect(sayBinds(['minutes'])).toBe('Your minutes a week hold it back.');
		expect(sayBinds(['room'])).toBe('The room you have holds it back.');
		expect(sayBinds(['stock', 'time'])).toBe(
			'What its stock can give and the time that is left hold it back. More of any one of them would do.'
		);
		expect(sayBinds(['minutes', 'room', 'stock', 'time'])).toContain(
			'Your minutes a week, the room you have, what its stock can give and the time'
		);
	});

	it('what is done about it is a verb with its object; what only doing helps has no button', () => {
		const say = (c: Parameters<typeof sayDoing>[0], oneAge = false) => {
			const words = sayDoing(c, { target: 20, oneAge }, 'EUR');
			return words === null ? null : plain(words);
		};
		expect(say({ of: 'due', on: '2027-09-30' })).toBe('Have them by 30 Sep 2027');
		expect(say({ of: 'number', to: 12, from: 20 })).toBe('Ask for 12');
		expect(say({ of: 'confidence', to: 0.85, from: 0.9 })).toBe('Ask for 85 times in 100');
		expect(say({ of: 'money', plants: 6, cost: 30 })).toBe('Buy 6 and grow the rest');
		expect(say({ of: 'money', plants: 6, cost: 30 }, true)).toBeNull();
		expect(say({ of: 'money', plants: 20, cost: 100 }, true)).toBe('Buy 20');
		expect(say({ of: 'room', place: 'Frame', moreCm2: 1000 })).toBe('Make more room in Frame');
		expect(say({ of: 'stock', more: 1, kind: 'Sage' })).toBe('Write another Sage down');
		expect(say({ of: 'spend', more: 20 })).toBe('Let it cost €20 more');
	});

	it('what is bought, by when, and what it costs', () => {
		expect(plain(sayBuy({ count: 6, name: 'Sage', by: '2027-05-01', cost: 36 }, 'EUR'))).toBe(
			'Buy 6 Sage by 1 May 2027, about €36.'
		);
	});

	it('what more pieces are worth', () => {
		expect(sayMore(10, 0.9, 0.95)).toBe('10 more: 95 times in 100 instead of 9 times in 10.');
		expect(sayMore(10, 0.999, 0.9999)).toBe('10 more would make it no surer than almost certain.');
		expect(sayMore(2, 0.001, 0.3)).toBe('2 more: 3 times in 10 instead of hardly ever.');
	});

	it('what would help, as something to do', () => {
		const say = (c: Parameters<typeof sayChange>[0], odds = 0.9) => plain(sayChange(c, odds, METRIC, 'EUR'));
		expect(say({ of: 'minutes', more: 45 })).toBe('45 min more a week: then 9 times in 10.');
		expect(say({ of: 'room', place: 'Cold frame', moreCm2: 4_000 })).toBe('0.4 m² more room in Cold frame: then 9 times in 10.');
		expect(say({ of: 'stock', more: 1, kind: 'Sage' })).toBe('One more plant of Sage to take from: then 9 times in 10.');
		expect(say({ of: 'stock', more: 3, kind: 'Sage' })).toBe('3 more plants of Sage to take from: then 9 times in 10.');
		expect(say({ of: 'bed', place: 'Long border' })).toBe('In Long border instead: then 9 times in 10.');
		expect(say({ of: 'due', on: '2027-08-20' })).toBe('By 20 Aug 2027 instead: then 9 times in 10.');
		expect(say({ of: 'confidence', to: 0.85, from: 0.9 })).toBe(
			'As sure as 85 times in 100 instead of 90: then it is met as it stands.'
		);
		expect(say({ of: 'number', to: 1, from: 2 })).toBe('1 instead of 2: then 9 times in 10.');
		expect(say({ of: 'money', plants: 6, cost: 54 })).toBe('Buy 6, about €54.');
		expect(
			say({
				...{ of: 'grow', piece: ['cutting', 'cuttings'], due: '2028-09-30', growing: false },
				rungs: [
					{ on: '2027-05-03', pieces: 12, plants: 9 },
					{ on: '2028-05-01', pieces: 40, plants: 30 }
				]
			})
		).toBe(
			'Grow the stock first: strike 12 cuttings on 3 May 2027 and keep the 9 that usually come of them; on 1 May 2028 strike 40 from all of them: by 30 Sep 2028 9 times in 10.'
		);
		expect(
			say({
				...{ of: 'grow', piece: ['cutting', 'cuttings'], due: '2028-09-30', growing: true },
				rungs: [{ on: '2028-05-01', pieces: 40, plants: 30 }]
			})
		).toBe(
			'With the stock that you are growing: strike 40 cuttings on 1 May 2028, from all of them: by 30 Sep 2028 9 times in 10.'
		);
		expect(say({ of: 'spend', more: 20 })).toBe('€20 more to spend: then 9 times in 10.');
		expect(say({ of: 'minutes', more: 15 }, 0.999)).toContain('almost certain');
	});

	it('where a plan changed by hand asks for too much', () => {
		const say = (c: Parameters<typeof sayClash>[0]) => plain(sayClash(c, METRIC, 'EUR'));
		expect(say({ of: 'age', want: '40 Box' })).toBe(
			'40 Box would not grow up alike: for a hedge strike all by one way within a season.'
		);
		expect(say({ of: 'money', over: 12 })).toBe('It costs about €12 more than it may.');
		expect(say({ of: 'minutes', on: '2027-05-01', over: 30 })).toBe(
			'In the week of 1 May 2027 it asks for 30 min more than you have left.'
		);
		expect(say({ of: 'room', places: ['Cold frame'], on: '2027-05-01', overCm2: 3_000 })).toBe(
			'In the week of 1 May 2027 0.3 m² is missing in Cold frame.'
		);
		expect(say({ of: 'room', places: ['Sill', 'Shelf', 'Frame'], on: '2027-05-01', overCm2: 3_000 })).toContain(
			'in Sill, Shelf and Frame together.'
		);
		expect(say({ of: 'ground', place: 'Long border', on: '2027-05-01' })).toBe(
			'From 1 May 2027 on more is to stand in Long border than its free ground takes.'
		);
		expect(say({ of: 'stock', plant: 'Sage, by the gate', on: '2027-05-01' })).toBe(
			'Around 1 May 2027 Sage, by the gate is asked for more than it can give.'
		);
	});

	it('where nothing is to be struck: all in hand, stock still growing, or too late', () => {
		const want = (standing: string, waits = false) => ({ standing, waits });
		expect(sayNoMoves([want('in hand'), want('unlikely', true)])).toBe('Nothing new needs striking.');
		expect(sayNoMoves([want('in hand'), want('unlikely')])).toContain('would give more of them in time');
	});
});
