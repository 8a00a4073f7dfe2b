/** What one form of a kind has taught, kept apart from the other forms of it when there is enough. */
import { grouped } from '../grouped.js';
import type { StageName } from '../handbook/schema.js';
import { EVIDENCE } from './judged.js';
import type { Tallies, Tally } from './tally.js';

/** A form's own batches: what they are worth together, and how many pieces in how many batches were counted. */
export interface FormRecord {
	worth: Tallies;
	counted: Partial<Record<StageName, { pieces: number; batches: number }>>;
}

const FROM = EVIDENCE.formFrom.value;
const OTHERS = EVIDENCE.othersAtMost.value;
const NONE: Tally = { passed: 0, failed: 0 };

/** Whether a form's own counts at a stage are enough to go by. */
export const isEnough = (c: { pieces: number; batches: number } | undefined): boolean =>
	c !== undefined && c.pieces >= FROM.pieces && c.batches >= FROM.batches;

/** What each form of a list of batches has taught. */
export function formsOf(
	batches: readonly { form: string; tallies: Tallies }[],
	worth: (t: Tallies[]) => Tallies
): Map<string, FormRecord> {
	const lists = grouped(batches, (b) => b.form);
	return new Map(
		[...lists].map(([form, list]) => {
			const counted: FormRecord['counted'] = {};
			for (const { tallies } of list)
				for (const [stage, t] of Object.entries(tallies) as [StageName, Tally][]) {
					const pieces = t.passed + t.failed;
					if (pieces <= 0) continue;
					const c = (counted[stage] ??= { pieces: 0, batches: 0 });
					c.pieces += pieces;
					c.batches += 1;
				}
			return [form, { worth: worth(list.map((b) => b.tallies)), counted }];
		})
	);
}

/**
 * The evidence for a form: where its own counts at a stage are enough they stand, and the kind's other forms are worth
 * so many pieces struck apart at most, for forms of a kind root alike but not the same; elsewhere all forms count alike.
 *
 * @param all what all batches of the kind's way are worth, this form's among them
 */
export function forForm(all: Tallies, own: FormRecord): Tallies {
	const told: Tallies = { ...all };
	for (const [stage, mine] of Object.entries(own.worth) as [StageName, Tally][]) {
		if (!isEnough(own.counted[stage])) continue;
		const sum = all[stage] ?? NONE;
		const others = { passed: Math.max(0, sum.passed - mine.passed), failed: Math.max(0, sum.failed - mine.failed) };
		const pieces = others.passed + others.failed;
		const share = pieces > OTHERS ? OTHERS / pieces : 1;
		told[stage] = { passed: mine.passed + others.passed * share, failed: mine.failed + others.failed * share };
	}
	return told;
}

/** "‘Blue’: 30 of 34 rooted here. That is often enough to go by its own record." */
export function sayForm(form: string, { passed, failed }: Tally, passedWord: string): string {
	const pieces = Math.round(passed + failed);
	return `${form}: ${Math.round(passed)} of ${pieces} ${passedWord} here. That is often enough to go by its own record.`;
}
