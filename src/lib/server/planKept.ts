/** Plans that were made, kept where all threads' answers come together: asked again while nothing has changed, they are there at once. */
import { Kept } from './kept.js';
import { planJob } from './threads/pool.js';
import { choiceKey } from './planAsked.js';
import type { BindView, PlanAsked, PlanView } from './jointView.js';
import type { SimView } from './simView.js';

const keyOf = (state: string, a: PlanAsked): string => `${state} ${choiceKey(a)}`;
const plans = new Kept<PlanView>(16, (p) => 20_000 + p.wants.length * 6_000 + p.loads.length * 12_000, true);
const binds = new Kept<{ list: BindView[] }>(2, (b) => 200 + b.list.length * 2_000, true);

/** @param state what the plan hangs on: another after every entry, and every day */
export const planFor = (state: string, asked: PlanAsked): Promise<PlanView> =>
	plans.waited(keyOf(state, asked), () => planJob('plan', asked));

const seen = new Kept<SimView>(16, (s) => 5_000 + s.from.length * 600);
export const simFor = (state: string, asked: PlanAsked): Promise<SimView> =>
	seen.waited(keyOf(state, asked), () => planJob('planSim', asked));

/** One want after the other, so that who changes the plan by hand meanwhile waits for one of them at most. */
export const bindsFor = async (state: string, asked: PlanAsked, wants: readonly string[]): Promise<BindView[]> =>
	(
		await binds.waited(keyOf(state, asked), async () => {
			const list: BindView[] = [];
			for (const want of wants) list.push(...(await planJob('planBinds', { ...asked, want })));
			return { list };
		})
	).list;
