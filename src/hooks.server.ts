import { randomUUID } from 'node:crypto';
import { json } from '@sveltejs/kit';
import type { Handle, HandleServerError } from '@sveltejs/kit';
import { SESSION_COOKIE, signedIn, signInAsked } from '$lib/server/auth.js';
import { closeDatabase, isDatabaseDown } from '$lib/server/db.js';
import { log } from '$lib/server/log.js';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const LOOPBACK_NAME = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/;
/** Open without sign-in: the way in, what watches over the process, and doors with a secret of their own. */
const OPEN = ['/sign-in', '/healthz', '/_app/', '/favicon.svg', '/api/readings', '/calendar/'];

export const DOWN = 'The database does not answer at the moment. Nothing was saved, and what you typed is still here.';

function denied(request: Request, sentence: string, status = 403): Response {
	return request.headers.get('accept')?.includes('text/html')
		? new Response(sentence, { status, headers: { 'content-type': 'text/plain; charset=utf-8' } })
		: json({ error: { code: 'request.denied', sentence } }, { status });
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

export const handle: Handle = async ({ event, resolve }) => {
	const began = performance.now();
	const { request, url } = event;
	event.locals.requestId = randomUUID();
	event.locals.actor = 'household';

	let response: Response;
	if (crossSite(request)) {
		response = denied(request, 'This request came from another site, so it was not carried out.');
	} else if (
		signInAsked() &&
		!OPEN.some((p) => url.pathname.startsWith(p)) &&
		!(await signedInOrDown(event.cookies.get(SESSION_COOKIE)))
	) {
		response =
			SAFE.has(request.method) && !url.pathname.startsWith('/api/')
				? new Response(null, {
						status: 303,
						headers: { location: `/sign-in?to=${encodeURIComponent(url.pathname)}` }
					})
				: denied(request, 'Sign in first.', 401);
	} else {
		response = await resolve(event);
	}
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	response.headers.set('x-frame-options', 'DENY');
	if (!url.pathname.startsWith('/_app/'))
		log.info(
			{
				id: event.locals.requestId,
				method: request.method,
				path: url.pathname,
				status: response.status,
				ms: Math.round(performance.now() - began)
			},
			'request'
		);
	return response;
};

async function signedInOrDown(token: string | undefined): Promise<boolean> {
	try {
		return await signedIn(token);
	} catch (error) {
		if (isDatabaseDown(error)) return false;
		throw error;
	}
}

export const handleError: HandleServerError = ({ error, event, status }) => {
	if (status === 404) return { message: 'There is no such page.', code: 'page.unknown' };
	if (isDatabaseDown(error)) {
		log.error({ id: event.locals.requestId, err: (error as Error).message }, 'database down');
		return { message: DOWN, code: 'database.down' };
	}
	log.error({ id: event.locals.requestId, err: error }, 'unexpected error');
	return { message: 'Something went wrong on our side. Nothing was half-saved.', code: 'unexpected' };
};

process.on('sveltekit:shutdown', () => void closeDatabase());
