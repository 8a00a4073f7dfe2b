/**
 * A batch is what its entries make of it, one after another. The same fold serves logging, undo and
 * rebuilding, so the counts cannot come out differently, and an undo that would leave nonsense
 * behind is refused for the same reasons as a wrong count.
 */
import { sayDate } from '../dates.js';
import type { Tallies } from '../evidence/evidence.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { AnyEntry, EntryData } from './entries.js';
import { check, lose, num, tally } from './checkBatch.js';
import { layOut, settle } from './tray.js';
import type { Tray } from './tray.js';

export type BatchStatus = 'planned' | 'growing' | 'done' | 'dropped';

export interface Batch {
	id: string;
	code: string;
	kindId: string;
	wayId: string;
	stockId: string | null;
	wantId: string | null;
	placeId: string | null;
	fromBatch: string | null;
	status: BatchStatus;
	plannedOn: string | null;
	plannedCount: number;
	struckOn: string | null;
	struck: number;
	/** Pieces in hand by what they have reached. */
	unrooted: number;
	rooted: number;
	potted: number;
	/** Day of the last count after a winter. */
	winteredOn: string | null;
	planted: number;
	given: number;
	kept: number;
	splitOff: number;
	lost: number;
	/** Lost after planting; not part of `lost`. */
	lostPlanted: number;
	/** Date since when the pieces stand at their stage. */
	since: string | null;
	lastOn: string | null;
	lastSign: string | null;
	/** Day of the last check that counted the rooted: what had not rooted then is slow. */
	lookedOn: string | null;
	treatment: { medium: string; hormone: string; wound: boolean; cover: string };
	container: string;
	seen: Tallies;
	/** What each check of pieces that were still rooting saw. */
	looks: LookSeen[];
	tray: Tray | null;
	/** Pieces foretold of its parent before the cut. */
	foretold: number | null;
	entries: number;
}

export interface LookSeen {
	on: string;
	/** Unrooted pieces before it; of these newly counted as rooted (null: not counted) and found dead. */
	unrooted: number;
	newly: number | null;
	lost: number;
	sign: string;
	/** Looked at closely and showing the sign, if that was said. */
	looked: number | null;
	showing: number | null;
}

export const inHand = (b: Pick<Batch, 'unrooted' | 'rooted' | 'potted'>): number => b.unrooted + b.rooted + b.potted;

/** Takes pieces out of hand, the furthest on first; says from which pools. */
function takeFurthest(b: Batch, count: number): { potted: number; rooted: number; unrooted: number } {
	const potted = Math.min(count, b.potted);
	const rooted = Math.min(count - potted, b.rooted);
	const unrooted = count - potted - rooted;
	b.potted -= potted;
	b.rooted -= rooted;
	b.unrooted -= unrooted;
	return { potted, rooted, unrooted };
}

const blank = (
	id: string,
	d: {
		code: string;
		kind_id: string;
		way_id: string;
		stock_id: string | null;
		want_id: string | null;
		place_id: string | null;
	}
): Batch => ({
	id,
	code: d.code,
	kindId: d.kind_id,
	wayId: d.way_id,
	stockId: d.stock_id,
	wantId: d.want_id,
	placeId: d.place_id,
	fromBatch: null,
	status: 'planned',
	plannedOn: null,
	plannedCount: 0,
	struckOn: null,
	struck: 0,
	unrooted: 0,
	rooted: 0,
	potted: 0,
	winteredOn: null,
	planted: 0,
	given: 0,
	kept: 0,
	splitOff: 0,
	lost: 0,
	lostPlanted: 0,
	since: null,
	lastOn: null,
	lastSign: null,
	lookedOn: null,
	treatment: { medium: '', hormone: '', wound: false, cover: '' },
	container: '',
	seen: {},
	looks: [],
	tray: null,
	foretold: null,
	entries: 0
});

type Next = Result<Batch>;

function begin(e: AnyEntry): Next {
	switch (e.kind) {
		case 'batch.planned': {
			const b = blank(e.subjectId, e.data);
			b.plannedOn = e.data.planned_on;
			b.plannedCount = e.data.count;
			return ok(b);
		}
		case 'batch.struck':
			return strike(blank(e.subjectId, e.data), e.data, e.on);
		case 'batch.split-off': {
			const d = e.data;
			const b = blank(e.subjectId, d);
			b.fromBatch = d.from;
			b.status = 'growing';
			b.struckOn = d.struck_on;
			b.struck = d.unrooted + d.rooted + d.potted;
			if (b.struck < 1) return refuse('batch.empty-split', 'Split off at least one piece.', 'count');
			Object.assign(b, {
				unrooted: d.unrooted,
				rooted: d.rooted,
				potted: d.potted,
				winteredOn: d.wintered ? e.on : null
			});
			Object.assign(b, { treatment: d.treatment, container: d.container, since: e.on, lastOn: e.on });
			return ok(b);
		}
		default:
			return refuse('batch.not-begun', 'This batch has not been planned or struck (or that was undone).');
	}
}

function strike(b: Batch, d: EntryData<'batch.struck'>, on: string): Next {
	if (b.struckOn !== null) return refuse('batch.struck-twice', `It was struck on ${sayDate(b.struckOn)} already.`);
	if (b.status === 'dropped') return refuse('batch.dropped', 'This batch was dropped: undo that first.');
	Object.assign(b, { stockId: d.stock_id, placeId: d.place_id, wantId: d.want_id, wayId: d.way_id });
	Object.assign(b, {
		struckOn: on,
		struck: d.struck,
		unrooted: d.struck,
		status: 'growing',
		since: on,
		lastOn: on
	});
	Object.assign(b, { treatment: d.treatment, container: d.container, foretold: d.foretold ?? null });
	return ok(b);
}

/** Not more than there is. */
function enough(b: Batch, count: number, what: string): Result<true> {
	const have = inHand(b);
	if (count > have)
		return refuse(
			'batch.too-many',
			`Only ${num(have, 'piece')} of ${b.code} ${have === 1 ? 'is' : 'are'} in hand: ${what} ${count} can't be.`,
			'count'
		);
	return ok(true);
}

function step(b: Batch, e: AnyEntry): Next {
	if (e.kind === 'batch.struck') return strike(b, e.data, e.on);
	if (e.kind === 'batch.dropped') {
		if (b.status !== 'planned') return refuse('batch.growing', 'It has been struck: log its pieces as lost instead.');
		b.status = 'dropped';
		return ok(b);
	}
	if (b.struckOn === null) return refuse('batch.not-struck', `${b.code} has not been struck yet.`);
	if (b.lastOn !== null && e.on < b.lastOn)
		return refuse(
			'batch.date-order',
			`The last entry of ${b.code} is of ${sayDate(b.lastOn)}: this one can't be earlier. Undo that one first, or use its date.`,
			'on'
		);
	const result = apply(b, e);
	if (!result.ok) return result;
	// Pieces that went without anyone saying which: the tray follows the counts.
	if (b.tray) b.tray = settle(b.tray, b.unrooted, b.rooted, LOSING.has(e.kind));
	b.lastOn = e.on;
	b.status = inHand(b) === 0 ? 'done' : 'growing';
	return ok(b);
}

const LOSING = new Set<AnyEntry['kind']>(['batch.checked', 'batch.lost', 'batch.wintered']);

function apply(b: Batch, e: AnyEntry): Next {
	switch (e.kind) {
		case 'batch.checked':
			return check(b, e.data, e.on);
		case 'batch.laid-out': {
			const tray = layOut(e.data, b.unrooted, b.rooted);
			if (!tray.ok) return tray;
			b.tray = tray.value;
			return ok(b);
		}
		case 'batch.potted': {
			const can = enough(b, e.data.count, 'potting');
			if (!can.ok) return can;
			// Potting what is potted already is potting on: it changes pot and place, not the count.
			const fresh = Math.min(e.data.count, b.rooted + b.unrooted);
			const fromRooted = Math.min(fresh, b.rooted);
			const fromBare = fresh - fromRooted;
			b.rooted -= fromRooted;
			b.unrooted -= fromBare;
			b.potted += fresh;
			tally(b, 'rooted', fromBare, 0);
			tally(b, 'potted', fresh, 0);
			if (e.data.container) b.container = e.data.container;
			if (e.data.place_id) b.placeId = e.data.place_id;
			b.since = e.on;
			return ok(b);
		}
		case 'batch.moved':
			b.placeId = e.data.place_id;
			return ok(b);
		case 'batch.split': {
			const can = enough(b, e.data.count, 'splitting off');
			if (!can.ok) return can;
			if (e.data.count === inHand(b))
				return refuse('batch.split-all', 'That is the whole batch: move it instead of splitting it.', 'count');
			takeFurthest(b, e.data.count);
			b.splitOff += e.data.count;
			return ok(b);
		}
		case 'batch.wintered': {
			const have = inHand(b);
			if (e.data.alive > have)
				return refuse('batch.more-alive', `${b.code} went into winter with ${have}: more can't have come out.`, 'alive');
			const lost = have - e.data.alive;
			const fromUnrooted = Math.min(lost, b.unrooted);
			const fromRooted = Math.min(lost - fromUnrooted, b.rooted);
			b.unrooted -= fromUnrooted;
			b.rooted -= fromRooted;
			b.potted -= lost - fromUnrooted - fromRooted;
			b.lost += lost;
			tally(b, 'wintered', e.data.alive, lost);
			b.winteredOn = e.on;
			return ok(b);
		}
		case 'batch.planted': {
			const can = enough(b, e.data.count, 'planting');
			if (!can.ok) return can;
			const from = takeFurthest(b, e.data.count);
			// A planted piece has passed all that lies before the ground.
			tally(b, 'rooted', from.unrooted, 0);
			tally(b, 'ready', from.potted, 0);
			tally(b, 'planted', e.data.count, 0);
			b.planted += e.data.count;
			if (e.data.place_id) b.placeId = e.data.place_id;
			return ok(b);
		}
		case 'batch.given': {
			const can = enough(b, e.data.count, 'giving away');
			if (!can.ok) return can;
			const from = takeFurthest(b, e.data.count);
			tally(b, 'rooted', from.unrooted, 0);
			b.given += e.data.count;
			return ok(b);
		}
		case 'batch.kept': {
			const can = enough(b, e.data.count, 'keeping');
			if (!can.ok) return can;
			const from = takeFurthest(b, e.data.count);
			tally(b, 'rooted', from.unrooted, 0);
			b.kept += e.data.count;
			return ok(b);
		}
		case 'batch.lost': {
			if (e.data.planted) {
				const standing = b.planted - b.lostPlanted;
				if (e.data.count > standing)
					return refuse(
						'batch.lost-planted',
						`Only ${standing} planted from ${b.code} still stand: ${e.data.count} can't be lost.`,
						'count'
					);
				b.lostPlanted += e.data.count;
				// It was counted as planted once; now it is known that it did not take.
				tally(b, 'planted', -e.data.count, e.data.count);
				return ok(b);
			}
			const can = enough(b, e.data.count, 'losing');
			if (!can.ok) return can;
			lose(b, e.data.count);
			return ok(b);
		}
		default:
			return refuse('batch.begun', 'This batch has begun already.');
	}
}

/** Folds the standing entries of one batch. Null when nothing of it stands (all undone). */
export function foldBatch(entries: readonly AnyEntry[]): Result<Batch | null> {
	let batch: Batch | null = null;
	for (const e of entries) {
		const next: Next = batch === null ? begin(e) : step(batch, e);
		if (!next.ok) return next;
		batch = next.value;
		batch.entries++;
	}
	return ok(batch);
}
