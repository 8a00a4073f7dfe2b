<script lang="ts">
	import { texts } from '$lib/messages/shelter.js';
	import { tick } from 'svelte';
	/**
	 * Who: the grower before the first cold night, at the door of the garage or at the table. Question: what lives where
	 * this winter, and will it come through? Computes: each shelter's own cold (its lag behind the air outside, learnt from
	 * a thermometer), the plan of all plants over rooms, weeks and minutes, and what would help. Biggest: how many come
	 * through. At 390 px: the list to carry by, ticked at the door; then place after place, a line a plant.
	 */
	import Act from '$lib/ui/Act.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayOdds } from '$lib/core/odds/words.js';
	import { sayTemperature } from '$lib/core/units/index.js';
	import { likelyOf, planned, standings, usedAt } from './arrangement.js';
	import type { Put, Tried } from './arrangement.js';
	import Carry from './Carry.svelte';
	import Changes from './Changes.svelte';
	import Lodgers from './Lodgers.svelte';
	import ShelterPlace from './ShelterPlace.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const v = $derived(data.view);
	const units = $derived(data.garden.units);
	const unfit = $derived(v.outside.filter((l) => l.better && !l.better.fits).length);
	const homeless = $derived(v.outside.filter((l) => !l.better).length);
	const heading = $derived(
		v.all === 0
			? texts.nothingHereNeedsA
			: v.likely === v.all
				? v.all === 1
					? texts.itWillProbablyCome
					: texts.allWillProbablyCome(v.all)
				: v.likely === 0
					? texts.noneOfIsLikely(v.all)
					: texts.ofWillProbablyCome(v.likely, v.all)
	);
	const places = $derived(new Map(v.shelters.map((s) => [s.id, s.name])));
	const going = $derived(
		[...v.outside, ...v.shelters.flatMap((s) => s.lodgers)].flatMap((lodger) =>
			lodger.better?.fits && lodger.better.placeId
				? [{ lodger, to: lodger.better.placeId, place: lodger.better.place, keeps: lodger.better.keeps }]
				: []
		)
	);
	/** What is tried in thought; it starts afresh when something was logged. */
	let tried = $derived<Tried>(v.all < 0 ? {} : {});
	const all = $derived(standings(v, tried));
	let refusedThere = $state('');
	const trying = $derived(Object.keys(tried).length);
	function put(id: string, to: Put) {
		const { from, lodger } = all.find((s) => s.lodger.id === id)!;
		if (!lodger.choices.some((c) => c.placeId === to.placeId)) {
			// Both shelves have let go of it by then: drawn anew it is back where it stood.
			void tick().then(() => (tried = { ...tried }));
			refusedThere = texts.isNotKeptIn(lodger.name, places.get(to.placeId ?? '') ?? 'that');
			return;
		}
		refusedThere = '';
		const home = from ?? lodger.choices[0]?.placeId ?? null;
		const next: Record<string, Put> = { ...tried, [id]: to };
		if (to.placeId === home && to.keeps === lodger.count) delete next[id];
		tried = next;
	}
	const outside = $derived(all.filter((s) => !places.has(s.at ?? '')));
	const minutes = $derived(Math.round(v.minutes / 5) * 5);
</script>

<svelte:head><title>{texts.shelter(data.garden.name)}</title></svelte:head>
<h1>{heading}</h1>
<p class="mt-1 max-w-prose text-lg text-faded">
	{#if going.length}{texts.thatIsOnceBeen(going.length === 1 ? texts.oneHas : texts.have(going.length))}{/if}
	{#if unfit}{texts.aPlaceThatWould(unfit === 1 ? texts.oneHas2 : texts.have(unfit))}{/if}
	{#if homeless}{texts.noBetterPlaceHere(homeless === 1 ? texts.oneFinds : texts.find(homeless))}{/if}
	{#if v.all > 0 && minutes >= 5}{texts.theyTakeAboutMinutes(
			minutes,
			v.minutesAWeek !== null && v.minutes > v.minutesAWeek * 0.9 ? texts.nearlyAllOfYour(v.minutesAWeek) : ''
		)}{/if}
	{texts.theColdestNightOf(sayTemperature(v.coldestC, units))}
</p>
{#each v.away as a (a.from)}<Note tone="now" class="mt-3">
		{texts.youAreAwayFrom(
			sayDate(a.from),
			sayDate(a.to),
			a.names.slice(0, 4).join(', '),
			a.names.length > 4 ? texts.andMore(a.names.length - 4) : ''
		)}
		<a class="underline" href="{base}/round/away?from={a.from}&to={a.to}">{texts.aSheetForWhoever}</a>
	</Note>{/each}
{#each v.alone as name (name)}<Note tone="now" class="mt-3">
		{texts.cannotBeHadAgain(name)}
	</Note>{/each}
{#each v.overfull as name (name)}<Note tone="harm" class="mt-3">
		{texts.whatStaysAtBecause(name)}
	</Note>{/each}

<div class="mt-8 grid gap-x-10 gap-y-8 md:grid-cols-2">
	{#if going.length}
		<section aria-labelledby="carry" class="min-w-0">
			<h2 id="carry" class="border-b border-ink pb-1">
				{going.length === 1 ? texts.oneToCarry : texts.toCarry(going.length)}
			</h2>
			<div class="mt-2"><Carry {going} today={data.garden.today} {units} /></div>
		</section>
	{/if}
	{#if v.all > 0 && v.shelters.length}
		<section aria-labelledby="helps" class="no-print min-w-0">
			{#await data.changes}
				<h2 id="helps" class="border-b border-ink pb-1">{texts.whatWouldHelp}</h2>
				<p class="mt-2 text-faded" role="status">{texts.workingOutWhatEach}</p>
			{:then changes}
				<h2 id="helps" class="border-b border-ink pb-1">
					{!changes || changes.gains.length === 0
						? texts.nothingMoreWouldHelp
						: changes.gains.length === 1
							? texts.oneThingWouldHelp
							: texts.thingsWouldHelp(changes.gains.length)}
				</h2>
				{#if changes}<Changes {changes} {units} currency={data.garden.currency} today={data.garden.today} {base} />
				{:else}<p class="mt-2">{texts.itCouldNotBe}</p>{/if}
			{/await}
		</section>
	{/if}
</div>

{#if v.kinds.length}
	<section class="mt-8" aria-labelledby="kinds">
		<h2 id="kinds" class="border-b border-ink pb-1">
			{texts.bySpring(v.kinds.length === 1 ? texts.oneKindMayBe : texts.kindsMayBeGone(v.kinds.length))}
		</h2>
		<ul class="ruled">
			{#each v.kinds as k (k.name)}
				<li class="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
					<span class="min-w-0 font-semibold wrap-anywhere">{k.name}</span>
					<span class="text-right">{sayOdds(k.moved)}</span>
					<p class="note col-span-2">
						{texts.thatOneAtLeast(
							k.moved > k.stays + 0.02 ? texts.onceMovedAsIt(sayOdds(k.stays)) : '',
							k.copies.length === 1 && k.copies[0]?.count === 1 ? texts.is : texts.are,
							k.copies.map((c) => `${c.count} ${c.place === null ? texts.withoutAPlace : texts.at(c.place)}`).join(', ')
						)}
					</p>
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#if v.shelters.length && v.all > 0}
	<section class="mt-8" aria-labelledby="try">
		<h2 id="try" class="border-b border-ink pb-1">{texts.whereEachStands}</h2>
		<div class="no-print sticky top-0 z-20 flex flex-wrap items-center gap-3 bg-glass py-2">
			<p aria-live="polite" class="text-lg">
				<strong>{texts.ofWord(likelyOf(all), v.all)}</strong>
				{trying ? texts.withTriedElsewhere(trying === 1 ? texts.one : trying) : texts.asAllStandsToday}.
				{#if refusedThere}<span class="text-madder">{refusedThere}</span>{/if}
			</p>
			{#if trying}<Act onclick={() => (tried = {})}>{texts.putAllBack}</Act>{/if}
			{#if going.length}<Act onclick={() => (tried = { ...planned(v) })}>{texts.tryThePlan}</Act>{/if}
		</div>
		<p class="note max-w-prose">
			{texts.dragAPlantTo}
		</p>
	</section>
{/if}
{#if outside.length}
	<section class="mt-6" aria-labelledby="outside">
		<h2 id="outside" class="border-b border-ink pb-1">{texts.outsideAndNotSafe}</h2>
		<Lodgers all={outside} {places} {base} {units} onput={put} />
	</section>
{/if}
{#each v.shelters as s (s.id)}
	<ShelterPlace
		shelter={s}
		here={all.filter((x) => x.at === s.id)}
		usedCm2={usedAt(all, s.id)}
		{places}
		{base}
		{units}
		today={data.garden.today}
		outsideC={v.coldestC}
		chosen={data.stripInside?.placeId === s.id}
		onput={put}
	/>
{:else}
	<p class="mt-6 max-w-prose">
		{texts.noSillShelfGarage} <a href="{base}/settings">{texts.addThePlacesYou}</a>{texts.andHowColdEach}
	</p>
{/each}
<p class="mt-8 flex flex-wrap gap-3">
	{#if v.shelters.length}<Act href="{base}/shelter/sheet.pdf" data-sveltekit-reload>{texts.sheetsForTheDoors}</Act>{/if}
	<Act href="{base}/settings">{texts.changeThePlaces}</Act>
</p>
