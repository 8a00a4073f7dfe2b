/** A full round on a screen: the first rows, and work on very many plants by a name. */
import { describe, expect, it } from 'vitest';
import type { Round } from './round.js';
import type { RoundTask } from './roundTasks.js';
import { markOf, shownRound } from './roundShown.js';
import { ROWS, rowsAsked } from './rows.js';

const task = (key: string, targets = 1): RoundTask => ({
	key,
	work: 'water',
	title: 'Water',
	code: null,
	from: 0,
	by: 0,
	late: false,
	placeId: null,
	targets: Array.from({ length: targets }, (_, i) => `${key}-${i}`),
	batchId: null,
	link: '',
	count: 1,
	minutes: 1,
	why: '',
	chance: null,
	ifNeedless: null,
	ifMissed: null,
	every: null,
	seen: null,
	carried: [],
	straggling: false,
	log: 'tap'
});
const round = (perStop: number[], week: number, more: Partial<Round> = {}): Round => ({
	stops: perStop.map((n, s) => ({
		placeId: `p${s}`,
		placeName: `P${s}`,
		minutes: n,
		tasks: Array.from({ length: n }, (_, i) => task(`${s}.${i}`))
	})),
	week: Array.from({ length: week }, (_, i) => task(`w.${i}`)),
	minutes: 0,
	todayMinutes: 0,
	budget: 0,
	mayWait: [],
	stragglers: [],
	later: [],
	sky: { soil: '', damp: [], rain: null },
	shelters: [],
	outside: [],
	...more
});

describe('the round as shown', () => {
	it('shows all of a short one, and the first rows of a long one in walking order', () => {
		const short = shownRound(round([3, 2], 4), 60);
		expect([short.hidden, short.weekHidden]).toEqual([0, 0]);
		const long = shownRound(round([40, 30, 30], 100), 60);
		expect(long.stops.map((s) => s.tasks.length)).toEqual([40, 20]);
		// What a stop takes is said of all of it.
		expect(long.stops.map((s) => s.minutes)).toEqual([40, 30]);
		expect([long.hidden, long.weekHidden]).toEqual([40, 40]);
		const none = shownRound(round([], 0), 60);
		expect([none.hidden, none.weekHidden, none.stops.length]).toEqual([0, 0, 0]);
	});

	it('tells of what may wait only what it shows', () => {
		expect(shownRound(round([80], 0, { mayWait: ['0.1', '0.79'] }), 60).mayWait).toEqual(['0.1']);
	});

	it('names very many plants instead of sending them', () => {
		const many = round([0], 0);
		many.stops[0]!.tasks = [task('few', 50), task('many', 51)];
		const [few, all] = shownRound(many, 60).stops[0]!.tasks;
		expect([few!.targets.length, few!.many]).toEqual([50, null]);
		expect(all!.targets).toEqual([]);
		expect(all!.many).toBe(markOf(many.stops[0]!.tasks[1]!.targets));
	});

	it('names the same plants alike in any order, and others otherwise', () => {
		expect(markOf(['a', 'b', 'c'])).toBe(markOf(['c', 'a', 'b']));
		expect(markOf(['a', 'b'])).not.toBe(markOf(['a', 'b', 'c']));
		expect(markOf(['a', 'b'])).not.toBe(markOf(['a', 'c']));
	});

	it('reads how many rows are asked for, within bounds', () => {
		const of = (text: string | null) => rowsAsked(text);
		expect([null, '', 'x', '-5', '1e9', '60.5', '120', '1'].map(of)).toEqual([ROWS, ROWS, ROWS, ROWS, 6_000, ROWS, 120, ROWS]);
	});
});
