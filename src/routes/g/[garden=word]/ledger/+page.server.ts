import type { PageServerLoad } from './$types';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import { filterFrom } from '$lib/server/ledgerFilter.js';
import { ledgerPage } from '$lib/server/store/entries.js';

const PAGE = 50;

export const load: PageServerLoad = async ({ params, url }) => {
	const garden = await gardenOr404(params.garden);
	const filter = filterFrom(url, PAGE + 1);
	return guarded(async () => {
		const rows = await ledgerPage(database(), garden.id, filter);
		const shown = rows.slice(0, PAGE);
		const last = shown.at(-1);
		const kinds = await kindsOf(garden);
		return {
			rows: shown.map((e) => ({
				id: e.id,
				kind: e.kind,
				subject: e.subject,
				subjectId: e.subject_id,
				on: e.happened_on,
				line: e.line,
				note: e.note,
				undone: e.undone
			})),
			next: rows.length > PAGE && last ? `${last.happened_on}_${last.seq}` : null,
			filter: {
				q: filter.text,
				kind: filter.kind ?? '',
				plant: filter.kindId ?? '',
				from: filter.from ?? '',
				to: filter.to ?? ''
			},
			first: filter.after === null,
			kinds: [...kinds.values()].map((k) => ({ id: k.id, name: k.common }))
		};
	});
};
