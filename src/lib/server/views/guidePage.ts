import { paperFonts } from '../fonts.js';
import { gardenOr404 } from '../forms.js';
import { guideOf } from '../guide.js';
import type { Ask } from './ask.js';
import type { GuidePage } from '$lib/formats/guidePdf.js';

/** What stands on a guide's page of paper. */
export async function guidePageView({ params, query }: Ask<'kind' | 'way'>): Promise<GuidePage> {
	const garden = await gardenOr404(params.garden);
	const guide = await guideOf(garden, params.kind, params.way, query);
	return {
		title: `${guide.kind.common}: ${guide.way.name}`,
		botanical: guide.kind.botanical,
		garden: garden.data.name,
		drawing: guide.drawing,
		steps: guide.steps,
		paper: garden.units.length === 'us' ? 'LETTER' : 'A4',
		fonts: paperFonts()
	};
}
