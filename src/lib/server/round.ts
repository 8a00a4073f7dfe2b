/** The round of a garden: all work that is due, in the order of the walk. */
import type { Garden } from './context.js';
import { Kept } from './kept.js';
import { roundWorld, SHELTERED, WEEK } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import { isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { inWalkingOrder, mayWait } from '$lib/core/round/tasks.js';
import { dampDays, rainTomorrow, soilFit } from '$lib/core/round/triggers.js';
import { TASK_BYTES, tasksOf } from './roundTasks.js';
import type { RoundTask } from './roundTasks.js';

export interface RoundStop {
	placeId: string | null;
	placeName: string;
	tasks: RoundTask[];
	minutes: number;
}

export interface Round {
	/** Due by the end of the day viewed, and in the six days after. */
	stops: RoundStop[];
	week: RoundTask[];
	/** What hardly will root any more, of the whole week: it costs no minutes, for nothing need be done. */
	stragglers: RoundTask[];
	/** Minutes of the week, repeats counted. */
	minutes: number;
	todayMinutes: number;
	budget: number;
	mayWait: string[];
	later: { on: string; title: string; link: string }[];
	sky: { soil: string; damp: { on: string; share: number }[]; rain: number | null };
	shelters: { id: string; name: string }[];
	/** Places under the sky, to take things out to. */
	outside: { id: string; name: string }[];
}

/** How often a task comes in the week. */
const times = (t: RoundTask, day: DayNumber): number => {
	const first = Math.max(t.from, day);
	return t.every ? Math.max(1, Math.floor((day + WEEK - first) / t.every) + 1) : 1;
};

const rounds = new Kept<Round>(
	96,
	(r) => 5_000 + (r.week.length + r.stops.reduce((n, s) => n + s.tasks.length, 0)) * TASK_BYTES,
	true
);

export async function roundOf(garden: Garden, day: DayNumber): Promise<Round> {
	const w = await roundWorld(garden);
	return rounds.of(`${w.state} ${day}`, () => roundIn(w, day));
}

function roundIn(w: RoundWorld, day: DayNumber): Round {
	const { garden } = w;
	const { due } = tasksOf(w, day);
	const all = due.filter((t) => !t.straggling);
	const place = new Map(w.places.map((p) => [p.id, p]));
	const walkOf = (id: string | null) => place.get(id ?? '')?.walk ?? 1000;
	const week = all.filter((t) => t.from <= day + WEEK);
	const today = inWalkingOrder(
		week.filter((t) => t.from <= day),
		walkOf
	);
	const stops: RoundStop[] = [];
	for (const t of today) {
		let stop = stops.find((s) => s.placeId === t.placeId);
		if (!stop)
			stops.push(
				(stop = { placeId: t.placeId, placeName: place.get(t.placeId ?? '')?.name ?? 'No place given', tasks: [], minutes: 0 })
			);
		stop.tasks.push(t);
		stop.minutes += t.minutes;
	}
	const weekly = week.map((t) => ({ ...t, minutes: t.minutes * times(t, day) }));
	const budget = garden.data.minutes_per_week;
	return {
		stops,
		stragglers: due.filter((t) => t.straggling && t.from <= day + WEEK),
		week: week.filter((t) => t.from > day).sort((a, b) => a.from - b.from || walkOf(a.placeId) - walkOf(b.placeId)),
		minutes: weekly.reduce((s, t) => s + t.minutes, 0),
		todayMinutes: today.reduce((s, t) => s + t.minutes, 0),
		budget,
		mayWait: mayWait(weekly, day, budget),
		later: all
			.filter((t) => t.from > day + WEEK)
			.sort((a, b) => a.from - b.from)
			.slice(0, 8)
			.map((t) => ({ on: isoOf(t.from), title: t.title, link: t.link })),
		sky: {
			soil: soilFit(day, w.season.sky).say,
			damp: dampDays(day, w.season.sky).map((d) => ({ on: isoOf(d.day), share: d.share })),
			rain: rainTomorrow(day, w.season.sky)
		},
		shelters: w.places.filter((p) => !p.closed && SHELTERED.has(p.kind)).map((p) => ({ id: p.id, name: p.name })),
		outside: w.places.filter((p) => !p.closed && !SHELTERED.has(p.kind)).map((p) => ({ id: p.id, name: p.name }))
	};
}
