<script lang="ts">
	/** The moves in their order, each with its day, ticked off as they are made. */
	import { texts } from '$lib/messages/ground.js';
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
		s.on === null ? texts.noDaySuitsIt : s.on <= today ? texts.todaySuitsIt : texts.suitsIt(sayDate(s.on));
</script>

<EntryForm
	action="?/moved{page.url.search.replace(/^\?/, '&')}"
	submit={ticked.length === 0 ? texts.logWhatYouMoved : texts.logAsMoved(ticked.length)}
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
					{#if s.does === 'waits'}{texts.outOfIntoPots(
							s.from,
							hold ? texts.to(hold) : texts.inTheShade,
							s.count > 1 ? texts.theyWait : texts.itWaits
						)}
					{:else}{texts.to2(
							s.does === 'out' ? texts.fromWhereWaited(s.count > 1 ? texts.they : texts.it) : texts.from(s.from),
							s.to,
							s.after ? texts.whereStood(s.after) : ''
						)}{#if s.log?.at.length === 1}{texts.fromTheLeftAnd(
								sayDistance(s.log.at[0]![0], units),
								sayDistance(s.log.at[0]![1], units)
							)}{/if}.{/if}
					<span class="note block">
						{#if s.does !== 'out'}{when(s)}
							{s.dull === null ? '' : `${capital(sayThat(s.dull, texts.theDayIsDull))}.`}
							{#if s.lift}{texts.aBallAcrossAbout(
									sayLength(s.lift.acrossCm, units),
									sayKilos(s.lift.kg),
									s.lift.people > 1 ? texts.byPeople(s.lift.people) : ''
								)}{/if}
						{/if}
						{texts.about(sayMinutes(s.minutes))}
					</span>
				</span>
				{#if s.log}<Checkbox
						name="moved"
						value={JSON.stringify({ stock: s.stock, place: s.log.placeId, at: s.log.at })}
						bind:group={ticked}
						aria-label={texts.done(s.name, s.does === 'waits' ? texts.isPutToWait : texts.isMoved)}>{texts.done2}</Checkbox
					>{/if}
			</li>
		{/each}
	</ol>
</EntryForm>
