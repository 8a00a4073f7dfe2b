/** Plans that were made, kept where all threads' answers come together: asked again while nothing has changed, they are there at once. */
import { error } from '@sveltejs/kit';
import { LRUCache } from 'lru-cache';
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import { Kept } from './kept.js';
import { planJob } from './threads/pool.js';
import { choiceKey } from './planAsked.js';
import type { BindView } from './bindsView.js';
import type { PlanAsked } from './jointSolved.js';
import type { PlanView } from './jointView.js';
import type { SimView } from './simView.js';
import { UnderWay } from './underWay.js';
import type { Waited } from './underWay.js';
import { handOf } from './writing.js';

const CHANGED = { message: 'The garden has changed since: look at the plan again.', code: 'plan.changed' };
const keyOf = (state: string, a: PlanAsked): string => `${state} ${choiceKey(a)}`;
const plans = new Kept<PlanView>(16, (p) => 20_000 + p.wants.length * 6_000 + p.loads.length * 12_000, true);
const binds = new Kept<{ bind: BindView | null }>(2, () => 2_000, true);

/** The last state that a garden's plan was asked for: what is looked for beyond an older one is of no use any more. */
const newest = new LRUCache<string, string>({ max: 1_000 });

/** A plan being looked for: the first that was found, and the best. */
interface Search {
	first: Promise<PlanView>;
	made: Promise<PlanView>;
}
const searches = new UnderWay<Search>(({ made }) => made);

/** The plan, where it was made already. */
export const planKept = (state: string, asked: PlanAsked): PlanView | undefined => plans.get(keyOf(state, asked));

/**
 * The plan looked for; when the last that waits has left it is stopped, and what was begun goes on when it is asked again.
 *
 * @param state what the plan hangs on: another after every entry, and every day
 */
export function searchFor(state: string, asked: PlanAsked): Waited<Search> {
	newest.set(asked.slug, state);
	const key = keyOf(state, asked);
	const there = plans.get(key);
	if (there)
		return { made: { first: Promise.resolve(there), made: Promise.resolve(there) }, done: () => 1, leave: () => undefined };
	return searches.of(`${handOf()} ${key}`, (watch) => {
		const inLine = lineOf(asked.slug);
		const first = inLine(() => {
			// Whoever logs ten things in a row waits for no ten plans.
			if (newest.get(asked.slug) !== state) error(503, CHANGED);
			return planJob('planFirst', asked);
		});
		const made = inLine(async () => {
			await first;
			return plans.set(key, await planJob('plan', { ...asked, watch }));
		});
		// Whoever waits for the best alone is told by it.
		first.catch(() => undefined);
		return { first, made };
	});
}

export const planFor = (state: string, asked: PlanAsked): Promise<PlanView> => searchFor(state, asked).made.made;

/** Work for one garden that is done one after the other. */
function inLine(): (slug: string) => LimitFunction {
	const lines = new LRUCache<string, LimitFunction>({ max: 1_000 });
	return (slug) => {
		let line = lines.get(slug);
		if (!line) lines.set(slug, (line = pLimit(1)));
		return line;
	};
}
const lineOf = inLine();
const helping = inLine();

const seen = new Kept<SimView>(16, (s) => 5_000 + s.from.length * 600);
const growing = new UnderWay<Promise<SimView>>((made) => made);

/** The plan grown through many seasons. */
export function seasonsFor(state: string, asked: PlanAsked): Waited<Promise<SimView>> {
	const key = keyOf(state, asked);
	const there = seen.get(key);
	if (there) return { made: Promise.resolve(there), done: () => there.seasons, leave: () => undefined };
	return growing.of(key, async (watch) => seen.set(key, await planJob('planSim', { ...asked, watch })));
}

/** What would help one want. One after the other, so that who changes the plan by hand meanwhile waits for one of them at most. */
export const bindFor = async (state: string, asked: PlanAsked, want: string): Promise<BindView | null> =>
	(
		await binds.waited(`${keyOf(state, asked)} ${want}`, () =>
			helping(asked.slug)(async () => {
				if (newest.get(asked.slug) !== state) error(503, CHANGED);
				return { bind: (await planJob('planBinds', { ...asked, want }))[0] ?? null };
			})
		)
	).bind;
