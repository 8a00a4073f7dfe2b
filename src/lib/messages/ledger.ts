/** What the ledger says around its entries. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// ledger
	ledger: (name: Said) => `Ledger · ${name}`,
	whatHappened: 'What happened',
	everyEntryTheNewest: 'Every entry, the newest first. Nothing is ever changed or lost; an undo is an entry too.',
	saveAsCsv: 'Save as CSV',
	words: 'Words',
	what: 'What',
	kindOfPlant: 'Kind of plant',
	allKinds: 'all kinds',
	from: 'From',
	to: 'To',
	find: 'Find',
	showAllAgain: 'Show all again',
	nothingInTheLedger: 'Nothing in the ledger fits that.',
	nothingLoggedYet: 'Nothing logged yet.',
	day: 'Day',
	entry: 'Entry',
	undo: 'Undo',
	undone: 'undone',
	pages: 'Pages',
	newest: 'Newest',
	older: 'Older',
	everyEntry: 'every entry',
	whatWordsMayBe: 'code, kind, place, note'
};

export const texts = inLanguages({ en });
