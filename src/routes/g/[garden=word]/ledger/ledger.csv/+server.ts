import type { RequestHandler } from './$types';
import { database } from '$lib/server/db.js';
import { gardenHeadOr404, guarded } from '$lib/server/forms.js';
import { filterFrom } from '$lib/server/ledgerFilter.js';
import { ledgerPage } from '$lib/server/store/entries.js';
import { csvHead, csvRows } from '$lib/formats/ledgerCsv.js';

const CHUNK = 1000;

/** The ledger, filtered as on the screen, sent piece by piece so that its length does not matter. */
export const GET: RequestHandler = async ({ params, url }) => {
	const garden = await gardenHeadOr404(params.garden);
	const filter = { ...filterFrom(url.searchParams, CHUNK), after: null as { on: string; seq: number } | null };
	let started = false;
	const first = await guarded(() => ledgerPage(database(), garden.id, filter));
	let rows = first;
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			const text = new TextEncoder();
			if (!started) {
				started = true;
				controller.enqueue(text.encode(csvHead()));
			}
			if (rows.length > 0) controller.enqueue(text.encode(csvRows(rows)));
			const last = rows.at(-1);
			if (!last || rows.length < CHUNK) return controller.close();
			rows = await ledgerPage(database(), garden.id, {
				...filter,
				after: { on: last.happened_on, seq: last.seq }
			});
		}
	});
	return new Response(body, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="surculus-${garden.slug}-ledger.csv"`
		}
	});
};
