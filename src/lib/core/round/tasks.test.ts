/** The round: what batches ask for, in the order of the walk, and what may wait. */
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { batchTasks, inWalkingOrder, winterLook, mayWait, lossOfWaiting } from './tasks.js';
import type { Batch } from '../ledger/batch.js';
import { seasonOfClimate } from '../season/season.js';
import { north } from '../../../testing/climates.js';
import { kind } from '../../../testing/handbook.js';
import { emptyBatch } from '../../../testing/batches.js';

const lavender = kind('lavender');
const semiRipe = lavender.ways.find((w) => w.id === 'semi-ripe')!;
const day = dayNumber;

describe('the round', () => {
	const season = seasonOfClimate(north);
	const plain = {
		id: 'b',
		kindId: 'lavender',
		wayId: 'semi-ripe',
		placeId: 'frame',
		struckOn: '2027-07-12',
		struck: 20,
		unrooted: 20
	};
	const batch = emptyBatch(plain);
	const tasks = (b: Partial<Batch>, on: string) =>
		batchTasks({
			batch: emptyBatch({ ...plain, ...b }),
			kind: lavender,
			way: semiRipe,
			today: day(on),
			until: day(on) + 6,
			season
		}).map((t) => t.kind);

	it('names the day of a planned batch, on that day as today', () => {
		const why = (on: string) =>
			batchTasks({
				...{ batch: emptyBatch({ ...plain, status: 'planned', plannedOn: '2027-07-20', plannedCount: 8 }) },
				...{ kind: lavender, way: semiRipe, today: day(on), until: day(on) + 6, season }
			})[0]!.why;
		expect(why('2027-07-18')).toBe('Its day is 20 Jul.');
		expect(why('2027-07-20')).toBe('Its day is today.');
		expect(why('2027-07-24')).toBe('Its day is 20 Jul.');
	});

	it('asks for a look when half should have rooted, and not again for ten days', () => {
		expect(tasks({}, '2027-08-01')).toEqual([]);
		expect(tasks({}, '2027-08-12')).toEqual(['look']);
		expect(tasks({ lastOn: '2027-08-16' }, '2027-08-18')).toEqual([]);
	});

	it('asks to pot what has rooted, to count after winter, and to plant in season', () => {
		expect(tasks({ unrooted: 0, rooted: 12, lastOn: '2027-08-20' }, '2027-08-21')).toEqual(['pot']);
		expect(tasks({ unrooted: 0, potted: 12, lastOn: '2027-09-01' }, '2028-04-12')).toContain('winter-count');
		expect(tasks({ unrooted: 0, potted: 12, lastOn: '2028-04-20', winteredOn: '2028-04-20' }, '2028-05-10')).toContain('plant');
		expect(tasks({ status: 'planned', plannedOn: '2027-07-20', plannedCount: 8 }, '2027-07-19')).toEqual(['strike']);
		expect(tasks({ status: 'done' }, '2027-08-12')).toEqual([]);
	});

	it('looks over what stands under shelter once a week in winter, and only then', () => {
		const look = (b: Partial<Batch>, on: string, sheltered = true) =>
			winterLook({ ...batch, unrooted: 0, potted: 9, ...b }, sheltered, day(on), day(on) + 6, season);
		expect(look({ lastOn: '2027-10-10' }, '2027-12-01')).toMatchObject([{ from: day('2027-12-01'), kind: 'winter-look' }]);
		expect(look({ lastOn: '2027-11-30' }, '2027-12-01')).toMatchObject([{ from: day('2027-12-07') }]);
		expect(look({}, '2027-08-01')).toEqual([]);
		expect(look({}, '2027-12-01', false)).toEqual([]);
		expect(look({ potted: 0 }, '2027-12-01')).toEqual([]);
	});

	it('expects no roots of hardwood while it rests', () => {
		const willow = kind('willow');
		const rods = emptyBatch({ ...plain, struckOn: '2027-11-20', lastOn: '2027-11-20' });
		const due = (on: string) =>
			batchTasks({
				batch: rods,
				kind: willow,
				way: willow.ways[0]!,
				today: day(on),
				until: day(on) + 6,
				season
			}).map((t) => t.kind);
		expect(due('2028-01-20')).toEqual([]);
		expect(due('2028-06-10')).toContain('look');
	});

	it('goes by place in walking order, the most urgent first at each', () => {
		const t = (key: string, placeId: string, by: number) => ({
			key,
			kind: 'look' as const,
			from: 0,
			by,
			placeId,
			batchId: null,
			stockId: null,
			wantId: null,
			count: 1,
			minutes: 1,
			why: ''
		});
		const walkOf = (p: string | null) => (p === 'near' ? 1 : 2);
		expect(inWalkingOrder([t('a', 'far', 1), t('b', 'near', 9), t('c', 'near', 3)], walkOf).map((x) => x.key)).toEqual([
			'c',
			'b',
			'a'
		]);
	});

	it('lets wait what loses least for the minutes it frees, and never what would lose a plant', () => {
		const t = (key: string, work: string, minutes: number, count = 1, by = 3) => ({
			key,
			work,
			minutes,
			count,
			by,
			chance: null
		});
		const due = [
			t('turn', 'turn', 20),
			t('look', 'look', 30),
			t('water', 'water', 30, 20),
			t('shelter', 'shelter', 40, 9),
			t('pot', 'pot', 30, 2, 20)
		];
		expect(mayWait(due, 0, 500)).toEqual([]);
		expect(mayWait(due, 0, 130)).toEqual(['turn']);
		const waiting = mayWait(due, 0, 0);
		expect(waiting).not.toContain('water');
		expect(waiting).not.toContain('shelter');
		expect(waiting).toEqual(expect.arrayContaining(['turn', 'look', 'pot']));
		expect(lossOfWaiting(t('a', 'pot', 5, 3, 1), 0)).toBeGreaterThan(lossOfWaiting(t('b', 'pot', 5, 3, 9), 0));
	});
});
