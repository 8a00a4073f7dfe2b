/**
 * What was typed on a page without being saved, kept while the tab is open, or on this device: measures serve every screen
 * that asks for them.
 */
import { browser } from '$app/environment';

export function remembered<T>(key: string, where: 'tab' | 'device' = 'tab'): { read(): T | null; write(value: T): void } {
	const store = () => (where === 'device' ? localStorage : sessionStorage);
	return {
		read() {
			if (!browser) return null;
			try {
				return JSON.parse(store().getItem(key) ?? 'null') as T | null;
			} catch {
				return null;
			}
		},
		write(value) {
			try {
				store().setItem(key, JSON.stringify(value));
			} catch {
				// A browser that keeps nothing: the page works all the same.
			}
		}
	};
}
