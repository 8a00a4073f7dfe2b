<script lang="ts">
	import Fold from '$lib/ui/Fold.svelte';
	/** Another number, day, certainty or place for a want, and what was said of it before. */
	import { sayDate } from '$lib/core/dates.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import WouldDoFields from '$lib/ui/WouldDoFields.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import type { PageData } from './$types';
	interface Props {
		want: PageData['want'];
		places: PageData['places'];
		story: PageData['story'];
		today: string;
	}
	let { want, places, story, today }: Props = $props();
</script>

<Fold label="Change the number, the day or how sure" class="mt-8 border-t border-rule pt-2">
	<div class="max-w-md">
		{#key want.version}
			<EntryForm action="?/change" submit="Change it" {today} dated={false} noted={false} seen={want}>
				<Field label="How many" name="target" value={String(want.target)} numeric />
				<DayField label="By the day" name="due" value={want.due} />
				<Field label="As sure as, times in 100" name="confidence" value={String(Math.round(want.confidence * 100))} numeric />
				<SelectField
					label="Where they go"
					name="place_id"
					value={want.placeId ?? ''}
					items={[{ value: '', name: 'No place yet' }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
				/>
				<WouldDoFields enough={want.enough} lateWeeks={want.lateWeeks} weighs={want.weighs} />
				<Field label="What for, in your words" name="label" value={want.label} maxlength={120} />
			</EntryForm>
		{/key}
		{#if story.length > 1}
			<h3 class="mt-4 font-semibold">What was said of it</h3>
			<ul class="ruled">
				{#each story as e (e.id)}<li class="py-1"><span class="text-faded">{sayDate(e.on)}</span> {e.line}</li>{/each}
			</ul>
		{/if}
	</div>
</Fold>
