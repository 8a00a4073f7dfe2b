<script lang="ts">
	/** The moves in their order, each with its day, ticked off as they are made. */
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { page } from '$app/state';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayKilos } from '$lib/core/ground/movesWords.js';
	import { capital, sayThat } from '$lib/core/odds/words.js';
	import { sayDistance, sayLength, sayMinutes } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	interface Props {
		order: NonNullable<PageData['order']>;
		hold: string | null;
		units: UnitChoice;
		today: string;
	}
	let { order, hold, units, today }: Props = $props();
	let ticked = $state<string[]>([]);
	type Step = Props['order']['steps'][number];
	const when = (s: Step) =>
		s.on === null ? 'No day suits it.' : s.on <= today ? 'Today suits it.' : `${sayDate(s.on)} suits it.`;
</script>

<EntryForm
	action="?/moved{page.url.search.replace(/^\?/, '&')}"
	submit={ticked.length === 0 ? 'Log what you moved' : `Log ${ticked.length} as moved`}
	{today}
	noted={false}
	ondone={() => (ticked = [])}
>
	<ol class="ruled">
		{#each order.steps as s, i (i)}
			<li class="flex items-start gap-3 py-2">
				<span class="figure w-8 shrink-0">{s.n}</span>
				<span class="min-w-0 flex-1">
					<strong>{s.count > 1 ? `${s.count} ` : ''}{s.name}</strong>
					{#if s.does === 'waits'}out of {s.from}, into pots or sacking{hold ? `, to ${hold}` : ' in the shade'}: {s.count > 1
							? 'they wait'
							: 'it waits'}.
					{:else}{s.does === 'out' ? `from where ${s.count > 1 ? 'they' : 'it'} waited` : `from ${s.from}`} to {s.to}{s.after
							? `, where ${s.after} stood`
							: ''}{#if s.log?.at.length === 1}, {sayDistance(s.log.at[0]![0], units)} from the left and {sayDistance(
								s.log.at[0]![1],
								units
							)} from the front{/if}.{/if}
					<span class="note block">
						{#if s.does !== 'out'}{when(s)}
							{s.dull === null ? '' : `${capital(sayThat(s.dull, 'the day is dull and damp'))}.`}
							{#if s.lift}A ball {sayLength(s.lift.acrossCm, units)} across, about {sayKilos(s.lift.kg)} wet{s.lift.people > 1
									? `: ${s.lift.people} people`
									: ''}.{/if}
						{/if}
						About {sayMinutes(s.minutes)}.
					</span>
				</span>
				{#if s.log}<Checkbox
						name="moved"
						value={JSON.stringify({ stock: s.stock, place: s.log.placeId, at: s.log.at })}
						bind:group={ticked}
						aria-label="Done: {s.name} {s.does === 'waits' ? 'is put to wait' : 'is moved'}">Done</Checkbox
					>{/if}
			</li>
		{/each}
	</ol>
</EntryForm>
