/** Long work that several may wait for: whoever asks meanwhile waits for the same, and when the last has gone it is stopped. */
import { DONE, STOP, watched } from './watched.js';
import type { Watched } from './watched.js';

interface One<T> {
	watch: Watched;
	waiting: number;
	made: T;
}

export interface Waited<T> {
	made: T;
	/** How far it is. */
	done: () => number;
	/** Whoever asked waits no longer. */
	leave: () => void;
}

export class UnderWay<T> {
	private readonly all = new Map<string, One<T>>();

	/** @param ended when the work of what was begun is over, however it ended */
	constructor(private readonly ended: (made: T) => Promise<unknown>) {}

	of(key: string, begin: (watch: Watched) => T): Waited<T> {
		const one = this.all.get(key) ?? this.begun(key, begin);
		one.waiting++;
		let left = false;
		return {
			made: one.made,
			done: () => Atomics.load(one.watch, DONE),
			leave: () => {
				if (left) return;
				left = true;
				if (--one.waiting > 0) return;
				Atomics.store(one.watch, STOP, 1);
				if (this.all.get(key) === one) this.all.delete(key);
			}
		};
	}

	private begun(key: string, begin: (watch: Watched) => T): One<T> {
		const watch = watched();
		const one: One<T> = { watch, waiting: 0, made: begin(watch) };
		this.all.set(key, one);
		const over = () => this.all.get(key) === one && this.all.delete(key);
		this.ended(one.made).then(over, over);
		return one;
	}
}
