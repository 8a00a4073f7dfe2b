/** A joint plan as it is simulated: its batches beside those that live. */
import type { DayNumber } from '../dates.js';
import type { StageName, WayProfile } from '../handbook/schema.js';
import { MOST_DAYS } from '../joint/plan.js';
import type { Solved } from '../joint/solve.js';
import { timetableOf } from '../plan/timetable.js';
import type { Timetable } from '../plan/timetable.js';
import type { JointRequest } from '../joint/types.js';
import { holding } from '../mix/stands.js';
import type { Book } from '../mix/stands.js';
import type { Beta } from '../odds/beta.js';
import type { SimBatch, SimRequest, SimStage } from './types.js';

/** Living batches were struck so long ago at most: what is older stands where it was last counted. */
const BACK = 900;
/** A look is taken when most of what will root has. */
const LOOK_AT = 1.3;

export function stagesFor(way: WayProfile, book: Book, beta: (to: StageName) => Beta): SimStage[] {
	return way.stages.map((s) => ({
		...{ to: s.to, always: s.grows === 'always', days: s.days, beta: beta(s.to), handling: s.minutes },
		care: s.care / holding(book, way, s).each
	}));
}

/** The years of a kind as tables that reach back to what lives. */
export function yearTables(r: JointRequest): (kindId: string) => readonly Timetable[] {
	const known = new Map<string, readonly Timetable[]>();
	const until = Math.max(...r.wants.map((w) => w.due), r.today) - r.today;
	const days = BACK + Math.min(MOST_DAYS, until) + 400;
	return (kindId) => {
		let tables = known.get(kindId);
		if (!tables) {
			tables = r.kinds.get(kindId)!.years.map((y) => timetableOf(y, r.today - BACK, days));
			known.set(kindId, tables);
		}
		return tables;
	};
}

export interface Living {
	batches: readonly Omit<SimBatch, 'years'>[];
	kinds: readonly string[];
	/** By want. */
	planted: readonly number[];
	others: readonly (Float64Array | null)[];
}

export function simulationOf({ p, chosen }: Solved, living: Living, seasons: number, seed: number): SimRequest {
	const { r, field } = p;
	const years = yearTables(r);
	const planned = chosen.flatMap((x, want) =>
		x.parts.map(({ c, n }): SimBatch => {
			const odds = field.oddsOf(c.source, c.way);
			const alike = p.candidates[want]!.filter((o) => o.way === c.way && o.source === c.source);
			const until = alike.reduce<DayNumber>((day, o) => Math.max(day, o.on), c.on);
			return {
				...{ want, shares: c.source.shares[c.way.id] ?? c.name, years: years(c.source.kindId) },
				stages: stagesFor(c.way, r.book, (to) => odds.get(to)!),
				parts: [{ count: n, reached: null, since: c.on, aliveOn: c.on }],
				again: { most: Math.max(0, c.most - n), until, lookOn: c.on + Math.round((c.way.stages[0]?.days[1] ?? 30) * LOOK_AT) }
			};
		})
	);
	const last = Math.max(r.today + 60, ...r.wants.map((w) => w.due));
	return {
		...{ today: r.today, rho: r.rho, minutesPerWeek: r.minutesPerWeek, seasons, seed },
		weeks: Math.min(Math.ceil(MOST_DAYS / 7), Math.ceil((last - r.today) / 7) + 1),
		batches: [...living.batches.map((b, i) => ({ ...b, years: years(living.kinds[i]!) })), ...planned],
		wants: r.wants.map((w, i) => ({
			...{
				target: w.target,
				due: w.due,
				planted: (living.planted[i] ?? 0) + (w.bought ?? 0) + chosen[i]!.buys,
				others: living.others[i] ?? null
			}
		}))
	};
}
