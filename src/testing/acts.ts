/** Doings of a garden that is not the demo's, as forms would send them. */
import { v7 as uuidv7 } from 'uuid';
import type { Act } from '../lib/server/ledger.js';
import type { EntryKind } from '$lib/core/ledger/index.js';

/** The day on which they are done, unless another is given. */
export const ACTS_TODAY = '2027-07-20';
export const noTreatment = { medium: '', hormone: '', wound: false, cover: '' };

export const act = (kind: EntryKind, subjectId: string, data: Record<string, unknown>, more: Partial<Act> = {}): Act => ({
	id: uuidv7(),
	kind,
	subjectId,
	on: ACTS_TODAY,
	data,
	...more
});

export const stockAct = (subjectId: string, over: Record<string, unknown> = {}): Act =>
	act('stock.set', subjectId, {
		kind_id: 'lavender',
		place_id: null,
		label: 'by the gate',
		count: 2,
		size_cm: 50,
		age_years: 4,
		condition: 'strong',
		protection: { status: 'free', until: null },
		from_batch: null,
		...over
	});

export const placeAct = (subjectId: string): Act =>
	act('place.set', subjectId, { name: 'Frame', kind: 'frame', light: 'bright', low_c: -5, high_c: 30, room_cm2: 1000, walk: 1 });

export const struckAct = (subjectId: string, stockId: string | null, struck = 20, more: Partial<Act> = {}): Act =>
	act(
		'batch.struck',
		subjectId,
		{
			...{ kind_id: 'lavender', way_id: 'semi-ripe', stock_id: stockId, want_id: null, place_id: null },
			...{ struck, treatment: noTreatment, container: '' }
		},
		{ takesCode: true, ...more }
	);
