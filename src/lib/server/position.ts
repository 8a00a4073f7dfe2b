/** A position as an address asks for it: ?lat=…&lon=…, both given. */
import { z } from 'zod';
import { problem } from './api.js';

const degrees = (most: number) =>
	z
		.string()
		.regex(/^[-−]?\d/)
		.transform((t) => Number(t.replace('−', '-')))
		.pipe(z.number().min(-most).max(most));
const position = z.object({ lat: degrees(90), lon: degrees(180) });

/** A Response when it is no position. */
export function readPosition(url: URL): { lat: number; lon: number } | Response {
	const parsed = position.safeParse(Object.fromEntries(url.searchParams));
	if (parsed.success) return parsed.data;
	return problem({ code: 'position.range', sentence: 'Latitude lies between −90 and 90, longitude between −180 and 180.' });
}
