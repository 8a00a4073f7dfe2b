import { viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { yearShown } from '../yearView.js';
import type { Ask } from './ask.js';

export async function yearView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	return { view: await yearShown(garden, day) };
}
