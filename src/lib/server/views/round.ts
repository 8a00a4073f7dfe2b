import { viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { roundOf } from '../round.js';
import { shownRound, targetsOf } from '../roundShown.js';
import { rowsAsked } from '../rows.js';
import { seasonOf } from '../season.js';
import { snapshotOf } from '../snapshot.js';
import type { Ask } from './ask.js';
import { dayNumber } from '$lib/core/dates.js';

export async function roundView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	const [round, season, { stocks, wants }] = await Promise.all([roundOf(garden, day), seasonOf(garden), snapshotOf(garden.id)]);
	const away = garden.data.away.find((a) => dayNumber(a.from) <= day + 14 && dayNumber(a.to) >= day) ?? null;
	const rows = rowsAsked(query.get('rows'));
	const all = round.mayWait.length;
	return {
		round: { ...shownRound(round, rows), mayWaitInAll: all },
		rows,
		away,
		station: { okAt: season.station.okAt, trouble: season.station.trouble, there: season.station.there },
		now: Date.now(),
		nothingYet: stocks.length === 0 ? ('stock' as const) : wants.length === 0 ? ('want' as const) : null
	};
}

/** The plants of a task that the round showed by a name; null when they are others by now. */
export async function roundTargetsView({ params, query }: Ask): Promise<string[] | null> {
	const garden = await gardenOr404(params.garden);
	return targetsOf(garden, dayNumber(garden.today), query.get('task') ?? '', query.get('many') ?? '');
}
