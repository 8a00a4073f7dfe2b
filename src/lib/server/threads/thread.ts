/** What runs in each thread: a view or a job by its name. Built as a file of its own (bin/build.ts). */
import { answerOf } from './answer.js';
import type { Answer } from './answer.js';
import { JOBS } from './jobs.js';
import { guarded } from '../forms.js';
import { inWriting } from '../writing.js';
import type { Writing } from '$lib/core/writing.js';
import { askOf } from '../views/ask.js';
import type { Ask, AskedData } from '../views/ask.js';
import { VIEWS } from '../views/index.js';

/** `hand` is how whoever asked writes dates and numbers. */
export type Order = { hand: Writing } & (
	{ view: keyof typeof VIEWS; asked: AskedData } | { job: keyof typeof JOBS; given: unknown }
);

/** The route of each view has the parts that it reads: the types of `view` and `job` in pool.ts see to it. */
const views: Record<string, (ask: Ask<string>) => Promise<unknown>> = VIEWS as never;
const jobs: Record<string, (given: unknown) => Promise<unknown>> = JOBS as never;

export default (order: Order): Promise<Answer<unknown>> =>
	inWriting(order.hand, () =>
		answerOf(() => guarded(() => ('view' in order ? views[order.view]!(askOf(order.asked)) : jobs[order.job]!(order.given))))
	);
