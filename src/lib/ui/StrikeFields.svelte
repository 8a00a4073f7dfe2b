<script lang="ts">
	import Field from './Field.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';
	interface Props {
		count: number;
		places: { id: string; name: string }[];
		placeId: string | null;
		way: { medium: string; hormone: string; cover: string; container: string };
		pieces: [string, string];
	}
	let { count, places, placeId, way, pieces }: Props = $props();
	let struck = $derived(count);
	const uid = $props.id();
</script>

<Stepper label="How many {pieces[1]} struck" name="struck" bind:value={struck} min={1} />
<SelectField
	label="Where they stand"
	name="place_id"
	value={placeId ?? ''}
	items={[{ value: '', name: 'No place yet' }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
/>
<Field label="In" name="container" value={way.container} maxlength={80} />
<Field label="Medium" name="medium" value={way.medium} maxlength={120} />
<div class="grid gap-4 sm:grid-cols-2">
	<Field label="Hormone" name="hormone" value={way.hormone} maxlength={120} hint="What you used, not what is advised." />
	<Field label="Cover" name="cover" value={way.cover} maxlength={120} />
</div>
<div class="flex min-h-12 items-center gap-3">
	<input id={uid} type="checkbox" name="wound" class="h-6 w-6 border-ink text-bottle" /><label for={uid}>Base wounded</label>
</div>
