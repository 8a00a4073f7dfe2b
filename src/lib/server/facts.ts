/** What an entry is checked against, read within the doing that writes it: each once, until it is written to. */
import type { Queryable } from './db.js';
import { handbook } from './handbook.js';
import { timerThere } from './store/benchware.js';
import { namingKind, ownKinds } from './store/ownKinds.js';
import * as state from './store/state.js';
import { missingFrom } from '$lib/core/handbook/ownKind.js';
import { withFigures } from '$lib/core/handbook/figures.js';
import type { Facts } from '$lib/core/ledger/describe.js';
import type { Subject } from '$lib/core/ledger/index.js';

export interface ReadFacts extends Facts {
	/** A subject was written: what was read of its kind is read again. */
	written(subject: Subject): void;
}

export function factsOf(db: Queryable, gardenId: string, today: string): ReadFacts {
	const read = new Map<string, Promise<unknown>>();
	/** Reads a thing once. */
	const once = <T>(subject: Subject, key: string, ask: () => Promise<T>): Promise<T> => {
		const name = `${subject} ${key}`;
		let found = read.get(name) as Promise<T> | undefined;
		if (!found) read.set(name, (found = ask()));
		return found;
	};
	const places = () => once('place', '', () => state.places(db, gardenId));
	const own = () => once('kind', '', () => ownKinds(db, gardenId));
	return {
		today,
		ownKind: async (subjectId) => (await own()).find((r) => r.id === subjectId)?.kind ?? null,
		allKinds: async () => [...handbook().kinds.values(), ...(await own()).map((r) => r.kind)],
		missingFromBook: (kind) => missingFrom(handbook(), kind),
		namingKind: (kindId) => namingKind(db, gardenId, kindId),
		async kind(id) {
			const kind = handbook().kinds.get(id) ?? (await own()).find((r) => r.kind.id === id)?.kind;
			if (!kind) return null;
			const figures = await once('figure', '', () => state.figures(db, gardenId));
			return withFigures(kind, Object.fromEntries(figures.filter((f) => f.kind_id === id).map((f) => [f.path, f.value])));
		},
		place: async (id) => (await places()).find((p) => p.id === id) ?? null,
		stock: (id) => once('stock', id, () => state.stockById(db, gardenId, id)),
		want: (id) => once('want', id, () => state.wantById(db, gardenId, id)),
		batch: (id) => once('batch', id, () => state.batchById(db, gardenId, id)),
		clock: (id) => timerThere(db, gardenId, id),
		plants: (ids) => state.plantsThere(db, gardenId, ids),
		standingAt: (placeId) => state.codesStandingAt(db, gardenId, placeId),
		written(subject) {
			for (const name of read.keys()) if (name.startsWith(`${subject} `)) read.delete(name);
		}
	};
}
