/** What is wrong with a batch as it stands, in a word and a sentence: frost that was, a day off its window. */
import { isoOf, sayDate } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { fateWord, sayFell } from './frostSeen.js';
import type { FrostSeen } from './frostSeen.js';
import type { OffSeason } from './offSeason.js';

export interface Trouble {
	word: string;
	sentence: string;
	/** A night's frost, to be settled by a count. */
	frost: boolean;
}

/** "Usually 2 of 12 root." */
export function sayUsually(count: number, chance: number): string {
	const n = Math.round(count * chance);
	if (n === 0) return count === 1 ? 'Don’t count on it.' : 'Don’t count on any.';
	return `Usually ${n} of ${count} ${n === 1 ? 'takes' : 'take'}.`;
}

const better = ({ opens }: OffSeason): string =>
	opens === null ? 'Its window does not open here in most years.' : `Better from ${sayDate(isoOf(opens))}.`;

/** Of pieces that are to be struck out of season. */
export const sayOffSeason = (off: OffSeason, count: number, chance: number): string =>
	`Out of season. ${sayUsually(count, chance)} ${better(off)}`;

/** Of pieces that were. */
export const sayStruckOff = (count: number, chance: number): string => `Struck out of season. ${sayUsually(count, chance)}`;

export const sayFrost = (frost: FrostSeen, count: number): string =>
	`On ${sayDate(isoOf(frost.on), false)} it fell to ${sayFell(frost, count)}. Look, and count what lives.`;

export interface TroubleOf {
	status: 'planned' | 'growing' | 'dropped' | 'done';
	plannedOn: DayNumber | null;
	today: DayNumber;
	unrooted: number;
	/** Pieces in hand, or planned. */
	count: number;
	off: OffSeason | null;
	frost: FrostSeen | null;
	/** Chance that one takes, as things stand. */
	chance: number;
}

/** Null when nothing is. */
export function troubleOf(t: TroubleOf): Trouble | null {
	if (t.status === 'planned') {
		const gone = t.plannedOn !== null && t.plannedOn < t.today;
		if (t.off)
			return gone
				? {
						word: 'missed: its window is shut',
						sentence: `Its day has gone by. ${sayOffSeason(t.off, t.count, t.chance)}`,
						frost: false
					}
				: { word: 'planned out of season', sentence: sayOffSeason(t.off, t.count, t.chance), frost: false };
		return gone
			? { word: 'late', sentence: 'Its day has gone by, but its window is still open: strike now.', frost: false }
			: null;
	}
	if (t.frost) return { word: fateWord(t.frost.alive), sentence: sayFrost(t.frost, t.count), frost: true };
	if (t.off && t.unrooted > 0)
		return { word: 'struck out of season', sentence: sayStruckOff(t.unrooted, t.chance), frost: false };
	return null;
}
