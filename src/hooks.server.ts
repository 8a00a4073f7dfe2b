import { randomUUID } from 'node:crypto';
import { json } from '@sveltejs/kit';
import type { Handle, HandleServerError, RequestEvent, ServerInit } from '@sveltejs/kit';
import { dev } from '$app/environment';
import { originOf } from '$lib/server/api.js';
import { SESSION_COOKIE, signedIn, signInAsked, unsafeBind } from '$lib/server/auth.js';
import { compressed } from '$lib/server/compress.js';
import { LOOK_COOKIE, lookOf } from '$lib/formats/look.js';
import { WRITING_COOKIE, writingOf, writingOfLanguage, writingText } from '$lib/formats/writing.js';
import { inWriting } from '$lib/server/writing.js';
import { allGardens } from '$lib/server/context.js';
import { closeDatabase, isDatabaseBusy, isDatabaseDown, isDatabaseFull } from '$lib/server/db.js';
import { BUSY, DOWN, FULL } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import { log } from '$lib/server/log.js';
import { closeThreads, wake, warm } from '$lib/server/threads/pool.js';

/** Whoever starts the built app by itself is held to the same rule as by ./start. */
export const init: ServerInit = async () => {
	const unsafe = dev ? null : unsafeBind(process.env);
	if (unsafe !== null) {
		process.stderr.write(`${unsafe}\n`);
		process.exit(1);
	}
	await warmUp();
};

/** Climates reckoned before the first visitor comes, who would wait for them. */
const WARMED = 3;
async function warmUp(): Promise<void> {
	if (!process.env.DATABASE_URL) return;
	try {
		await Promise.all([wake(), Promise.resolve().then(handbook)]);
		await Promise.all((await allGardens()).slice(0, WARMED).map(({ slug }) => warm(slug)));
	} catch (error) {
		// The database will be asked again by the first page, which says what is wrong.
		log.warn({ err: (error as Error).message }, 'not warmed up');
	}
}

/** What changes with the day is worked out when it begins, not when the first visitor waits for it. */
const WARM_AGAIN_MS = 10 * 60_000;
setInterval(() => void warmUp(), WARM_AGAIN_MS).unref();

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const LOOPBACK_NAME = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/;
/** Open without sign-in: the way in, what watches over the process, and links with a secret of their own. */
const OPEN = ['/sign-in', '/healthz', '/_app/', '/favicon.svg', '/api/readings', '/calendar/'];

interface No {
	code: string;
	sentence: string;
	status: number;
}
const OTHER_SITE: No = {
	code: 'request.denied',
	sentence: 'This request came from another site, so it was not carried out.',
	status: 403
};
const UNREADABLE: No = { code: 'address.unreadable', sentence: 'That address cannot be read.', status: 400 };
const TOO_LONG: No = {
	code: 'request.too-long',
	sentence: 'That is more than any form here sends: nothing was read of it.',
	status: 413
};
/** Only an archive of a garden may be long. */
const ARCHIVES = '/new/archive';
const MOST_BYTES = 2_000_000;
const SIGN_IN: No = {
	code: 'sign-in',
	sentence: 'You are signed out. Nothing was saved; what you typed is still here: sign in again, then send it once more.',
	status: 401
};

/** Says no in the form that whoever asks can read: a page's form, a program, a person. */
function denied(request: Request, { code, sentence, status }: No): Response {
	// What a form of ours awaits as the answer to its action.
	if (request.headers.get('x-sveltekit-action') === 'true')
		return json({ type: 'error', status, error: { message: sentence, code } }, { status });
	return request.headers.get('accept')?.includes('text/html')
		? new Response(sentence, { status, headers: { 'content-type': 'text/plain; charset=utf-8' } })
		: json({ error: { code, sentence } }, { status });
}

/**
 * A write must come from our own pages or from a program, never from another site's page. Browsers
 * always send Origin with a write; programs send none. Without sign-in the host name must be a
 * loopback one too, lest a name of another's be pointed at this machine.
 */
function crossSite(request: Request): boolean {
	const host = request.headers.get('host') ?? '';
	if (!signInAsked() && !LOOPBACK_NAME.test(host)) return true;
	if (SAFE.has(request.method)) return false;
	const site = request.headers.get('sec-fetch-site');
	if (site && site !== 'same-origin' && site !== 'none') return true;
	const origin = request.headers.get('origin');
	if (!origin) return false;
	try {
		return new URL(origin).host !== host;
	} catch {
		return true;
	}
}

/** Why a request is not carried out at all; null if it is. */
async function reasonAgainst(event: RequestEvent): Promise<No | null> {
	const { request, url, locals } = event;
	if (crossSite(request)) return OTHER_SITE;
	if (/%00/.test(url.href)) return UNREADABLE;
	if (url.pathname !== ARCHIVES && !(Number(request.headers.get('content-length') ?? 0) <= MOST_BYTES)) return TOO_LONG;
	locals.signedIn = !signInAsked() || (await signedInOrDown(event.cookies.get(SESSION_COOKIE)));
	return locals.signedIn || OPEN.some((p) => url.pathname.startsWith(p)) ? null : SIGN_IN;
}

export const handle: Handle = async ({ event, resolve }) => {
	const began = performance.now();
	const { request, url } = event;
	event.locals.requestId = randomUUID();
	event.locals.actor = 'household';

	const hand = writingOf(event.cookies.get(WRITING_COOKIE), writingOfLanguage(request.headers.get('accept-language')));
	const no = await reasonAgainst(event);
	const toSignIn = no === SIGN_IN && SAFE.has(request.method) && !url.pathname.startsWith('/api/');
	const response =
		no === null
			? await inWriting(hand, () =>
					resolve(event, {
						// Text and headings in our letters at the first paint; what lies beyond Latin comes when it is met.
						preload: ({ type, path }) => type === 'js' || type === 'css' || /latin-wght-normal.*woff2$/.test(path),
						transformPageChunk: ({ html }) =>
							html.replace('%look%', lookOf(event.cookies.get(LOOK_COOKIE))).replace('%writing%', writingText(hand))
					})
				)
			: toSignIn
				? new Response(null, {
						status: 303,
						headers: { location: `/sign-in?to=${encodeURIComponent(url.pathname + url.search)}` }
					})
				: denied(request, no);
	guardedHeaders(response, originOf(request, url).startsWith('https:'), url.pathname);
	// What follows a body that nobody read would wait behind it for good.
	if (request.body && !request.bodyUsed) response.headers.set('connection', 'close');
	if (!url.pathname.startsWith('/_app/'))
		log.info(
			{
				id: event.locals.requestId,
				method: request.method,
				path: withoutSecrets(url.pathname),
				status: response.status,
				ms: Math.round(performance.now() - began)
			},
			'request'
		);
	return url.pathname.startsWith('/_app/') ? response : compressed(request, response);
};

/** A secret address opens a calendar: it stays out of the log. */
const withoutSecrets = (path: string): string => path.replace(/^\/calendar\/.+/, '/calendar/…');

const YEAR_S = 31_536_000;
function guardedHeaders(response: Response, tls: boolean, path: string): void {
	const { headers } = response;
	headers.set('x-content-type-options', 'nosniff');
	headers.set('referrer-policy', 'same-origin');
	headers.set('x-frame-options', 'DENY');
	headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=(self), payment=(), usb=()');
	headers.set('cross-origin-opener-policy', 'same-origin');
	if (tls) headers.set('strict-transport-security', `max-age=${YEAR_S}`);
	// A garden is private: no page or file of it stays in a cache that others may look into.
	if (!path.startsWith('/_app/') && !headers.has('cache-control')) headers.set('cache-control', 'private, no-store');
}

async function signedInOrDown(token: string | undefined): Promise<boolean> {
	try {
		return await signedIn(token);
	} catch (error) {
		if (isDatabaseDown(error) || isDatabaseBusy(error)) return false;
		throw error;
	}
}

export const handleError: HandleServerError = ({ error, event, status }) => {
	if (status === 404) return { message: 'There is no such page.', code: 'page.unknown' };
	if (isDatabaseFull(error)) return FULL;
	if (isDatabaseBusy(error)) return BUSY;
	if (isDatabaseDown(error)) {
		log.error({ id: event.locals.requestId, err: (error as Error).message }, 'database down');
		return DOWN;
	}
	// A request that the framework itself refuses: a body too large, a content type that no form has.
	if (status >= 400 && status < 500) return { message: 'That cannot be read: load the page again.', code: 'request.unreadable' };
	log.error({ id: event.locals.requestId, err: error }, 'unexpected error');
	return { message: 'Something went wrong on our side. Nothing was half-saved.', code: 'unexpected' };
};

process.on('sveltekit:shutdown', () => void Promise.all([closeDatabase(), closeThreads()]));
