<script lang="ts">
	/** A pot or tray of one’s own size, by its inside measures. */
	import { texts } from '$lib/messages/mix.js';
	import Fold from '$lib/ui/Fold.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';

	let { today, units }: { today: string; units: UnitChoice } = $props();
	let shape = $state('round');
	const MEASURES: Record<string, [string, string][]> = {
		round: [
			['topCm', texts.acrossTheTop],
			['baseCm', texts.acrossTheBase],
			['heightCm', texts.height]
		],
		square: [
			['topCm', texts.sideAtTheTop],
			['baseCm', texts.sideAtTheBase],
			['heightCm', texts.height]
		],
		tray: [
			['lengthCm', texts.length],
			['widthCm', texts.width],
			['heightCm', texts.height]
		],
		cells: [
			['cells', texts.cells],
			['topCm', texts.cellTop],
			['baseCm', texts.cellBase],
			['heightCm', texts.height]
		],
		jar: [
			['acrossCm', texts.across],
			['waterCm', texts.waterDepth]
		]
	};
</script>

<Fold label={texts.aPotOrTray}>
	<EntryForm action="?/vessel" submit={texts.noteIt} {today} noted={false} dated={false} quiet>
		<Field label={texts.name} name="name" maxlength={80} placeholder={texts.blueWindowBox} />
		<SelectField
			label={texts.shape}
			name="shape"
			bind:value={shape}
			items={[
				{ value: 'round', name: texts.roundPot },
				{ value: 'square', name: texts.squarePot },
				{ value: 'tray', name: texts.trayOrBox },
				{ value: 'cells', name: texts.trayOfCells },
				{ value: 'jar', name: 'jar' }
			]}
		/>
		<div class="grid grid-cols-2 gap-3">
			{#each MEASURES[shape]! as [name, label] (name)}<Field
					{label}
					{name}
					numeric
					unit={name === 'cells' ? '' : shortMeasure(units).unit}
					maxlength={8}
				/>{/each}
		</div>
		<p class="note">{texts.insideMeasures}</p>
	</EntryForm>
</Fold>
