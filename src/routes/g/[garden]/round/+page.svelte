<script lang="ts">
	import { addDays, isoOf, sayDate } from '$lib/core/dates.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const round = $derived(data.round);
	const over = $derived(round.minutes > round.budget);
	const share = $derived(Math.min(1, round.budget > 0 ? round.minutes / round.budget : 1));
</script>

<svelte:head><title>Round · {data.garden.name}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{data.isToday ? 'This week’s round' : `The round of ${sayDate(data.viewed)}`}</h1>
		<p class="text-faded">
			{sayDate(data.viewed)} to {sayDate(addDays(data.viewed, 6))}, in the order you walk{data.isToday
				? ''
				: ', if nothing else is done until then'}.
		</p>
	</div>
	{#if round.stops.length}
		<div class="min-w-60">
			<p>
				<span class="figure">{Math.round(round.minutes)}</span>
				<span class="unit">min of work; you give {sayMinutes(round.budget)} a week</span>
			</p>
			<div class="mt-1 h-2 border border-ink" aria-hidden="true">
				<div class="h-full {over ? 'bg-madder' : 'bg-leaf'}" style:width="{share * 100}%"></div>
			</div>
			{#if over}
				<p class="note mt-1">
					{round.mayWait.length
						? `More than that: ${round.mayWait.length} below may wait with the least loss.`
						: 'More than that, and none of it may wait.'}
				</p>
			{/if}
		</div>
	{/if}
</div>
{#if data.away}
	<p class="mt-4 border-l-4 border-catkin px-3">
		Away {sayDate(data.away.from)} to {sayDate(data.away.to)}: do what falls due before you leave.
	</p>
{/if}

{#if round.stops.length === 0}
	<div class="mt-10 max-w-xl border-t border-ink pt-6">
		<h2>Nothing is due {data.isToday ? 'this week' : 'then'}.</h2>
		{#if data.nothingYet === 'stock'}
			<p class="mt-2">Begin with a plant that stands in your garden and can give material.</p>
			<p class="mt-4"><a class="act act-main" href="{base}/stock/new">Add a stock plant</a></p>
		{:else if data.nothingYet === 'want'}
			<p class="mt-2">You have stock. Now say what you want standing where, by when: the plan puts its work here.</p>
			<p class="mt-4"><a class="act act-main" href="{base}/wants/new">Say what you want</a></p>
		{:else}
			<p class="mt-2">Drag the mark on the season strip to see what is coming.</p>
		{/if}
	</div>
{/if}

<ol class="mt-8">
	{#each round.stops as stop (stop.placeId)}
		<li class="grid gap-x-8 border-t border-ink py-5 md:grid-cols-[15rem_1fr]">
			<div class="mb-2">
				<h2>{stop.placeName}</h2>
				<p class="note">{sayMinutes(Math.max(1, stop.minutes))}</p>
			</div>
			<ul class="ruled">
				{#each stop.tasks as task (task.key)}
					<li class="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 py-2 first:pt-0">
						<div class="min-w-0 flex-1 basis-64">
							<p class="text-lg leading-snug font-semibold">
								{task.title}
								{#if task.code}<span class="ml-1 border border-ink px-1.5 font-mono text-base font-normal whitespace-nowrap"
										>{task.code}</span
									>{/if}
							</p>
							<p class="note">
								{#if task.late}<strong class="text-madder">Late: was due by {sayDate(isoOf(task.by), false)}.</strong>{:else}By {sayDate(
										isoOf(task.by),
										false
									)}.{/if}
								{task.why}
								{sayMinutes(Math.max(1, task.minutes))}.
								{#if round.mayWait.includes(task.key)}<strong>May wait.</strong>{/if}
							</p>
						</div>
						<div class="flex gap-2">
							{#if data.isToday && (task.kind === 'look' || task.kind === 'winter-look')}
								<EntryForm
									action="?/well"
									submit="All well"
									today={data.garden.today}
									dated={false}
									noted={false}
									seen={task.seen}
									quiet
								>
									<input type="hidden" name="batch" value={task.batchId} />
								</EntryForm>
							{/if}
							<a class="act self-start" href="{base}/{task.link}"
								>{task.kind === 'strike' ? 'Strike' : task.kind === 'shelter' ? 'See' : 'Log it'}</a
							>
						</div>
					</li>
				{/each}
			</ul>
		</li>
	{/each}
</ol>

{#if round.later.length}
	<section class="mt-8 border-t border-ink pt-4">
		<h2>Coming after that</h2>
		<ul class="ruled mt-2 max-w-2xl">
			{#each round.later as item (item.on + item.title)}
				<li class="flex gap-4 py-2">
					<span class="w-28 shrink-0 text-faded">{sayDate(item.on, false)}</span><a
						href="{base}/{item.link}"
						class="underline underline-offset-4">{item.title}</a
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
