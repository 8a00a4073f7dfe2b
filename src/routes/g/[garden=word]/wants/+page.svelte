<script lang="ts">
	import { texts } from '$lib/messages/wants.js';
	import Act from '$lib/ui/Act.svelte';
	import Island from '$lib/ui/Island.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayWouldDo } from '$lib/core/joint/words.js';
	import { sayOddsAsked } from '$lib/core/odds/words.js';
	import OddsSketch from '$lib/ui/OddsSketch.svelte';
	import StandingMark from '$lib/ui/StandingMark.svelte';
	import { repairsLater } from '$lib/ui/repairs.svelte.js';
	import { HINGE_WORDS, PURPOSE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const repairs = repairsLater(
		() => base,
		() => data.wants
	);
	const trouble = $derived(data.wants.filter((w) => ![texts.inHand, 'met', 'waits'].includes(w.standing)).length);
</script>

<svelte:head><title>{texts.wants(data.garden.name)}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.whatYouWantAnd}</h1>
		{#if data.wants.length}<p class="text-faded">
				{trouble === 0 ? texts.allInHand : texts.ofNeedYou(trouble, data.wants.length, trouble === 1 ? 's' : '')}
			</p>{/if}
	</div>
	<div class="flex flex-wrap gap-2">
		<Island>
			<Act main href="{base}/wants/new">{texts.sayWhatYouWant}</Act>
			{#if data.wants.length}<Act href="{base}/plan">{texts.planAllOfIt}</Act>{/if}
		</Island>
	</div>
</div>

{#if data.wants.length === 0}
	<p class="mt-10 max-w-xl border-t border-ink pt-6">
		{texts.nothingIsWantedYet}
	</p>
{/if}

<ul class="long mt-6 border-t border-ink">
	{#each data.wants as want (want.id)}
		{@const repair = repairs.list.find((r) => r.id === want.id)}
		<li class="border-b border-rule">
			<a
				href="{base}/wants/{want.id}"
				class="grid items-center gap-x-6 gap-y-2 py-4 hover:bg-pane sm:grid-cols-[1fr_13rem_14rem]"
			>
				<div>
					<p class="text-lg leading-tight font-semibold">
						<span class="font-head text-2xl">{want.target}</span>
						{want.kindName}
					</p>
					<p class="note">
						{texts.by2(
							want.label || PURPOSE_WORDS[want.purpose],
							want.placeId && data.placeNames[want.placeId] ? `, ${data.placeNames[want.placeId]}` : '',
							sayDate(want.due)
						)}
					</p>
					{#if repair}<p class="note text-ink">{repair.says}</p>{/if}
					{#if want.hinge}<p class="note">
							{texts.hangsMostOnOf(HINGE_WORDS[want.hinge.stage], want.hinge.code)}
						</p>{/if}
				</div>
				<div>
					<StandingMark word={want.standing} />
					{#if want.standing !== 'no plan' && want.standing !== 'waits' && want.standing !== 'met'}
						<p class="font-head text-xl leading-tight font-semibold">{sayOddsAsked(want.odds, want.confidence)}</p>
						{#each want.wouldDo.slice(0, 1) as o (o.target + o.due)}<p class="note">{sayWouldDo(want, o, o.odds)}.</p>{/each}
					{/if}
					<p class="note">
						{#if want.planted > want.bought}{(want.purpose === 'gifts' ? texts.handedOver : texts.planted)(
								want.planted - want.bought
							)}{/if}
						{#if want.bought}{texts.bought2(want.bought)}{/if}
						{#if want.growing}{texts.growing(want.growing)}{/if}
						{#if want.planned}{texts.planned(want.planned)}{/if}
						{#if want.buying}{texts.toBuy(want.buying)}{/if}
						{#if want.waits}{texts.forItsStock(want.waits.target, sayDate(want.waits.due))}{/if}
						{#if want.standing === 'no plan'}{texts.nothingPlannedOrGrowing}{/if}
					</p>
				</div>
				<div class="hidden sm:block">
					{#if want.pmf.length > 1 && want.standing !== 'met'}<OddsSketch pmf={want.pmf} target={want.target} height={44} />{/if}
				</div>
			</a>
		</li>
	{/each}
</ul>
