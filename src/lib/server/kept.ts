/**
 * What was worked out once and may be asked for again. Bounded by the memory it takes, not by a count: a house with
 * fifty gardens keeps fifty small ones, and one with a record of a century does not crowd the rest out of memory.
 *
 * Nothing has to be told to forget: every key names the state it was worked out from (the ledger's last entry, the
 * station's last answer, the day), so a value of another state is never found, and several processes on one database
 * agree without speaking to each other.
 */
import { LRUCache } from 'lru-cache';
import { handOf } from './writing.js';

const MB = 1_048_576;

export class Kept<V extends object> {
	private readonly done: LRUCache<string, V>;
	private readonly underWay = new Map<string, Promise<V>>();

	/**
	 * @param sizeOf bytes, roughly; a value larger than all the room is not kept
	 * @param worded it holds sentences with dates or numbers, which each reader has as they write them
	 */
	constructor(
		megabytes: number,
		sizeOf: (value: V) => number,
		private readonly worded = false
	) {
		this.done = new LRUCache({ maxSize: megabytes * MB, sizeCalculation: (value) => Math.max(1, Math.ceil(sizeOf(value))) });
	}
	private keyOf(key: string): string {
		return this.worded ? `${handOf()} ${key}` : key;
	}
	get(key: string): V | undefined {
		return this.done.get(this.keyOf(key));
	}
	set(key: string, value: V): V {
		this.done.set(this.keyOf(key), value);
		return value;
	}
	/** The value of a key, made if it is not there. */
	of(key: string, make: () => V): V {
		return this.get(key) ?? this.set(key, make());
	}
	/** The same for what is waited for: those who ask meanwhile wait for the one; what fails is made anew. */
	async waited(key: string, make: () => Promise<V>): Promise<V> {
		const found = this.get(key);
		if (found) return found;
		const other = this.underWay.get(this.keyOf(key));
		if (other) return other;
		const made = make();
		this.underWay.set(this.keyOf(key), made);
		try {
			return this.set(key, await made);
		} finally {
			this.underWay.delete(this.keyOf(key));
		}
	}
}
