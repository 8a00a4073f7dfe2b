/** Kinds of place: what is under the sky, what is a room, what stands between. */

/** Where plants are kept over winter, as the handbook tells of it. */
export const SHELTERS = ['sill', 'lit_shelf', 'frame', 'garage', 'ground'] as const;
export const PLACE_KINDS = ['bed', 'hedge', 'slope', 'nursery_row', 'bench', ...SHELTERS] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** Under the sky. A frame stands between: its glass is worth some degrees. */
export const OUTDOORS: ReadonlySet<string> = new Set(['bed', 'hedge', 'slope', 'nursery_row', 'bench']);
/** Under the sky, in pots above the ground. */
export const IN_POTS_OUTDOORS: ReadonlySet<string> = new Set(['bench']);
/** Lived in, or as warm. */
export const ROOMS: ReadonlySet<string> = new Set(['sill', 'lit_shelf']);
/** Under a roof: neither rain nor drying wind. */
export const ROOFED: ReadonlySet<string> = new Set([...ROOMS, 'garage']);
/** Under the sky, with its roots in the garden's own soil. */
export const IN_THE_GROUND: ReadonlySet<string> = new Set(['bed', 'hedge', 'slope', 'nursery_row']);
