<script lang="ts">
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
			? 'Nothing here needs a shelter'
			: v.likely === v.all
				? v.all === 1
					? 'It will probably come through the winter'
					: `All ${v.all} will probably come through the winter`
				: v.likely === 0
					? `None of ${v.all} is likely to come through the winter`
					: `${v.likely} of ${v.all} will probably come through the winter`
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
			refusedThere = `${lodger.name} is not kept in a place like ${places.get(to.placeId ?? '') ?? 'that'}.`;
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

<svelte:head><title>Shelter · {data.garden.name}</title></svelte:head>
<h1>{heading}</h1>
<p class="mt-1 max-w-prose text-lg text-faded">
	{#if going.length}That is once {going.length === 1 ? 'one has' : `${going.length} have`} been moved.{/if}
	{#if unfit}{unfit === 1 ? 'One has' : `${unfit} have`} a place that would suit, but no room is left in it.{/if}
	{#if homeless}{homeless === 1 ? 'One finds' : `${homeless} find`} no better place here.{/if}
	{#if v.all > 0 && minutes >= 5}They take about {minutes} minutes a week{v.minutesAWeek !== null &&
		v.minutes > v.minutesAWeek * 0.9
			? `, nearly all of your ${v.minutesAWeek}`
			: ''}.{/if}
	The coldest night of a usual winter outside is {sayTemperature(v.coldestC, units)}.
</p>
{#each v.away as a (a.from)}<Note tone="now" class="mt-3">
		You are away from {sayDate(a.from)} to {sayDate(a.to)}: {a.names.slice(0, 4).join(', ')}{a.names.length > 4
			? ` and ${a.names.length - 4} more`
			: ''} would want water before you are back.
		<a class="underline" href="{base}/round/away?from={a.from}&to={a.to}">A sheet for whoever waters</a>
	</Note>{/each}
{#each v.alone as name (name)}<Note tone="now" class="mt-3">
		{name} cannot be had again, and would spend the winter in one place alone. A few cuttings of it in another place are its insurance.
	</Note>{/each}
{#each v.overfull as name (name)}<Note tone="harm" class="mt-3">
		What stays at {name} because you said so takes more room than there is.
	</Note>{/each}

<div class="mt-8 grid gap-x-10 gap-y-8 md:grid-cols-2">
	{#if going.length}
		<section aria-labelledby="carry" class="min-w-0">
			<h2 id="carry" class="border-b border-ink pb-1">
				{going.length === 1 ? 'One to carry' : `${going.length} to carry`}
			</h2>
			<div class="mt-2"><Carry {going} today={data.garden.today} {units} /></div>
		</section>
	{/if}
	{#if v.all > 0 && v.shelters.length}
		<section aria-labelledby="helps" class="no-print min-w-0">
			{#await data.changes}
				<h2 id="helps" class="border-b border-ink pb-1">What would help</h2>
				<p class="mt-2 text-faded" role="status">Working out what each change would bring …</p>
			{:then changes}
				<h2 id="helps" class="border-b border-ink pb-1">
					{!changes || changes.gains.length === 0
						? 'Nothing more would help'
						: changes.gains.length === 1
							? 'One thing would help'
							: `${changes.gains.length} things would help`}
				</h2>
				{#if changes}<Changes {changes} {units} currency={data.garden.currency} today={data.garden.today} {base} />
				{:else}<p class="mt-2">It could not be worked out just now: load the page again.</p>{/if}
			{/await}
		</section>
	{/if}
</div>

{#if v.kinds.length}
	<section class="mt-8" aria-labelledby="kinds">
		<h2 id="kinds" class="border-b border-ink pb-1">
			{v.kinds.length === 1 ? 'One kind may be gone' : `${v.kinds.length} kinds may be gone`} by spring
		</h2>
		<ul class="ruled">
			{#each v.kinds as k (k.name)}
				<li class="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
					<span class="min-w-0 font-semibold wrap-anywhere">{k.name}</span>
					<span class="text-right">{sayOdds(k.moved)}</span>
					<p class="note col-span-2">
						That one at least is alive in spring{k.moved > k.stays + 0.02
							? `, once moved; as it stands, ${sayOdds(k.stays)}`
							: ''}. There
						{k.copies.length === 1 && k.copies[0]?.count === 1 ? 'is' : 'are'}
						{k.copies.map((c) => `${c.count} ${c.place === null ? 'without a place' : `at ${c.place}`}`).join(', ')}.
					</p>
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#if v.shelters.length && v.all > 0}
	<section class="mt-8" aria-labelledby="try">
		<h2 id="try" class="border-b border-ink pb-1">Where each stands</h2>
		<div class="no-print sticky top-0 z-20 flex flex-wrap items-center gap-3 bg-glass py-2">
			<p aria-live="polite" class="text-lg">
				<strong>{likelyOf(all)} of {v.all}</strong>
				{trying ? `with ${trying === 1 ? 'one' : trying} tried elsewhere` : 'as all stands today'}.
				{#if refusedThere}<span class="text-madder">{refusedThere}</span>{/if}
			</p>
			{#if trying}<Act onclick={() => (tried = {})}>Put all back</Act>{/if}
			{#if going.length}<Act onclick={() => (tried = { ...planned(v) })}>Try the plan</Act>{/if}
		</div>
		<p class="note max-w-prose">
			Drag a plant to another shelf, or choose its place below: the odds follow at once, and nothing is logged. On each scale,
			blue: the coldest nights inside, from that of one winter in twenty to the usual one. Red: what the plants there bear.
		</p>
	</section>
{/if}
{#if outside.length}
	<section class="mt-6" aria-labelledby="outside">
		<h2 id="outside" class="border-b border-ink pb-1">Outside, and not safe there</h2>
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
		No sill, shelf, garage or frame is told yet. <a href="{base}/settings">Add the places you have</a>, and how cold each gets is
		worked out from the weather.
	</p>
{/each}
<p class="mt-8 flex flex-wrap gap-3">
	{#if v.shelters.length}<Act href="{base}/shelter/sheet.pdf" data-sveltekit-reload>Sheets for the doors (PDF)</Act>{/if}
	<Act href="{base}/settings">Change the places</Act>
</p>
