/**
 * Threads that work, so that the one which answers is always free to: what a screen shows and what takes long is worked
 * out in worker_threads. A garden always goes to the same thread, for that is where its climate and its batches are
 * known already; papers and files go to threads of their own, so that nobody waits for another's thousand labels.
 */
import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { error } from '@sveltejs/kit';
import { Piscina } from 'piscina';
import { originOf } from '../api.js';
import { BUSY } from '../forms.js';
import { home } from '../handbook.js';
import { writing } from '$lib/core/writing.js';
import type { VIEWS } from '../views/index.js';
import { valueOf } from './answer.js';
import type { Answer } from './answer.js';
import type { JOBS } from './jobs.js';
import type { Order } from './thread.js';

type Views = typeof VIEWS;
type Jobs = typeof JOBS;

/** Each holds a handbook and the climates of its gardens: more of them are more memory, not more speed. */
const MOST_THREADS = 4;
/** A garden's thread goes on with another's question while one waits for the database. */
const AT_ONCE = 4;
/** Longer queues than these end in an answer that comes after the person has gone. */
const MOST_WAITING = 100;
const MOST_JOBS_WAITING = 20;
/** How many times as long as usual is waited, where a computer is known to be slow. */
const PATIENCE = Math.max(1, Number(process.env.SURCULUS_PATIENCE ?? 1) || 1);
/** Nothing here takes so long unless something is wrong: the thread is ended and begun anew. */
const LIMIT_MS = 30_000 * PATIENCE;
const JOB_LIMIT_MS = 120_000 * PATIENCE;
const IDLE_MS = 60_000;

interface Threads {
	gardens: Piscina[];
	jobs: Piscina;
	/** For what takes seconds and is asked about again and again: a garden's plan is always in the same one. */
	plans: Piscina[];
	/** A garden's thread that does not come back is ended, and another begun. */
	anew(at: number): void;
}

/** Undefined until first asked; null where there is no file for threads (in development and in tests of parts). */
let threads: Threads | null | undefined;

function open(): Threads | null {
	if (threads !== undefined) return threads;
	const filename = join(home(), 'build', 'threads', 'thread.js');
	if (process.env.SURCULUS_THREADS === '0' || process.env.VITEST || !existsSync(filename)) return (threads = null);
	const count = Math.max(1, Math.min(MOST_THREADS, Number(process.env.SURCULUS_THREADS ?? availableParallelism()) || 1));
	const env = { ...process.env, DATABASE_POOL: String(AT_ONCE + 2) };
	const pool = (most: number, atOnce: number, least = 1) =>
		new Piscina({
			filename,
			env,
			minThreads: least,
			maxThreads: most,
			concurrentTasksPerWorker: atOnce,
			maxQueue: MOST_WAITING,
			// A thread takes half a second to begin: those that were needed stay a while.
			idleTimeout: IDLE_MS,
			// A thread that waits for work must still hear its connections: that the database went away, what a station says.
			atomics: 'disabled'
		});
	const gardens = Array.from({ length: count }, () => pool(1, AT_ONCE));
	const anew = (at: number) => {
		void gardens[at]?.destroy();
		gardens[at] = pool(1, AT_ONCE);
	};
	const plans = Array.from({ length: Math.min(count, 2) }, () => pool(1, 1, 0));
	return (threads = { gardens, jobs: pool(2, 1), plans, anew });
}

export async function closeThreads(): Promise<void> {
	const closing = threads;
	threads = null;
	if (closing) await Promise.all([...closing.gardens, closing.jobs, ...closing.plans].map((p) => p.destroy()));
}

/** The same thread for the same garden, whoever asks. */
function threadOf(garden: string, count: number): number {
	let n = 0;
	for (const letter of garden) n = (n * 31 + letter.codePointAt(0)!) % 1_000_003;
	return n % count;
}

/** In a garden's thread: what others ask there goes on, so none of it is broken off while the thread lives. */
async function inGarden({ gardens, anew }: Threads, at: number, order: Order): Promise<unknown> {
	let timer: NodeJS.Timeout | undefined;
	const late = new Promise<never>((_, reject) => {
		timer = setTimeout(() => {
			anew(at);
			reject(new TooLong());
		}, LIMIT_MS);
	});
	try {
		return valueOf((await Promise.race([gardens[at]!.run(order), late])) as Answer<unknown>);
	} catch (e) {
		if (e instanceof TooLong || /queue is at limit|terminat/i.test((e as Error).message)) error(503, BUSY);
		throw e;
	} finally {
		clearTimeout(timer);
	}
}

class TooLong extends Error {}

/** In a thread for one job at a time, which is ended with it when it takes too long or whoever asked has gone. */
async function inTurn(jobs: Piscina, order: Order, gone?: AbortSignal): Promise<unknown> {
	// The pool does not count those of its queue that can be broken off.
	if (jobs.queueSize >= MOST_JOBS_WAITING) error(503, BUSY);
	const stop = new AbortController();
	const leave = () => stop.abort();
	const timer = setTimeout(leave, JOB_LIMIT_MS);
	gone?.addEventListener('abort', leave, { once: true });
	try {
		return valueOf((await jobs.run(order, { signal: stop.signal })) as Answer<unknown>);
	} catch (e) {
		if (stop.signal.aborted) error(503, BUSY);
		throw e;
	} finally {
		clearTimeout(timer);
		gone?.removeEventListener('abort', leave);
	}
}

interface Asking {
	params: Partial<Record<string, string>>;
	url: URL;
	request: Request;
}

/**
 * What a screen shows.
 *
 * @param reads the parts of the query that it looks at (nothing else makes it be asked anew); null for all
 */
export async function view<N extends keyof Views>(
	name: N,
	event: Asking,
	reads: readonly string[] | null = []
): Promise<Awaited<ReturnType<Views[N]>>> {
	const search = reads ? new URLSearchParams(reads.flatMap((key) => given(event.url, key))).toString() : event.url.search;
	const params = { ...event.params } as Record<string, string>;
	return (await viewOf(name, { params, search, origin: originOf(event.request, event.url) })) as Awaited<ReturnType<Views[N]>>;
}

const given = (url: URL, key: string): [string, string][] =>
	url.searchParams
		.getAll(key)
		.slice(0, MOST_GIVEN)
		.map((value) => [key, value]);
/** No screen looks at more of one name. */
const MOST_GIVEN = 8;

/** Begins the threads of gardens and has them read the handbook: the first garden is set up without waiting for it. */
export async function wake(): Promise<void> {
	const order: Order = { hand: writing(), job: 'awake', given: null };
	await Promise.all((open()?.gardens ?? []).map((thread) => thread.run(order)));
}

/** Works out ahead what the first visitor would wait for: the climate before the app says that it is ready, the rest after. */
export async function warm(garden: string): Promise<void> {
	const asked = { params: { garden }, search: '', origin: '' };
	await viewOf('settings', asked);
	for (const name of ['frame', 'round'] as const) viewOf(name, asked).catch(() => undefined);
}

async function viewOf(name: keyof Views, asked: Extract<Order, { view: unknown }>['asked']): Promise<unknown> {
	const there = open();
	const order: Order = { hand: writing(), view: name, asked };
	if (!there) return valueOf(await (await import('./thread.js')).default(order));
	return inGarden(there, threadOf(asked.params.garden ?? '', there.gardens.length), order);
}

/** @param gone of whoever asked: what nobody waits for any more is not worked out */
export async function job<N extends keyof Jobs>(
	name: N,
	given: Parameters<Jobs[N]>[0],
	gone?: AbortSignal
): Promise<Awaited<ReturnType<Jobs[N]>>> {
	const there = open();
	const order: Order = { hand: writing(), job: name, given };
	const value = there ? await inTurn(there.jobs, order, gone) : valueOf(await (await import('./thread.js')).default(order));
	return value as Awaited<ReturnType<Jobs[N]>>;
}

/** The same in the thread where a garden's plan was made, one after the other. */
export async function planJob<N extends keyof Jobs>(
	name: N,
	given: Parameters<Jobs[N]>[0] & { slug: string },
	gone?: AbortSignal
): Promise<Awaited<ReturnType<Jobs[N]>>> {
	const there = open();
	const order: Order = { hand: writing(), job: name, given };
	const value = there
		? await inTurn(there.plans[threadOf(given.slug, there.plans.length)]!, order, gone)
		: valueOf(await (await import('./thread.js')).default(order));
	return value as Awaited<ReturnType<Jobs[N]>>;
}
