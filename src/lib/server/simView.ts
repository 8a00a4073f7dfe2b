/** The plan simulated: what stands when, how often a second strike would be needed and helps, what the weeks may ask for. */
import { error } from '@sveltejs/kit';
import { forecastOf, hadOf, known } from './model.js';
import type { Model } from './model.js';
import { jointOf } from './jointSolved.js';
import type { PlanAsked } from './jointSolved.js';
import { keepOf } from './wants.js';
import { DONE, SEASONS, STOP } from './watched.js';
import type { Watched } from './watched.js';
import { isoOf } from '$lib/core/dates.js';
import { inHand } from '$lib/core/ledger/batch.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { summaryOf } from '$lib/core/odds/belief.js';
import { simulate, simulationOf, stagesFor } from '$lib/core/simulate/index.js';
import type { Fan, Living, SimResult } from '$lib/core/simulate/index.js';

export interface SimView {
	seasons: number;
	wants: { id: string; odds: number; again: number; struckAgain: SimResult['wants'][number]['struckAgain']; spare: Fan }[];
	/** By week, from the day given. */
	from: string[];
	stages: SimResult['stages'];
	minutes: Fan[];
	/** Share of seasons in which the fullest week asks for more than there is, and that week; null where none does. */
	over: { from: string; share: number } | null;
	/** Minutes a week; null where nobody has said. */
	limit: number | null;
}

/** @throws 503 when it was stopped */
export async function simView({ watch, ...asked }: PlanAsked & { watch: Watched }): Promise<SimView> {
	const { ask, solved } = await jointOf(asked);
	const { m, request, snapshot, mine } = ask;
	const parts = request.wants.map((w) => mine.get(w.id)!);
	const each = parts.flatMap((list, want) => list.flatMap((b) => livingOf(m, b, want)));
	const living: Living = {
		batches: each,
		kinds: each.map((b) => b.kindId),
		planted: parts.map((list, i) => list.reduce((n, b) => n + hadOf(b, request.wants[i]!.pots ?? false), 0)),
		others: request.wants.map((w) => {
			const row = snapshot.wants.find((x) => x.id === w.id)!;
			return row.purpose === 'keep' ? keepOf(m, m.kinds.get(w.kindId)!, snapshot.stocks, w.due).pmf : null;
		})
	};
	const sim = simulationOf(solved, living, SEASONS, request.seed);
	const told = simulate(sim, (done) => {
		Atomics.store(watch, DONE, done);
		return Atomics.load(watch, STOP) === 0;
	});
	if (told.seasons < SEASONS) error(503, { message: 'It was stopped.', code: 'plan.stopped' });
	const worst = told.over.reduce((a, share, w) => (share > told.over[a]! ? w : a), 0);
	const from = told.minutes.map((_, w) => isoOf(m.today + 7 * w));
	return {
		...{
			seasons: told.seasons,
			from,
			stages: told.stages,
			minutes: told.minutes,
			limit: Number.isFinite(request.minutesPerWeek) ? request.minutesPerWeek : null
		},
		wants: told.wants.map((w, i) => ({
			...{ id: request.wants[i]!.id, odds: w.odds, again: w.again, struckAgain: w.struckAgain, spare: w.spare }
		})),
		over: told.over[worst]! > 0.05 ? { from: from[worst]!, share: told.over[worst]! } : null
	};
}

/** A batch that there is: its own chances as they are believed now, its parts where they stand. */
function livingOf(m: Model, b: Batch, want: number): (Living['batches'][number] & { kindId: string })[] {
	const k = known(m, b);
	if (!k || (b.status !== 'planned' && inHand(b) === 0)) return [];
	const ahead = new Map(forecastOf(m, k).ahead.map((a) => [a.stage, a.odds]));
	const { struckOn } = k.standing;
	return [
		{
			...{ kindId: b.kindId, want, again: null },
			// What is planned shares its way's chances with the plan; what lives has shown its own.
			shares:
				b.status === 'planned'
					? `${b.kindId} ${b.wayId} ${m.record.isApart(b.kindId, b.wayId, m.formOf(b.stockId)) ? m.formOf(b.stockId) : ''}`
					: null,
			stages: stagesFor(k.way, m.book, (to) =>
				b.status === 'planned' ? k.odds.get(to)! : (ahead.get(to) ?? summaryOf(k.odds.get(to)!))
			),
			parts: k.standing.cohorts.map((c) => ({
				...{ count: c.count, aliveOn: c.aliveOn },
				reached: c.stage === 'unrooted' ? null : c.stage,
				since: c.stage === 'unrooted' ? struckOn : c.since
			}))
		}
	];
}
