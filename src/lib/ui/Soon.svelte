<script lang="ts">
	/**
	 * What a tap opens, shown once the page has answered: the button is seen pressed at once, and what takes longer to
	 * make comes with the frame after. What the server wrote is there from the start.
	 */
	import { onMount } from 'svelte';
	import type { Snippet } from 'svelte';
	import { afterPaint, alive } from './island.js';
	let { children }: { children: Snippet } = $props();
	let here = $state(!alive());
	onMount(() => (here ? undefined : afterPaint(() => (here = true))));
</script>

{#if here}{@render children()}{/if}
