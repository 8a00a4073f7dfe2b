<script lang="ts">
	/** How a bed was measured, drawn as it is typed. */
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import LinesField from '$lib/ui/LinesField.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { areaOf, outlineOf, shapeData, shapeOf } from '$lib/core/ground/index.js';
	import type { ShapeData } from '$lib/core/ground/index.js';
	import { longMeasure, sayArea, sayLength } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { untrack } from 'svelte';

	interface Props {
		said: ShapeData | null;
		units: UnitChoice;
		today: string;
		seen: { id: string; version: number };
	}
	let { said, units, today, seen }: Props = $props();
	const long = $derived(longMeasure(units));
	const shown = (m: number) => String(Math.round(long.shown(m) * 1000) / 1000);
	const typed = (m: number | undefined) => (m === undefined ? '' : shown(m));
	const how = untrack(() => said?.how);
	let by = $state<string>(how?.by ?? 'sides');
	let length = $state(untrack(() => typed(how?.by === 'sides' ? how.length_m : undefined)));
	let width = $state(untrack(() => typed(how?.by === 'sides' ? how.width_m : undefined)));
	let across = $state(untrack(() => typed(how?.by === 'across' ? how.across_m : undefined)));
	let apart = $state(untrack(() => typed(how?.by === 'tape' ? how.apart_m : undefined)));
	const lines = (rows: readonly (readonly number[])[]) => rows.map((r) => r.map(shown).join('  ')).join('\n');
	let corners = $state(untrack(() => (how?.by === 'corners' ? lines(how.corners) : '')));
	let tapes = $state(untrack(() => (how?.by === 'tape' ? lines(how.tapes) : '')));
	let holes = $state(untrack(() => (said ? lines(said.holes.map((h) => [h.across_m, h.x_m, h.y_m])) : '')));

	const draft = $derived.by(() => {
		const fields: Record<string, string> = { by, length, width, across, apart, corners, tapes, holes };
		const said = shapeOf((name) => fields[name] ?? '', long.read);
		if (!said.ok) return said;
		const told = shapeData.safeParse(said.value);
		return told.success ? outlineOf(told.data) : null;
	});
	/** Enough was typed for what is wrong to be worth saying. */
	const begun = $derived(
		(by === 'corners' ? corners : by === 'tape' ? tapes : '').trim().split('\n').length >= 3 || holes.trim() !== ''
	);
</script>

<div class="grid gap-6 lg:grid-cols-2">
	<EntryForm action="?/measure" submit="Keep this" {today} noted={false} {seen}>
		<SelectField
			label="How was it measured?"
			name="by"
			bind:value={by}
			items={[
				{ value: 'sides', name: 'length and width' },
				{ value: 'across', name: 'round: across' },
				{ value: 'corners', name: 'corner by corner, from one edge' },
				{ value: 'tape', name: 'by tape from two fixed points' }
			]}
		/>
		{#if by === 'sides'}
			<Field label="Length" name="length" bind:value={length} unit={long.unit} numeric hint="Along the ground, on a slope too." />
			<Field label="Width" name="width" bind:value={width} unit={long.unit} numeric />
		{:else if by === 'across'}
			<Field label="Across" name="across" bind:value={across} unit={long.unit} numeric />
		{:else if by === 'corners'}
			<LinesField
				label="Corners in order, {long.unit}"
				name="corners"
				bind:value={corners}
				hint="One a line: how far to the right, then how far back. “0 0” is the first."
			/>
		{:else}
			<Field
				label="Between the two points"
				name="apart"
				bind:value={apart}
				unit={long.unit}
				numeric
				hint="Two posts, a house corner: all corners of the bed on one side of the line between them."
			/>
			<LinesField
				label="Each corner in order, {long.unit}"
				name="tapes"
				bind:value={tapes}
				hint="One a line: from the left point, then from the right one."
			/>
		{/if}
		<LinesField
			label="Stones and trunks in it, {long.unit}"
			name="holes"
			bind:value={holes}
			rows={2}
			hint="One a line: how wide, how far to the right, how far back. Empty for none."
		/>
	</EntryForm>
	<div aria-live="polite">
		{#if draft?.ok}
			<p class="text-lg"><strong>{sayArea(areaOf(draft.value), units)}</strong></p>
			<BedDrawing
				outline={draft.value.outline}
				holes={draft.value.holes}
				{units}
				say="As typed: {sayArea(areaOf(draft.value), units)}"
			/>
			{#if draft.value.offM}<p class="note">
					By the tape’s own error a corner may be off by {sayLength(Math.max(...draft.value.offM) * 100, units)}.
				</p>{/if}
		{:else if draft && begun}<Note tone="harm">{draft.problem.sentence}</Note>
		{:else}<p class="text-faded">It is drawn here as you type.</p>{/if}
	</div>
</div>
