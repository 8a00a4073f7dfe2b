/** JSON routes: one way to read a body and to say no. */
import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { proxyTrusted } from './auth.js';
import { plainText } from '$lib/core/numbers.js';
import type { Problem } from '$lib/core/result.js';

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

/** Parses a JSON body by a schema; a Response when it is wrong. */
export async function readBody<T>(request: Request, schema: z.ZodType<T>, most = MOST_BYTES): Promise<T | Response> {
	const text = await request.text();
	if (text.length > most)
		return problem({ code: 'body.too-long', sentence: `The body is longer than ${Math.round(most / 1000)} kB.` }, 413);
	let body: unknown;
	try {
		body = JSON.parse(text, (_, value: unknown) => (typeof value === 'string' ? plainText(value) : value));
	} catch {
		return problem({ code: 'body.not-json', sentence: 'The body is not JSON.' });
	}
	const parsed = schema.safeParse(body);
	if (parsed.success) return parsed.data;
	const issue = parsed.error.issues[0]!;
	return problem({ code: `body.${issue.code}`, path: issue.path.join('.'), sentence: issue.message });
}
