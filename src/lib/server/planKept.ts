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
import { DONE, STOP, watched } from './watched.js';
import type { Watched } from './watched.js';

const CHANGED = { message: 'The garden has changed since: look at the plan again.', code: 'plan.changed' };
const keyOf = (state: string, a: PlanAsked): string => `${state} ${choiceKey(a)}`;
const plans = new Kept<PlanView>(16, (p) => 20_000 + p.wants.length * 6_000 + p.loads.length * 12_000, true);
const binds = new Kept<{ bind: BindView | null }>(2, () => 2_000, true);

/** The last state that a garden's plan was asked for: what is looked for beyond an older one is of no use any more. */
const newest = new LRUCache<string, string>({ max: 1_000 });

/** @param state what the plan hangs on: another after every entry, and every day */
export function planFor(state: string, asked: PlanAsked): Promise<PlanView> {
	newest.set(asked.slug, state);
	return plans.waited(keyOf(state, asked), () =>
		lineOf(asked.slug)(() => {
			// Whoever logs ten things in a row waits for no ten plans.
			if (newest.get(asked.slug) !== state) error(503, CHANGED);
			return planJob('plan', asked);
		})
	);
}

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
interface Growing {
	watch: Watched;
	waiting: number;
	made: Promise<SimView>;
}
/** Under way: whoever asks meanwhile waits for the same, and when the last has gone it is stopped. */
const growing = new Map<string, Growing>();

export interface Seasons {
	made: Promise<SimView>;
	/** Seasons grown by now. */
	done: () => number;
	/** Whoever asked waits no longer. */
	leave: () => void;
}

/** The plan grown through many seasons. */
export function seasonsFor(state: string, asked: PlanAsked): Seasons {
	const key = keyOf(state, asked);
	const there = seen.get(key);
	if (there) return { made: Promise.resolve(there), done: () => there.seasons, leave: () => undefined };
	const one = growing.get(key) ?? begun(key, asked);
	one.waiting++;
	return {
		made: one.made,
		done: () => Atomics.load(one.watch, DONE),
		leave: () => {
			if (--one.waiting > 0) return;
			Atomics.store(one.watch, STOP, 1);
			if (growing.get(key) === one) growing.delete(key);
		}
	};
}

function begun(key: string, asked: PlanAsked): Growing {
	const watch = watched();
	const made = planJob('planSim', { ...asked, watch }).then((told) => seen.set(key, told));
	const one: Growing = { watch, waiting: 0, made };
	growing.set(key, one);
	const over = () => growing.get(key) === one && growing.delete(key);
	made.then(over, over);
	return one;
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
