/** Plans that were made, kept where all threads' answers come together: asked again while nothing has changed, they are there at once. */
import { Kept } from './kept.js';
import { job } from './threads/pool.js';
import type { BindView, PlanAsked, PlanView } from './jointView.js';
import type { SimView } from './simView.js';

const keyOf = (state: string, a: PlanAsked): string => `${state} ${a.aim} ${a.anew}`;
const plans = new Kept<PlanView>(16, (p) => 20_000 + p.wants.length * 6_000 + p.loads.length * 12_000, true);
const binds = new Kept<{ list: BindView[] }>(2, (b) => 200 + b.list.length * 2_000, true);

/** @param state what the plan hangs on: another after every entry, and every day */
export const planFor = (state: string, asked: PlanAsked): Promise<PlanView> =>
	plans.waited(keyOf(state, asked), () => job('plan', asked));

const seen = new Kept<SimView>(16, (s) => 5_000 + s.from.length * 600);
export const simFor = (state: string, asked: PlanAsked): Promise<SimView> =>
	seen.waited(keyOf(state, asked), () => job('planSim', asked));

export const bindsFor = async (state: string, asked: PlanAsked): Promise<BindView[]> =>
	(await binds.waited(keyOf(state, asked), async () => ({ list: await job('planBinds', asked) }))).list;
