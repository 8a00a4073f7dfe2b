<script lang="ts">
	/** The same bed closer or wider planted: how many, when they touch, what they would cost. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/ground.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Act from '$lib/ui/Act.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import { sayWhen } from '$lib/core/ground/words.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { sayLength, shortMeasure } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	type Filled = NonNullable<PageData['filled']>;
	let {
		f,
		bed,
		units,
		currency,
		base,
		address,
		spacing = $bindable()
	}: {
		f: Filled;
		bed: PageData['bed'];
		units: PageData['garden']['units'];
		currency: string;
		base: string;
		address: (over?: Record<string, string>) => string;
		spacing: string;
	} = $props();
	const short = $derived(shortMeasure(units));
</script>

<section class="mt-8" aria-labelledby="choices">
	<h2 id="choices" class="border-b border-ink pb-1">{texts.closerOrWider}</h2>
	<Rows
		caption={texts.closerOrWider}
		silent
		heads={[
			texts.apart2,
			{ name: texts.plants, end: true },
			texts.theyTouch,
			{ name: texts.earthCovered, wide: true },
			{ name: texts.ifBought, end: true }
		]}
		rows={f.choices}
		key={(c) => c.spacingCm}
	>
		{#snippet cells(c: Filled['choices'][number])}
			{@const mine = c.spacingCm === f.asked.spacingCm}
			{@const as = String(Math.round(short.shown(c.spacingCm) * 10) / 10)}
			<TableBodyCell class="whitespace-nowrap {mine ? 'font-semibold' : ''}">
				{#if mine}{sayLength(c.spacingCm, units)}{:else}<TextAct href={address({ spacing: as })} onclick={() => (spacing = as)}
						>{sayLength(c.spacingCm, units)}</TextAct
					>{/if}
			</TableBodyCell>
			<TableBodyCell class="text-right text-lg font-semibold">{c.count}</TableBodyCell>
			<TableBodyCell>{sayWhen(c.touch) ?? texts.never}</TableBodyCell>
			<TableBodyCell class="hidden sm:table-cell">{sayWhen(c.closed) ?? texts.never}</TableBodyCell>
			<TableBodyCell class="text-right whitespace-nowrap">{sayMoney(c.money, currency)}</TableBodyCell>
		{/snippet}
	</Rows>
	<p class="note mt-2 max-w-prose">
		{texts.howWideAPlant(
			f.pattern === 'drift'
				? texts.noTwoAreNearer
				: f.exact
					? texts.noOtherPlaceOf
					: f.turn
						? texts.theBestOfThe
						: texts.soLargeThatNot
		)}
	</p>
	<div class="no-print mt-3 flex flex-wrap gap-3">
		<Act href="{base}/ground/{bed.id}/sheet.pdf{address()}">{texts.printItToScale}</Act>
		{#each f.mix ? [{ ...f.kind, n: f.mix.counts[0] }, { ...f.mix.kind, n: f.mix.counts[1] }] : [{ ...f.kind, n: f.asked.count }] as k (k.id)}
			<Act href="{base}/wants/new?kind={k.id}&count={k.n}&place={bed.id}"
				>{texts.sayThatYouWant(k.n, f.mix ? k.name : texts.ofThem)}</Act
			>
		{/each}
	</div>
</section>
