<script lang="ts">
	/** No way is as sure as asked in time: what can be had instead. */
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { insteadOf } from '$lib/core/plan/instead.js';
	import Note from '$lib/ui/Note.svelte';
	import { money } from '$lib/ui/say.js';
	import { goes, sayAll } from './planSays.js';
	import type { PlannedWay } from './planSays.js';

	interface Props {
		ways: readonly PlannedWay[];
		due: string;
		target: number;
		confidence: number;
		buying: number;
		currency: string;
		/** Where a price of one's own is set. */
		handbook: string;
	}
	let { ways, due, target, confidence, buying, currency, handbook }: Props = $props();
	const instead = $derived(insteadOf(ways, confidence));
</script>

<Note tone="harm" class="mt-4 bg-pane py-3">
	<p class="text-lg font-semibold">
		{instead.nearly ? 'Not quite as sure as you ask' : 'You can’t be that sure of having them'} by {sayDate(due)}.
	</p>
	<ul class="mt-2 list-disc pl-5">
		{#if instead.most?.fallback}
			<li>
				The most that can be had by then: {instead.most.name}, {goes(instead.most.fallback)}, {instead.most.fallback.usually < 1
					? 'but don’t count on any'
					: `usually leave ${Math.floor(instead.most.fallback.usually)}; ${sayAll(instead.most.fallback.probability, target, confidence)}`}.
			</li>
		{/if}
		{#if instead.soonest?.earliest}
			<li>
				As sure as you ask by {sayDate(isoOf(instead.soonest.earliest.ready))}: {instead.soonest.name}, {instead.soonest.earliest
					.strike} struck on {sayDate(isoOf(instead.soonest.earliest.on))}.
			</li>
		{/if}
		<li>
			Bought, {target} would cost about {money(buying, currency)} (price per plant is a guess; set yours in the
			<a href={handbook}>handbook</a>).
		</li>
	</ul>
</Note>
