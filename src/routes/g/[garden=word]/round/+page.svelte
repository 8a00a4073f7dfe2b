<script lang="ts">
	import { texts } from '$lib/messages/round.js';
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { capital, sayThat } from '$lib/core/odds/words.js';
	import { addDays, dayNumber, sayDate } from '$lib/core/dates.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import { sayAge } from '$lib/ui/say.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import Stragglers from './Stragglers.svelte';
	import Slipped from './Slipped.svelte';
	import TaskRow from './TaskRow.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const round = $derived(data.round);
	const over = $derived(round.minutes > round.budget);
	const share = $derived(Math.min(1, round.budget > 0 ? round.minutes / round.budget : 1));
	const empty = $derived(round.stops.length === 0 && round.week.length === 0);
	const row = $derived({
		base,
		today: data.garden.today,
		isToday: data.isToday,
		shelters: round.shelters,
		outside: round.outside
	});
	const age = $derived(data.station.okAt ? data.now - Date.parse(data.station.okAt) : null);
</script>

<svelte:head><title>{texts.round(data.garden.name)}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div class="max-w-2xl">
		<h1>{data.isToday ? texts.todaysRound : texts.theRoundOf(sayDate(data.viewed))}</h1>
		<p class="text-faded">
			{texts.inTheOrderYou(sayDate(data.viewed), data.isToday ? '' : texts.ifNothingElseIs, round.sky.soil)}
			{#if round.sky.rain !== null && round.sky.rain >= 0.3}{capital(sayThat(round.sky.rain, texts.itRainsTomorrow))}.{/if}
			{#if round.sky.damp.length}{texts.dullAndDampGood(round.sky.damp.map((d) => sayDate(d.on, false)).join(', '))}{/if}
			{#if data.station.there && (data.station.trouble || (age !== null && age > 6 * 3_600_000))}
				<a class="underline underline-offset-4" href="{base}/weather"
					>{age === null ? texts.noForecastYet : texts.theForecastIsOld(sayAge(age))}{data.station.trouble
						? `: ${data.station.trouble}`
						: ''}.</a
				>
			{/if}
		</p>
	</div>
	{#if !empty}
		<div class="min-w-60">
			<p>
				<span class="figure">{Math.round(round.todayMinutes)}</span>
				<span class="unit">{texts.minTodayThisWeek(sayMinutes(round.minutes), sayMinutes(round.budget))}</span>
			</p>
			<Island>
				<Progressbar
					progress={share * 100}
					size="h-2"
					class="mt-1"
					classes={{ label: over ? 'bg-madder' : 'bg-leaf' }}
					aria-hidden="true"
				/>
			</Island>
			{#if over}
				<p class="note mt-1">
					{round.mayWaitInAll ? texts.moreThanThatBelow(round.mayWaitInAll) : texts.moreThanThatAnd}
				</p>
			{/if}
		</div>
	{/if}
</div>
{#if data.away}
	<Note tone="now" class="mt-4">
		{texts.awayTo(sayDate(data.away.from), sayDate(data.away.to))}
		<a href="{base}/round/away?from={data.away.from}&to={data.away.to}">{texts.whatToDoBefore}</a>.
	</Note>
{/if}

{#if empty}
	<div class="mt-10 max-w-xl border-t border-ink pt-6">
		<h2>{texts.nothingIsDue(data.isToday ? texts.thisWeek : texts.then)}</h2>
		{#if data.nothingYet === 'stock'}
			<p class="mt-2">{texts.beginWithAPlant}</p>
			<p class="mt-4"><Act main href="{base}/stock/new">{texts.addAStockPlant}</Act></p>
		{:else if data.nothingYet === 'want'}
			<p class="mt-2">{texts.youHaveStockNow}</p>
			<p class="mt-4"><Act main href="{base}/wants/new">{texts.sayWhatYouWant}</Act></p>
		{:else}
			<p class="mt-2">{texts.dragTheMarkOn}</p>
		{/if}
	</div>
{:else if round.stops.length === 0}
	<p class="mt-8 border-t border-ink pt-5 text-lg">{texts.nothingIsDue(data.isToday ? texts.today : texts.thatDay)}</p>
{/if}

<ol class="long mt-6">
	{#each round.stops as stop, at (stop.placeId)}
		<li class="grid gap-x-8 border-t border-ink py-5 md:grid-cols-[15rem_1fr]">
			<div class="mb-2">
				<h2 id="at-{stop.placeId ?? 'none'}">{stop.placeName}</h2>
				<p class="note">{sayMinutes(Math.max(1, stop.minutes))}</p>
			</div>
			<Island first={at === 0}>
				<ul class="ruled">
					{#each stop.tasks as task (task.key)}
						<TaskRow {task} {...row} mayWait={round.mayWait.includes(task.key)} placeAt="at-{stop.placeId ?? 'none'}" />
					{/each}
				</ul>
			</Island>
		</li>
	{/each}
</ol>
<MoreRows rows={data.rows} hidden={round.hidden} of={['task', 'tasks']} />

{#if round.stragglers.length}
	<Island><Stragglers tasks={round.stragglers} {base} today={data.garden.today} isToday={data.isToday} /></Island>
{/if}

{#if round.week.length}
	<section class="later border-t border-ink py-5 md:grid md:grid-cols-[15rem_1fr] md:gap-x-8">
		<div class="mb-2">
			<h2>{texts.laterThisWeek}</h2>
			<p class="note">{texts.to(sayDate(addDays(data.viewed, 6), false))}</p>
		</div>
		<Island>
			<ul class="ruled">
				{#each round.week as task (task.key)}
					<TaskRow {task} {...row} mayWait={round.mayWait.includes(task.key)} dated />
				{/each}
			</ul>
		</Island>
	</section>
	<MoreRows rows={data.rows} hidden={round.weekHidden} of={[texts.taskOfTheWeek, texts.tasksOfTheWeek]} />
{/if}

{#if data.isToday}<Slipped {base} of={data.round} />{/if}

{#if round.later.length}
	<section class="later mt-4 border-t border-ink pt-4">
		<h2>{texts.comingAfterThat}</h2>
		<Island>
			<ul class="ruled mt-2 max-w-2xl">
				{#each round.later as item (item.on + item.title + item.link)}
					<li class="flex gap-4 py-2">
						<span class="w-28 shrink-0 text-faded">{sayDate(item.on, dayNumber(item.on) - dayNumber(data.viewed) > 300)}</span><a
							href="{base}/{item.link}"
							class="lone">{item.title}</a
						>
					</li>
				{/each}
			</ul>
		</Island>
	</section>
{/if}

<p class="no-print mt-6 flex flex-wrap gap-x-6 gap-y-1 border-t border-ink pt-2">
	<a class="lone" href="{base}/round/away">{texts.away}</a>
	<a class="lone" href="{base}/round/walk">{texts.orderOfTheWalk}</a>
	<a class="lone" href="{base}/round/round.ics" data-sveltekit-reload>{texts.saveAsACalendar}</a>
	<a class="lone" href="{base}/weather">{texts.weather}</a>
</p>
