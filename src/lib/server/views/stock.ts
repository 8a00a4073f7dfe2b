import { stockViews } from '../stock.js';
import { rowsAsked } from '../rows.js';
import { snapshotOf } from '../snapshot.js';
import { viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import type { Ask } from './ask.js';

export async function stockView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	const { stocks } = await snapshotOf(garden.id);
	const standing = stocks.filter((s) => !s.gone_on);
	const rows = rowsAsked(query.get('rows'));
	return {
		stocks: await stockViews(garden, day, standing.slice(0, rows)),
		hidden: Math.max(0, standing.length - rows),
		rows
	};
}
