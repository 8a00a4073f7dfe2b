<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import BenchRow from './BenchRow.svelte';
	import Several from './Several.svelte';
	import PlaceView from './PlaceView.svelte';
	import { plural } from '$lib/ui/say.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	let choosing = $state(false);
	let chosen = $state<string[]>([]);
	const stop = () => {
		choosing = false;
		chosen = [];
	};
	/** What came of a batch that has ended: what there was none of is left out. */
	const sayEnded = (b: { struck: number; planted: number; given: number; kept: number; lost: number; lostPlanted: number }) =>
		[
			[b.struck, 'struck'],
			[b.planted - b.lostPlanted, 'planted'],
			[b.given, 'given'],
			[b.kept, 'kept'],
			[b.lost + b.lostPlanted, 'lost']
		]
			.flatMap(([n, word]) => (n ? [`${n} ${word}`] : []))
			.join(', ');
</script>

<svelte:head><title>{texts.bench(data.garden.name)}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.whatIsRootingAnd(data.isToday ? '' : texts.asExpectedOn(sayDate(data.viewed)))}</h1>
		<p class="text-faded">
			{data.inAll === 0 ? texts.noBatchYet : plural(data.inAll, texts.batches)}{data.isToday
				? data.due
					? texts.youThisWeek(
							data.due === 1 ? texts.oneNeeds : texts.need(sayNumber(data.due)),
							data.byPlace ? '' : texts.whatIsDueSoonest
						)
					: '.'
				: texts.ifAllGoesAs}
		</p>
	</div>
	<div class="flex flex-wrap gap-2">
		<Island>
			<Act href="{base}/mix">{texts.mixAndShopping}</Act><Act href="{base}/labels">{texts.labels}</Act><Act href="{base}/shelter"
				>{texts.shelter}</Act
			>{#if data.inAll}<Act href="{base}/bench/new">{texts.strikeWithoutAPlan}</Act>{/if}</Island
		>
	</div>
</div>
{#if data.inAll === 0}
	<div class="mt-8 max-w-xl border-t border-ink pt-6">
		<p>{texts.sayWhatYouWant}</p>
		<p class="mt-4 flex flex-wrap gap-2">
			<Act main href="{base}/wants/new">{texts.sayWhatYouWant2}</Act><Act href="{base}/bench/new">{texts.strikeWithoutAPlan}</Act>
		</p>
	</div>
{/if}
{#if data.inAll && data.isToday}
	<div class="mt-4 flex flex-wrap gap-2" role="group" aria-label={texts.order}>
		<Island>
			<Act main={!data.byPlace} aria-current={data.byPlace ? undefined : 'true'} href="{base}/bench">{texts.whatAsksFirst}</Act>
			<Act main={data.byPlace} aria-current={data.byPlace ? 'true' : undefined} href="{base}/bench?by=place"
				>{texts.whatStandsWhere}</Act
			>
			{#if !data.byPlace && !choosing}<Act class="sm:ml-auto" onclick={() => (choosing = true)}>{texts.chooseSeveral}</Act
				>{/if}</Island
		>
	</div>
{/if}
{#if data.byPlace}
	<Island><PlaceView batches={data.living} shelves={data.shelves} rows={data.rows} day={data.day} {base} /></Island>
{:else}
	<Island>
		<ul class="long mt-6 border-t border-ink">
			{#each data.living as b (b.id)}
				<li class="flex items-center border-b border-rule">
					{#if choosing}
						<Checkbox
							bind:group={chosen}
							value={b.id}
							classes={{ div: 'shrink-0 pr-3' }}
							aria-label={texts.choose(b.code, b.kindName)}
						/>
					{/if}
					<BenchRow {b} {base} day={data.day} isToday={data.isToday} />
				</li>
			{/each}
		</ul>
	</Island>
	<MoreRows rows={data.rows} hidden={data.hidden} of={['batch', 'batches']} />
	{#if choosing}
		<Several
			chosen={data.living.filter((b) => chosen.includes(b.id))}
			places={data.places}
			{base}
			today={data.garden.today}
			ondone={stop}
		/>
	{/if}
{/if}
{#if data.ended.length}
	<Fold label={texts.endedBatchesTheNewest} class="mt-6">
		<ul class="ruled">
			{#each data.ended as b (b.id)}
				<li>
					<a href="{base}/bench/{b.id}" class="flex min-h-12 flex-wrap items-center gap-x-4 hover:bg-pane"
						><span class="border border-ink px-1.5 font-mono">{b.code}</span>{b.kindName}{b.form ? `, ${b.form}` : ''} · {b.status ===
						'dropped'
							? texts.planDropped
							: sayEnded(b)}</a
					>
				</li>
			{/each}
		</ul>
	</Fold>
{/if}
