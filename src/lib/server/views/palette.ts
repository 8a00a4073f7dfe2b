import { kindsOf } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import * as state from '../store/state.js';
import { botanicalName, withVariety } from '$lib/core/handbook/names.js';
import { SCREENS } from '$lib/formats/screens.js';
import { snapshotOf } from '../snapshot.js';
import type { Ask } from './ask.js';
import { wantedName } from '$lib/core/ledger/wish.js';

/** Batches longer ended than these are found in the ledger. */
const MOST_ENDED = 300;

/** All that a search by name can open. */
export async function paletteView({ params }: Ask) {
	const garden = await gardenOr404(params.garden);
	const base = `/g/${garden.slug}`;
	const db = database();
	const [kinds, { stocks, wants, living }, ended] = await Promise.all([
		kindsOf(garden),
		snapshotOf(garden.id),
		state.endedBatches(db, garden.id, MOST_ENDED)
	]);
	const batches = [...living, ...ended];
	const forms = new Map(stocks.map((s) => [s.id, s.label]));
	const name = (id: string) => {
		const kind = kinds.get(id);
		return kind ? withVariety(kind) : id;
	};
	const items = [
		...SCREENS.map((s) => ({ title: s.name, what: 'screen', href: `${base}/${s.path}` })),
		...batches.map((b) => ({
			title: [`${b.code} ${name(b.kindId)}`, forms.get(b.stockId ?? '')].filter(Boolean).join(', '),
			what: `batch, ${b.status}`,
			href: `${base}/bench/${b.id}`
		})),
		...stocks
			.filter((s) => !s.gone_on)
			.map((s) => ({
				title: [name(s.kind_id), s.label].filter(Boolean).join(', '),
				what: 'stock',
				href: `${base}/stock/${s.id}`
			})),
		...wants
			.filter((w) => !w.dropped_on)
			.map((w) => ({
				title: `${w.target} ${wantedName(kinds, w)}${w.label ? `, ${w.label}` : ''}`,
				what: 'want',
				href: `${base}/wants/${w.id}`
			})),
		...[...kinds.values()].map((k) => ({
			title: `${k.common} (${[botanicalName(k), ...k.also].join(', ')})`,
			what: 'handbook',
			href: `${base}/handbook/${k.id}`
		}))
	];
	return { items: items.map((item, i) => ({ id: String(i), ...item })) };
}
