/** What an address asks of the plan. */
import { AIMS } from '$lib/core/joint/aims.js';
import type { Aim } from '$lib/core/joint/aims.js';

export const aimOf = (query: URLSearchParams): { aim: Aim; anew: boolean } => ({
	aim: AIMS.find((a) => a === query.get('aim')) ?? 'usual',
	anew: query.get('anew') === '1'
});
