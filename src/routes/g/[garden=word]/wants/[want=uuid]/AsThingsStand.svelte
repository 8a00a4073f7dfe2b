<script lang="ts">
	/** How sure the want is as things stand, how that came about, and what it hangs on. */
	import { sayDate } from '$lib/core/dates.js';
	import { sayWouldDo } from '$lib/core/joint/words.js';
	import { notQuite, sayCount, sayDoes, sayOdds } from '$lib/core/odds/words.js';
	import { texts } from '$lib/messages/wants.js';
	import Fold from '$lib/ui/Fold.svelte';
	import { HINGE_WORDS, sayRange } from '$lib/ui/say.js';
	import type { PageData } from './$types';

	let { want, promised, base }: { want: PageData['want']; promised: PageData['promised']; base: string } = $props();
</script>

<p class="mt-1 max-w-prose text-lg">
	{texts.asThingsStand}
	<strong>{notQuite(want.odds, want.confidence)}{sayDoes(want.odds, 'you', 'get', texts.orMore(want.target))}</strong>; {sayCount(
		want.quantiles
	)}.
	{#each want.wouldDo as o (o.target + o.due)}{sayWouldDo(want, o, o.odds)}.
	{/each}
	{#if want.planned || want.buying}{texts.withoutWhatIsOnly(sayOdds(want.oddsGrowing))}{/if}
</p>
{#if want.bought || want.buying}
	<p class="mt-1">
		{#if want.bought}{texts.soManyWereBought(want.bought)}{/if}
		{#if want.buying}{texts.soManyAreToBe(want.buying)}{/if}
	</p>
{/if}
{#if promised}
	{@const then = promised}
	<p class="note mt-1">
		{texts.plannedWhenItWas(sayDate(then.on), sayOdds(then.odds))}
		{#if sayOdds(then.odds) !== sayOdds(want.odds) && then.since.length === 0}
			{texts.nothingWasLoggedOf}
		{/if}
	</p>
	{#if sayOdds(then.odds) !== sayOdds(want.odds) && then.since.length}
		<Fold label={texts.whatWasLoggedSince} class="mt-1">
			<ul class="note list-disc pl-5">
				{#each then.since as e (e.id)}<li>{sayDate(e.on)}: {e.line}</li>{/each}
				{#if then.more}<li>{texts.more(then.more, then.more === 1 ? texts.entry : texts.entries)}</li>{/if}
			</ul>
		</Fold>
	{/if}
{/if}
{#if want.ready}<p class="note mt-1">
		{(want.purpose === 'gifts' ? texts.readyInPots : texts.inTheGroundAbout)(
			sayDate(want.ready.usual),
			want.ready.quick === want.ready.slow ? '' : ` (${sayRange(want.ready.quick, want.ready.slow)})`
		)}
	</p>{/if}
{#if want.hinge}<p class="note">
		{texts.itHangsMostOn(HINGE_WORDS[want.hinge.stage])}
		<a href="{base}/bench/{want.hinge.batchId}">{want.hinge.code}</a>.
	</p>{/if}
