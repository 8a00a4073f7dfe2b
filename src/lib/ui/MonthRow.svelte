<script lang="ts">
	/** Names of the months over a column of year bars. */
	import { monthsOf } from './strip.js';
	interface Props {
		from: number;
		span?: number;
	}
	let { from, span = 380 }: Props = $props();
	const months = $derived(monthsOf(from, from + span));
</script>

<div class="relative h-5" aria-hidden="true">
	{#each months as m (m.day)}<span class="note absolute" style:left="{((m.day - from) / span) * 100}%"
			><span class="sm:hidden">{m.name[0]}</span><span class="hidden sm:inline">{m.name}</span></span
		>{/each}
</div>
