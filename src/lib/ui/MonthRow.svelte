<script lang="ts">
	/** Names of the months over a column of year bars. */
	import { monthsOf } from './strip.js';
	interface Props {
		from: number;
	}
	let { from }: Props = $props();
	const SPAN = 380;
	const months = $derived(monthsOf(from, from + SPAN));
</script>

<div class="relative h-5" aria-hidden="true">
	{#each months as m (m.day)}<span class="note absolute" style:left="{((m.day - from) / SPAN) * 100}%"
			><span class="sm:hidden">{m.name[0]}</span><span class="hidden sm:inline">{m.name}</span></span
		>{/each}
</div>
