<script lang="ts">
	/** All pieces of a batch and where they are, to scale. Hatching and words beside the colour. */
	import { texts } from '$lib/messages/bench.js';
	import type { Batch } from '$lib/core/ledger/batch.js';
	interface Props {
		batch: Pick<
			Batch,
			'struck' | 'unrooted' | 'rooted' | 'potted' | 'planted' | 'given' | 'kept' | 'splitOff' | 'lost' | 'status' | 'plannedCount'
		>;
	}
	let { batch: b }: Props = $props();
	const parts = $derived(
		(
			[
				['planted', b.planted, 'bg-bottle'],
				['potted', b.potted, 'bg-leaf'],
				['rooted', b.rooted, 'bg-primary-300'],
				[texts.notRootedYet, b.unrooted, 'bg-catkin'],
				[texts.givenOrKept, b.given + b.kept + b.splitOff, 'bg-frost-pale'],
				['lost', b.lost, 'lost']
			] as const
		).filter(([, n]) => n > 0)
	);
</script>

{#if b.status === 'planned'}
	<p><span class="font-head text-2xl font-semibold">{b.plannedCount}</span> {texts.toStrike}</p>
{:else}
	<div class="flex h-4 border border-ink" aria-hidden="true">
		{#each parts as [word, n, colour] (word)}
			<div class={colour === 'lost' ? 'hatch' : colour} style:width="{(n / b.struck) * 100}%"></div>
		{/each}
	</div>
	<p class="note mt-1">{parts.map(([word, n]) => `${n} ${word}`).join(', ')}</p>
{/if}

<style>
	.hatch {
		background: repeating-linear-gradient(45deg, var(--color-field) 0 3px, var(--color-madder) 3px 4.5px);
	}
</style>
