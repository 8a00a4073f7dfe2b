<script lang="ts">
	import { texts } from '$lib/messages/wants.js';
	import Fold from '$lib/ui/Fold.svelte';
	/** Another number, day, certainty or place for a want, and what was said of it before. */
	import { sayDate } from '$lib/core/dates.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import LeastHeight from '$lib/ui/LeastHeight.svelte';
	import OtherKinds from '$lib/ui/OtherKinds.svelte';
	import WouldDoFields from '$lib/ui/WouldDoFields.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PageData } from './$types';
	interface Props {
		want: PageData['want'];
		kinds: PageData['kinds'];
		places: PageData['places'];
		story: PageData['story'];
		today: string;
		units: UnitChoice;
	}
	let { want, kinds, places, story, today, units }: Props = $props();
</script>

<Fold label={texts.changeTheNumberThe} class="mt-8 border-t border-rule pt-2">
	<div class="max-w-md">
		{#key want.version}
			<EntryForm action="?/change" submit={texts.changeIt} {today} dated={false} noted={false} seen={want}>
				<Field label={texts.howMany} name="target" value={String(want.target)} numeric />
				<DayField label={texts.byTheDay} name="due" value={want.due} />
				<Field label={texts.asSureAsTimes} name="confidence" value={String(Math.round(want.confidence * 100))} numeric />
				{#if want.growsTall || want.leastCm !== null}
					<LeastHeight {units} cm={want.leastCm} pots={want.purpose === 'gifts'} />
				{/if}
				<SelectField
					label={texts.whereTheyGo}
					name="place_id"
					value={want.placeId ?? ''}
					items={[{ value: '', name: texts.noPlaceYet }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
				/>
				{#if want.purpose === 'plants' || want.purpose === 'gifts'}
					<OtherKinds
						kind={want.kindId}
						value={want.orKinds}
						items={kinds.map((k) => ({ value: k.id, name: k.name, also: k.also }))}
					/>
				{/if}
				<WouldDoFields
					enough={want.enough}
					lateWeeks={want.lateWeeks}
					mayBuy={want.mayBuy}
					oneAge={want.purpose === 'hedge'}
					weighs={want.weighs}
				/>
				<Field label={texts.whatForInYour} name="label" value={want.label} maxlength={120} />
			</EntryForm>
		{/key}
		{#if story.length > 1}
			<h3 class="mt-4 font-semibold">{texts.whatWasSaidOf}</h3>
			<ul class="ruled">
				{#each story as e (e.id)}<li class="py-1"><span class="text-faded">{sayDate(e.on)}</span> {e.line}</li>{/each}
			</ul>
		{/if}
	</div>
</Fold>
