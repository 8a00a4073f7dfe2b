import type { RequestHandler } from './$types';
import { guidePdf } from '$lib/formats/guidePdf.js';
import { paperFonts } from '$lib/server/fonts.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { guideOf } from '$lib/server/guide.js';

export const GET: RequestHandler = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const guide = await guarded(() => guideOf(garden, params.kind, params.way, url.searchParams));
	const pdf = await guidePdf({
		title: `${guide.kind.common}: ${guide.way.name}`,
		botanical: guide.kind.botanical,
		garden: garden.data.name,
		drawing: guide.drawing,
		steps: guide.steps,
		paper: garden.units.length === 'us' ? 'LETTER' : 'A4',
		fonts: paperFonts()
	});
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${guide.kind.id}-${guide.way.id}.pdf"`
		}
	});
};
