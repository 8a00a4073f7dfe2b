import type { Tallies } from '../evidence/tally.js';
import { STAGES } from '../handbook/schema.js';

/** Counts of the same pieces told in several parts, added up. */
export function tallied(...parts: readonly Tallies[]): Tallies {
	const sum: Tallies = {};
	for (const stage of STAGES)
		for (const part of parts) {
			const t = part[stage];
			if (!t) continue;
			const before = sum[stage] ?? { passed: 0, failed: 0 };
			sum[stage] = { passed: before.passed + t.passed, failed: before.failed + t.failed };
		}
	return sum;
}
