/** Addresses of the outside services, given by the start command as name=address,name=address. */
import { z } from 'zod';
import { handbook } from './handbook.js';
import { termEnd } from '$lib/core/material/term.js';

export function standIns(): Map<string, string> {
	const pairs = (process.env.SURCULUS_STAND_INS ?? '').split(',').filter(Boolean);
	return new Map(pairs.map((pair) => pair.split(/=(.*)/s).slice(0, 2) as [string, string]));
}

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
		const answer = await fetch(`${address}/varieties?q=${encodeURIComponent(name.trim())}`, {
			signal: AbortSignal.timeout(2000)
		});
		const parsed = register.safeParse(await answer.json());
		if (!parsed.success) return null;
		return parsed.data.varieties.map((v) => {
			const term = handbook().terms.get(v.right);
			return { ...v, rightName: term?.name ?? v.right, until: term ? termEnd(term, v, v.woody) : null };
		});
	} catch {
		return null;
	}
}
