<script lang="ts">
	/**
	 * Who: the grower with one pot in hand, wondering whether to keep it. Question: how does it best get through this
	 * winter? Computes: every route with its odds, minutes, room and money, and the odds of any of them together. Biggest:
	 * the odds of what is chosen. At 390 px: a route a line, tapped to put it with others.
	 */
	import { texts } from '$lib/messages/shelter.js';
	import { SvelteSet } from 'svelte/reactivity';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { capital, sayOdds } from '$lib/core/odds/words.js';
	import { together } from '$lib/core/shelter/index.js';
	import { sayArea, sayMinutes, sayTemperature } from '$lib/core/units/index.js';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const p = $derived(data.plant);
	const units = $derived(data.garden.units);
	const chosen = new SvelteSet<string>();
	const routes = $derived(p.routes.filter((r) => chosen.has(r.id)));
	const odds = $derived(together(routes, p.winters));
	const bought = $derived(routes.some((r) => r.copies === null));
	const week = $derived(routes.reduce((s, r) => s + r.minutesAWeek, 0));
	/** As it was said; ticked anew it is another. */
	const kept = $derived.by(steady(() => ({ plant: p.id, never: p.said.never })));
	let never = $derived([...kept.never]);
	const M2 = 10_000;
	/** Chosen or not; the whole plant goes to one place only. */
	function toggle(id: string) {
		if (chosen.delete(id)) return;
		const r = p.routes.find((x) => x.id === id)!;
		if (r.what !== 'cuttings' && r.what !== 'water')
			for (const other of p.routes) if (other.what !== 'cuttings' && other.what !== 'water') chosen.delete(other.id);
		chosen.add(id);
	}
	const name = (id: string) => {
		const r = p.routes.find((x) => x.id === id)!;
		return `${r.name}${r.place ? `, ${r.place}` : ''}`;
	};
	const WORTH_ITEMS = [
		{ value: '', name: texts.asItsPriceHas },
		{ value: 'gone', name: texts.itCannotBeHad },
		{ value: 'dear', name: texts.itIsDear },
		{ value: 'easy', name: texts.anyMarketHasIt }
	];
	const areaSaid = (cm2: number) => (cm2 >= 50 ? sayArea(cm2 / M2, units) : '');
</script>

<svelte:head><title>{texts.inWinter(p.name, data.garden.name)}</title></svelte:head>
<Trail to="{base}/shelter" name="Shelter" />
<h1 class="mt-1">{texts.aliveInSpringAs(p.name, sayOdds(p.stays), p.count > 1 ? texts.theyStand : texts.itStands)}</h1>
<p class="mt-1 max-w-prose text-lg text-faded">
	{#if p.count > 1}{texts.thatIsForOne}{/if}
	{texts.inGrowthNoNight(
		p.count > 1 ? texts.theyWant : texts.itWants,
		sayTemperature(p.limitC, units),
		p.count > 1 ? texts.theyBear2 : texts.itBears2,
		sayTemperature(p.bearsC, units)
	)}
	{#if p.inBy}{texts.inBy(sayDate(p.inBy))}{/if}
	{#if p.dividesInto > 1}{texts.comeLateWinterIt(p.dividesInto)}{/if}
</p>

<section class="mt-8" aria-labelledby="ways">
	<h2 id="ways" class="border-b border-ink pb-1">{texts.waysThroughTheWinter}</h2>
	<p class="note mt-1">{texts.chooseOneOrSeveral}</p>
	<ul class="ruled">
		{#each p.routes as r (r.id)}
			<li class="grid grid-cols-[auto_1fr_auto] items-baseline gap-x-3 py-2">
				<label class="flex min-h-11 min-w-11 items-center self-center">
					<Checkbox checked={chosen.has(r.id)} onchange={() => toggle(r.id)} aria-label={texts.choose(name(r.id))} />
				</label>
				<span class="min-w-0 font-semibold wrap-anywhere"
					>{r.name}{#if r.place}<span class="font-normal">, {r.place}</span>{/if}</span
				>
				<span class="text-right {r.copies && r.chance < 0.5 ? 'font-semibold text-madder' : ''}"
					>{r.copies ? sayOdds(r.chance) : sayMoney(r.money, data.garden.currency)}</span
				>
				<p class="note col-start-2 col-end-4">
					{r.say}
					{[
						r.here ? texts.itStandsThere : r.planned ? texts.thePlanHasIt : '',
						r.minutesAWeek >= 0.5 ? texts.aboutAWeek(sayMinutes(r.minutesAWeek)) : '',
						r.minutes >= 10 ? texts.toBeginWith(capital(sayMinutes(r.minutes))) : '',
						areaSaid(r.areaCm2) ? texts.takes(areaSaid(r.areaCm2), r.fits === false ? texts.moreThanIsLeft : '') : '',
						r.until ? texts.toBeCutBy(sayDate(r.until)) : ''
					]
						.filter(Boolean)
						.join(' ')}
				</p>
			</li>
		{/each}
	</ul>
	<div class="sticky bottom-16 z-10 mt-2 border-t-2 border-ink bg-glass py-3 md:bottom-0" aria-live="polite">
		{#if routes.length === 0}
			<p class="text-faded">{texts.nothingChosenYet}</p>
		{:else}
			<p class="text-lg">
				<strong class="text-2xl">{bought ? texts.certainAsLongAs : capital(sayOdds(odds))}</strong>
				{texts.by2(
					routes.length === 1 ? texts.thisWay : texts.theseWaysTogether(routes.length),
					week >= 0.5 ? texts.aboutAWeek2(sayMinutes(week)) : ''
				)}
			</p>
		{/if}
	</div>
	{#if p.pairs.length}
		<h3 class="mt-6">{texts.theSurestTwoTogether}</h3>
		<ul class="ruled">
			{#each p.pairs as pair (pair.ids.join())}
				<li class="flex items-baseline justify-between gap-4 py-2">
					<span class="min-w-0 wrap-anywhere"
						>{texts.and(
							name(pair.ids[0]),
							name(pair.ids[1]).replace(/^./, (c) => c.toLowerCase())
						)}</span
					>
					<span class="text-right whitespace-nowrap">{sayOdds(pair.chance)}</span>
				</li>
			{/each}
		</ul>
	{/if}
</section>

<div class="mt-8 grid gap-10 md:grid-cols-2">
	<section aria-labelledby="do">
		<h2 id="do" class="border-b border-ink pb-1">{texts.doIt}</h2>
		<div class="mt-3 flex flex-wrap gap-3">
			{#if p.what === 'stock'}
				<Act href="{base}/bench/new?stock={p.id}">{texts.strikeCuttingsOfIt}</Act>
				<Act href="{base}/stock/{p.id}">{texts.itsOwnPage}</Act>
			{:else}<Act href="{base}/bench/{p.id}">{texts.theBatch}</Act>{/if}
		</div>
		<Fold label={texts.itWasMoved} class="mt-2">
			<EntryForm action="?/carry" submit={texts.logTheMove} today={data.garden.today} noted={false} quiet>
				<SelectField
					label={texts.whereItStandsNow}
					name="carry"
					value="{p.id} {p.routes.find((r) => r.planned)?.placeId ?? p.places[0]?.id}"
					items={p.places.map((x) => ({ value: `${p.id} ${x.id}`, name: x.name }))}
				/>
			</EntryForm>
		</Fold>
	</section>
	<section aria-labelledby="say">
		<h2 id="say" class="border-b border-ink pb-1">{texts.whatThePlanMust}</h2>
		<EntryForm
			action="?/lodge"
			submit={texts.keepThis}
			today={data.garden.today}
			dated={false}
			noted={false}
			seen={p.said.version === null ? null : { id: p.id, version: p.said.version }}
		>
			<SelectField
				label={texts.whatItWouldBe}
				name="worth"
				value={p.said.worth ?? ''}
				items={WORTH_ITEMS}
				hint={texts.whatCannotBeHad}
			/>
			<SelectField
				label={texts.staysAt}
				name="pinned"
				value={p.said.pinned ?? ''}
				items={[{ value: '', name: texts.whereverItIsBest }, ...p.places.map((x) => ({ value: x.id, name: x.name }))]}
			/>
			<fieldset>
				<legend class="font-semibold">{texts.neverTo}</legend>
				<div class="flex flex-wrap gap-x-6">
					{#each p.places as x (x.id)}
						<Checkbox name="never" value={x.id} bind:group={never}><span class="py-2.5">{x.name}</span></Checkbox>
					{/each}
				</div>
			</fieldset>
			<Checkbox name="apart" checked={p.said.apart}><span class="py-2.5">{texts.itHasMitesOr}</span></Checkbox>
		</EntryForm>
	</section>
</div>
