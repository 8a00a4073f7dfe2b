/**
 * A batch is what its entries make of it, one after another. The same fold serves logging, undo and
 * rebuilding, so the counts cannot come out differently, and an undo that would leave nonsense
 * behind is refused for the same reasons as a wrong count.
 */
import { sayDate } from '../dates.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { AnyEntry, EntryData } from './entries.js';
import { blankBatch, inHand, num } from './batch.js';
import type { Batch } from './batch.js';
import { check, lose, loseToWinter, setCohorts, take, tally } from './checkBatch.js';
import { seenAlive } from './cohorts.js';
import type { Cohort } from './cohorts.js';
import { goneUnrooted, rootedBy, struckRooting } from './rootingRecord.js';
import { layOut, settle } from './tray.js';

interface Taken {
	potted: number;
	rooted: number;
	unrooted: number;
	cohorts: Cohort[];
}

/** Takes pieces out of hand, the furthest on and the oldest first; says what was taken. */
function takeFurthest(b: Batch, count: number): Taken {
	const potted = Math.min(count, b.potted);
	const rooted = Math.min(count - potted, b.rooted);
	const unrooted = count - potted - rooted;
	const cohorts = [
		...take(b, 'potted', potted, 'oldest'),
		...take(b, 'rooted', rooted, 'oldest'),
		...take(b, 'unrooted', unrooted, 'oldest')
	];
	return { potted, rooted, unrooted, cohorts };
}

/** The unrooted among those taken were found to have rooted. */
function hadRooted(b: Batch, on: string, count: number): void {
	rootedBy(b.rootRecord, on, count);
	tally(b, 'rooted', count, 0);
}

/** It stands somewhere else from a day on. */
function standAt(b: Batch, placeId: string | null, on: string): void {
	b.placeId = placeId;
	const last = b.stays.at(-1);
	if (last?.placeId === placeId) return;
	if (last?.from === on) b.stays.pop();
	b.stays.push({ placeId, from: on });
}

type Next = Result<Batch>;

function begin(e: AnyEntry): Next {
	switch (e.kind) {
		case 'batch.planned': {
			const b = blankBatch(e.subjectId, e.data);
			b.plannedOn = e.data.planned_on;
			b.plannedCount = e.data.count;
			return ok(b);
		}
		case 'batch.struck':
			return strike(blankBatch(e.subjectId, e.data), e.data, e.on);
		case 'batch.split-off': {
			const d = e.data;
			const b = blankBatch(e.subjectId, d);
			b.fromBatch = d.from;
			b.status = 'growing';
			b.struckOn = d.struck_on;
			b.struck = d.unrooted + d.rooted + d.potted;
			if (b.struck < 1) return refuse('batch.empty-split', 'Split off at least one piece.', 'count');
			b.winteredOn = d.wintered ? e.on : null;
			b.family = d.history?.family ?? d.from;
			b.inherited = d.history?.seen ?? {};
			const plain = (stage: Cohort['stage']): Cohort => ({ stage, count: d[stage], since: e.on, aliveOn: e.on, lookedOn: null });
			// Entries of the first versions did not take the pieces' history along.
			setCohorts(b, d.history?.cohorts ?? [{ ...plain('unrooted'), since: d.struck_on }, plain('rooted'), plain('potted')]);
			if (b.unrooted !== d.unrooted || b.rooted !== d.rooted || b.potted !== d.potted)
				return refuse('batch.split-counts', 'The pieces split off and their history do not tell the same.', 'count');
			b.rootRecord = d.history?.rooting ?? struckRooting(d.struck_on, d.unrooted);
			b.stays = [...(d.history?.stays ?? [])];
			standAt(b, d.place_id, d.history?.stays?.length ? e.on : d.struck_on);
			Object.assign(b, { treatment: d.treatment, container: d.container, lastOn: e.on });
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
		status: 'growing',
		lastOn: on
	});
	setCohorts(b, [{ stage: 'unrooted', count: d.struck, since: on, aliveOn: on, lookedOn: null }]);
	b.rootRecord = struckRooting(on, d.struck);
	standAt(b, b.placeId, on);
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
			take(b, 'rooted', fromRooted, 'oldest');
			take(b, 'unrooted', fromBare, 'oldest');
			// Those potted on keep the day since when they are potted; all that were handled are alive.
			const on = take(b, 'potted', e.data.count - fresh, 'oldest');
			const handled = [
				...seenAlive(on, e.on),
				{ stage: 'potted', count: fresh, since: e.on, aliveOn: e.on, lookedOn: null } as const
			];
			setCohorts(b, [...b.cohorts, ...handled]);
			hadRooted(b, e.on, fromBare);
			tally(b, 'potted', fresh, 0);
			if (e.data.container) b.container = e.data.container;
			if (e.data.place_id) standAt(b, e.data.place_id, e.on);
			return ok(b);
		}
		case 'batch.moved':
			standAt(b, e.data.place_id, e.on);
			return ok(b);
		case 'batch.split': {
			const can = enough(b, e.data.count, 'splitting off');
			if (!can.ok) return can;
			if (e.data.count === inHand(b))
				return refuse('batch.split-all', 'That is the whole batch: move it instead of splitting it.', 'count');
			goneUnrooted(b.rootRecord, takeFurthest(b, e.data.count).unrooted);
			b.splitOff += e.data.count;
			return ok(b);
		}
		case 'batch.wintered': {
			const have = inHand(b);
			if (e.data.alive > have)
				return refuse('batch.more-alive', `${b.code} went into winter with ${have}: more can't have come out.`, 'alive');
			const lost = have - e.data.alive;
			loseToWinter(b, lost);
			setCohorts(b, seenAlive(b.cohorts, e.on));
			tally(b, 'wintered', e.data.alive, lost);
			b.winteredOn = e.on;
			return ok(b);
		}
		case 'batch.planted': {
			const can = enough(b, e.data.count, 'planting');
			if (!can.ok) return can;
			const from = takeFurthest(b, e.data.count);
			// A planted piece has passed all that lies before the ground.
			hadRooted(b, e.on, from.unrooted);
			tally(b, 'ready', from.potted, 0);
			tally(b, 'planted', e.data.count, 0);
			b.planted += e.data.count;
			if (e.data.place_id) b.placeId = e.data.place_id;
			return ok(b);
		}
		case 'batch.given': {
			const can = enough(b, e.data.count, 'giving away');
			if (!can.ok) return can;
			// Given away unrooted is no success of rooting, and no failure.
			goneUnrooted(b.rootRecord, takeFurthest(b, e.data.count).unrooted);
			b.given += e.data.count;
			return ok(b);
		}
		case 'batch.kept': {
			const can = enough(b, e.data.count, 'keeping');
			if (!can.ok) return can;
			hadRooted(b, e.on, takeFurthest(b, e.data.count).unrooted);
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
			lose(b, e.data.count, e.on);
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
	}
	return ok(batch);
}
