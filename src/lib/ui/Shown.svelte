<script lang="ts">
	/** What it is given, and nothing else: the root of a part that comes to life by itself (Island.svelte). */
	import type { Snippet } from 'svelte';
	let { children }: { children: Snippet } = $props();
</script>

{@render children()}
