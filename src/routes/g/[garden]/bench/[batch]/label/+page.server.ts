import { error } from '@sveltejs/kit';
import QRCode from 'qrcode';
import { z } from 'zod';
import type { PageServerLoad } from './$types';
import { batchViews } from '$lib/server/bench.js';
import { kindsOf } from '$lib/server/context.js';
import { database } from '$lib/server/db.js';
import { gardenOr404, guarded } from '$lib/server/forms.js';
import * as state from '$lib/server/store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { botanicalName } from '$lib/core/handbook/schema.js';

export const load: PageServerLoad = async ({ params }) => {
	const garden = await gardenOr404(params.garden);
	return guarded(async () => {
		const row = z.uuid().safeParse(params.batch).success ? await state.batchById(database(), garden.id, params.batch) : null;
		if (!row) error(404, { message: 'There is no such batch.', code: 'batch.unknown' });
		const [view] = await batchViews(garden, dayNumber(garden.today), [row]);
		const kind = (await kindsOf(garden)).get(row.kindId)!;
		const b = view!;
		return {
			label: {
				id: b.id,
				code: b.code,
				kind: b.kindName,
				botanical: botanicalName(kind),
				way: b.wayName,
				on: b.struckOn ?? b.plannedOn!,
				count: b.struckOn ? b.struck : b.plannedCount,
				planned: b.status === 'planned',
				// The code alone, so that the label reads on any address the app is served from.
				qr: await QRCode.toDataURL(b.code, { margin: 0, errorCorrectionLevel: 'M', scale: 8 })
			}
		};
	});
};
