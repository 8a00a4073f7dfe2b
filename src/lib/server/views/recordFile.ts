import { error } from '@sveltejs/kit';
import { gardenOr404 } from '../forms.js';
import type { Ask } from './ask.js';
import { stationId, toDly, toGhcnCsv } from '$lib/formats/ghcn.js';
import { toWeatherCsv } from '$lib/formats/weatherCsv.js';

/** The record the garden is reckoned by, in the layouts it can be taken in by. */
export async function recordFileView({ params }: Ask<'file'>): Promise<{ name: string; text: string }> {
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
	return { name: `${garden.slug}${made ? '-made' : ''}-${params.file}`, text: write() };
}
