<script lang="ts">
	/** A hedge or a bed as it is measured, and how many plants it asks for, counted as it is typed. */
	import { texts } from '$lib/messages/wants.js';
	import { bedCount, hedgeCount } from '$lib/core/ground/spacing.js';
	import { areaMeasure, longMeasure, sayArea, shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { readNumber } from '$lib/core/numbers.js';
	import Field from '$lib/ui/Field.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';

	interface Props {
		purpose: 'hedge' | 'bed';
		/** The kind's own, once one is chosen. */
		spacingCm: number | null;
		units: UnitChoice;
		/** Plants that the ground asks for; null while that cannot be told. */
		count: number | null;
	}
	let { purpose, spacingCm, units, count = $bindable() }: Props = $props();
	let length = $state('');
	let width = $state('');
	let area = $state('');
	let slope = $state('0');
	let spacing = $state('');
	let rows = $state('1');
	let pattern = $state('triangular');
	let spares = $state(0);

	const short = $derived(shortMeasure(units));
	const long = $derived(longMeasure(units));
	const surface = $derived(areaMeasure(units));
	const apart = $derived(short.read(spacing) ?? spacingCm ?? Number.NaN);
	const told = $derived.by(() => {
		if (purpose === 'hedge') {
			const hedge = hedgeCount({
				lengthM: long.read(length) ?? Number.NaN,
				spacingCm: apart,
				rows: rows === '2' ? 2 : 1,
				spares
			});
			return hedge.ok ? { count: hedge.value, on: '' } : null;
		}
		const bed = bedCount({
			areaM2: surface.read(area) ?? undefined,
			widthM: long.read(width) ?? undefined,
			lengthM: long.read(length) ?? undefined,
			slopeDeg: readNumber(slope) ?? 0,
			spacingCm: apart,
			pattern: pattern === 'square' ? 'square' : 'triangular',
			spares
		});
		return bed.ok ? { count: bed.value.count, on: texts.onOfGround(sayArea(bed.value.areaM2, units)) } : null;
	});
	$effect(() => {
		count = told?.count ?? null;
	});
</script>

<div class="grid gap-4 sm:grid-cols-2">
	{#if purpose === 'bed'}
		<Field label={texts.area} name="area" bind:value={area} unit={surface.unit} numeric hint={texts.orWidthAndLength} />
		<Field label={texts.width} name="width" bind:value={width} unit={long.unit} numeric />
	{/if}
	<Field
		label={purpose === 'hedge' ? texts.lengthOfTheHedge : texts.lengthAsOnA}
		name="length"
		bind:value={length}
		unit={long.unit}
		numeric
	/>
	<Field
		label={texts.spacing}
		name="spacing"
		bind:value={spacing}
		unit={short.unit}
		numeric
		hint={spacingCm === null ? '' : texts.leftBlankTheHandbooks(short.shown(spacingCm, 0), short.unit)}
	/>
	{#if purpose === 'hedge'}
		<SelectField
			label={texts.rows}
			name="rows"
			bind:value={rows}
			items={[
				{ value: '1', name: 'single' },
				{ value: '2', name: texts.twoStaggered }
			]}
			hint={texts.allAreStruckBy}
		/>
	{:else}
		<Field label={texts.slopeOfTheLength} name="slope" bind:value={slope} unit="°" numeric hint={texts.n0IsLevelThe} />
		<SelectField
			label={texts.pattern}
			name="pattern"
			bind:value={pattern}
			items={[
				{ value: 'triangular', name: texts.staggeredAllNeighboursAlike },
				{ value: 'square', name: 'square' }
			]}
		/>
	{/if}
	<Stepper label={purpose === 'hedge' ? texts.sparesForGaps : texts.spares} name="spares" bind:value={spares} max={500} />
</div>
{#if told}
	<Note tone="now" class="bg-pane py-2">
		<span class="figure">{told.count}</span>
		<span class="unit">{told.count === 1 ? texts.plant : texts.plants}{told.on}</span>
	</Note>
{/if}
