<script lang="ts">
	/** The measures of a sheet that no list has, kept on this device. */
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
		['across', 'Labels across'],
		['down', 'Labels down'],
		['width', 'Width, mm'],
		['height', 'Height, mm'],
		['left', 'From the left, mm'],
		['top', 'From the top, mm'],
		['gap_x', 'Between columns, mm'],
		['gap_y', 'Between rows, mm']
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
			label="Paper"
			name="paper"
			bind:value={() => own.paper as string, (v) => (own.paper = v === 'LETTER' ? 'LETTER' : 'A4')}
			items={[
				{ value: 'A4', name: 'A4' },
				{ value: 'LETTER', name: 'US Letter' }
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
