<script lang="ts">
	/**
	 * Who: the grower before the first cold night, at the door of the garage or at the table. Question: what lives where
	 * this winter, and will it come through? Computes: each shelter's own cold (its lag behind the air outside, learnt from
	 * a thermometer), each plant's odds there, and where it would be better off, as long as there is room. Biggest: how
	 * many come through. At 390 px: place after place, a line a plant.
	 */
	import Act from '$lib/ui/Act.svelte';
	import { sayOdds } from '$lib/core/odds/words.js';
	import { sayTemperature } from '$lib/core/units/index.js';
	import Lodgers from './Lodgers.svelte';
	import ShelterPlace from './ShelterPlace.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const v = $derived(data.view);
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
</script>

<svelte:head><title>Shelter · {data.garden.name}</title></svelte:head>
<h1>{heading}</h1>
<p class="mt-1 max-w-prose text-lg text-faded">
	{#if v.outside.some((l) => l.better?.fits)}That is if what stands outside goes where it is best off.{/if}
	{#if unfit}{unfit === 1 ? 'One has' : `${unfit} have`} a place that would suit, but no room is left in it.{/if}
	{#if homeless}{homeless === 1 ? 'One finds' : `${homeless} find`} no better place here.{/if}
	The coldest night of a usual winter outside is {sayTemperature(v.coldestC, data.garden.units)}.
</p>

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

{#if v.outside.length}
	<section class="mt-8" aria-labelledby="outside">
		<h2 id="outside" class="border-b border-ink pb-1">Outside, and not safe there</h2>
		<Lodgers lodgers={v.outside} {base} units={data.garden.units} />
	</section>
{/if}

{#if v.shelters.length}
	<p class="note mt-8 max-w-prose">
		On each scale, blue: the coldest nights inside, from that of one winter in twenty to the usual one. Red: what the plants there
		bear.
	</p>
{/if}
{#each v.shelters as s (s.id)}
	<ShelterPlace shelter={s} {base} units={data.garden.units} outsideC={v.coldestC} />
{:else}
	<p class="mt-6 max-w-prose">
		No sill, shelf, garage or frame is told yet. <a href="{base}/settings">Add the places you have</a>, and how cold each gets is
		worked out from the weather.
	</p>
{/each}
<p class="mt-8"><Act href="{base}/settings">Change the places</Act></p>
