import { gardenOr404 } from '../forms.js';
import { guideOf } from '../guide.js';
import type { Ask } from './ask.js';

export async function guideView({ params, query }: Ask<'kind' | 'way'>) {
	const garden = await gardenOr404(params.garden);
	return { guide: await guideOf(garden, params.kind, params.way, query), query: query.size > 0 ? `?${query}` : '' };
}
