<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { untrack } from 'svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import StrikeFields from '$lib/ui/StrikeFields.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const asked = $derived.by(steady(() => data.stock));
	let stockId = $derived(asked);
	let wayId = $state(untrack(() => data.way));
	const stock = $derived(data.stocks.find((s) => s.id === stockId));
	const way = $derived(stock?.ways.find((w) => w.id === wayId) ?? stock?.ways[0]);
	$effect(() => {
		if (stock && !stock.ways.some((w) => w.id === wayId)) wayId = stock.ways[0]?.id ?? '';
	});
</script>

<svelte:head><title>{texts.strike2(data.garden.name)}</title></svelte:head>
<div class="max-w-xl">
	<h1>{texts.strikePieces}</h1>
	{#if data.stocks.length === 0}
		<p class="mt-4">{texts.thereIsNoStock}</p>
		<p class="mt-4"><Act main href="/g/{data.garden.slug}/stock/new">{texts.addAStockPlant}</Act></p>
	{:else}
		<div class="mt-6">
			<EntryForm action="" submit={texts.struck3} today={data.garden.today}>
				<SelectField
					label={texts.from3}
					name="stock_id"
					bind:value={stockId}
					placeholder={texts.chooseAStockPlant}
					items={data.stocks.map((s) => ({ value: s.id, name: s.name }))}
				/>
				{#if stock?.sentence}<Note tone={stock.refused ? 'harm' : 'now'}>
						{stock.sentence}
					</Note>{/if}
				{#if stock && way}
					<SelectField
						label={texts.way}
						name="way_id"
						bind:value={wayId}
						items={stock.ways.map((w) => ({
							value: w.id,
							name: w.open ? w.name : texts.itsWindowIsShut(w.name)
						}))}
						hint={texts.thisPlantGivesAbout(way.gives)}
					/>
					{#if data.foretold && way.id === data.way}<input type="hidden" name="foretold" value={data.foretold} />{/if}
					{#key stockId + way.id}
						<StrikeFields
							count={data.count && way.id === data.way ? data.count : Math.max(1, Math.min(way.gives, 12))}
							places={data.places}
							placeId={null}
							{way}
							limits={way}
							pieces={['piece', 'pieces']}
						/>
					{/key}
				{/if}
			</EntryForm>
		</div>
	{/if}
</div>
