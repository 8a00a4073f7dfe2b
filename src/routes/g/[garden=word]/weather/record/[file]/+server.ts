import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { gardenOr404 } from '$lib/server/forms.js';
import { stationId, toDly, toGhcnCsv } from '$lib/formats/ghcn.js';
import { toWeatherCsv } from '$lib/formats/weatherCsv.js';

/** The record the garden is reckoned by, in the layouts it can be taken in by. */
export const GET: RequestHandler = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	const { record, made } = garden.base;
	const id = stationId(garden.slug);
	const files: Record<string, () => string> = {
		'record.csv': () => toWeatherCsv(record),
		'record.dly': () => toDly(record, id),
		'record-ghcn.csv': () => toGhcnCsv(record, id)
	};
	const write = Object.hasOwn(files, params.file) ? files[params.file] : undefined;
	if (!write) error(404, { message: 'There is no such file.', code: 'page.unknown' });
	const name = `${garden.slug}${made ? '-made' : ''}-${params.file}`;
	return new Response(write(), {
		headers: { 'content-type': 'text/plain; charset=utf-8', 'content-disposition': `attachment; filename="${name}"` }
	});
};
