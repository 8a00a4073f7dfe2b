<script lang="ts">
	/** What is over a place, or heats it; taken off again in spring. */
	import { texts } from '$lib/messages/shelter.js';
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
			s.guard.heater ? texts.aHeaterOfW(s.guard.heater.watts, sayTemperature(s.guard.heater.setC, units)) : ''
		]
			.filter(Boolean)
			.join(` ${texts.andWord} `)
	);
</script>

{#if now}<p class="mt-2">
		{texts.sinceThereIsThe(sayDate(s.guardedOn ?? today), now)}
	</p>{/if}
{#if s.covers.length > 0 || s.heats}
	<Fold label={now ? texts.changeWhatGuardsIt : texts.coverItOrHeat} class="no-print">
		<EntryForm action="?/guard" submit={texts.logIt} {today} noted={false} quiet about={s.id}>
			<input type="hidden" name="place" value={s.id} />
			{#if s.covers.length > 0}
				<SelectField
					label={texts.overIt}
					name="cover"
					value={s.guard.cover ?? 'none'}
					items={[{ value: 'none', name: 'nothing' }, ...s.covers.map((c) => ({ value: c, name: COVER_WORDS[c] }))]}
				/>
			{/if}
			{#if s.heats}
				<Field
					label={texts.powerOfAHeater}
					name="watts"
					numeric
					value={s.guard.heater ? String(s.guard.heater.watts) : ''}
					hint={texts.leaveItEmptyFor}
				/>
				<Field label={texts.setTo} name="set" unit="°{units.temperature}" numeric value={setTo} />
			{/if}
		</EntryForm>
	</Fold>
{/if}
