<script lang="ts">
	/** Settings of a garden. The first run asks where it is and shows what follows; the rest can be opened. */
	import { texts } from '$lib/messages/garden.js';
	import Act from './Act.svelte';
	import ChoiceField from './ChoiceField.svelte';
	import DayField from './DayField.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import GardenWinter from './GardenWinter.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';
	import TownField from './TownField.svelte';
	import { GardenTyped } from './gardenTyped.svelte.js';
	import type { GardenStart } from './gardenTyped.svelte.js';

	interface Props {
		start: GardenStart;
		year: number;
		/** The first run shows only what a plan needs; the rest has its own screen. */
		brief?: boolean;
	}
	let { start, year, brief = false }: Props = $props();
	const s = (() => start)();
	const typed = new GardenTyped(s, (() => year)());
	let name = $state(s.name);
	let minutes = $state(s.minutes_per_week);
	let away = $state(s.away.map((a) => ({ ...a })));
	const moneyName = new Intl.DisplayNames(['en'], { type: 'currency' });
	const CURRENCIES = Intl.supportedValuesOf('currency').map((c) => ({
		value: c,
		name: c,
		also: moneyName.of(c),
		beside: moneyName.of(c)
	}));
</script>

{#snippet details()}
	<div class="grid gap-4 sm:grid-cols-3" onchange={() => void typed.guess()}>
		<Field label={texts.latitude} name="latitude" bind:value={typed.latitude} unit="°" numeric hint={texts.southIsNegative} />
		<Field label={texts.longitude} name="longitude" bind:value={typed.longitude} unit="°" numeric hint={texts.westIsNegative} />
		<Field label={texts.height} name="height" bind:value={typed.height} unit={typed.long.unit} numeric />
	</div>
	<div class="mt-4 grid gap-4 sm:grid-cols-3" onchange={() => typed.unitsByHand()}>
		<SelectField
			label={texts.lengths}
			name="units"
			bind:value={typed.units}
			items={[
				{ value: 'metric', name: texts.metricCmML },
				{ value: 'us', name: texts.usInFtQt }
			]}
		/>
		<SelectField
			label={texts.temperature}
			name="temperature"
			bind:value={typed.temperature}
			items={[
				{ value: 'C', name: '°C' },
				{ value: 'F', name: '°F' }
			]}
		/>
		<ChoiceField label={texts.currency} name="currency" bind:value={typed.currency} items={CURRENCIES} />
	</div>
{/snippet}

{#if !brief}<Field label={texts.nameOfTheGarden} name="name" bind:value={name} maxlength={80} />{/if}
<TownField {typed} />
{#if brief}
	<Fold label={texts.positionHeightAndUnits}>{@render details()}</Fold>
{:else}
	<div>{@render details()}</div>
{/if}
<GardenWinter {typed} {brief} />
{#if brief}<Field label={texts.nameOfTheGarden} name="name" bind:value={name} maxlength={80} />{/if}
<fieldset class="border-t border-ink pt-3">
	<legend class="float-left mb-2 w-full font-head text-xl font-semibold">{texts.yourTime}</legend>
	<div class="clear-both">
		<Stepper label={texts.minutesAWeekYou} name="minutes" bind:value={minutes} step={15} max={10000} />
	</div>
	{#if !brief}
		<p class="mt-4 font-semibold">{texts.weeksAway}</p>
		{#each away as a, i (i)}
			<div class="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]">
				<DayField label={texts.from} name="away_from" bind:value={a.from} />
				<DayField label={texts.to} name="away_to" bind:value={a.to} />
				<Act type="button" onclick={() => (away = away.filter((_, j) => j !== i))}>{texts.remove}</Act>
			</div>
		{/each}
		<Act type="button" class="mt-3" onclick={() => (away = [...away, { from: '', to: '' }])}>{texts.addDaysAway}</Act>
	{/if}
</fieldset>
{#each typed.guessed as g (g)}<input type="hidden" name="guessed" value={g} />{/each}
