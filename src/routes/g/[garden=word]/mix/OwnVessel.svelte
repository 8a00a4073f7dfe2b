<script lang="ts">
	/** A pot or tray of one’s own size, by its inside measures. */
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
			['topCm', 'Across the top'],
			['baseCm', 'Across the base'],
			['heightCm', 'Height']
		],
		square: [
			['topCm', 'Side at the top'],
			['baseCm', 'Side at the base'],
			['heightCm', 'Height']
		],
		tray: [
			['lengthCm', 'Length'],
			['widthCm', 'Width'],
			['heightCm', 'Height']
		],
		cells: [
			['cells', 'Cells'],
			['topCm', 'Cell, top'],
			['baseCm', 'Cell, base'],
			['heightCm', 'Height']
		],
		jar: [
			['acrossCm', 'Across'],
			['waterCm', 'Water depth']
		]
	};
</script>

<Fold label="A pot or tray of your own size">
	<EntryForm action="?/vessel" submit="Note it" {today} noted={false} dated={false} quiet>
		<Field label="Name" name="name" maxlength={80} placeholder="blue window box" />
		<SelectField
			label="Shape"
			name="shape"
			bind:value={shape}
			items={[
				{ value: 'round', name: 'round pot' },
				{ value: 'square', name: 'square pot' },
				{ value: 'tray', name: 'tray or box' },
				{ value: 'cells', name: 'tray of cells' },
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
		<p class="note">Inside measures.</p>
	</EntryForm>
</Fold>
