import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { labelSvg } from '$lib/formats/labels.js';
import { originOf } from '$lib/server/api.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { handbook } from '$lib/server/handbook.js';
import { labelsFor } from '$lib/server/labels.js';

export const GET: RequestHandler = async ({ params, url, request }) => {
	const garden = await gardenOr404(params.garden);
	const sheet = handbook().sheets.get(url.searchParams.get('sheet') ?? '') ?? [...handbook().sheets.values()][0]!;
	const { labels } = await guarded(() => labelsFor(garden, params.code, originOf(request, url)));
	if (!labels[0]) error(404, { message: 'There is no batch by that code.', code: 'batch.unknown' });
	return new Response(labelSvg(labels[0], sheet), { headers: { 'content-type': 'image/svg+xml' } });
};
