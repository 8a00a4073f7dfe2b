<script lang="ts">
	/** The winter of a garden: told in a sentence where it is a guess, and every figure of it to be set by whoever knows better. */
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { zoneOf } from '$lib/core/units/index.js';
	import DayField from './DayField.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import type { GardenTyped } from './gardenTyped.svelte.js';

	let { typed, brief }: { typed: GardenTyped; brief: boolean } = $props();
	const guessWord = (field: 'coldest' | 'frost') => (typed.isGuess(field) ? 'A guess: change it to what you know. ' : '');
	const known = $derived(Number.isFinite(typed.coldestC));
	const frosts = $derived(
		typed.noFrost
			? 'Frost hardly ever comes.'
			: typed.last && typed.first
				? `Frost until about ${sayDate(typed.last, false)}, and again from about ${sayDate(typed.first, false)}.`
				: ''
	);
</script>

{#snippet figures()}
	<div class="grid gap-4 sm:grid-cols-2">
		<div oninput={() => typed.know('coldest')} onchange={() => void typed.guess()}>
			<Field
				label="Coldest night of an average winter"
				name="coldest"
				bind:value={typed.coldest}
				unit={typed.warmth.unit}
				numeric
				hint="{guessWord('coldest')}{known ? `Hardiness zone ${zoneOf(typed.coldestC).zone}.` : ''}"
			/>
		</div>
		<div
			onchange={() => {
				typed.know('coldest');
				void typed.guess();
			}}
		>
			<Field label="Or the hardiness zone" name="zone" bind:value={typed.zone} hint="Like 7 or 7b; overrules the temperature." />
		</div>
	</div>
	<div class="mt-4">
		<Checkbox name="no_frost" bind:checked={typed.noFrost} onchange={() => typed.know('frost')}>Frost never comes</Checkbox>
	</div>
	{#if !typed.noFrost}
		<div class="mt-3 grid gap-4 sm:grid-cols-2" oninput={() => typed.know('frost')}>
			<DayField
				label="Average last frost"
				name="last_frost"
				bind:value={typed.last}
				hint="{guessWord('frost')}The year does not matter."
			/>
			<Field
				label="give or take"
				name="last_frost_sd"
				bind:value={typed.lastSd}
				unit="days"
				numeric
				hint="Two years in three fall within this."
			/>
			<DayField label="Average first frost" name="first_frost" bind:value={typed.first} hint={guessWord('frost')} />
			<Field label="give or take" name="first_frost_sd" bind:value={typed.firstSd} unit="days" numeric />
		</div>
	{/if}
{/snippet}

<fieldset class="border-t border-ink pt-3">
	<legend class="float-left mb-2 w-full font-head text-xl font-semibold">Its winter</legend>
	<div class="clear-both">
		{#if brief}
			<div role="status">
				{#if known}
					<p class="text-lg">
						<span class="figure">{typed.warmth.shown(typed.coldestC, 0).toString().replace('-', '−')}</span>
						<span class="unit"
							>{typed.warmth.unit}, the coldest night of an average winter: zone {zoneOf(typed.coldestC).zone}.</span
						>
					</p>
					<p class="mt-1 text-lg">{frosts}</p>
				{:else}
					<p class="text-faded">Choose the town, and its winter is worked out here.</p>
				{/if}
				{#if typed.because}<p class="note mt-1">{typed.because}</p>{/if}
			</div>
			<Fold label="My frosts are different" class="mt-1">{@render figures()}</Fold>
		{:else}
			{@render figures()}
			{#if typed.because}<p class="note mt-2" role="status">{typed.because}</p>{/if}
		{/if}
	</div>
</fieldset>
