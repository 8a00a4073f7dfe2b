/**
 * Cohorts: the pieces of a batch that came to the same stage on the same day and have been seen together since.
 * Whatever is done with some of them, the rest keep their own days.
 */
export const COHORT_STAGES = ['unrooted', 'rooted', 'potted'] as const;
export type CohortStage = (typeof COHORT_STAGES)[number];

export interface Cohort {
	stage: CohortStage;
	count: number;
	/** Day on which it came to the stage. */
	since: string;
	/** Last day on which it was counted or handled alive: a winter before that has been come through. */
	aliveOn: string;
	/** Day of the last look that counted the rooted, for those that had not; null if none. */
	lookedOn: string | null;
}

export const countAt = (cohorts: readonly Cohort[], stage: CohortStage): number =>
	cohorts.reduce((n, c) => (c.stage === stage ? n + c.count : n), 0);

/** Cohorts alike in stage and days are one; empty ones go. Furthest on first, then the oldest. */
export function tidied(cohorts: readonly Cohort[]): Cohort[] {
	const merged = new Map<string, Cohort>();
	for (const c of cohorts) {
		if (c.count <= 0) continue;
		const key = `${c.stage} ${c.since} ${c.aliveOn} ${c.lookedOn}`;
		const same = merged.get(key);
		if (same) same.count += c.count;
		else merged.set(key, { ...c });
	}
	const rank = (c: Cohort) => -COHORT_STAGES.indexOf(c.stage);
	return [...merged.values()].sort(
		(a, b) => rank(a) - rank(b) || a.since.localeCompare(b.since) || a.aliveOn.localeCompare(b.aliveOn)
	);
}

/** Takes so many of a stage out, the oldest or the newest first; says what stays and what was taken. */
export function takeOf(
	cohorts: readonly Cohort[],
	stage: CohortStage,
	count: number,
	first: 'oldest' | 'newest'
): { left: Cohort[]; taken: Cohort[] } {
	const order = [...cohorts].sort((a, b) => (first === 'oldest' ? 1 : -1) * a.since.localeCompare(b.since));
	const left: Cohort[] = [];
	const taken: Cohort[] = [];
	let open = count;
	for (const c of order) {
		const n = c.stage === stage ? Math.min(open, c.count) : 0;
		if (n > 0) taken.push({ ...c, count: n });
		if (c.count > n) left.push({ ...c, count: c.count - n });
		open -= n;
	}
	return { left: tidied(left), taken };
}

/** All have been seen alive on a day. */
export const seenAlive = (cohorts: readonly Cohort[], on: string): Cohort[] =>
	tidied(cohorts.map((c) => ({ ...c, aliveOn: on > c.aliveOn ? on : c.aliveOn })));
