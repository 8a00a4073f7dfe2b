/** How things are called when an entry is written. */
import { handbook } from './handbook.js';
import type { ReadFacts } from './facts.js';
import type { Names } from '$lib/core/ledger/describe.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { kindOfEntry } from '$lib/core/ledger/index.js';
import type { AnyEntry, Subject } from '$lib/core/ledger/index.js';

function wayName(kind: Kind | undefined, wayId: string): string {
	const way = kind?.ways.find((w) => w.id === wayId);
	return way ? (handbook().ways.get(way.way)?.name ?? wayId) : wayId;
}

/** The names that the line of an entry about a subject may need. */
export async function namesFor(facts: ReadFacts, subject: Subject, id: string, placeIds: readonly string[]): Promise<Names> {
	const kinds = new Map((await facts.allKinds()).map((k) => [k.id, k]));
	const mine = subject === 'kind' ? await facts.ownKind(id) : null;
	const places = new Map<string, string>();
	for (const placeId of placeIds) places.set(placeId, (await facts.place(placeId))?.name ?? '');
	return {
		batch: subject === 'batch' || subject === 'lodging' ? await facts.batch(id) : null,
		stock: subject === 'stock' || subject === 'lodging' ? await facts.stock(id) : null,
		want: subject === 'want' ? await facts.want(id) : null,
		place: subject === 'place' ? await facts.place(id) : null,
		placeName: (placeId) => (placeId === null ? '' : (places.get(placeId) ?? '')),
		kindName: (kindId) => (kindId === id ? mine?.common : kinds.get(kindId)?.common) ?? kindId,
		wayName: (kindId, wayId) => wayName(kinds.get(kindId), wayId),
		materialName: (material) => handbook().materials.get(material)?.name ?? material
	};
}

/** Places that an entry names. */
export function placesNamed(e: AnyEntry): string[] {
	const d = e.data as {
		place_id?: string | null;
		pinned?: string | null;
		never?: readonly string[];
		moves?: readonly { place_id: string }[];
	};
	return [d.place_id, d.pinned, ...(d.never ?? []), ...(d.moves ?? []).map((m) => m.place_id)].filter(
		(id) => typeof id === 'string'
	);
}

/** Kind the entry is about, for filtering. */
export function kindIdOf(e: AnyEntry, names: Names): string | null {
	if ('kind_id' in e.data) return e.data.kind_id;
	if (e.kind === 'kind.set') return e.data.kind.id;
	return names.batch?.kindId ?? names.stock?.kind_id ?? names.want?.kind_id ?? null;
}

/** The one line an entry is read and searched by, as things were called when it was written. */
export const lineOf = (e: AnyEntry, names: Names): string => kindOfEntry(e.kind).line(e, names);
