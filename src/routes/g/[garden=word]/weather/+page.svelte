<script lang="ts">
	import { texts } from '$lib/messages/weather.js';
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
	import Island from '$lib/ui/Island.svelte';
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
	const QUANTILES = [texts.n1YearIn10, texts.everyOtherYear, texts.n9YearsIn10];
	const day = (iso: string | null) => (iso === null ? 'never' : sayDate(iso, false));
	const age = $derived(v.station.okAt ? data.now - Date.parse(v.station.okAt) : null);
	const degrees = $derived(units.temperature === 'F' ? '°F' : '°C');
	/** A degree day is a degree: in °F there are 1.8 of them. */
	const dd = (n: number) => Math.round(units.temperature === 'F' ? n * 1.8 : n);

	const year = $derived(yearOption(v, shown, degrees));
	const fan = $derived(fanOption(v, shown, degrees));
	const warmer = $derived(v.warmth[1]!.here - v.warmth[1]!.usual);
</script>

<svelte:head><title>{texts.weather(data.garden.name)}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.weather2(data.isToday ? '' : texts.from(sayDate(data.viewed)))}</h1>
		<p class="mt-2">
			<span class="figure">{capital(sayOddsShort(1 - none))}</span>
			<span class="unit">{texts.thatANightOf(worst.freeze > 0.03 ? texts.likeliest(sayDate(worst.on, false)) : '')}</span>
		</p>
	</div>
	<p class="max-w-md text-faded">
		{#if v.source.made}
			<strong class="text-ink">{texts.aMadeRecord}</strong>
			{texts.noWeatherOfThis(v.source.years)}
			{#if v.source.tooShort !== null}{texts.theImportedDaysAre}{/if}
		{:else}
			{texts.workedOutFromWhole(
				v.source.years,
				v.source.from.slice(0, 4),
				v.source.to.slice(0, 4),
				v.source.gapDays ? texts.ofThemMissing(sayNumber(v.source.gapDays), v.source.gapDays === 1 ? texts.day : texts.days) : ''
			)}
		{/if}
		{#if v.station.there}
			{age === null ? texts.theStationHasNot : texts.theStationWasHeard(sayAge(age))}{v.station.trouble
				? texts.atTheLastTry(v.station.trouble)
				: ''}.
		{:else}{texts.noStationIsSet}{/if}
	</p>
</div>
<p class="no-print mt-2 flex flex-wrap gap-x-6">
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/weather/import">{texts.takeInARecord}</a>
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/year">{texts.theYearOnOne}</a>
	<a class="flex min-h-11 items-center underline underline-offset-4" href="{base}/settings">{texts.thermometersAndSources}</a>
</p>

{#if v.fan.length}
	<section class="mt-6 grid gap-8 border-t border-ink pt-5 lg:grid-cols-2">
		<Chart
			title={worst.freeze > 0.3 ? texts.coldestAboutShadedIs(sayDate(worst.on, false)) : texts.theNextTenDays}
			option={fan}
		/>
		<div class="overflow-x-auto">
			<Island
				><Rows
					caption={texts.theNightsAhead}
					heads={[
						texts.nightOf,
						{ name: texts.likelyLow, note: texts.oneInTenBelow },
						texts.freezes,
						texts.at(minus(shown(-2.2)), degrees),
						texts.airDraws
					]}
					rows={v.nights}
					key={(n) => n.on}
				>
					{#snippet cells(n: (typeof v.nights)[number])}
						<TableBodyCell>{sayDate(n.on, false)}</TableBodyCell>
						<TableBodyCell>{n.middle === null ? texts.asUsual : `${t(n.middle)} (${t(n.cold!)})`}</TableBodyCell>
						<TableBodyCell class={n.freeze >= 0.3 ? 'font-semibold text-frost' : ''}>{odds(n.freeze)}</TableBodyCell>
						<TableBodyCell>{odds(n.hard)}</TableBodyCell>
						<TableBodyCell>{texts.mm(sayNumber(n.et0, 1, true))}</TableBodyCell>
					{/snippet}
				</Rows></Island
			>
		</div>
	</section>
{/if}

<section class="mt-8 border-t border-ink pt-5">
	<Chart
		title={Math.abs(warmer) < 15
			? texts.thisYearAboutAs
			: texts.thisYearDegreeDays(dd(Math.abs(warmer)), warmer > 0 ? 'warmer' : 'cooler', sayDate(v.since, false))}
		option={year}
		height={300}
	/>
</section>

<section class="mt-8 grid gap-8 border-t border-ink pt-5">
	<div class="overflow-x-auto">
		<h2>{texts.lastAndFirstFrost}</h2>
		<Island
			><Rows
				class="mt-2"
				heads={[
					texts.nightsOf,
					...QUANTILES.map((q) => ({ name: texts.lastIsOverBy(q) })),
					...QUANTILES.map((q) => ({ name: texts.firstHasComeBy(q) })),
					texts.daysBetween,
					texts.nextTenNights
				]}
				rows={v.frost}
				key={(f) => f.threshold}
			>
				{#snippet cells(f: (typeof v.frost)[number])}
					<TableBodyCell class="font-semibold whitespace-nowrap">{minus(shown(f.threshold))} {degrees}</TableBodyCell>
					{#each [...f.last, ...f.first] as q, i (i)}
						<TableBodyCell class="whitespace-nowrap"
							>{day(q.seen)}<br /><span class="note">{texts.fitted(day(q.fitted))}</span></TableBodyCell
						>
					{/each}
					<TableBodyCell>{f.free ?? texts.allYear}</TableBodyCell>
					<TableBodyCell>{odds(f.soon)}</TableBodyCell>
				{/snippet}
			</Rows></Island
		>
		<form method="GET" class="no-print mt-4 flex max-w-sm items-end gap-3" data-sveltekit-noscroll>
			{#if !data.isToday}<input type="hidden" name="day" value={data.viewed} />{/if}
			<Field label={texts.anotherTemperature} name="threshold" numeric value={data.threshold} unit={degrees} />
			<Act type="submit">{texts.show}</Act>
		</form>
		{#if data.badThreshold}<p role="alert" class="mt-2 text-madder">{texts.betweenAndPlease(t(-40), t(25))}</p>{/if}
	</div>
	<dl class="grid content-start gap-4 border-t border-rule pt-4 sm:grid-cols-2 lg:grid-cols-3">
		<div>
			<dt class="note">{texts.coldestNightOfAn}</dt>
			<dd class="text-lg font-semibold">{texts.zone(t(v.coldestC), zoneOf(v.coldestC).zone)}</dd>
		</div>
		{#each v.warmth as w (w.base)}
			<div>
				<dt class="note">{texts.degreeDaysAboveSince(shown(w.base), degrees, sayDate(v.since, false))}</dt>
				<dd class="text-lg font-semibold">
					{dd(w.here)}
					<span class="note font-normal">{texts.usual(dd(w.usual), texts.theModifiedWayCut(dd(w.capped), t(30)))}</span>
				</dd>
			</div>
		{/each}
		<div>
			<dt class="note">{texts.hoursOfChill0(sayDate(v.chill.since, false))}</dt>
			<dd class="text-lg font-semibold">{v.chill.here} <span class="note font-normal">{texts.usual2(v.chill.usual)}</span></dd>
		</div>
		<div>
			<dt class="note">{texts.lengthOfDayLight}</dt>
			<dd class="text-lg font-semibold">{sayNumber(v.sun.day, 1, true)} h; {sayNumber(v.sun.light, 1, true)} h</dd>
		</div>
		{#if v.rains}
			<div>
				<dt class="note">{texts.rains}</dt>
				<dd class="text-lg font-semibold">{texts.to(sayDate(v.rains.start, false), sayDate(v.rains.end, false))}</dd>
			</div>
		{/if}
		{#if v.station.hours && data.isToday}
			<div>
				<dt class="note">{texts.todayByTheHour}</dt>
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
		<h2>{texts.thermometers}</h2>
		<ul class="ruled mt-2 max-w-2xl">
			{#each v.readings as r (r.place)}
				<li class="flex flex-wrap justify-between gap-4 py-2">
					<span class="font-semibold">{r.place}</span>
					<span>{t(r.now)} <span class="note">{texts.toOn(t(r.low), t(r.high), sayDate(r.day, false))}</span></span>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section class="no-print mt-8 border-t border-ink pt-5">
	<h2>{texts.whatItIsWorked}</h2>
	{#if v.source.imports.length}
		<ul class="ruled mt-2 max-w-3xl">
			{#each v.source.imports as i (i.id)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span>{i.name} <span class="note">{texts.daysTo(sayNumber(i.days), sayDate(i.from), sayDate(i.to))}</span></span>
					<EntryForm action="?/remove" submit={texts.takeOut} today={data.garden.today} dated={false} noted={false} quiet>
						<input type="hidden" name="import" value={i.id} />
					</EntryForm>
				</li>
			{/each}
		</ul>
	{/if}
	<p class="mt-3">
		{texts.theAs(v.source.made ? texts.madeRecord : texts.record)}
		<a href="{base}/weather/record/record.csv" data-sveltekit-reload>{texts.csv}</a>,
		<a href="{base}/weather/record/record.dly" data-sveltekit-reload>{texts.ghcnDailyFixedWidth}</a>
		{texts.or}
		<a href="{base}/weather/record/record-ghcn.csv" data-sveltekit-reload>{texts.ghcnDailyCsv}</a>.
		{v.source.frostFrom === 'record' ? texts.frostDatesAndThe : texts.frostDatesOfAll}
	</p>
</section>
