<script lang="ts">
	/** Will they be there by the day, and what does it take? */
	import { texts } from '$lib/messages/wants.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { goto } from '$app/navigation';
	import { sayDate } from '$lib/core/dates.js';
	import { sayDoes, sayShare } from '$lib/core/odds/words.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import OddsSketch from '$lib/ui/OddsSketch.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import StandingMark from '$lib/ui/StandingMark.svelte';
	import { PLACE_WORDS, PURPOSE_WORDS } from '$lib/ui/say.js';
	import AsThingsStand from './AsThingsStand.svelte';
	import Bought from './Bought.svelte';
	import ChangeWant from './ChangeWant.svelte';
	import Instead from './Instead.svelte';
	import WayBest from './WayBest.svelte';
	import WayShort from './WayShort.svelte';
	import { wishWords } from '$lib/core/ledger/wish.js';
	import { lower } from './planSays.js';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	import { sayLength } from '$lib/core/units/index.js';
	let { data }: { data: PageData } = $props();

	const base = $derived(`/g/${data.garden.slug}`);
	const want = $derived(data.want);
	const p = $derived(data.planned);
	const feasible = $derived(p?.plan?.ways.filter((w) => w.best) ?? []);
	const tooLate = $derived(p?.plan !== null && p?.plan !== undefined && feasible.length === 0);
	const currency = $derived(data.garden.currency);
	const wish = $derived(wishWords({ ...want, tall: want.leastCm === null ? null : sayLength(want.leastCm, data.garden.units) }));

	const planned = $derived.by(steady(() => p?.stockId ?? ''));
	let stockId = $derived(planned);
</script>

<svelte:head><title>{want.target} {want.kindName} · {data.garden.name}</title></svelte:head>

<Trail to="{base}/wants" name="Wants" />
<div class="mt-1 grid gap-6 border-b border-ink pb-6 md:grid-cols-[1fr_auto]">
	<div>
		<h1>{want.target} {want.kindName}{want.label ? `, ${want.label}` : ''}</h1>
		<p class="text-faded">
			{texts.byAsSureAs(
				PURPOSE_WORDS[want.purpose],
				data.placeName ? ` · ${data.placeName}` : '',
				sayDate(want.due),
				Math.round(want.confidence * 100)
			)}
		</p>
		{#if data.fits !== null && want.placeId && want.standing !== 'met'}
			<Note tone="now" class="mt-2 max-w-prose">
				{texts.takesSoMany(data.placeName, data.fits, sayDate(want.due))}
				<a href="{base}/ground/{want.placeId}?kind={want.kindId}">{texts.itsGround}</a>
			</Note>
		{/if}
		{#if wish.length}
			<p class="text-faded">{wish.join(' · ')}</p>
		{/if}
		<p class="mt-3 text-lg"><StandingMark word={want.dropped ? 'dropped' : want.standing} /></p>
		{#if want.waits}
			<p class="mt-1 max-w-prose">
				{texts.itsStockIsGrown}
				<a href="{base}/wants/{want.waits.id}">{texts.forItsStock(want.waits.target, sayDate(want.waits.due))}</a>
			</p>
		{/if}
		{#if want.batches.length || want.buying || want.bought}<AsThingsStand {want} promised={data.promised} {base} />{/if}
	</div>
	{#if want.pmf.length > 1 && want.standing !== 'met'}<div>
			<OddsSketch pmf={want.pmf} target={want.target} width={300} height={90} />
		</div>{/if}
</div>

{#if want.batches.length}
	<section class="border-b border-rule py-5">
		<h2>{texts.itsBatches}</h2>
		<ul class="ruled mt-2">
			{#each want.batches as b (b.id)}
				<li>
					<a href="{base}/bench/{b.id}" class="flex min-h-12 flex-wrap items-center gap-x-4 hover:bg-pane">
						<span class="border border-ink px-1.5 font-mono">{b.code}</span>
						{#if want.orKinds.length}<span class="font-semibold">{b.kindName}</span>{/if}
						<span
							>{b.status === 'planned'
								? texts.plannedFor(b.planned, sayDate(b.on))
								: texts.struckInHand(b.struck, sayDate(b.on), b.inHand)}</span
						>
						{#if b.inTime < 0.95}<span class="text-madder">{texts.inTime(sayShare(b.inTime))}</span>{/if}
					</a>
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#if !want.dropped && (want.buying || want.standing !== 'met')}
	<Island><Bought {want} price={data.price} {currency} today={data.garden.today} /></Island>
{/if}

{#if p}
	<section class="py-6">
		<div class="flex flex-wrap items-end justify-between gap-4">
			<h2>{p.why ? texts.thePlan : p.beside ? texts.toMakeUpWhat : texts.waysToGetThere}</h2>
			{#if p.choices.length > 1}
				<div class="w-72">
					<SelectField
						label={texts.fromThisStock}
						name="stock"
						bind:value={stockId}
						items={p.choices.map((c) => ({ value: c.id, name: c.label }))}
					/>
				</div>
				<Act onclick={() => goto(`?stock=${stockId}`, { noScroll: true })}>{texts.planFromIt}</Act>
			{/if}
		</div>

		{#if p.choices.length > 1 && want.orKinds.length && p.plan}<p class="note mt-2">{texts.withTheseOf(data.kind.name)}</p>{/if}

		{#if data.kind.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.kind.hardiness}</Note>{/if}
		{#if p.why}
			<Note tone={p.why.startsWith('As things') ? 'well' : 'harm'} class="mt-4 bg-pane py-3">
				<p class="text-lg">{p.why}</p>
				{#if p.choices.length === 0}
					<p class="mt-3">
						<Act main href="{base}/stock/new?kind={data.kind.id}">{texts.addStockOf(data.kind.common)}</Act>
					</p>
				{:else if p.stockId && p.choices.find((c) => c.id === p.stockId)?.refused}
					<p class="mt-3">
						<Act href="{base}/stock/{p.stockId}">{texts.recordALicenceOr}</Act>
					</p>
				{/if}
			</Note>
		{/if}
		{#each p.choices.filter((c) => c.id === p.stockId && c.may.may === 'look') as c (c.id)}
			<Note tone="now" class="mt-3">{c.may.sentence}</Note>
		{/each}
		{#if p.keep}
			<p class="mt-3 max-w-prose">
				{#if p.keep.shelter}
					{texts.the(
						p.keep.toMove ? texts.broughtInto : texts.inWord,
						PLACE_WORDS[p.keep.shelter.in as keyof typeof PLACE_WORDS] ?? p.keep.shelter.in
					)} <strong>{sayDoes(p.keep.parentAlone, texts.theParent, 'comes', 'through')}</strong>. {p.keep.shelter.say}
				{:else}
					{texts.noneOfYourPlaces(data.kind.winterSays)}
				{/if}
			</p>
		{/if}

		{#if p.plan?.lastSafe}
			<p class="mt-3 text-lg">{texts.theLastSafeDayTo} <strong>{sayDate(p.plan.lastSafe)}</strong>.</p>
		{/if}
		{#if tooLate && p.plan}
			<Instead
				ways={p.plan.ways}
				{want}
				target={p.target}
				today={data.garden.today}
				buying={p.buying}
				{currency}
				handbook="{base}/handbook/{data.kind.id}"
			/>
		{/if}

		{#each p.plan?.byHour ?? [] as other (other.worth)}
			<p class="mt-3 max-w-prose">
				{texts.theyStandInThe(
					sayMoney(p.plan!.hourWorth, currency),
					sayMoney(other.worth, currency),
					lower(p.plan!.ways.find((w) => w.wayId === other.wayId)?.name ?? '')
				)}
			</p>
		{/each}
		{#if p.plan}
			<ol class="long mt-5">
				{#each p.plan.ways as w, i (w.wayId)}
					<li class="border-t border-ink py-5">
						<Island
							>{#if w.best}
								<WayBest
									{w}
									first={i === 0}
									beside={p.beside}
									target={p.target}
									due={want.due}
									stockId={p.stockId}
									garden={data.garden}
									{base}
								/>
							{:else}
								<WayShort {w} target={p.target} confidence={want.confidence} stockId={p.stockId} today={data.garden.today} />
							{/if}</Island
						>
					</li>
				{/each}
			</ol>
		{/if}
	</section>
	{#each data.kind.hazards as h (h.what)}
		<Note tone="harm"><strong>{h.what}:</strong> {h.say}</Note>
	{/each}
	<Island
		><ChangeWant
			units={data.garden.units}
			{want}
			kinds={data.kinds}
			places={data.places}
			story={data.story}
			today={data.garden.today}
		/></Island
	>
	<Fold label={texts.notWantedAnyMore} class="border-t border-rule pt-2">
		<div class="max-w-md">
			<EntryForm action="?/drop" submit={texts.dropThisWant} today={data.garden.today} dated={false} noted={false} quiet>
				<Field label={texts.why} name="why" />
			</EntryForm>
		</div>
	</Fold>
{:else}
	<p class="py-6">{texts.droppedUndoItFrom} <a href="{base}/ledger">{texts.ledger}</a> {texts.ifThatWasA}</p>
{/if}
