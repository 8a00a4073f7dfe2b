<script lang="ts">
	import Fold from '$lib/ui/Fold.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import PlaceView from './PlaceView.svelte';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import PieceBar from '$lib/ui/PieceBar.svelte';
	import { STAGE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const VERB = {
		strike: 'Strike',
		look: 'Look',
		'winter-look': 'Look over',
		pot: 'Pot',
		'winter-count': 'Count after winter',
		'frost-count': 'Look which live',
		missed: 'Plan again',
		shelter: 'Bring in',
		plant: 'Plant',
		decide: 'Decide'
	} as const;
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

<svelte:head><title>Bench · {data.garden.name}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>What is rooting and growing{data.isToday ? '' : `, as expected on ${sayDate(data.viewed)}`}</h1>
		<p class="text-faded">
			{data.inAll.toLocaleString('en')}
			{data.inAll === 1 ? 'batch' : 'batches'}{data.isToday
				? data.due
					? `, ${data.due === 1 ? 'one needs' : `${data.due.toLocaleString('en')} need`} you this week.${data.byPlace ? '' : ' What is due soonest comes first.'}`
					: '.'
				: ', if all goes as usual.'}
		</p>
	</div>
	<p class="flex flex-wrap gap-2">
		<Act href="{base}/mix">Mix and shopping</Act><Act href="{base}/labels">Labels</Act><Act href="{base}/bench/new"
			>Strike without a plan</Act
		>
	</p>
</div>
{#if data.inAll === 0}
	<p class="mt-10 max-w-xl border-t border-ink pt-6">
		No batch yet. Say what you want and take a plan, or strike pieces from a stock plant.
	</p>
{/if}
{#if data.inAll && data.isToday}
	<p class="mt-4 flex flex-wrap gap-2" role="group" aria-label="Order">
		<Act main={!data.byPlace} aria-current={data.byPlace ? undefined : 'true'} href="{base}/bench">What asks first</Act>
		<Act main={data.byPlace} aria-current={data.byPlace ? 'true' : undefined} href="{base}/bench?by=place">What stands where</Act>
	</p>
{/if}
{#if data.byPlace}
	<PlaceView batches={data.living} shelves={data.shelves} rows={data.rows} day={data.day} {base} />
{:else}
	<ul class="mt-6 border-t border-ink">
		{#each data.living as b (b.id)}
			<li class="border-b border-rule">
				<a
					href="{base}/bench/{b.id}"
					class="grid items-center gap-x-6 gap-y-2 py-3 hover:bg-pane sm:grid-cols-[auto_minmax(0,1.6fr)_minmax(0,1.2fr)_minmax(0,1fr)]"
				>
					<span class="w-fit border border-ink px-2 py-1 font-mono text-lg">{b.code}</span>
					<div>
						<p class="text-lg leading-tight font-semibold">{b.kindName}{b.form ? `, ${b.form}` : ''}</p>
						<p class="note">
							{b.wayName} · {b.status === 'planned'
								? `planned for ${sayDate(b.plannedOn!)}`
								: `struck ${sayDate(b.struckOn!)}`}{b.placeName ? ` · ${b.placeName}` : ''}
						</p>
					</div>
					<div>
						{#if data.isToday}
							<PieceBar batch={b} />
							{#if b.trouble}<p class="font-semibold text-madder first-letter:uppercase">{b.trouble.word}</p>
							{:else if b.rooting}<p class="font-semibold first-letter:uppercase">{b.rooting.word}</p>{/if}
						{:else}
							<p>
								<span class="font-head text-2xl font-semibold">{Math.round(b.expected.pieces)}</span>
								{STAGE_WORDS[b.expected.stage]}
							</p>
						{/if}
					</div>
					<p>
						{#if !data.isToday}
							{#if b.plantedOn}<span class="text-faded">Planted about {sayDate(b.plantedOn.usual)}</span>{/if}
						{:else if b.next}<span class="font-semibold">{VERB[b.next.kind]}</span>
							<span class={b.next.by < data.day ? 'font-semibold text-madder' : 'text-faded'}
								>{b.next.by < data.day ? 'late, ' : ''}from {sayDate(isoOf(b.next.from), false)}</span
							>
						{:else}<span class="text-faded">Nothing to do</span>{/if}
					</p>
				</a>
			</li>
		{/each}
	</ul>
	<MoreRows rows={data.rows} hidden={data.hidden} of={['batch', 'batches']} />
{/if}
{#if data.ended.length}
	<Fold label="Ended batches, the newest" class="mt-6">
		<ul class="ruled">
			{#each data.ended as b (b.id)}
				<li>
					<a href="{base}/bench/{b.id}" class="flex min-h-12 flex-wrap items-center gap-x-4 hover:bg-pane"
						><span class="border border-ink px-1.5 font-mono">{b.code}</span>{b.kindName}{b.form ? `, ${b.form}` : ''} · {b.status ===
						'dropped'
							? 'plan dropped'
							: sayEnded(b)}</a
					>
				</li>
			{/each}
		</ul>
	</Fold>
{/if}
