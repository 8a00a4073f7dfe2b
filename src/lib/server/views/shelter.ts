import { gardenOr404 } from '../forms.js';
import { sheltersShown } from '../shelterView.js';
import type { Ask } from './ask.js';

export async function shelterView({ params }: Ask) {
	return { view: await sheltersShown(await gardenOr404(params.garden)) };
}
