/** Pages, data and tables go out compressed to whoever takes that: gardens are read over slow lines. */

import { Duplex } from 'node:stream';
import { constants, createGzip } from 'node:zlib';

/** Shorter answers are not worth the wrapping: they fit into one packet. */
const LEAST_BYTES = 1_400;
const COMPRESSIBLE =
	/^(text\/(html|css|csv|plain|calendar|xml|yaml)|application\/(json|javascript|yaml|xml|geo\+json)|image\/svg\+xml)\b/;

/** Whether a request takes gzip: named, and not with a weight of nought (RFC 9110, 12.5.3). */
export function takesGzip(accept: string | null): boolean {
	return (accept ?? '').split(',').some((part) => {
		const [name, ...params] = part
			.trim()
			.toLowerCase()
			.split(/\s*;\s*/);
		if (name !== 'gzip' && name !== '*') return false;
		const weight = params.find((p) => p.startsWith('q='));
		return weight === undefined || Number(weight.slice(2)) > 0;
	});
}

/** What has been written goes out at once: a page is not held back by the part of it that is still being worked out. */
const gzip = () =>
	Duplex.toWeb(createGzip({ flush: constants.Z_SYNC_FLUSH })) as unknown as ReadableWritablePair<Uint8Array, Uint8Array>;

/** The same answer, compressed as it streams. Files of the build are compressed once, when they are built. */
export function compressed(request: Request, response: Response): Response {
	const { headers, body, status, statusText } = response;
	const length = headers.get('content-length');
	if (
		!body ||
		request.method === 'HEAD' ||
		headers.has('content-encoding') ||
		!COMPRESSIBLE.test(headers.get('content-type') ?? '') ||
		(length !== null && Number(length) < LEAST_BYTES)
	)
		return response;
	const sent = new Headers(headers);
	sent.append('vary', 'accept-encoding');
	if (!takesGzip(request.headers.get('accept-encoding'))) return new Response(body, { status, statusText, headers: sent });
	sent.delete('content-length');
	sent.set('content-encoding', 'gzip');
	const tag = sent.get('etag');
	if (tag && !tag.startsWith('W/')) sent.set('etag', `W/${tag}`);
	return new Response(body.pipeThrough(gzip()), {
		status,
		statusText,
		headers: sent
	});
}
