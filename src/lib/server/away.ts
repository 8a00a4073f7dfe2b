/** Days away: what must be done before leaving, and what a neighbour does meanwhile. */
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import { careDues, tasksOf } from './roundTasks.js';
import { roundWorld } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import { Kept } from './kept.js';
import type { RoundTask } from './roundTasks.js';
import { isoOf, sayDate } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { atOnePlace } from '$lib/core/round/care.js';
import type { Mark } from '$lib/core/round/marks.js';
import { CARE_WORDS } from '$lib/core/round/words.js';
import { sayVolume } from '$lib/core/units/index.js';

export const MOST_AWAY_DAYS = 60;

export interface AwayRow {
	day: string;
	place: string;
	what: string;
	how: string;
}
export interface Away {
	/** Due before coming back, and so done before leaving. */
	before: RoundTask[];
	minutes: number;
	rows: (AwayRow & { on: DayNumber })[];
}

/** `from` and `to` are the first and last day away. All care is taken as done on the eve of leaving. */
export async function awayPlan(garden: Garden, today: DayNumber, from: DayNumber, to: DayNumber): Promise<Away> {
	const w = await roundWorld(garden);
	return plans.of(`${w.state} ${today} ${from} ${to}`, () => planOf(w, today, from, to));
}

const plans = new Kept<Away>(32, (a) => 2_000 + (a.before.length + a.rows.length) * 900, true);

function planOf(w: RoundWorld, today: DayNumber, from: DayNumber, to: DayNumber): Away {
	const { garden } = w;
	const place = new Map(w.places.map((p) => [p.id, p]));
	const { care: rules } = handbook();
	const eve = Math.max(today, from - 1);
	// As it will stand on the eve, if all is done as it falls due until then. What comes again is the neighbour's.
	const before = tasksOf(w, eve)
		.due.filter((t) => !t.straggling && t.every === null && t.work !== 'harden' && t.from <= to && t.by <= to)
		.sort((a, b) => (place.get(a.placeId ?? '')?.walk ?? 1000) - (place.get(b.placeId ?? '')?.walk ?? 1000) || a.by - b.by);
	const rows: Away['rows'] = [];
	// Day by day, each care counted from its last time, as the neighbour would do it.
	const done = new Map<string, DayNumber>();
	const marks = (work: string, target: string): Mark | undefined => {
		const own = w.marks(work, target);
		return { done: Math.max(own?.done ?? eve, done.get(`${work} ${target}`) ?? eve), skipped: null, until: null };
	};
	for (let day = from; day <= to; day++) {
		const dues = careDues(w, day, day, marks);
		for (const task of atOnePlace(
			dues.filter((d) => d.due <= day),
			day
		)) {
			const rule = rules.get(task.care);
			const how =
				task.care === 'water'
					? `Feel the top of the mix; where it is dry, water until it runs out below. About ${sayVolume(task.litres, garden.units)} in all.`
					: rule?.neighbour;
			for (const id of task.batchIds) done.set(`${task.care} ${id}`, day);
			if (!how) continue;
			const held = rule?.thing ?? ['pot', 'pots'];
			rows.push({
				on: day,
				day: sayDate(isoOf(day)),
				place: place.get(task.placeId ?? '')?.name ?? 'No place given',
				what: `${CARE_WORDS[task.care] ?? task.care}: ${task.containers} ${held[task.containers === 1 ? 0 : 1]}`,
				how
			});
		}
	}
	rows.sort((a, b) => a.on - b.on);
	return { before, minutes: before.reduce((s, t) => s + t.minutes, 0), rows };
}
