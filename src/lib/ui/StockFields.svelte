<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Field from './Field.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';
	import { steady } from './steady.js';

	interface Props {
		units: UnitChoice;
		places: { id: string; name: string }[];
		measure: 'height' | 'diameter' | 'pot';
		at: {
			place_id: string | null;
			label: string;
			count: number;
			size_cm: number | null;
			age_years: number | null;
			condition: string;
			protection: string;
			protected_until: number | null;
		};
	}
	let { units, places, measure, at }: Props = $props();
	const length = $derived(shortMeasure(units));
	const size = $derived(at.size_cm === null ? '' : String(length.shown(at.size_cm, 1)));
	const sizeLabel = $derived(
		measure === 'height' ? texts.height : measure === 'pot' ? texts.widthOfItsPot : texts.widthOfTheClump
	);
	const given = $derived.by(steady(() => at.protection));
	const many = $derived.by(steady(() => at.count));
	let protection = $derived(given);
	let count = $derived(many);
</script>

<Field label={texts.nameOnItsLabel} name="label" value={at.label} maxlength={80} hint={texts.varietyAndTradeName} />
<SelectField
	label={texts.where}
	name="place_id"
	value={at.place_id ?? ''}
	items={[{ value: '', name: texts.noPlaceYet }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
/>
<div class="grid gap-4 sm:grid-cols-2">
	<Stepper label={texts.howManyAlike} name="count" bind:value={count} min={1} max={10000} />
	<Field label={sizeLabel} name="size" value={size} unit={length.unit} numeric hint={texts.blankTakenAsUsual} />
	<Field label={texts.age} name="age" value={at.age_years === null ? '' : String(at.age_years)} unit={texts.years} numeric />
	<SelectField
		label={texts.condition}
		name="condition"
		value={at.condition}
		items={[
			{ value: 'strong', name: 'strong' },
			{ value: 'fair', name: 'fair' },
			{ value: 'weak', name: 'weak' }
		]}
	/>
</div>
<SelectField
	label={texts.isTheVarietyProtected}
	name="protection"
	bind:value={protection}
	items={[
		{ value: 'unknown', name: texts.notKnown },
		{ value: 'free', name: 'no' },
		{ value: 'protected', name: texts.yesByAPlant }
	]}
	hint={texts.aProtectedVarietyMay}
/>
{#if protection === 'protected'}
	<Field
		label={texts.protectedUntilTheEnd}
		name="until"
		value={at.protected_until === null ? '' : String(at.protected_until)}
		unit={texts.year}
		numeric
	/>
{/if}
