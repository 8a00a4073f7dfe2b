import { takeHand } from '$lib/ui/hand.svelte.js';
import { twMerge } from '$lib/ui/tailwindMerge.js';
import { letGo } from '$lib/ui/island.js';

takeHand();

/**
 * Before the page comes to life: what merges classes sets itself up at its first call, which on a slow phone holds the
 * thread as long as a small page does; so it has a task of its own.
 */
export async function init(): Promise<void> {
	twMerge('flex', 'block');
	await letGo();
}
