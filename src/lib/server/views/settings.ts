import { snapshotOf } from '../snapshot.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { entriesOf } from '../store/entries.js';
import { standIns } from '../standIns.js';
import { tokens } from '../tokens.js';
import type { Ask } from './ask.js';

export async function settingsView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	return {
		settings: garden.data,
		// A saved form starts afresh from what was saved.
		version: (await entriesOf(database(), garden.id, 'garden', garden.id)).length,
		year: Number(garden.today.slice(0, 4)),
		record: {
			made: garden.base.made,
			years: garden.base.recordClimate.years.length,
			from: garden.base.recordClimate.years[0]!,
			to: garden.base.recordClimate.years.at(-1)!,
			frostFrom: garden.data.frost_from ?? ('record' as const),
			climate: garden.climate
		},
		station: standIns().has('weather-station'),
		backups: process.env.SURCULUS_BACKUPS ?? null,
		links: (await tokens(garden.id)).map((t) => ({
			id: t.id,
			purpose: t.purpose,
			label: t.label,
			made: t.created_at.toISOString().slice(0, 10),
			used: t.used_at?.toISOString().slice(0, 10) ?? null
		})),
		places: (await snapshotOf(garden.id)).places.filter((p) => !p.closed)
	};
}
