/** A look at a batch: what is alive, what has rooted, what was seen; and losses, each held against the stage not reached. */
import type { StageName } from '../handbook/schema.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { EntryData } from './entries.js';
import { inHand } from './foldBatch.js';
import type { Batch } from './foldBatch.js';
import { markCells } from './tray.js';

export const num = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

export function tally(b: Batch, stage: StageName, passed: number, failed: number): void {
	if (passed === 0 && failed === 0) return;
	const before = b.seen[stage] ?? { passed: 0, failed: 0 };
	b.seen[stage] = { passed: before.passed + passed, failed: before.failed + failed };
}

/** Losses, the least advanced first, each held against the stage it did not reach. */
export function lose(b: Batch, count: number): void {
	const unrooted = Math.min(count, b.unrooted);
	const rooted = Math.min(count - unrooted, b.rooted);
	const potted = count - unrooted - rooted;
	b.unrooted -= unrooted;
	b.rooted -= rooted;
	b.potted -= potted;
	b.lost += count;
	tally(b, 'rooted', 0, unrooted);
	tally(b, 'potted', 0, rooted);
	tally(b, 'ready', 0, potted);
}

export function check(b: Batch, d: EntryData<'batch.checked'>, on: string): Result<Batch> {
	const have = inHand(b);
	if (d.alive > have)
		return refuse('batch.more-alive', `${b.code} had ${have} alive at the last count: ${d.alive} can't be alive now.`, 'alive');
	if (d.rooted !== null && d.rooted > d.alive)
		return refuse('batch.more-rooted', `More rooted (${d.rooted}) than alive (${d.alive}) can't be.`, 'rooted');
	const lost = have - d.alive;
	const rootedBefore = b.rooted + b.potted;
	const unrootedBefore = b.unrooted;
	const unrootedDead = b.seen.rooted?.failed ?? 0;
	if ((d.showing ?? 0) > (d.looked ?? have))
		return refuse('batch.showing', `${d.showing} can't show a sign if ${d.looked ?? have} were looked at.`, 'showing');
	if ((d.looked ?? 0) > have) return refuse('batch.looked', `Only ${num(have, 'piece')} could be looked at.`, 'looked');
	if (d.cells) {
		const marked = cellsFit(b, d, rootedBefore, lost);
		if (!marked.ok) return marked;
	}
	if (d.rooted === null) {
		lose(b, lost);
	} else {
		const rootedLost = Math.max(0, rootedBefore - d.rooted);
		if (rootedLost > lost)
			return refuse(
				'batch.fewer-rooted',
				`${rootedBefore} had rooted before and ${num(lost, 'is', 'are')} lost since: fewer than ${rootedBefore - lost} rooted can't be.`,
				'rooted'
			);
		const newly = Math.max(0, d.rooted - rootedBefore);
		const unrootedLost = lost - rootedLost;
		if (newly + unrootedLost > b.unrooted)
			return refuse('batch.more-rooted', 'More newly rooted than were left to root.', 'rooted');
		b.unrooted -= newly + unrootedLost;
		b.rooted += newly;
		const fromRooted = Math.min(rootedLost, b.rooted);
		b.rooted -= fromRooted;
		b.potted -= rootedLost - fromRooted;
		b.lost += lost;
		tally(b, 'rooted', newly, unrootedLost);
		tally(b, 'potted', 0, fromRooted);
		tally(b, 'ready', 0, rootedLost - fromRooted);
		if (newly > 0 && b.unrooted === 0) b.since = on;
		b.lookedOn = on;
	}
	b.lastSign = d.sign === 'none' ? b.lastSign : d.sign;
	if (unrootedBefore > 0)
		b.looks.push({
			on,
			unrooted: unrootedBefore,
			newly: d.rooted === null ? null : Math.max(0, d.rooted - rootedBefore),
			lost: (b.seen.rooted?.failed ?? 0) - unrootedDead,
			sign: d.sign,
			looked: d.looked ?? null,
			showing: d.showing ?? null
		});
	return ok(b);
}

/** Tapped cells must tell the same as the counts; then they are the tray's new marks. */
function cellsFit(b: Batch, d: EntryData<'batch.checked'>, rootedBefore: number, lost: number): Result<true> {
	if (!b.tray) return refuse('tray.none', `${b.code} has not been laid out in a tray.`);
	const { rooted, lost: gone } = d.cells!;
	const rootedGone = gone.filter((i) => b.tray!.cells[i] === 'r').length;
	if (gone.length !== lost || (d.rooted !== null && d.rooted !== rootedBefore + rooted.length - rootedGone))
		return refuse('tray.counts', 'The cells tapped and the counts typed do not tell the same: look at them again.', 'alive');
	const marked = markCells(b.tray, rooted, gone);
	if (!marked.ok) return marked;
	b.tray = marked.value;
	return ok(true);
}
