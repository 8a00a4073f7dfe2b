import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { gardenOr404 } from '../forms.js';
import { sheltersShown, stripInside } from '../shelterView.js';
import { winterChanges } from '../winterChanges.js';
import { plantWinter } from '../winterRoutes.js';
import { paperFonts } from '../fonts.js';
import { sheetRows } from '../shelterSheet.js';
import type { Ask } from './ask.js';
import { sayDate } from '$lib/core/dates.js';
import type { TickSheet } from '$lib/formats/tickSheet.js';

export async function shelterView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const shown = await sheltersShown(garden);
	const at = shown.shelters.find((s) => s.id === query.get('at')) ?? shown.shelters.find((s) => s.lodgers.length > 0);
	return { view: shown, stripInside: at ? await stripInside(garden, at.id, at.name) : null };
}

export const shelterChangesView = async ({ params }: Ask) => winterChanges(await gardenOr404(params.garden));

/** For the door of each place, or of one. */
export async function shelterSheetView({ params, query }: Ask): Promise<TickSheet> {
	const garden = await gardenOr404(params.garden);
	return {
		title: garden.data.name,
		under: `What stands where this winter, as of ${sayDate(garden.today)}`,
		rows: await sheetRows(garden, query.get('at')),
		none: 'Nothing here needs a shelter.',
		fonts: paperFonts()
	};
}

export async function plantWinterView({ params }: Ask<'plant'>) {
	if (!z.uuid().safeParse(params.plant).success) error(404, { message: 'There is no such plant.', code: 'plant.unknown' });
	return { plant: await plantWinter(await gardenOr404(params.garden), params.plant) };
}
