<script lang="ts">
	import { sayNumber } from '$lib/core/numbers.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { capital, sayOddsShort } from '$lib/core/odds/words.js';
	/**
	 * Who: the gardener at the table, or with the phone before going out. Question: what has the season done,
	 * and what will the nights do? Computes: odds of frost by night, frost dates, warmth and chill against the
	 * usual. Biggest: the odds that it freezes in the next ten nights. At 390 px: tables scroll, charts shrink.
	 */
	import { sayDate } from '$lib/core/dates.js';
	import { sayTemperature, warmthMeasure, zoneOf } from '$lib/core/units/index.js';
	import Chart from '$lib/ui/Chart.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { sayAge } from '$lib/ui/say.js';
	import { fanOption, yearOption } from './charts.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const v = $derived(data.view);
	const units = $derived(data.garden.units);
	const t = (c: number) => sayTemperature(c, units);
	const shown = (c: number) => warmthMeasure(units).shown(c, 1);
	const minus = (n: number) => String(n).replace('-', '−');
	const odds = (p: number) => (p < 0.005 ? '–' : sayOddsShort(p));
	const none = $derived(1 - v.frost[0]!.soon);
	const worst = $derived([...v.nights].sort((a, b) => b.freeze - a.freeze)[0]!);
	const QUANTILES = ['1 year in 10', 'every other year', '9 years in 10'];
	const day = (iso: string | null) => (iso === null ? 'never' : sayDate(iso, false));
	const age = $derived(v.station.okAt ? data.now - Date.parse(v.station.okAt) : null);
	const degrees = $derived(units.temperature === 'F' ? '°F' : '°C');
	/** A degree day is a degree: in °F there are 1.8 of them. */
	const dd = (n: number) => Math.round(units.temperature === 'F' ? n * 1.8 : n);

	const year = $derived(yearOption(v, shown, degrees));
	const fan = $derived(fanOption(v, shown, degrees));
	const warmer = $derived(v.warmth[1]!.here - v.warmth[1]!.usual);
</script>

<svelte:head><title>Weather · {data.garden.name}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>Weather{data.isToday ? '' : ` from ${sayDate(data.viewed)}`}</h1>
		<p class="mt-2">
			<span class="figure">{capital(sayOddsShort(1 - none))}</span>
			<span class="unit"
				>that a night of the next ten freezes{worst.freeze > 0.03 ? `; likeliest ${sayDate(worst.on, false)}` : ''}</span
			>
		</p>
	</div>
	<p class="max-w-md text-faded">
		{#if v.source.made}
			<strong class="text-ink">A made record:</strong> no weather of this garden is known, so {v.source.years} years were made up that
			have the frosts and the coldest night you gave. It is not what happened.
			{#if v.source.tooShort !== null}The imported days are too few for a climate; they count as what was observed.{/if}
		{:else}
			Worked out from {v.source.years} whole years, {v.source.from.slice(0, 4)}–{v.source.to.slice(0, 4)}{v.source.gapDays
				? `, ${sayNumber(v.source.gapDays)} ${v.source.gapDays === 1 ? 'day' : 'days'} of them missing`
				: ''}.
		{/if}
		{#if v.station.there}
			{age === null ? 'The station has not answered yet' : `The station was heard ${sayAge(age)} ago`}{v.station.trouble
				? `; at the last try ${v.station.trouble}`
				: ''}.
		{:else}No station is set up.{/if}
	</p>
</div>
<p class="no-print mt-2 flex flex-wrap gap-x-6">
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/weather/import">Take in a record</a>
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/year">The year on one page</a>
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/settings">Thermometers and sources</a>
</p>

{#if v.fan.length}
	<section class="mt-6 grid gap-8 border-t border-ink pt-5 lg:grid-cols-2">
		<Chart
			title={worst.freeze > 0.3
				? `Coldest about ${sayDate(worst.on, false)}; shaded is 8 in 10`
				: 'The next ten days; shaded is 8 in 10'}
			option={fan}
		/>
		<div class="overflow-x-auto">
			<Rows
				caption="The nights ahead"
				heads={[
					'Night of',
					{ name: 'Likely low', note: '1 in 10: below' },
					'Freezes',
					`At ${minus(shown(-2.2))} ${degrees}`,
					'Air draws'
				]}
				rows={v.nights}
				key={(n) => n.on}
			>
				{#snippet cells(n: (typeof v.nights)[number])}
					<TableBodyCell>{sayDate(n.on, false)}</TableBodyCell>
					<TableBodyCell>{n.middle === null ? 'as usual' : `${t(n.middle)} (${t(n.cold!)})`}</TableBodyCell>
					<TableBodyCell class={n.freeze >= 0.3 ? 'font-semibold text-frost' : ''}>{odds(n.freeze)}</TableBodyCell>
					<TableBodyCell>{odds(n.hard)}</TableBodyCell>
					<TableBodyCell>{sayNumber(n.et0, 1, true)} mm</TableBodyCell>
				{/snippet}
			</Rows>
		</div>
	</section>
{/if}

<section class="mt-8 border-t border-ink pt-5">
	<Chart
		title={Math.abs(warmer) < 15
			? 'This year about as warm as usual'
			: `This year ${dd(Math.abs(warmer))} degree days ${warmer > 0 ? 'warmer' : 'cooler'} than usual since ${sayDate(v.since, false)}`}
		option={year}
		height={300}
	/>
</section>

<section class="mt-8 grid gap-8 border-t border-ink pt-5">
	<div class="overflow-x-auto">
		<h2>Last and first frost</h2>
		<Rows
			class="mt-2"
			heads={[
				'Nights of',
				...QUANTILES.map((q) => ({ name: `Last is over by, ${q}` })),
				...QUANTILES.map((q) => ({ name: `First has come by, ${q}` })),
				'Days between',
				'Next ten nights'
			]}
			rows={v.frost}
			key={(f) => f.threshold}
		>
			{#snippet cells(f: (typeof v.frost)[number])}
				<TableBodyCell class="font-semibold whitespace-nowrap">{minus(shown(f.threshold))} {degrees}</TableBodyCell>
				{#each [...f.last, ...f.first] as q, i (i)}
					<TableBodyCell class="whitespace-nowrap"
						>{day(q.seen)}<br /><span class="note">fitted {day(q.fitted)}</span></TableBodyCell
					>
				{/each}
				<TableBodyCell>{f.free ?? 'all year'}</TableBodyCell>
				<TableBodyCell>{odds(f.soon)}</TableBodyCell>
			{/snippet}
		</Rows>
		<form method="GET" class="no-print mt-4 flex max-w-sm items-end gap-3" data-sveltekit-noscroll>
			{#if !data.isToday}<input type="hidden" name="day" value={data.viewed} />{/if}
			<Field label="Another temperature" name="threshold" numeric value={data.threshold} unit={degrees} />
			<Act type="submit">Show</Act>
		</form>
		{#if data.badThreshold}<p role="alert" class="mt-2 text-madder">Between {t(-40)} and {t(25)}, please.</p>{/if}
	</div>
	<dl class="grid content-start gap-4 border-t border-rule pt-4 sm:grid-cols-2 lg:grid-cols-3">
		<div>
			<dt class="note">Coldest night of an average winter</dt>
			<dd class="text-lg font-semibold">{t(v.coldestC)}, zone {zoneOf(v.coldestC).zone}</dd>
		</div>
		{#each v.warmth as w (w.base)}
			<div>
				<dt class="note">Degree days above {shown(w.base)} {degrees} since {sayDate(v.since, false)}</dt>
				<dd class="text-lg font-semibold">
					{dd(w.here)}
					<span class="note font-normal">usual {dd(w.usual)}{`; ${dd(w.capped)} the modified way, cut off at ${t(30)}`}</span>
				</dd>
			</div>
		{/each}
		<div>
			<dt class="note">Hours of chill (0–7.2 °C) since {sayDate(v.chill.since, false)}</dt>
			<dd class="text-lg font-semibold">{v.chill.here} <span class="note font-normal">usual {v.chill.usual}</span></dd>
		</div>
		<div>
			<dt class="note">Length of day; light to work by</dt>
			<dd class="text-lg font-semibold">{sayNumber(v.sun.day, 1, true)} h; {sayNumber(v.sun.light, 1, true)} h</dd>
		</div>
		{#if v.rains}
			<div>
				<dt class="note">Rains</dt>
				<dd class="text-lg font-semibold">{sayDate(v.rains.start, false)} to {sayDate(v.rains.end, false)}</dd>
			</div>
		{/if}
		{#if v.station.hours && data.isToday}
			<div>
				<dt class="note">Today by the hour</dt>
				<dd class="flex flex-wrap gap-x-3 text-lg font-semibold">
					{#each [6, 9, 12, 15, 18, 21] as h (h)}{#if v.station.hours.hours[h] !== undefined}<span class="whitespace-nowrap"
								><span class="note font-normal">{h}:00</span> {t(v.station.hours.hours[h])}</span
							>{/if}{/each}
				</dd>
			</div>
		{/if}
	</dl>
</section>

{#if v.readings.length}
	<section class="mt-8 border-t border-ink pt-5">
		<h2>Thermometers</h2>
		<ul class="ruled mt-2 max-w-2xl">
			{#each v.readings as r (r.place)}
				<li class="flex flex-wrap justify-between gap-4 py-2">
					<span class="font-semibold">{r.place}</span>
					<span>{t(r.now)} <span class="note">{t(r.low)} to {t(r.high)} on {sayDate(r.day, false)}</span></span>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section class="no-print mt-8 border-t border-ink pt-5">
	<h2>What it is worked out from</h2>
	{#if v.source.imports.length}
		<ul class="ruled mt-2 max-w-3xl">
			{#each v.source.imports as i (i.id)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span>{i.name} <span class="note">{sayNumber(i.days)} days, {sayDate(i.from)} to {sayDate(i.to)}</span></span>
					<EntryForm action="?/remove" submit="Take out" today={data.garden.today} dated={false} noted={false} quiet>
						<input type="hidden" name="import" value={i.id} />
					</EntryForm>
				</li>
			{/each}
		</ul>
	{/if}
	<p class="mt-3">
		The {v.source.made ? 'made record' : 'record'} as
		<a href="{base}/weather/record/record.csv" data-sveltekit-reload>CSV</a>,
		<a href="{base}/weather/record/record.dly" data-sveltekit-reload>GHCN-Daily fixed width</a> or
		<a href="{base}/weather/record/record-ghcn.csv" data-sveltekit-reload>GHCN-Daily CSV</a>.
		{v.source.frostFrom === 'record'
			? 'Frost dates and the coldest night of all plans are the record’s.'
			: 'Frost dates of all plans are your own.'}
	</p>
</section>
