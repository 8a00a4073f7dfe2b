<script lang="ts">
	import '@fontsource-variable/atkinson-hyperlegible-next';
	import '@fontsource-variable/bricolage-grotesque';
	import '../app.css';
	import { navigating } from '$app/state';
	import ThemeProvider from 'flowbite-svelte/ThemeProvider.svelte';
	import { onMount } from 'svelte';
	import type { Snippet } from 'svelte';
	import { cameAlive } from '$lib/ui/island.js';
	import { setButtonGroupContext } from '$flowbite/context.js';
	import { theme } from '$lib/ui/theme.js';
	let { children }: { children: Snippet } = $props();
	// Every button asks whether it is in a group, and where nothing answers an error is made and caught: 3 ms each.
	setButtonGroupContext(undefined as never);
	onMount(cameAlive);
</script>

<!-- A page that takes its time shows that it is coming. -->
{#if navigating.to}<div class="coming no-print" aria-hidden="true"></div>{/if}
<ThemeProvider {theme}>{@render children()}</ThemeProvider>

<style>
	.coming {
		position: fixed;
		inset: 0 auto auto 0;
		z-index: 60;
		width: 100%;
		height: 4px;
		background: var(--color-catkin);
		transform-origin: left;
		animation: coming 4s cubic-bezier(0.1, 0.7, 0.1, 1) forwards;
	}
	@keyframes coming {
		from {
			transform: scaleX(0);
		}
		to {
			transform: scaleX(0.95);
		}
	}
</style>
