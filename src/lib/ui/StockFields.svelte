<script lang="ts">
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Field from './Field.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';

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
	const sizeLabel = $derived(measure === 'height' ? 'Height' : measure === 'pot' ? 'Width of its pot' : 'Width of the clump');
	let protection = $derived(at.protection);
	let count = $derived(at.count);
</script>

<Field
	label="Name on its label, or how you know it"
	name="label"
	value={at.label}
	maxlength={80}
	hint="Variety and trade name, if you know them."
/>
<SelectField
	label="Where"
	name="place_id"
	value={at.place_id ?? ''}
	items={[{ value: '', name: 'No place yet' }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
/>
<div class="grid gap-4 sm:grid-cols-2">
	<Stepper label="How many alike" name="count" bind:value={count} min={1} max={10000} />
	<Field label={sizeLabel} name="size" value={size} unit={length.unit} numeric hint="Blank: taken as usual." />
	<Field label="Age" name="age" value={at.age_years === null ? '' : String(at.age_years)} unit="years" numeric />
	<SelectField
		label="Condition"
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
	label="Is the variety protected?"
	name="protection"
	bind:value={protection}
	items={[
		{ value: 'unknown', name: 'not known' },
		{ value: 'free', name: 'no' },
		{ value: 'protected', name: 'yes, by a plant patent or breeder’s right' }
	]}
	hint="A protected variety may not be multiplied without a licence, whatever you do with the plants. The label says so by a number or “applied for”; the term is about 20 years from filing."
/>
{#if protection === 'protected'}
	<Field
		label="Protected until the end of"
		name="until"
		value={at.protected_until === null ? '' : String(at.protected_until)}
		unit="year"
		numeric
	/>
{/if}
