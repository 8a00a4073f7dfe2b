/** What is said of moves in their order. */
import { sayDate } from '../dates.js';
import type { IsoDate } from '../dates.js';

/** "3 moves; 2 plants wait in between". */
export const sayMoves = (moves: number, held: number): string =>
	`${moves} ${moves === 1 ? 'move' : 'moves'}; ${
		held === 0 ? 'nothing waits in between' : `${held} ${held === 1 ? 'plant waits' : 'plants wait'} in between`
	}`;

/** A weight as a person would say it: to the kilo when small, then to five. */
export const sayKilos = (kg: number): string => `${kg < 10 ? Math.round(kg) : Math.round(kg / 5) * 5} kg`;

/** "14 of 16 come along, about 120 kg". */
export const sayLoad = (coming: number, all: number, kg: number): string =>
	`${coming === all ? (all === 1 ? 'It comes' : `All ${all} come`) : `${coming} of ${all} come`} along, about ${sayKilos(kg)}`;

/** When the first and the last are made; null where one has no day. */
export function sayMovesDays(first: IsoDate | null, last: IsoDate | null, today: IsoDate): string {
	if (first === null) return 'No day suits the first of them.';
	if (last === null)
		return `${first <= today ? 'The first can be made today' : `The first can be made on ${sayDate(first)}`}; not all find a day.`;
	if (last <= today) return 'Today suits all of them.';
	if (first === last) return `${sayDate(first)} suits all of them.`;
	return `${first <= today ? 'From today' : `From ${sayDate(first)}`} to ${sayDate(last)}, each on its day.`;
}
