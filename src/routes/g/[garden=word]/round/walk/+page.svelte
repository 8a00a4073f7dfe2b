<script lang="ts">
	import { texts } from '$lib/messages/round.js';
	import Act from '$lib/ui/Act.svelte';
	/** The order one walks: dragged, or moved by its two buttons. */
	import { dndzone } from 'svelte-dnd-action';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	// svelte-dnd-action wants a list it may rearrange; it starts afresh when another order has been saved.
	const kept = $derived.by(steady(() => data.places));
	let items = $derived(kept.map((p) => ({ ...p })));
	const changed = $derived(items.some((p, i) => data.places[i]?.id !== p.id));
	let said = $state('');
	function move(i: number, by: number) {
		const next = [...items];
		const [item] = next.splice(i, 1);
		next.splice(i + by, 0, item!);
		items = next;
		said = texts.placeOf(item!.name, i + by + 1, next.length);
	}
</script>

<svelte:head><title>{texts.orderOfTheWalk2(data.garden.name)}</title></svelte:head>

<h1>{texts.theOrderYouWalk}</h1>
<p class="mt-1 max-w-xl text-faded">
	{texts.theRoundGoesFrom}
</p>

<ul
	class="mt-6 max-w-xl border-t border-ink"
	use:dndzone={{ items, flipDurationMs: 150, dropTargetStyle: {} }}
	onconsider={(e) => (items = e.detail.items)}
	onfinalize={(e) => (items = e.detail.items)}
	aria-label={texts.placesInTheOrder}
>
	{#each items as item, i (item.id)}
		<li class="flex min-h-14 items-center gap-3 border-b border-rule bg-glass pr-1">
			<GripVertical size={20} aria-hidden="true" class="shrink-0 text-faded" />
			<span class="w-6 text-faded">{i + 1}</span>
			<span class="flex-1 text-lg">{item.name}</span>
			<Act class="px-3" aria-label={texts.earlier(item.name)} disabled={i === 0} onclick={() => move(i, -1)}
				><ArrowUp size={20} aria-hidden="true" /></Act
			>
			<Act class="px-3" aria-label={texts.later(item.name)} disabled={i === items.length - 1} onclick={() => move(i, 1)}
				><ArrowDown size={20} aria-hidden="true" /></Act
			>
		</li>
	{/each}
</ul>
<p class="sr-only" aria-live="polite">{said}</p>
<div class="mt-6 flex flex-wrap items-start gap-4">
	{#if changed}
		<EntryForm action="" submit={texts.keepThisOrder} today={data.garden.today} dated={false} noted={false}>
			<input type="hidden" name="order" value={items.map((p) => p.id).join(',')} />
		</EntryForm>
	{/if}
	<Act href="/g/{data.garden.slug}/round">{texts.backToTheRound}</Act>
</div>
