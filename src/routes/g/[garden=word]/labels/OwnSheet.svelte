<script lang="ts">
	/** The measures of a sheet that no list has, kept on this device. */
	import { texts } from '$lib/messages/labels.js';
	import SelectField from '$lib/ui/SelectField.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { readSheet, writeSheet } from '$lib/core/handbook/sheet.js';
	import type { SheetMeasure } from '$lib/core/handbook/sheet.js';
	import type { Sheet } from '$lib/core/handbook/benchSchema.js';
	import { onMount, untrack } from 'svelte';
	import { remembered } from '$lib/ui/remembered.js';

	let { from, sheet = $bindable() }: { from: Sheet; sheet: Sheet | null } = $props();
	const kept = remembered<string>('own label sheet', 'device');
	const FIELDS: readonly (readonly [SheetMeasure, string])[] = [
		['across', texts.labelsAcross],
		['down', texts.labelsDown],
		['width', texts.widthMm],
		['height', texts.heightMm],
		['left', texts.fromTheLeftMm],
		['top', texts.fromTheTopMm],
		['gap_x', texts.betweenColumnsMm],
		['gap_y', texts.betweenRowsMm]
	];
	let own = $state(untrack(() => ({ ...from, id: 'own', name: 'own' })));
	onMount(() => {
		const before = readSheet(kept.read() ?? '');
		if (before.ok) own = before.value;
	});
	const read = $derived(readSheet(writeSheet(own)));
	$effect(() => {
		sheet = read.ok ? read.value : null;
		if (read.ok) kept.write(writeSheet(read.value));
	});
</script>

<div class="grid grid-cols-2 gap-3">
	<div class="col-span-2">
		<SelectField
			label={texts.paper}
			name="paper"
			bind:value={() => own.paper as string, (v) => (own.paper = v === 'LETTER' ? 'LETTER' : 'A4')}
			items={[
				{ value: 'A4', name: 'A4' },
				{ value: 'LETTER', name: texts.usLetter }
			]}
		/>
	</div>
	{#each FIELDS as [key, label] (key)}
		<NumberBox
			{label}
			step={key === 'across' || key === 'down' ? 1 : 0.1}
			bind:value={() => own[key], (v) => (own[key] = v ?? Number.NaN)}
		/>
	{/each}
</div>
{#if !read.ok}<Note tone="harm" said>{read.problem.sentence}</Note>{/if}
