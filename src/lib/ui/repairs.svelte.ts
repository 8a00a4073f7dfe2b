/** What mends wants that have slipped: asked after a while, for it takes a plan of the whole garden, and only who stays reads it. */
import type { Repair } from '$lib/core/joint/repair.js';

const AFTER_MS = 2_000;

/** @param key changes when the garden has changed: then it is asked anew */
export function repairsLater(base: () => string, key: () => unknown): { readonly list: Repair[] } {
	let list = $state.raw<Repair[]>([]);
	$effect(() => {
		const url = `${base()}/plan/repairs.json`;
		key();
		list = [];
		const ending = new AbortController();
		const timer = setTimeout(() => void ask(url, ending.signal), AFTER_MS);
		return () => {
			clearTimeout(timer);
			ending.abort();
		};
	});
	async function ask(url: string, signal: AbortSignal) {
		try {
			const response = await fetch(url, { signal });
			if (response.ok) list = (await response.json()) as Repair[];
		} catch {
			// Away, or the app does not answer: the page says all else without it.
		}
	}
	return {
		get list() {
			return list;
		}
	};
}
