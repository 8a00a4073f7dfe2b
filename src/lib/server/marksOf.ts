/** What was last said of the works of the round, by work and plant. */
import type { CareRow } from './store/care.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Mark } from '$lib/core/round/marks.js';

/** By work and plant. A batch that was moved has marks at both its places: the later ones hold. */
export function marksOf(cares: readonly CareRow[]): ReadonlyMap<string, Mark> {
	let found = known.get(cares);
	if (found) return found;
	const marks = new Map<string, Mark>();
	const day = (iso: string | undefined) => (iso === undefined ? null : dayNumber(iso));
	const later = (a: DayNumber | null, b: DayNumber | null) => (a === null ? b : b === null ? a : Math.max(a, b));
	for (const row of cares)
		for (const [target, m] of Object.entries(row.marks)) {
			const key = `${row.care} ${target}`;
			const before = marks.get(key);
			marks.set(key, {
				done: later(before?.done ?? null, day(m.done)),
				skipped: later(before?.skipped ?? null, day(m.skipped)),
				until: later(before?.until ?? null, day(m.until))
			});
		}
	known.set(cares, (found = marks));
	return found;
}
const known = new WeakMap<readonly CareRow[], ReadonlyMap<string, Mark>>();
