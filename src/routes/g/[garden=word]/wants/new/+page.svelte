<script lang="ts">
	import WouldTake from '$lib/ui/WouldTake.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Chip from '$lib/ui/Chip.svelte';
	import { bedCount, hedgeCount } from '$lib/core/ground/index.js';
	import { cmFromInches, inchesFromCm, metresFromFeet, sayArea } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import { PURPOSE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();

	type Purpose = keyof typeof PURPOSE_WORDS;
	const PURPOSES = Object.entries(PURPOSE_WORDS) as [keyof typeof PURPOSE_WORDS, string][];
	let purpose = $state<Purpose>('plants');
	let kindId = $derived(data.kind);
	let target = $state(10);
	let length = $state('');
	let width = $state('');
	let area = $state('');
	let slope = $state('0');
	let spacing = $state('');
	let rows = $state('1');
	let pattern = $state('triangular');
	let spares = $state(0);
	let due = $state('');
	let confidence = $state(90);

	const us = $derived(data.garden.units.length === 'us');
	const kind = $derived(data.kinds.find((k) => k.id === kindId));
	const shortUnit = $derived(us ? 'in' : 'cm');
	const longUnit = $derived(us ? 'ft' : 'm');
	const num = (text: string | number) => Number(String(text).replace(',', '.') || Number.NaN);
	const spacingCm = $derived(spacing === '' ? (kind?.spacingCm ?? Number.NaN) : us ? cmFromInches(num(spacing)) : num(spacing));
	const metres = (text: string) => (text === '' ? undefined : us ? metresFromFeet(num(text)) : num(text));
	const reckoned = $derived.by(() => {
		if (purpose === 'hedge') {
			const r = hedgeCount({
				lengthM: metres(length) ?? Number.NaN,
				spacingCm,
				rows: rows === '2' ? 2 : 1,
				spares
			});
			return r.ok ? { count: r.value, say: '' } : null;
		}
		if (purpose === 'bed') {
			const areaM2 = area === '' ? undefined : us ? num(area) * 0.09290304 : num(area);
			const r = bedCount({
				areaM2,
				widthM: metres(width),
				lengthM: metres(length),
				slopeDeg: num(slope),
				spacingCm,
				pattern: pattern === 'square' ? 'square' : 'triangular',
				spares
			});
			return r.ok ? { count: r.value.count, say: ` on ${sayArea(r.value.areaM2, data.garden.units)} of ground` } : null;
		}
		return null;
	});
	$effect(() => {
		if (purpose === 'keep') {
			due = data.afterWinter;
			target = 1;
		} else if (due === data.afterWinter || due === '') due = data.nextAutumn;
	});
</script>

<svelte:head><title>A want · {data.garden.name}</title></svelte:head>

<h1>What should stand where, and by when?</h1>
<div class="mt-6 grid items-start gap-x-12 gap-y-6 md:grid-cols-[1.2fr_1fr]">
	<div>
		<EntryForm action="" submit="Write it down and plan" today={data.garden.today} dated={false}>
			<ChoiceField
				label="Kind"
				name="kind_id"
				bind:value={kindId}
				placeholder="Type any name of it"
				items={data.kinds.map((k) => ({ value: k.id, name: k.name, also: k.also, beside: k.have ? 'you have stock' : '' }))}
			/>
			<fieldset>
				<legend class="mb-1 font-semibold">What for</legend>
				<div class="flex flex-wrap gap-2">
					{#each PURPOSES as [value, name] (value)}
						<Chip type="radio" name="purpose" {value} checked={purpose === value} onchange={() => (purpose = value)}>{name}</Chip>
					{/each}
				</div>
			</fieldset>
			{#if purpose === 'hedge'}
				<div class="grid gap-4 sm:grid-cols-2">
					<Field label="Length of the hedge" name="length" bind:value={length} unit={longUnit} numeric />
					<Field
						label="Spacing"
						name="spacing"
						bind:value={spacing}
						unit={shortUnit}
						numeric
						hint={kind
							? `Left blank: ${us ? inchesFromCm(kind.spacingCm).toFixed(0) : kind.spacingCm} ${shortUnit}, the handbook’s`
							: ''}
					/>
					<SelectField
						label="Rows"
						name="rows"
						bind:value={rows}
						items={[
							{ value: '1', name: 'single' },
							{ value: '2', name: 'two, staggered' }
						]}
					/>
					<Stepper label="Spares for gaps" name="spares" bind:value={spares} max={500} />
				</div>
			{:else if purpose === 'bed'}
				<div class="grid gap-4 sm:grid-cols-2">
					<Field label="Area" name="area" bind:value={area} unit={us ? 'sq ft' : 'm²'} numeric hint="Or width and length below" />
					<Field
						label="Spacing"
						name="spacing"
						bind:value={spacing}
						unit={shortUnit}
						numeric
						hint={kind
							? `Left blank: ${us ? inchesFromCm(kind.spacingCm).toFixed(0) : kind.spacingCm} ${shortUnit}, the handbook’s`
							: ''}
					/>
					<Field label="Width" name="width" bind:value={width} unit={longUnit} numeric />
					<Field label="Length, as on a map" name="length" bind:value={length} unit={longUnit} numeric />
					<Field
						label="Slope of the length"
						name="slope"
						bind:value={slope}
						unit="°"
						numeric
						hint="0 is level; the ground is longer than the map"
					/>
					<SelectField
						label="Pattern"
						name="pattern"
						bind:value={pattern}
						items={[
							{ value: 'triangular', name: 'staggered, all neighbours alike' },
							{ value: 'square', name: 'square' }
						]}
					/>
					<Stepper label="Spares" name="spares" bind:value={spares} max={500} />
				</div>
			{:else}
				<Stepper
					label={purpose === 'keep' ? 'How many must be alive' : 'How many'}
					name="target"
					bind:value={target}
					min={1}
					max={2000}
				/>
			{/if}
			{#if reckoned}
				<Note tone="now" class="bg-pane py-2">
					<span class="figure">{reckoned.count}</span>
					<span class="unit">{reckoned.count === 1 ? 'plant' : 'plants'}{reckoned.say}</span>
				</Note>
			{/if}
			<Field label={purpose === 'keep' ? 'Winter is over by' : 'In the ground by'} name="due" type="date" bind:value={due} />
			<div>
				<Stepper
					label="How sure"
					name="confidence"
					bind:value={confidence}
					min={50}
					max={99}
					step={5}
					unit="times in 100"
					hint="90 is usual; 99 costs many more pieces."
				/>
			</div>
			<SelectField
				label="Where"
				name="place_id"
				placeholder="No place yet"
				items={[{ value: '', name: 'No place yet' }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]}
			/>
			<Field label="In your words" name="label" placeholder="for the path edge" maxlength={120} />
		</EntryForm>
	</div>
	<div class="md:sticky md:top-4">
		<WouldTake
			base="/g/{data.garden.slug}"
			kind={kindId}
			{purpose}
			target={purpose === 'hedge' || purpose === 'bed' ? (reckoned?.count ?? null) : target}
			{due}
			{confidence}
			currency={data.garden.currency}
		/>
	</div>
</div>
