/** A look at a batch: what is alive, what has rooted, what was seen; and losses, each held against the stage not reached. */
import type { StageName } from '../handbook/schema.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { inHand, num } from './batch.js';
import type { Batch } from './batch.js';
import { countAt, seenAlive, takeOf, tidied } from './cohorts.js';
import type { Cohort, CohortStage } from './cohorts.js';
import type { Checked } from './kinds/batch/checked.js';
import { countedRooted, diedUnrooted, goneUnrooted, sawSign } from './rootingRecord.js';
import { markCells } from './tray.js';

export function tally(b: Batch, stage: StageName, passed: number, failed: number): void {
	if (passed === 0 && failed === 0) return;
	const before = b.seen[stage] ?? { passed: 0, failed: 0 };
	b.seen[stage] = { passed: before.passed + passed, failed: before.failed + failed };
}

/** Sets the cohorts and the counts that follow from them. */
export function setCohorts(b: Batch, cohorts: readonly Cohort[]): void {
	b.cohorts = tidied(cohorts);
	b.unrooted = countAt(b.cohorts, 'unrooted');
	b.rooted = countAt(b.cohorts, 'rooted');
	b.potted = countAt(b.cohorts, 'potted');
}

/** Takes so many of a stage out of hand. */
export function take(b: Batch, stage: CohortStage, count: number, first: 'oldest' | 'newest'): Cohort[] {
	const { left, taken } = takeOf(b.cohorts, stage, count, first);
	setCohorts(b, left);
	return taken;
}

/** Losses, the least advanced first; how many of each stage. */
export function loseLeast(b: Batch, count: number): Record<CohortStage, number> {
	const unrooted = Math.min(count, b.unrooted);
	const rooted = Math.min(count - unrooted, b.rooted);
	const lost = { unrooted, rooted, potted: count - unrooted - rooted };
	for (const stage of ['unrooted', 'rooted', 'potted'] as const) take(b, stage, lost[stage], 'newest');
	b.lost += count;
	return lost;
}

/** Losses, each held against the stage it did not reach. */
export function lose(b: Batch, count: number, on: string): void {
	const lost = loseLeast(b, count);
	if (lost.unrooted > 0) diedUnrooted(b.rootRecord, on, lost.unrooted);
	tally(b, 'rooted', 0, lost.unrooted);
	tally(b, 'potted', 0, lost.rooted);
	tally(b, 'ready', 0, lost.potted);
}

/** Losses of a winter: they say nothing of whether the unrooted would have rooted. */
export function loseToWinter(b: Batch, count: number): void {
	const lost = loseLeast(b, count);
	goneUnrooted(b.rootRecord, lost.unrooted);
}

export function check(b: Batch, d: Checked, on: string): Result<Batch> {
	const have = inHand(b);
	if (d.alive > have)
		return refuse('batch.more-alive', `${b.code} had ${have} alive at the last count: ${d.alive} can't be alive now.`, 'alive');
	if (d.rooted !== null && d.rooted > d.alive)
		return refuse('batch.more-rooted', `More rooted (${d.rooted}) than alive (${d.alive}) can't be.`, 'rooted');
	const lost = have - d.alive;
	const rootedBefore = b.rooted + b.potted;
	const unrootedBefore = b.unrooted;
	if ((d.showing ?? 0) > (d.looked ?? have))
		return refuse('batch.showing', `${d.showing} can't show a sign if ${d.looked ?? have} were looked at.`, 'showing');
	if ((d.looked ?? 0) > have) return refuse('batch.looked', `Only ${num(have, 'piece')} could be looked at.`, 'looked');
	if (d.cells) {
		const marked = cellsFit(b, d, rootedBefore, lost);
		if (!marked.ok) return marked;
	}
	let newly: number | null = null;
	let unrootedLost: number;
	if (d.rooted === null) {
		unrootedLost = Math.min(lost, unrootedBefore);
		lose(b, lost, on);
		// Those not counted as dead are alive, rooted or not.
		if (b.unrooted > 0) diedUnrooted(b.rootRecord, on, 0);
		if (b.unrooted > 0) lookedAt(b, d, on);
	} else {
		const counted = countRooted(b, d.rooted, lost, on);
		if (!counted.ok) return counted;
		({ newly, unrootedLost } = counted.value);
	}
	setCohorts(b, seenAlive(b.cohorts, on));
	b.lastSign = d.sign === 'none' ? b.lastSign : d.sign;
	if (unrootedBefore > 0)
		b.looks.push({
			on,
			unrooted: unrootedBefore,
			newly,
			lost: unrootedLost,
			sign: d.sign,
			looked: d.looked ?? null,
			showing: d.showing ?? null
		});
	return ok(b);
}

/** A sign without a number was seen on one piece at least; more is not known. */
function lookedAt(b: Batch, d: Checked, on: string): void {
	if (d.sign === 'none' && d.showing == null) return;
	const looked = Math.min(b.unrooted, d.looked ?? (d.showing == null ? 1 : b.unrooted));
	sawSign(b.rootRecord, { on, looked, showing: Math.min(looked, d.showing ?? looked), sign: d.sign });
}

/** The rooted were counted: those newly so are a cohort of their own, and those that are not have been looked at. */
function countRooted(b: Batch, rooted: number, lost: number, on: string): Result<{ newly: number; unrootedLost: number }> {
	const before = b.rooted + b.potted;
	const rootedLost = Math.max(0, before - rooted);
	if (rootedLost > lost)
		return refuse(
			'batch.fewer-rooted',
			`${before} had rooted before and ${num(lost, 'is', 'are')} lost since: fewer than ${before - lost} rooted can't be.`,
			'rooted'
		);
	const newly = Math.max(0, rooted - before);
	const unrootedLost = lost - rootedLost;
	if (newly + unrootedLost > b.unrooted)
		return refuse('batch.more-rooted', 'More newly rooted than were left to root.', 'rooted');
	if (b.unrooted > 0) countedRooted(b.rootRecord, on, newly, unrootedLost);
	take(b, 'unrooted', newly + unrootedLost, 'oldest');
	const fromRooted = Math.min(rootedLost, b.rooted);
	take(b, 'rooted', fromRooted, 'newest');
	take(b, 'potted', rootedLost - fromRooted, 'newest');
	const looked = b.cohorts.map((c) => (c.stage === 'unrooted' ? { ...c, lookedOn: on } : c));
	setCohorts(b, [...looked, { stage: 'rooted', count: newly, since: on, aliveOn: on, lookedOn: null }]);
	b.lost += lost;
	tally(b, 'rooted', newly, unrootedLost);
	tally(b, 'potted', 0, fromRooted);
	tally(b, 'ready', 0, rootedLost - fromRooted);
	return ok({ newly, unrootedLost });
}

/** Tapped cells must tell the same as the counts; then they are the tray's new marks. */
function cellsFit(b: Batch, d: Checked, rootedBefore: number, lost: number): Result<true> {
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
