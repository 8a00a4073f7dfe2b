import { gardenOr404 } from '../forms.js';
import { leavingShown } from '../leavingView.js';
import type { Ask } from './ask.js';

export const leavingView = async ({ params, query }: Ask) => {
	const of = (name: string) => (query.get(name) ?? '').slice(0, 60);
	return leavingShown(await gardenOr404(params.garden), { on: of('on'), to: of('to') });
};
