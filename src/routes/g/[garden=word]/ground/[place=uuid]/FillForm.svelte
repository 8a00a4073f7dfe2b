<script lang="ts">
	/** What the bed is to be filled with, how close and in which pattern. */
	import { texts } from '$lib/messages/ground.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Act from '$lib/ui/Act.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { longMeasure, shortMeasure } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	let {
		kinds,
		hedge,
		units,
		kind = $bindable(),
		beside = $bindable(),
		share = $bindable(),
		spacing = $bindable(),
		margin = $bindable(),
		pattern = $bindable(),
		gaps = $bindable(),
		turn = $bindable(),
		onask
	}: {
		kinds: PageData['kinds'];
		hedge: boolean;
		units: PageData['garden']['units'];
		kind: string;
		beside: string;
		share: string;
		spacing: string;
		margin: string;
		pattern: string;
		gaps: string;
		turn: boolean;
		onask: () => void;
	} = $props();
	const short = $derived(shortMeasure(units));
</script>

<form
	class="no-print flex flex-col gap-4"
	onsubmit={(e) => {
		e.preventDefault();
		onask();
	}}
>
	<ChoiceField
		label={texts.kind}
		name="kind"
		items={kinds.map((k) => ({ value: k.id, name: k.name, beside: k.have ? texts.youHaveIt : '' }))}
		bind:value={kind}
	/>
	<ChoiceField
		label={texts.mixedWith}
		name="beside"
		items={[
			{ value: '', name: texts.nothingElse, beside: '' },
			...kinds.filter((k) => k.id !== kind).map((k) => ({ value: k.id, name: k.name, beside: k.have ? texts.youHaveIt : '' }))
		]}
		bind:value={beside}
	/>
	{#if beside}<Field label={texts.shareOfThat} name="share" bind:value={share} unit="%" numeric hint={texts.from10To90} />{/if}
	<Field label={texts.spacing} name="spacing" bind:value={spacing} unit={short.unit} numeric hint={texts.leftBlankTheHandbooks} />
	<Field label={texts.fromTheEdgeAt} name="margin" bind:value={margin} unit={short.unit} numeric hint={texts.leftBlankTheyMay} />
	<SelectField
		label={texts.pattern}
		name="pattern"
		bind:value={pattern}
		items={[
			{ value: 'triangular', name: texts.staggeredAllNeighboursAlike },
			{ value: 'square', name: 'square' },
			{ value: 'drift', name: texts.aDriftAsIf }
		]}
	/>
	{#if hedge}<Field
			label={texts.gapsInTheStanding}
			name="gaps"
			bind:value={gaps}
			unit={longMeasure(units).unit}
			hint={texts.eachFromOnePlant}
		/>{/if}
	{#if pattern !== 'drift'}<Checkbox bind:checked={turn}>{texts.rowsInAnyDirection}</Checkbox>{/if}
	<Act type="submit" main>{texts.fillIt}</Act>
</form>
