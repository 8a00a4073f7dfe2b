<script lang="ts">
	import '@fontsource-variable/atkinson-hyperlegible-next';
	import '@fontsource-variable/bricolage-grotesque';
	import '../app.css';
	import { ThemeProvider } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import { theme } from '$lib/ui/theme.js';
	let { children }: { children: Snippet } = $props();
</script>

<ThemeProvider {theme}>{@render children()}</ThemeProvider>
