/** What was typed on a page without being saved, kept while the tab is open: measures serve every screen that asks for them. */
import { browser } from '$app/environment';

export function remembered<T>(key: string): { read(): T | null; write(value: T): void } {
	return {
		read() {
			if (!browser) return null;
			try {
				return JSON.parse(sessionStorage.getItem(key) ?? 'null') as T | null;
			} catch {
				return null;
			}
		},
		write(value) {
			try {
				sessionStorage.setItem(key, JSON.stringify(value));
			} catch {
				// A browser that keeps nothing: the page works all the same.
			}
		}
	};
}
