<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import StockFields from '$lib/ui/StockFields.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const asked = $derived.by(steady(() => data.kind));
	let kindId = $derived(asked);
	const kind = $derived(data.kinds.find((k) => k.id === kindId));
	const blank = $derived({
		place_id: null,
		label: '',
		count: 1,
		size_cm: null,
		age_years: null,
		condition: 'strong',
		protection: kind?.protection.status ?? 'unknown',
		protected_until: null
	});
</script>

<svelte:head><title>{texts.aStockPlant(data.garden.name)}</title></svelte:head>
<div class="max-w-xl">
	<h1>{texts.aPlantThatCan}</h1>
	<p class="mt-1 text-faded">{texts.takeOnlyFromHealthy}</p>
	<div class="mt-6">
		<EntryForm action="" submit={texts.addIt} today={data.garden.today} dated={false}>
			<ChoiceField
				label={texts.kind}
				name="kind_id"
				bind:value={kindId}
				placeholder={texts.typeAnyNameOf}
				items={data.kinds.map((k) => ({ value: k.id, name: k.name, also: k.also, beside: k.species }))}
			/>
			{#key kindId}
				<StockFields units={data.garden.units} places={data.places} measure={kind?.measure ?? 'height'} at={blank} />
			{/key}
			{#if kind}<p class="note">{kind.protection.say}</p>{/if}
		</EntryForm>
	</div>
</div>
