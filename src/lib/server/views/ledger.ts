import { KINDS } from '$lib/core/ledger/entries.js';
import { kindsOf } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { filterFrom } from '../ledgerFilter.js';
import { ledgerPage } from '../store/entries.js';
import type { Ask } from './ask.js';

const PAGE = 50;

export async function ledgerView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const filter = filterFrom(query, PAGE + 1);

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
		kinds: [...kinds.values()].map((k) => ({ id: k.id, name: k.common })),
		sorts: Object.entries(KINDS).map(([value, { words }]) => ({ value, name: words }))
	};
}
