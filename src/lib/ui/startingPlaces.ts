import type { PlaceSaid } from '$lib/core/ledger/entries.js';

/** Places most gardens have, with usual figures to start from (common practice, no source). */
export const STARTING_PLACES: Omit<PlaceSaid, 'walk'>[] = [
	{ name: 'Window sill', kind: 'sill', light: 'bright', low_c: 14, high_c: 24, room_cm2: 3_000 },
	{ name: 'Shelf under lights', kind: 'lit_shelf', light: 'bright', low_c: 16, high_c: 24, room_cm2: 6_000 },
	{ name: 'Frost-free garage', kind: 'garage', light: 'dark', low_c: 5, high_c: 15, room_cm2: 20_000 },
	{ name: 'Cold frame', kind: 'frame', light: 'bright', low_c: null, high_c: null, room_cm2: 12_000 },
	{ name: 'Bench outdoors', kind: 'bench', light: 'part', low_c: null, high_c: null, room_cm2: 15_000 },
	{ name: 'Nursery row', kind: 'nursery_row', light: 'sun', low_c: null, high_c: null, room_cm2: 40_000 },
	{ name: 'Border', kind: 'bed', light: 'sun', low_c: null, high_c: null, room_cm2: null }
];
