/** Long work of a plan (the search, the seasons grown): what its thread shares with whoever waits for it. */

/** Seasons that are grown: odds are told to half a point. */
export const SEASONS = 10_000;

/** How far it is (seasons grown), and whether it is to stop. */
export type Watched = Int32Array<SharedArrayBuffer>;
export const [DONE, STOP] = [0, 1] as const;
export const watched = (): Watched => new Int32Array(new SharedArrayBuffer(8));
