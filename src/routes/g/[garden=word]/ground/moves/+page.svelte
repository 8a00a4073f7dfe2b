<script lang="ts">
	/** In what order do things move, when each needs its place free? */
	import { texts } from '$lib/messages/ground.js';
	import Act from '$lib/ui/Act.svelte';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayMoves, sayMovesDays } from '$lib/core/ground/movesWords.js';
	import { sayDoes } from '$lib/core/odds/words.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import Meant from './Meant.svelte';
	import Order from './Order.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	const order = $derived(data.order);
	const people = $derived(Math.max(1, ...(order?.steps ?? []).map((s) => s.lift?.people ?? 1)));
	const hold = $derived(data.holds.find((p) => p.id === data.meant.hold)?.name ?? null);
	const heading = $derived(
		order ? sayMoves(order.moves, order.mostHeld) : data.kept && data.isKept ? texts.allThatWasPlanned : texts.inWhatOrderDo
	);
	const seen = $derived(data.kept ? { id: 'moves', version: data.kept.version } : null);
</script>

<svelte:head><title>{texts.movesGround(data.garden.name)}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if order}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.aboutInAll(
			data.freeing ? texts.theyClear(data.freeing) : '',
			sayMovesDays(order.first, order.last, data.garden.today),
			sayMinutes(order.minutes),
			people > 1 ? texts.theHeaviestTakesPeople(people) : ''
		)}
	</p>
{/if}
{#if data.wrong}<Note tone="harm" said>{data.wrong}</Note>{/if}
{#each order?.told ?? data.nowhere as t, i (i)}<Note tone={t.harm ? 'harm' : 'plain'} class="mt-2">{t.say}</Note>{/each}

{#if order}
	<div class="mt-6 grid gap-8 lg:grid-cols-2">
		<section aria-labelledby="order">
			<h2 id="order" class="border-b border-ink pb-1">{texts.inThisOrder}</h2>
			<Order {order} {hold} {units} today={data.garden.today} />
		</section>
		<div class="flex flex-col gap-6">
			{#if !data.isKept}
				<section class="no-print" aria-labelledby="keep">
					<h2 id="keep" class="border-b border-ink pb-1">{texts.keepItForIts}</h2>
					<p class="note mt-2">
						{texts.whatIsKeptComes(data.kept ? texts.inPlaceOfThe : '')}
					</p>
					<div class="mt-2">
						<EntryForm action="?/keep" submit={texts.keepTheseMoves} today={data.garden.today} dated={false} noted={false} {seen}>
							<input type="hidden" name="m" value={order.keepAs} />
							<input type="hidden" name="by" value={data.meant.by ?? ''} />
							<input type="hidden" name="weekends" value={data.meant.weekends ? 'on' : ''} />
							<input type="hidden" name="hold" value={data.meant.hold ?? ''} />
						</EntryForm>
					</div>
				</section>
			{/if}
			{#each order.beds as b (b.bed.id)}
				<section aria-label={b.bed.name}>
					<h3>{b.bed.name}</h3>
					<BedDrawing
						outline={b.bed.ground!.outline}
						holes={b.bed.ground!.holes}
						stands={b.stays.map((s) => ({ ...s, name: s.name }))}
						unnumbered
						goes={b.goes}
						comes={b.comes}
						{units}
						class="mt-1"
						say="{b.bed.name} from above: {b.goes.length} of the moves begin here, {b.comes.length} end here"
					/>
				</section>
			{/each}
			{#if order.beds.length}<p class="note">
					{texts.dashedIsWhereIt}
				</p>{/if}
		</div>
	</div>
	<section class="mt-8" aria-labelledby="fates">
		<h2 id="fates" class="border-b border-ink pb-1">{texts.willTheyLive}</h2>
		<ul class="mt-2">
			{#each order.fates as f (f.stock)}
				<li class="border-b border-rule py-2">
					<strong>{f.name}</strong>:
					{f.lives === null
						? texts.noDayOfIts
						: texts.movedOnItsDay(sayDoes(f.lives, 'each', 'lives', texts.throughItsFirstYear))}
					{#each f.compared as c, i (i)}<span class="note block">{c}</span>{/each}
					{#if f.cutRound === 'done'}<span class="note block">{texts.itsRootsAreCut}</span>{/if}
				</li>
			{/each}
		</ul>
		<p class="note mt-2 max-w-prose">
			{texts.byWhatItIs} <a href="{base}/stock">{texts.cuttingsOrDivisions}</a>
			{texts.takenFirst}
		</p>
		<ul class="note mt-4 ml-5 max-w-prose list-disc">
			<li>{texts.digTheHoleFirst}</li>
			<li>{texts.straightThereAtIts}</li>
			<li>{texts.notInFrozenOr}</li>
		</ul>
	</section>
{/if}

<section class="no-print mt-8" aria-labelledby="where">
	{#if data.stocks.length === 0}
		<h2 id="where" class="border-b border-ink pb-1">{texts.whereIsEachTo}</h2>
		<p class="mt-2 text-faded">
			{texts.nothingIsToldToStand} <a href="{base}/stock/new">{texts.addAStockPlant}</a>
			{texts.withItsBed}
		</p>
	{:else if order}
		<Fold label={texts.changeWhereEachGoes}><Meant {data} /></Fold>
	{:else}
		<h2 id="where" class="border-b border-ink pb-1">{texts.whereIsEachTo}</h2>
		<Meant {data} />
	{/if}
	{#if data.kept && !data.isKept}
		<p class="mt-4"><Act href="{base}/ground/moves">{texts.backToTheMoves}</Act></p>
	{:else if data.kept}
		<div class="mt-4">
			<EntryForm action="?/keep" submit={texts.dropTheseMoves} today={data.garden.today} dated={false} noted={false} quiet {seen}>
				<input type="hidden" name="m" value="" />
			</EntryForm>
		</div>
		<p class="note mt-2">
			{texts.ofAreMade(
				data.kept.of - (data.kept.left ?? 0),
				data.kept.of,
				data.meant.by ? texts.allAreToBe(sayDate(data.meant.by)) : ''
			)}
		</p>
	{/if}
</section>
