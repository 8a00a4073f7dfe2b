/** Addresses of the outside services, given by the start command as name=address,name=address. */
import { z } from 'zod';

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
				number: z.string(),
				filed: z.number(),
				until: z.number()
			})
		)
		.max(50)
});
export type RegisteredVariety = z.infer<typeof register>['varieties'][number];

/** Looks a variety or trade name up; null when the register does not answer. */
export async function lookUpVariety(name: string): Promise<RegisteredVariety[] | null> {
	const address = standIns().get('variety-register');
	if (!address || name.trim().length < 2) return null;
	try {
		const answer = await fetch(`${address}/varieties?q=${encodeURIComponent(name.trim())}`, {
			signal: AbortSignal.timeout(2000)
		});
		const parsed = register.safeParse(await answer.json());
		return parsed.success ? parsed.data.varieties : null;
	} catch {
		return null;
	}
}
