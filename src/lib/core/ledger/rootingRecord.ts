/**
 * What was counted and seen of the pieces of a batch that had not rooted, between one full count and the next
 * (odds/rooting.ts reads it on the batch's clock). Signs at pieces that were not counted stand until the next count.
 */
export interface DatedEpoch {
	/** All were alive and unrooted on this day. */
	from: string;
	died: { after: string; by: string; count: number }[];
	rooted: { by: string; count: number }[];
	left: number;
	/** Day on which those left were last known to be alive. */
	seen: string;
	/** They were looked at on that day and had not rooted. */
	counted: boolean;
}

export interface DatedSign {
	on: string;
	looked: number;
	showing: number;
	sign: string;
}

export interface RootingRecord {
	epochs: DatedEpoch[];
	/** Epochs before this one were told of the pieces that it was split from. */
	own: number;
	signs: DatedSign[];
}

export const emptyRooting = (): RootingRecord => ({ epochs: [], own: 0, signs: [] });

export const struckRooting = (on: string, pieces: number): RootingRecord => ({
	epochs: [{ from: on, died: [], rooted: [], left: pieces, seen: on, counted: false }],
	own: 0,
	signs: []
});

/** The epoch that is still open; a full count has closed the one before. */
function open(r: RootingRecord): DatedEpoch {
	const last = r.epochs.at(-1)!;
	if (!last.counted) return last;
	const next: DatedEpoch = { from: last.seen, died: [], rooted: [], left: last.left, seen: last.seen, counted: false };
	r.epochs.push(next);
	return next;
}

/** Some were found dead; the rest are known to live. */
export function diedUnrooted(r: RootingRecord, on: string, count: number): void {
	const e = open(r);
	if (count > 0) e.died.push({ after: e.seen, by: on, count });
	e.left -= count;
	e.seen = on;
}

/** Some have rooted by this day, without the others having been looked at. */
export function rootedBy(r: RootingRecord, on: string, count: number): void {
	if (count <= 0) return;
	const e = open(r);
	e.rooted.push({ by: on, count });
	e.left -= count;
}

/** Some went away (given, split off, or lost to another cause): they tell nothing. */
export function goneUnrooted(r: RootingRecord, count: number): void {
	if (count > 0) open(r).left -= count;
}

/** A full count: so many newly rooted, so many dead, the rest looked at and not rooted. */
export function countedRooted(r: RootingRecord, on: string, newly: number, dead: number): void {
	diedUnrooted(r, on, dead);
	rootedBy(r, on, newly);
	open(r).counted = true;
	r.signs = [];
}

export function sawSign(r: RootingRecord, sign: DatedSign): void {
	if (sign.looked > 0) r.signs.push(sign);
}

/**
 * What a part that is split off takes along: the story so far, told of the others too, and an epoch of its own for
 * its pieces, which have the same past as those that stay.
 */
export function splitRecord(r: RootingRecord, pieces: number): RootingRecord {
	const past = structuredClone(r.epochs);
	const last = past.at(-1);
	if (!last || pieces === 0) return { epochs: past, own: past.length, signs: [] };
	// A closed epoch has counted these pieces with the others; an open one is theirs from now on in one of their own.
	if (!last.counted) last.left -= pieces;
	const from = last.counted ? last.seen : last.from;
	const own: DatedEpoch = { from, died: [], rooted: [], left: pieces, seen: last.seen, counted: false };
	return { epochs: [...past, own], own: past.length, signs: structuredClone(r.signs) };
}
