<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	/** Beside a batch: its line, what is ahead, how it is done, how it stands, where growers disagree. */
	import { sayDate } from '$lib/core/dates.js';
	import { sayLengthRange } from '$lib/core/units/index.js';
	import { STAGE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	interface Props {
		data: PageData;
		base: string;
	}
	let { data, base }: Props = $props();
	const b = $derived(data.batch);
</script>

<aside class="flex flex-col gap-6">
	{#if data.line.generation > 1 || data.line.copies.length}
		<section>
			<h2 class="border-b border-ink pb-1">{texts.itsLine}</h2>
			{#if data.line.generation > 1}<p class="mt-2">
					{texts.generationHere(data.line.generation)}
					{#each data.line.batches as l, i (l.id)}{i ? ' → ' : ''}{#if l.id === b.id}{l.code}{:else}<a href="{base}/bench/{l.id}"
								>{l.code}</a
							>{/if}{/each}{texts.longStandingWaterStock}
				</p>{/if}
			<p class="mt-2">
				{#if data.line.copies.length}{texts.copiesElsewhereShouldThis}
					{#each data.line.copies as c, i (c.id)}{i ? ', ' : ''}<a href="{base}/bench/{c.id}">{c.code}</a> ({c.pieces}{c.place
							? `, ${c.place}`
							: ''}){/each}.{:else}{texts.noLivingCopyIn}{/if}
			</p>
		</section>
	{/if}
	{#if b.steps.length}
		<section>
			<h2 class="border-b border-ink pb-1">{texts.whatIsAheadUsually}</h2>
			<ol class="ruled">
				{#each b.steps as s, i (i)}<li class="flex justify-between py-2">
						<span>{STAGE_WORDS[s.to]}</span><span class="text-faded">{sayDate(s.on)}</span>
					</li>{/each}
			</ol>
		</section>
	{/if}
	<section>
		<h2 class="border-b border-ink pb-1">{texts.howItIsDone}</h2>
		{#each data.hazards as h (h.what)}<Note tone="harm" class="mt-2">
				<strong>{h.what}:</strong>
				{h.say}
			</Note>{/each}
		{#each data.way.cautions as c (c)}<Note tone="harm" class="mt-2">{c}</Note>{/each}
		<p class="mt-2">
			{data.way.piece.say}{data.way.piece.cm
				? `, ${sayLengthRange(data.way.piece.cm[0], data.way.piece.cm[1], data.garden.units)}`
				: ''}.
		</p>
		<ol class="mt-2 list-decimal space-y-1 pl-5">
			{#each data.way.how as step (step)}<li>{step}</li>{/each}
		</ol>
		<p class="mt-2"><a class="lone" href="{base}/guide/{b.kindId}/{b.wayId}">{texts.theCutDrawnTo}</a></p>
		<p class="mt-2"><strong>{texts.signs}</strong> {data.way.signs}</p>
		<p class="mt-1"><strong>{texts.then}</strong> {data.way.then}</p>
		<p class="note mt-1">
			{texts.rootsUsuallyAfterDays(data.way.days[1], data.way.days[0], data.way.days[2])}
		</p>
	</section>
	{#if b.treatment.medium || b.container}
		<section>
			<h2 class="border-b border-ink pb-1">{texts.howYoursStand}</h2>
			<p class="mt-2">
				{[
					b.container,
					b.treatment.medium,
					b.treatment.hormone && texts.hormoneOf(b.treatment.hormone),
					b.treatment.wound && texts.baseWounded2,
					b.treatment.cover && texts.coverOf(b.treatment.cover)
				]
					.filter(Boolean)
					.join(' · ')}
			</p>
		</section>
	{/if}
	{#if data.way.schools.length}
		<section>
			<h2 class="border-b border-ink pb-1">{texts.whereGrowersDisagree}</h2>
			{#each data.way.schools as s (s.id)}
				<Fold label={s.question} plain class="border-b border-rule">
					<p class="pb-2">{s.one} {s.other} <em>{texts.here(s.ours)}</em></p>
				</Fold>
			{/each}
		</section>
	{/if}
</aside>
