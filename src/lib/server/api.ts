/** JSON routes: one way to read a body and to say no. */
import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { proxyTrusted } from './auth.js';
import { plainText } from '$lib/core/numbers.js';
import { ok, refuse } from '$lib/core/result.js';
import type { Problem, Result } from '$lib/core/result.js';

const MOST_BYTES = 64_000;

export const problem = (p: Problem, status = 400): Response =>
	json({ error: { code: p.code, path: p.path ?? null, sentence: p.sentence } }, { status });

/**
 * Where the app is read from, as the browser has it. The app itself speaks plain HTTP; whoever stands in
 * front of it with TLS says so by X-Forwarded-Proto, which is believed where SURCULUS_TRUST_PROXY=1. (The adapter would call every address https.)
 */
export function originOf(request: Request, url: URL): string {
	const told = proxyTrusted() ? request.headers.get('x-forwarded-proto')?.split(',')[0]?.trim() : null;
	return `${told === 'https' ? 'https' : 'http'}://${request.headers.get('host') ?? url.host}`;
}

export const pdfNamed = (name: string, bytes: Uint8Array): Response =>
	new Response(new Uint8Array(bytes), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}.pdf"` }
	});

const TOO_LONG = 'body.too-long';

/** Parses a JSON body by a schema; a Response when it is wrong. */
export async function readBody<T>(request: Request, schema: z.ZodType<T>, most = MOST_BYTES): Promise<T | Response> {
	const body = parseBody(await request.text(), schema, most);
	return body.ok ? body.value : problem(body.problem, body.problem.code === TOO_LONG ? 413 : 400);
}

export function parseBody<T>(text: string, schema: z.ZodType<T>, most: number): Result<T> {
	if (text.length > most) return refuse(TOO_LONG, `The body is longer than ${Math.round(most / 1000)} kB.`);
	let body: unknown;
	try {
		body = JSON.parse(text, (_, value: unknown) => (typeof value === 'string' ? plainText(value) : value));
	} catch {
		return refuse('body.not-json', 'The body is not JSON.');
	}
	const parsed = schema.safeParse(body);
	if (parsed.success) return ok(parsed.data);
	const issue = parsed.error.issues[0]!;
	return refuse(`body.${issue.code}`, issue.message, issue.path.join('.'));
}
