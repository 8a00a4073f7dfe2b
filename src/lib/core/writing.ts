/**
 * How the person who reads writes dates and numbers. Sentences are built in many places and read by one person: the
 * choice surrounds the building (a request on the server, the page on the device) instead of being handed through it.
 */

/** "1 May 2027", "May 1, 2027", "1.5.2027", "2027-05-01". */
export const DAY_WRITINGS = ['day-first', 'month-first', 'dots', 'iso'] as const;
export type DayWriting = (typeof DAY_WRITINGS)[number];

/** "1,234.5", "1.234,5", "1 234,5". */
export const NUMBER_WRITINGS = ['point', 'comma', 'space'] as const;
export type NumberWriting = (typeof NUMBER_WRITINGS)[number];

export interface Writing {
	days: DayWriting;
	numbers: NumberWriting;
}

/** As the ledger is kept, and as everyone reads who has not chosen. */
export const PLAIN: Writing = { days: 'day-first', numbers: 'point' };

let chosen: () => Writing = () => PLAIN;

/** The writing of whoever reads now. */
export const writing = (): Writing => chosen();

/** Says where the choice of whoever reads now is found. */
export function writtenAs(read: () => Writing): void {
	chosen = read;
}

/** What is stored is written in one hand, whoever makes it. `work` must not wait for anything. */
export function plainly<T>(work: () => T): T {
	const before = chosen;
	chosen = () => PLAIN;
	try {
		return work();
	} finally {
		chosen = before;
	}
}
