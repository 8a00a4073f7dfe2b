import { withVariety } from '$lib/core/handbook/names.js';
import { rowsAsked } from '../rows.js';
import { snapshotOf } from '../snapshot.js';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import type { Ask } from './ask.js';

export async function labelsView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const kinds = await kindsOf(garden);
	const { living: batches, stocks } = await snapshotOf(garden.id);
	const forms = new Map(stocks.map((s) => [s.id, s.label]));
	const nameOf = (id: string) => {
		const kind = kinds.get(id);
		return kind ? withVariety(kind) : id;
	};
	const asked = new Set((query.get('codes') ?? '').split(',').map((c) => c.split(':')[0]!.trim().toUpperCase()));
	const rows = rowsAsked(query.get('rows'));
	// Those that were asked for by code first, then the newest.
	const newest = [...batches].reverse();
	const cut = [...newest.filter((b) => asked.has(b.code)), ...newest.filter((b) => !asked.has(b.code))].slice(
		0,
		Math.max(rows, asked.size)
	);
	return {
		rows,
		hidden: batches.length - cut.length,
		sheets: [...handbook().sheets.values()],
		usual: garden.data.units === 'us' ? 'stick-letter' : 'stick',
		batches: cut.map((b) => ({
			code: b.code,
			name: [nameOf(b.kindId), forms.get(b.stockId ?? '')].filter(Boolean).join(', '),
			status: b.status,
			on: b.struckOn ?? b.plannedOn!,
			chosen: asked.has(b.code),
			/** One label a pot is too many for most: one for each container is usual. */
			times: 1
		}))
	};
}
