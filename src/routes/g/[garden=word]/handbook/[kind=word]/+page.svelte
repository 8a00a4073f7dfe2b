<script lang="ts">
	import { texts } from '$lib/messages/handbook.js';
	import { sayLight } from '$lib/core/ground/where.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { capital, sayShare } from '$lib/core/odds/words.js';
	import { sayDate } from '$lib/core/dates.js';
	import { sayLength, sayTemperature, zoneOf } from '$lib/core/units/index.js';
	import { SIGHTING_WORDS } from '$lib/core/season/suitability.js';
	import { PLACE_WORDS } from '$lib/ui/say.js';
	import OwnFigures from './OwnFigures.svelte';
	import WaySection from './WaySection.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const k = $derived(data.kind);
	const units = $derived(data.garden.units);
</script>

<svelte:head><title>{texts.handbook2(k.common)}</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<div class="mt-1 flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
	<div>
		<h1>{k.common}</h1>
		<p class="text-lg italic">
			{k.botanical}{#if k.trade}<span class="not-italic">{texts.soldAs(k.trade)}</span>{/if}
		</p>
		<p class="text-faded">
			{#if data.mine}{texts.yourOwnKind}{#if data.mine.like}{texts.whichBehavesLike}
					<a href="{base}/handbook/{data.mine.likeId}">{data.mine.like.toLowerCase()}</a>{/if}.
				<a href="{base}/handbook/own?kind={k.id}">{texts.changeIt}</a>.
			{:else}{k.stands_for}{/if}
		</p>
	</div>
	<p class="flex flex-wrap gap-3">
		<Act main href="{base}/wants/new?kind={k.id}">{texts.iWantSome}</Act><Act href="{base}/stock/new?kind={k.id}"
			>{texts.iHaveOne}</Act
		>
	</p>
</div>
<dl class="mt-4 grid gap-x-8 gap-y-3 sm:grid-cols-4">
	<div>
		<dt class="note">{texts.bearsColdDownTo}</dt>
		<dd class="text-lg font-semibold">
			{texts.zone(sayTemperature(k.hardiness_c.v, units), zoneOf(k.hardiness_c.v).zone)}
		</dd>
	</div>
	<div>
		<dt class="note">{texts.growsTo}</dt>
		<dd class="text-lg font-semibold">
			{texts.tallWide(sayLength(k.size.height_cm, units), sayLength(k.size.spread_cm, units))}
		</dd>
	</div>
	{#if k.light}
		<div>
			<dt class="note">{texts.outdoorsIn}</dt>
			<dd class="text-lg font-semibold">{sayLight(k.light.in)}</dd>
		</div>
	{/if}
	<div>
		<dt class="note">{texts.spacing}</dt>
		<dd class="text-lg font-semibold">{sayLength(k.size.spacing_cm, units)}</dd>
	</div>
	<div>
		<dt class="note">{texts.oneBought}</dt>
		<dd class="text-lg font-semibold">{texts.about(sayMoney(k.price.v, data.garden.currency))}</dd>
	</div>
</dl>
{#if k.seed}<p class="mt-3">
		<strong>{texts.seedTheOtherWay}</strong>
		{texts.aboutToFlower(
			k.seed.years,
			k.seed.years === 1 ? texts.year : texts.years,
			k.seed.true_to_type ? texts.likeItsParent : texts.notTrueToIts,
			k.seed.say
		)}
	</p>{/if}
{#if data.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.hardiness}</Note>{/if}
{#each k.hazards as h (h.what)}<Note tone="harm" class="mt-3">
		<strong>{h.what}:</strong>
		{h.say}
	</Note>{/each}
<Note class="mt-3">
	<strong
		>{k.protection.status === 'free'
			? texts.notProtected
			: k.protection.status === 'protected'
				? texts.protected
				: texts.mayBeProtected}</strong
	>
	{k.protection.say}
</Note>
<p class="mt-3">
	<strong>{texts.winter}</strong>
	{k.winter.say}
	{#if k.winter.limit_c > -5}{texts.inGrowthItBears(sayTemperature(k.winter.limit_c, units))}{/if}
</p>
{#if k.winter.shelters.length > 1 || k.winter.shelters[0]?.in !== 'ground'}
	<ul class="mt-1 list-disc pl-6">
		{#each k.winter.shelters as s (s.in)}<li>
				{texts.comeThrough(capital(PLACE_WORDS[s.in]), sayShare(s.chance), s.say)}
			</li>{/each}
	</ul>
{/if}

<details class="mt-6 max-w-2xl border-t border-rule pt-2" open={data.sightings.length > 0}>
	<summary class="min-h-11 cursor-pointer font-semibold">{texts.seenSomethingInThe}</summary>
	{#if data.sightings.length}
		<ul class="mb-3 list-disc pl-5">
			{#each data.sightings.slice(-5).reverse() as s, i (i)}<li>{sayDate(s.on)}: {SIGHTING_WORDS[s.event]}</li>{/each}
		</ul>
	{/if}
	<EntryForm action="?/saw" submit={texts.iSawIt} today={data.garden.today} noted={false}>
		<SelectField label={texts.what} name="event" value={data.events[0]!.value} items={data.events} />
	</EntryForm>
</details>

{#each data.ways as w (w.id)}
	<Island><WaySection {w} {data} {base} /></Island>
{/each}

<section class="mt-10 border-t border-ink pt-4">
	<h2>{texts.passItOnOr}</h2>
	<p class="mt-2 flex flex-wrap gap-3">
		<Act href="{base}/handbook/{k.id}/kind.yaml" data-sveltekit-reload>{texts.saveAsAFile}</Act>
		{#if !data.mine}<Act href="{base}/handbook/own?like={k.id}">{texts.aKindOfMy}</Act>{/if}
	</p>
	{#if data.mine}
		<Fold label={texts.takeThisKindAway} class="mt-3 max-w-xl">
			<EntryForm action="?/away" submit={texts.takeAway(k.common)} today={data.garden.today} dated={false} noted={false} quiet>
				<Field label={texts.whyIfYouLike} name="why" />
			</EntryForm>
		</Fold>
	{/if}
</section>

<Island><OwnFigures {data} /></Island>
