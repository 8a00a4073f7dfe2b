/** Labels of batches: what stands on them. */
import { kindsOf } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { snapshotOf } from './snapshot.js';
import * as state from './store/state.js';
import { sayDate } from '$lib/core/dates.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { botanicalName, withVariety } from '$lib/core/handbook/names.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Label } from '$lib/formats/labels.js';

/** Address that a label's QR code opens: one step to the batch's quick log. */
export const codeAddress = (origin: string, slug: string, code: string): string => `${origin}/g/${slug}/c/${code}`;

function labelOf(garden: Garden, kinds: ReadonlyMap<string, Kind>, form: string, b: Batch, origin: string): Label {
	const kind = kinds.get(b.kindId);
	const profile = kind?.ways.find((w) => w.id === b.wayId);
	const way = profile ? (handbook().ways.get(profile.way)?.name ?? '') : '';
	const on = b.struckOn ?? b.plannedOn;
	return {
		code: b.code,
		qr: codeAddress(origin, garden.slug, b.code),
		name: kind ? withVariety(kind) : b.kindId,
		// The form tells more than the botanical name to whoever has two of them.
		botanical: form || (kind ? botanicalName(kind) : ''),
		line: [way, String(b.struckOn ? b.struck : b.plannedCount), on ? `${b.struckOn ? '' : 'for '}${sayDate(on)}` : '']
			.filter(Boolean)
			.join(' · ')
	};
}

export const MOST_LABELS = 1000;
const MOST_CODES_ASKED = 500;

/** "32T-V:4,33A-K" to labels, each as often as asked. What is not a code of this garden is told. */
export async function labelsFor(garden: Garden, asked: string, origin: string): Promise<{ labels: Label[]; unknown: string[] }> {
	const labels: Label[] = [];
	const unknown: string[] = [];
	const parts = asked
		.split(',')
		.map((p) => p.trim())
		.filter(Boolean)
		.slice(0, MOST_CODES_ASKED)
		.map((part) => part.split(':') as [string, string | undefined]);
	const [kinds, { stocks }, batches] = await Promise.all([
		kindsOf(garden),
		snapshotOf(garden.id),
		state.batchesByCode(
			database(),
			garden.id,
			parts.map(([code]) => code.toUpperCase())
		)
	]);
	const forms = new Map(stocks.map((s) => [s.id, s.label]));
	const byCode = new Map(batches.map((b) => [b.code, b]));
	for (const [code, times] of parts) {
		const b = byCode.get(code.toUpperCase());
		if (!b) {
			unknown.push(code);
			continue;
		}
		const n = Math.max(1, Math.min(MOST_LABELS, Number.parseInt(times ?? '1', 10) || 1));
		const label = labelOf(garden, kinds, forms.get(b.stockId ?? '') ?? '', b, origin);
		for (let i = 0; i < n && labels.length < MOST_LABELS; i++) labels.push(label);
	}
	return { labels, unknown };
}
