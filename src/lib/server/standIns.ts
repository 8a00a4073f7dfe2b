/** Addresses of the outside services, given by the start command as name=address,name=address. */
import { z } from 'zod';
import { handbook } from './handbook.js';
import { termEnd } from '$lib/core/material/term.js';

export function standIns(): Map<string, string> {
	const pairs = (process.env.SURCULUS_STAND_INS ?? '').split(',').filter(Boolean);
	return new Map(pairs.map((pair) => pair.split(/=(.*)/s).slice(0, 2) as [string, string]));
}

const MOST_BYTES = 2_000_000;

/**
 * Asks an outside service. It is given nothing of ours but the question, is not followed to other addresses, and its
 * answer is read to a bounded size, whatever it says of its length.
 */
export async function askOutside(url: string, signal: AbortSignal, most = MOST_BYTES): Promise<unknown> {
	// A line that is kept open for the next question may be closed by the other side just as that is asked.
	const answer = await fetch(url, { signal, redirect: 'error', credentials: 'omit', headers: { connection: 'close' } });
	if (!answer.ok) throw new Error(`it answered ${answer.status}`);
	const pieces: Uint8Array[] = [];
	let bytes = 0;
	for await (const piece of answer.body as unknown as AsyncIterable<Uint8Array>) {
		bytes += piece.length;
		if (bytes > most) throw new Error(`its answer is longer than ${most / 1_000_000} MB`);
		pieces.push(piece);
	}
	return JSON.parse(Buffer.concat(pieces).toString('utf8')) as unknown;
}

const MOST_REGISTER_BYTES = 200_000;
const register = z.object({
	varieties: z
		.array(
			z.object({
				variety: z.string(),
				trade: z.string(),
				right: z.string().max(40),
				number: z.string().max(40),
				filed: z.iso.date().nullable(),
				granted: z.iso.date().nullable(),
				woody: z.boolean()
			})
		)
		.max(50)
});
export type RegisteredVariety = z.infer<typeof register>['varieties'][number] & {
	/** What kind of right it is, and its last day where that can be reckoned. */
	rightName: string;
	until: string | null;
};

/** Looks a variety or trade name up; null when the register does not answer. */
export async function lookUpVariety(name: string): Promise<RegisteredVariety[] | null> {
	const address = standIns().get('variety-register');
	if (!address || name.trim().length < 2) return null;
	try {
		const parsed = register.safeParse(
			await askOutside(
				`${address}/varieties?q=${encodeURIComponent(name.trim().slice(0, 200))}`,
				AbortSignal.timeout(2000),
				MOST_REGISTER_BYTES
			)
		);
		if (!parsed.success) return null;
		return parsed.data.varieties.map((v) => {
			const term = handbook().terms.get(v.right);
			return { ...v, rightName: term?.name ?? v.right, until: term ? termEnd(term, v, v.woody) : null };
		});
	} catch {
		return null;
	}
}
