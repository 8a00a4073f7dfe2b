/** Reads the ledger's filter from an address; what is not understood is left out. */
import type { LedgerFilter } from './store/entries.js';
import { isIsoDate } from '$lib/core/dates.js';
import { readDay } from '$lib/core/readDay.js';
import { today } from './clock.js';
import { isEntryKind } from '$lib/core/ledger/entries.js';

export function filterFrom(query: URLSearchParams, limit: number): LedgerFilter {
	const get = (name: string) => query.get(name)?.trim() || null;
	const date = (name: string) => {
		const value = get(name);
		return value === null ? null : readDay(value, today('UTC'));
	};
	const kind = get('kind');
	const [on, seq] = (get('after') ?? '').split('_');
	return {
		text: (get('q') ?? '').slice(0, 200),
		kind: kind && isEntryKind(kind) ? kind : null,
		kindId: get('plant'),
		from: date('from'),
		to: date('to'),
		after: on && isIsoDate(on) && /^\d{1,15}$/.test(seq ?? '') ? { on, seq: Number(seq) } : null,
		limit
	};
}
