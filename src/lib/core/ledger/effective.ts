import type { AnyEntry } from './entries.js';

/**
 * The entries that stand: without those reversed, and without the reversals. A reversal can itself be
 * reversed (undo of an undo), so they are weighed from the newest back.
 */
export function effective<E extends Pick<AnyEntry, 'id' | 'kind'> & { data: unknown }>(entries: readonly E[]): E[] {
	const void_ = new Set<string>();
	for (let i = entries.length - 1; i >= 0; i--) {
		const e = entries[i]!;
		if (e.kind === 'entry.reversed' && !void_.has(e.id)) void_.add((e.data as { reverses: string }).reverses);
	}
	return entries.filter((e) => e.kind !== 'entry.reversed' && !void_.has(e.id));
}
