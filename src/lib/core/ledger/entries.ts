/**
 * Every kind of entry of the ledger. An entry says what was done or seen; it is never changed. What a kind is stands in
 * one place (kinds/): its data, its words, its line, what it must agree with and what it does.
 */
import type { z } from 'zod';
import type { EntryKindOf } from './describe.js';
import { batchKinds } from './kinds/batch/index.js';
import { shelfKinds, vesselKinds } from './kinds/bench.js';
import { careKinds } from './kinds/care.js';
import { figureKinds } from './kinds/figure.js';
import { gardenKinds } from './kinds/garden.js';
import { lodgingKinds } from './kinds/lodging.js';
import { movesKinds } from './kinds/moves.js';
import { ownKindKinds } from './kinds/ownKind.js';
import { placeKinds } from './kinds/place.js';
import { reversedKinds } from './kinds/reversed.js';
import { sightingKinds } from './kinds/sighting.js';
import { stockKinds } from './kinds/stock.js';
import { timerKinds } from './kinds/timer.js';
import { wantKinds } from './kinds/want.js';
import { weatherKinds } from './kinds/weather.js';

export { gardenData } from './kinds/garden.js';
export type { GardenData } from './kinds/garden.js';
export { placeData } from './kinds/place.js';
export type { PlaceSaid } from './kinds/place.js';
export { stockData } from './kinds/stock.js';
export type { StockData } from './kinds/stock.js';
export { lodgingData } from './kinds/lodging.js';
export type { LodgingData } from './kinds/lodging.js';
export { movesData } from './kinds/moves.js';
export type { MovesData } from './kinds/moves.js';
export { wantData } from './kinds/want.js';
export type { WantData } from './kinds/want.js';
export { noTreatment } from './kinds/batch/index.js';
export { isoDate, MOST_NOTE, MOST_PIECES, uuid } from './fields.js';

export const KINDS = {
	...gardenKinds,
	...placeKinds,
	...stockKinds,
	...wantKinds,
	...figureKinds,
	...ownKindKinds,
	...batchKinds,
	...weatherKinds,
	...careKinds,
	...timerKinds,
	...shelfKinds,
	...vesselKinds,
	...sightingKinds,
	...lodgingKinds,
	...movesKinds,
	...reversedKinds
} as const;

export type EntryKind = keyof typeof KINDS;
export type EntryData<K extends EntryKind> = z.infer<(typeof KINDS)[K]['data']>;
export type Subject =
	| 'garden'
	| 'place'
	| 'stock'
	| 'want'
	| 'figure'
	| 'batch'
	| 'weather'
	| 'care'
	| 'sighting'
	| 'timer'
	| 'shelf'
	| 'vessel'
	| 'kind'
	| 'lodging'
	| 'moves';

export const isEntryKind = (text: string): text is EntryKind => Object.hasOwn(KINDS, text);

/** A kind as all of them are alike. Its functions take what its own schema has parsed. */
export const kindOfEntry = (kind: EntryKind): EntryKindOf<z.ZodType> => KINDS[kind] as unknown as EntryKindOf<z.ZodType>;

/** What is common to entries, whoever stores them. */
export interface Entry<K extends EntryKind = EntryKind> {
	id: string;
	kind: K;
	subjectId: string;
	on: string;
	data: EntryData<K>;
	note: string;
}

/** An entry of any kind, told apart by `kind`. */
export type AnyEntry = { [K in EntryKind]: Entry<K> }[EntryKind];

export const subjectOf = (kind: EntryKind): Subject | 'entry' => kind.split('.')[0] as Subject | 'entry';
