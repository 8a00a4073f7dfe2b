<script lang="ts">
	/** What is over a place, or heats it; taken off again in spring. */
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayTemperature, warmthMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { COVER_WORDS } from './changeWords.js';
	import type { PageData } from './$types';

	interface Props {
		shelter: PageData['view']['shelters'][number];
		units: UnitChoice;
		today: string;
	}
	let { shelter: s, units, today }: Props = $props();
	const warmth = $derived(warmthMeasure(units));
	const setTo = $derived(String(Math.round(warmth.shown(s.guard.heater?.setC ?? 3) * 10) / 10));
	const now = $derived(
		[
			s.guard.cover ? COVER_WORDS[s.guard.cover] : '',
			s.guard.heater ? `a heater of ${s.guard.heater.watts} W, set to ${sayTemperature(s.guard.heater.setC, units)}` : ''
		]
			.filter(Boolean)
			.join(' and ')
	);
</script>

{#if now}<p class="mt-2">
		Since {sayDate(s.guardedOn ?? today)} there is {now}: the figures here are for that. A thermometer read since then teaches
		nothing of the bare place.
	</p>{/if}
{#if s.covers.length > 0 || s.heats}
	<Fold label={now ? 'Change what guards it, or take it off' : 'Cover it or heat it'} class="no-print">
		<EntryForm action="?/guard" submit="Log it" {today} noted={false} quiet about={s.id}>
			<input type="hidden" name="place" value={s.id} />
			{#if s.covers.length > 0}
				<SelectField
					label="Over it"
					name="cover"
					value={s.guard.cover ?? 'none'}
					items={[{ value: 'none', name: 'nothing' }, ...s.covers.map((c) => ({ value: c, name: COVER_WORDS[c] }))]}
				/>
			{/if}
			{#if s.heats}
				<Field
					label="Power of a heater, W"
					name="watts"
					numeric
					value={s.guard.heater ? String(s.guard.heater.watts) : ''}
					hint="Leave it empty for none."
				/>
				<Field label="Set to" name="set" unit="°{units.temperature}" numeric value={setTo} />
			{/if}
		</EntryForm>
	</Fold>
{/if}
