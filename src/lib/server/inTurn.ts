/**
 * Who writes in one garden goes one after another, in the order they came. The garden's row is the lock between
 * processes; within one they queue here, so that a crowd of writers holds one connection and not all, and readers
 * are let through.
 */
import pLimit from 'p-limit';
import type { LimitFunction } from 'p-limit';
import { DatabaseBusy } from './db.js';

/** So many may wait for one garden; who comes after them is told at once. A wait of some seconds at most. */
export const MOST_WAITING = 200;

const lines = new Map<string, LimitFunction>();

/**
 * Runs work when all that came before it for this garden are through.
 * @throws DatabaseBusy where too many wait already
 */
export async function inTurn<T>(gardenId: string, work: () => Promise<T>): Promise<T> {
	let line = lines.get(gardenId);
	if (!line) lines.set(gardenId, (line = pLimit(1)));
	if (line.pendingCount >= MOST_WAITING) throw new DatabaseBusy('too many wait to write in this garden');
	try {
		return await line(work);
	} finally {
		if (line.activeCount + line.pendingCount === 0) lines.delete(gardenId);
	}
}

/** How many gardens have someone writing. */
export const writingIn = (): number => lines.size;
