<script lang="ts">
	/** How a bed was measured, drawn as it is typed. */
	import { texts } from '$lib/messages/ground.js';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import LinesField from '$lib/ui/LinesField.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { areaOf, outlineOf, shapeData, shapeOf } from '$lib/core/ground/index.js';
	import type { ShapeData } from '$lib/core/ground/index.js';
	import { longMeasure, sayArea, sayLength } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { untrack } from 'svelte';
	import OneByOne from './OneByOne.svelte';

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
	let width = $state(untrack(() => typed(how?.by === 'sides' || how?.by === 'line' ? how.width_m : undefined)));
	let across = $state(untrack(() => typed(how?.by === 'across' ? how.across_m : undefined)));
	let apart = $state(untrack(() => typed(how?.by === 'tape' ? how.apart_m : undefined)));
	const lines = (rows: readonly (readonly number[])[]) => rows.map((r) => r.map(shown).join('  ')).join('\n');
	let corners = $state(untrack(() => (how?.by === 'corners' ? lines(how.corners) : how?.by === 'line' ? lines(how.line) : '')));
	let tapes = $state(untrack(() => (how?.by === 'tape' ? lines(how.tapes) : '')));
	let slope = $state(untrack(() => (said?.slope ? String(Math.round(said.slope.deg * 10) / 10) : '')));
	let slopeOn = $state<string>(untrack(() => said?.slope?.on ?? 'ground'));
	let light = $state(
		untrack(() => (said?.light ?? []).map((p) => `${shown(p.from_m)}  ${shown(p.to_m)}  ${p.light}`).join('\n'))
	);
	let east = $state(untrack(() => typed(said?.lies?.east_m)));
	let north = $state(untrack(() => typed(said?.lies?.north_m)));
	let turn = $state(untrack(() => (said?.lies ? String(said.lies.turn_deg) : '')));
	const more = untrack(() => Boolean(said?.slope ?? said?.lies) || (said?.light.length ?? 0) > 0);
	let oneByOne = $state(false);
	let holes = $state(untrack(() => (said ? lines(said.holes.map((h) => [h.across_m, h.x_m, h.y_m])) : '')));

	const draft = $derived.by(() => {
		const fields: Record<string, string> = {
			by,
			length,
			width,
			across,
			apart,
			corners,
			tapes,
			holes,
			slope,
			slope_on: slopeOn,
			light,
			east,
			north,
			turn
		};
		const said = shapeOf((name) => fields[name] ?? '', long.read);
		if (!said.ok) return said;
		const told = shapeData.safeParse(said.value);
		return told.success ? outlineOf(told.data) : null;
	});
	/** Enough was typed for what is wrong to be worth saying. */
	const begun = $derived(
		(by === 'corners' || by === 'line' ? corners : by === 'tape' ? tapes : '').trim().split('\n').length >= 3 ||
			holes.trim() !== ''
	);
</script>

<div class="grid gap-6 lg:grid-cols-2">
	<EntryForm action="?/measure" submit={texts.keepThis} {today} noted={false} {seen}>
		<SelectField
			label={texts.howWasItMeasured}
			name="by"
			bind:value={by}
			items={[
				{ value: 'sides', name: texts.lengthAndWidth },
				{ value: 'across', name: texts.roundAcross },
				{ value: 'corners', name: texts.cornerByCornerFrom },
				{ value: 'tape', name: texts.byTapeFromTwo },
				{ value: 'line', name: texts.aLineWithCorners }
			]}
		/>
		{#if by === 'sides'}
			<Field label={texts.length} name="length" bind:value={length} unit={long.unit} numeric hint={texts.alongTheGroundOn} />
			<Field label={texts.width} name="width" bind:value={width} unit={long.unit} numeric />
		{:else if by === 'across'}
			<Field label={texts.across3} name="across" bind:value={across} unit={long.unit} numeric />
		{:else if by === 'corners' || by === 'line'}
			{#if by === 'line'}<Field label={texts.width} name="width" bind:value={width} unit={long.unit} numeric />{/if}
			<LinesField
				label="{by === 'line' ? texts.theLineFromEnd : texts.cornersInOrder}, {long.unit}"
				name="corners"
				bind:value={corners}
				hint={texts.oneALineHow}
			/>
		{:else}
			<Field
				label={texts.betweenTheTwoPoints}
				name="apart"
				bind:value={apart}
				unit={long.unit}
				numeric
				hint={texts.twoPostsAHouse}
			/>
			{#if oneByOne}<OneByOne bind:rows={tapes} unit={long.unit} read={long.read} ondone={() => (oneByOne = false)} />
			{:else}<div><Act onclick={() => (oneByOne = true)}>{texts.oneNumberAtA}</Act></div>{/if}
			<LinesField label={texts.eachCornerInOrder(long.unit)} name="tapes" bind:value={tapes} hint={texts.oneALineFrom} />
		{/if}
		<Fold label={texts.slopeLightThatDiffers} open={more}>
			<div class="flex flex-col gap-4">
				<Field label={texts.slope} name="slope" bind:value={slope} hint={texts.inDegreesAs1} />
				{#if slope.trim() !== ''}<SelectField
						label={texts.itsSizesWereMeasured}
						name="slope_on"
						bind:value={slopeOn}
						items={[
							{ value: 'ground', name: texts.alongTheGround },
							{ value: 'map', name: texts.onAMapFrom }
						]}
					/>{/if}
				<LinesField
					label={texts.lightThatDiffersAlong(long.unit)}
					name="light"
					bind:value={light}
					rows={2}
					hint={texts.oneALineFromTo}
				/>
				<div class="grid grid-cols-3 gap-3">
					<Field label={texts.east} name="east" bind:value={east} unit={long.unit} numeric />
					<Field label={texts.north} name="north" bind:value={north} unit={long.unit} numeric />
					<Field label={texts.turned} name="turn" bind:value={turn} unit="°" numeric />
				</div>
				<p class="note">
					{texts.whereItsFirstCorner}
				</p>
			</div>
		</Fold>
		<LinesField
			label={texts.stonesAndTrunksIn(long.unit)}
			name="holes"
			bind:value={holes}
			rows={2}
			hint={texts.oneALineHowWide}
		/>
	</EntryForm>
	<div aria-live="polite">
		{#if draft?.ok}
			<p class="text-lg"><strong>{sayArea(areaOf(draft.value), units)}</strong></p>
			<BedDrawing
				outline={draft.value.outline}
				holes={draft.value.holes}
				{units}
				say={texts.asTyped(sayArea(areaOf(draft.value), units))}
			/>
			{#if draft.value.offM}<p class="note">
					{texts.byTheTapesOwn(sayLength(Math.max(...draft.value.offM) * 100, units))}
				</p>{/if}
		{:else if draft && begun}<Note tone="harm">{draft.problem.sentence}</Note>
		{:else}<p class="text-faded">{texts.itIsDrawnHere}</p>{/if}
	</div>
</div>
