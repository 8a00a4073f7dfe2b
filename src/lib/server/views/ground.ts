import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { gardenOr404 } from '../forms.js';
import { bedFilled, bedsShown } from '../groundView.js';
import { paperFonts } from '../fonts.js';
import type { Ask } from './ask.js';
import { sayArea, sayLength } from '$lib/core/units/index.js';
import type { BedSheet } from '$lib/formats/bedSheet.js';

export const groundView = async ({ params }: Ask) => ({ beds: await bedsShown(await gardenOr404(params.garden)) });

async function filledOf({ params, query }: Ask<'place'>) {
	if (!z.uuid().safeParse(params.place).success)
		error(404, { message: 'There is no such bed in this garden.', code: 'place.unknown' });
	const of = (name: string) => (query.get(name) ?? '').slice(0, 60);
	const asked = { kind: of('kind'), spacing: of('spacing'), margin: of('margin'), pattern: of('pattern'), turn: of('turn') };
	const garden = await gardenOr404(params.garden);
	return { garden, asked, shown: await bedFilled(garden, params.place, asked) };
}

export async function bedView(ask: Ask<'place'>) {
	const { asked, shown } = await filledOf(ask);
	return { ...shown, asked };
}

/** The same on paper, to scale. */
export async function bedSheetView(ask: Ask<'place'>): Promise<BedSheet> {
	const { garden, shown } = await filledOf(ask);
	const { bed, filled } = shown;
	if (!bed.ground)
		error(404, { message: `${bed.name} is not measured yet: there is nothing to draw.`, code: 'ground.unmeasured' });
	return {
		title: bed.name,
		under: filled
			? `${filled.asked.count} × ${filled.kind.name}, ${sayLength(filled.asked.spacingCm, garden.units)} apart, on ${sayArea(bed.ground.areaM2, garden.units)}`
			: sayArea(bed.ground.areaM2, garden.units),
		paper: garden.units.length === 'us' ? 'LETTER' : 'A4',
		...{ outline: bed.ground.outline, holes: bed.ground.holes, points: filled?.points ?? [] },
		acrossM: (filled?.asked.spacingCm ?? 0) / 100,
		fonts: paperFonts()
	};
}
