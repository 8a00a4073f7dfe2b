<script lang="ts">
	/**
	 * A part that comes to life by itself, after the rest of the page. The server writes it like any other; on a slow phone
	 * the page answers first, and the thread is free for a touch before each part. Until then its links and forms work as
	 * the server wrote them. Once the page has come to life, what is shown later is shown like anything else.
	 */
	import { getAllContexts, hydrate, mount, onMount, unmount } from 'svelte';
	import type { Snippet } from 'svelte';
	import Shown from './Shown.svelte';
	import { alive, inTurn, revived, written } from './island.js';

	interface Props {
		/** It is what the page is about: it does not wait. */
		now?: boolean;
		/** It is what is touched first: it comes before the others that wait. */
		first?: boolean;
		children: Snippet;
	}
	let { now = false, first = false, children }: Props = $props();
	// Decided once, as the server did: what was written as a part of its own is read as one.
	const own = (() => !now && !alive())();
	const uid = $props.id();
	const context = getAllContexts();
	let box = $state<HTMLElement>();

	onMount(() => {
		if (!box) return;
		const target = box.firstElementChild!;
		let living: Record<string, unknown> | null = null;
		const called = inTurn(() => {
			const how = { target, props: { children }, context };
			living = target.hasChildNodes() ? revived(() => hydrate(Shown, how)) : mount(Shown, how);
		}, first);
		return () => {
			called();
			if (living) void unmount(living);
		};
	});
</script>

{#if own}
	<!-- In the browser what the server wrote is kept, whatever is said here. -->
	<div class="contents" bind:this={box}>{@html `<div class="contents">${written(Shown, { children }, context, uid)}</div>`}</div>
{:else}{@render children()}{/if}
