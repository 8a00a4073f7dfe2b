<script lang="ts">
	/** The winter of a garden: told in a sentence where it is a guess, and every figure of it to be set by whoever knows better. */
	import { texts } from '$lib/messages/garden.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { zoneOf } from '$lib/core/units/index.js';
	import DayField from './DayField.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import type { GardenTyped } from './gardenTyped.svelte.js';

	let { typed, brief }: { typed: GardenTyped; brief: boolean } = $props();
	const guessWord = (field: 'coldest' | 'frost') => (typed.isGuess(field) ? texts.aGuessChangeIt : '');
	const known = $derived(Number.isFinite(typed.coldestC));
	const frosts = $derived(
		typed.noFrost
			? texts.frostHardlyEverComes
			: typed.last && typed.first
				? texts.frostUntilAboutAnd(sayDate(typed.last, false), sayDate(typed.first, false))
				: ''
	);
</script>

{#snippet figures()}
	<div class="grid gap-4 sm:grid-cols-2">
		<div oninput={() => typed.know('coldest')} onchange={() => void typed.guess()}>
			<Field
				label={texts.coldestNightOfAn}
				name="coldest"
				bind:value={typed.coldest}
				unit={typed.warmth.unit}
				numeric
				hint="{guessWord('coldest')}{known ? texts.hardinessZone(zoneOf(typed.coldestC).zone) : ''}"
			/>
		</div>
		<div
			onchange={() => {
				typed.know('coldest');
				void typed.guess();
			}}
		>
			<Field label={texts.orTheHardinessZone} name="zone" bind:value={typed.zone} hint={texts.like7Or7b} />
		</div>
	</div>
	<div class="mt-4">
		<Checkbox name="no_frost" bind:checked={typed.noFrost} onchange={() => typed.know('frost')}>{texts.frostNeverComes}</Checkbox>
	</div>
	{#if !typed.noFrost}
		<div class="mt-3 grid gap-4 sm:grid-cols-2" oninput={() => typed.know('frost')}>
			<DayField
				label={texts.averageLastFrost}
				name="last_frost"
				bind:value={typed.last}
				hint={texts.theYearDoesNot(guessWord('frost'))}
			/>
			<Field
				label={texts.giveOrTake}
				name="last_frost_sd"
				bind:value={typed.lastSd}
				unit={texts.days}
				numeric
				hint={texts.twoYearsInThree}
			/>
			<DayField label={texts.averageFirstFrost} name="first_frost" bind:value={typed.first} hint={guessWord('frost')} />
			<Field label={texts.giveOrTake} name="first_frost_sd" bind:value={typed.firstSd} unit={texts.days} numeric />
		</div>
	{/if}
{/snippet}

<fieldset class="border-t border-ink pt-3">
	<legend class="float-left mb-2 w-full font-head text-xl font-semibold">{texts.itsWinter}</legend>
	<div class="clear-both">
		{#if brief}
			<div role="status">
				{#if known}
					<p class="text-lg">
						<span class="figure">{typed.warmth.shown(typed.coldestC, 0).toString().replace('-', '−')}</span>
						<span class="unit">{texts.theColdestNightOf(typed.warmth.unit, zoneOf(typed.coldestC).zone)}</span>
					</p>
					<p class="mt-1 text-lg">{frosts}</p>
				{:else}
					<p class="text-faded">{texts.chooseTheTownAnd}</p>
				{/if}
				{#if typed.because}<p class="note mt-1">{typed.because}</p>{/if}
			</div>
			<Fold label={texts.myFrostsAreDifferent} class="mt-1">{@render figures()}</Fold>
		{:else}
			{@render figures()}
			{#if typed.because}<p class="note mt-2" role="status">{typed.because}</p>{/if}
		{/if}
	</div>
</fieldset>
