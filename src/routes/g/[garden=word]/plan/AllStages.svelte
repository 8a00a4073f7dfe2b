<script lang="ts">
	/** Each batch through its stages: when, how many, in what and where. */
	import { sayDate } from '$lib/core/dates.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import { texts } from '$lib/messages/plan.js';
	import type { PlanView } from '$lib/server/jointView.js';
	import Fold from '$lib/ui/Fold.svelte';
	import { STAGE_WORDS } from './says.js';

	let { wants }: { wants: PlanView['wants'] } = $props();
	const withBatches = $derived(wants.filter((w) => w.batches.length > 0));
</script>

{#if withBatches.length}
	<Fold label={texts.allStagesWithWhere} class="mt-6 border-t border-rule pt-2">
		{#each withBatches as w (w.id)}
			<h3 class="mt-4">{w.target} {w.name}{w.label ? `, ${w.label}` : ''}</h3>
			{#each w.batches as b (b.on + b.wayId + b.stockId)}
				<p class="mt-1 font-semibold">
					{sayDate(b.on)}: {b.pieces}
					{b.pieces === 1 ? b.piece[0] : b.piece[1]}{b.stock ? texts.from(b.stock) : ''}, {b.way.toLowerCase()}
				</p>
				<ul class="note list-disc pl-5">
					{#each b.stages as s, i (i)}
						<li>
							{texts.usually2(
								STAGE_WORDS[s.to] ?? s.to,
								sayDate(s.from),
								s.until > s.from ? texts.to2(sayDate(s.until)) : '',
								s.count,
								s.to !== 'planted' && s.containers ? texts.inWord(sayNumber(s.containers), s.container) : '',
								s.place ? `, ${s.place}` : ''
							)}
						</li>
					{/each}
				</ul>
			{/each}
		{/each}
	</Fold>
{/if}
