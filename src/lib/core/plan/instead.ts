/** What can be had instead, where nothing is as sure as asked in time. */
import type { WayOutlook } from './planTypes.js';

type Outlook = Pick<WayOutlook, 'fallback' | 'earliest'>;

/** A way that gives the whole at all comes before one that gives more on average but never the whole. */
const WORTH_A_TRY = 0.02;
/** So little below the odds asked for is not quite them, and no more than that. */
const NEARLY = 0.1;

/** The most that can be had by the day, and what is as sure as asked soonest after it. */
export function insteadOf<W extends Outlook>(
	ways: readonly W[],
	confidence: number
): { most: W | null; soonest: W | null; nearly: boolean } {
	const worth = (w: W): number => {
		const { probability, usually } = w.fallback!;
		return (probability >= WORTH_A_TRY ? probability * 1e6 : 0) + usually;
	};
	const most = ways.filter((w) => w.fallback).sort((a, b) => worth(b) - worth(a))[0] ?? null;
	const soonest = ways.filter((w) => w.earliest).sort((a, b) => a.earliest!.ready - b.earliest!.ready)[0] ?? null;
	return { most, soonest, nearly: (most?.fallback?.probability ?? 0) >= confidence - NEARLY };
}
