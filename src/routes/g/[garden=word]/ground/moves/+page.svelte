<script lang="ts">
	/** In what order do things move, when each needs its place free? */
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
		order
			? sayMoves(order.moves, order.mostHeld)
			: data.kept && data.isKept
				? 'All that was planned is moved'
				: 'In what order do things move?'
	);
	const seen = $derived(data.kept ? { id: 'moves', version: data.kept.version } : null);
</script>

<svelte:head><title>Moves · Ground · {data.garden.name}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if order}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{data.freeing ? `They clear ${data.freeing}.` : ''}
		{sayMovesDays(order.first, order.last, data.garden.today)}
		About {sayMinutes(order.minutes)} in all{people > 1 ? `; the heaviest takes ${people} people` : ''}.
	</p>
{/if}
{#if data.wrong}<Note tone="harm" said>{data.wrong}</Note>{/if}
{#each order?.told ?? data.nowhere as t, i (i)}<Note tone={t.harm ? 'harm' : 'plain'} class="mt-2">{t.say}</Note>{/each}

{#if order}
	<div class="mt-6 grid gap-8 lg:grid-cols-2">
		<section aria-labelledby="order">
			<h2 id="order" class="border-b border-ink pb-1">In this order</h2>
			<Order {order} {hold} {units} today={data.garden.today} />
		</section>
		<div class="flex flex-col gap-6">
			{#if !data.isKept}
				<section class="no-print" aria-labelledby="keep">
					<h2 id="keep" class="border-b border-ink pb-1">Keep it for its season</h2>
					<p class="note mt-2">
						What is kept comes up on the round when its days come{data.kept ? ', in place of the moves kept before' : ''}.
					</p>
					<div class="mt-2">
						<EntryForm action="?/keep" submit="Keep these moves" today={data.garden.today} dated={false} noted={false} {seen}>
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
					Dashed is where it stands now, filled green where it goes; the numbers are those of the list.
				</p>{/if}
		</div>
	</div>
	<section class="mt-8" aria-labelledby="fates">
		<h2 id="fates" class="border-b border-ink pb-1">Will they live?</h2>
		<ul class="mt-2">
			{#each order.fates as f (f.stock)}
				<li class="border-b border-rule py-2">
					<strong>{f.name}</strong>:
					{f.lives === null
						? 'no day of its season comes.'
						: `moved on its day, ${sayDoes(f.lives, 'each', 'lives', 'through its first year')}.`}
					{#each f.compared as c, i (i)}<span class="note block">{c}</span>{/each}
					{#if f.cutRound === 'done'}<span class="note block">Its roots are cut round.</span>{/if}
				</li>
			{/each}
		</ul>
		<p class="note mt-2 max-w-prose">
			By what it is, its height, its season and its ball; what you moved before counts as well. The surest insurance is a few <a
				href="{base}/stock">cuttings or divisions</a
			> taken first.
		</p>
		<ul class="note mt-4 ml-5 max-w-prose list-disc">
			<li>Dig the hole first, as wide again as the ball. Circle with the spade, undercut, and lift with all the soil.</li>
			<li>Straight there, at its old level: a cane across the hole shows it. Water it in. A dull, damp day is best.</li>
			<li>Not in frozen or sodden ground. Two people from 23 kg.</li>
		</ul>
	</section>
{/if}

<section class="no-print mt-8" aria-labelledby="where">
	{#if data.stocks.length === 0}
		<h2 id="where" class="border-b border-ink pb-1">Where is each to go?</h2>
		<p class="mt-2 text-faded">
			Nothing is told to stand in the ground: <a href="{base}/stock/new">add a stock plant</a> with its bed.
		</p>
	{:else if order}
		<Fold label="Change where each goes"><Meant {data} /></Fold>
	{:else}
		<h2 id="where" class="border-b border-ink pb-1">Where is each to go?</h2>
		<Meant {data} />
	{/if}
	{#if data.kept && !data.isKept}
		<p class="mt-4"><Act href="{base}/ground/moves">Back to the moves you kept</Act></p>
	{:else if data.kept}
		<div class="mt-4">
			<EntryForm action="?/keep" submit="Drop these moves" today={data.garden.today} dated={false} noted={false} quiet {seen}>
				<input type="hidden" name="m" value="" />
			</EntryForm>
		</div>
		<p class="note mt-2">
			{data.kept.of - (data.kept.left ?? 0)} of {data.kept.of} are made.{data.meant.by
				? ` All are to be done by ${sayDate(data.meant.by)}.`
				: ''}
		</p>
	{/if}
</section>
