<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import Act from '$lib/ui/Act.svelte';
	/** The way on where a long list was cut: how many more there are, and the next of them. */
	import { page } from '$app/state';
	interface Props {
		/** Rows shown now, and how many are not. */
		rows: number;
		hidden: number;
		/** "batch", "batches": what a row is. */
		of: [string, string];
		/** How many more at a time. */
		step?: number;
	}
	let { rows, hidden, of, step = 60 }: Props = $props();
	const next = $derived(Math.min(hidden, step));
	const others = $derived([...page.url.searchParams].flatMap(([k, v]) => (k === 'rows' ? [] : `${k}=${encodeURIComponent(v)}`)));
	const href = $derived(`?${[...others, `rows=${rows + step}`].join('&')}`);
</script>

{#if hidden > 0}
	<p class="no-print mt-4">
		<Act {href} data-sveltekit-noscroll data-sveltekit-keepfocus
			>{next < hidden
				? texts.showMoreOf(next, sayNumber(hidden), of[1])
				: texts.showTheLast(hidden === 1 ? of[0] : `${hidden} ${of[1]}`)}</Act
		>
	</p>
{/if}
