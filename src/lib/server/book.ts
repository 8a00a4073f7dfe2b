/** What pieces stand in here: the handbook's vessels and the garden's own. */
import { handbook } from './handbook.js';
import type { Snapshot } from './snapshot.js';
import { ownContainer } from '$lib/core/mix/own.js';
import type { Book } from '$lib/core/mix/stands.js';

const books = new WeakMap<Snapshot['vessels'], Book>();

/** One and the same object while the garden's own vessels are the same. */
export function bookOf({ vessels }: Pick<Snapshot, 'vessels'>): Book {
	let book = books.get(vessels);
	if (!book) {
		const { containers, ways } = handbook();
		book = { ways, containers: new Map([...containers, ...vessels.map((v) => [v.id, ownContainer(v)] as const)]) };
		books.set(vessels, book);
	}
	return book;
}
