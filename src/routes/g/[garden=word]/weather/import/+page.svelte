<script lang="ts">
	import { texts } from '$lib/messages/weather.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	/**
	 * Who: the gardener at a table with a file from a weather office or an own notebook. Question: is this
	 * what I think it is, and may it be used? Computes: layout, columns, gaps, doubles, bad lines, doubts.
	 * Biggest: how many days and years. At 390 px: one column, the preview scrolls sideways.
	 */
	import { goto } from '$app/navigation';
	import { onDestroy } from 'svelte';
	import { v7 as uuidv7 } from 'uuid';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { daysOf } from '$lib/core/season/record.js';
	import type { WeatherSample } from '$lib/formats/readWeather.js';
	import type { ColumnChoice } from '$lib/formats/weatherCsv.js';
	import type { WeatherFound } from '$lib/formats/weatherFile.js';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { tell } from '$lib/ui/toast.svelte.js';
	import type { ReadNews, ReadWish } from '$lib/workers/readWeather.js';
	import Columns from './Columns.svelte';
	import LeftOut from './LeftOut.svelte';
	import type { LayoutData } from '../../$types';

	let { data }: { data: LayoutData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	let file = $state<File | null>(null);
	let share = $state<number | null>(null);
	let trouble = $state('');
	let sample = $state.raw<WeatherSample | null>(null);
	let found = $state.raw<WeatherFound | null>(null);
	let columns = $state<ColumnChoice | null>(null);
	let station = $state('');
	let name = $state('');
	let certain = $state(false);
	let saving = $state(false);
	let id = uuidv7();
	let run = 0;
	let worker: Worker | null = null;
	onDestroy(() => worker?.terminate());

	function read() {
		if (!file) return;
		trouble = '';
		share = 0;
		certain = false;
		if (!worker) {
			worker = new Worker(new URL('$lib/workers/readWeather.ts', import.meta.url), { type: 'module' });
			worker.onmessage = ({ data: news }: MessageEvent<ReadNews>) => {
				if (news.run !== run) return;
				if (news.kind === 'progress') return void (share = news.share);
				share = null;
				if (news.kind === 'trouble') return void (trouble = news.sentence);
				({ sample, found } = news);
				columns ??= { ...news.sample.columns };
				station = news.found.station;
			};
		}
		const wish: ReadWish = { run: ++run, file, columns: columns ? $state.snapshot(columns) : null, station };
		worker.postMessage(wish);
	}
	function choose(event: Event & { currentTarget: HTMLInputElement }) {
		file = event.currentTarget.files?.[0] ?? null;
		[sample, found, columns, station] = [null, null, null, ''];
		name = file?.name.slice(0, 120) ?? '';
		id = uuidv7();
		read();
	}
	function cancel() {
		worker?.terminate();
		worker = null;
		run++;
		share = null;
	}
	/** A doubt is answered by reading the file otherwise. */
	function chooseOther(other: Partial<ColumnChoice>) {
		if (!columns) return;
		Object.assign(columns, other);
		read();
	}
	const first = $derived(found && found.days ? daysOf(found.record).slice(0, 5) : []);
	const some = (count: number, one: string, many: string) => `${sayNumber(count)} ${count === 1 ? one : many}`;

	async function keep() {
		if (!found) return;
		saving = true;
		trouble = '';
		const tenths = (column: Float64Array) => [...column].map((v) => (Number.isNaN(v) ? null : Math.round(v * 10)));
		try {
			const answer = await fetch(`${base}/weather/import`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({
					id,
					name,
					format: sample!.layout,
					first: isoOf(found.record.first),
					low: tenths(found.record.low),
					high: tenths(found.record.high),
					rain: tenths(found.record.rain)
				})
			});
			const body = (await answer.json()) as {
				done?: { entryId: string; sentence: string };
				error?: { sentence: string };
				message?: string;
			};
			if (body.done) {
				tell({ ...body.done });
				await goto(`${base}/weather`, { invalidateAll: true });
				return;
			}
			trouble = body.error?.sentence ?? body.message ?? texts.thatCouldNotBe;
		} catch {
			trouble = texts.theAppDoesNot;
		} finally {
			saving = false;
		}
	}
</script>

<svelte:head><title>{texts.importWeather(data.garden.name)}</title></svelte:head>
<Trail to="{base}/weather" name="Weather" />
<h1>{texts.takeInAWeather}</h1>
<p class="mt-1 max-w-2xl text-faded">
	{texts.ghcnDailyOfThe}
</p>

<div class="mt-5 max-w-xl">
	<label class="block font-semibold" for="file">{texts.file}</label>
	<input
		id="file"
		type="file"
		accept=".dly,.csv,.txt,.gz,text/csv,text/plain"
		class="mt-1 block min-h-12 w-full border border-edge bg-field p-2"
		onchange={choose}
	/>
</div>
{#if share !== null}
	<div class="mt-4 flex max-w-xl items-center gap-4">
		<progress class="h-3 flex-1" max="1" value={share || undefined} aria-label={texts.reading}></progress>
		<Act onclick={cancel}>{texts.stop}</Act>
	</div>
{/if}
{#if trouble}<Note tone="harm" said class="mt-4 max-w-2xl bg-pane py-2">{trouble}</Note>{/if}

{#if sample && found && columns}
	<section class="mt-8 border-t border-ink pt-5">
		<p>
			<span class="figure">{sayNumber(found.days)}</span>
			<span class="unit"
				>{texts.days}{#if found.days}{texts.toWhole(
						sayDate(isoOf(found.record.first)),
						sayDate(isoOf(found.record.first + found.record.low.length - 1)),
						found.wholeYears,
						found.wholeYears === 1 ? texts.year : texts.years
					)}{/if}</span
			>
		</p>
		{#if found.wholeYears < 3}
			<Note tone="now" class="mt-2 max-w-2xl">
				{texts.fewerThanThreeWhole}
			</Note>
		{/if}
		{#each found.doubts as doubt (doubt.code)}
			<Note tone="harm" class="mt-3 max-w-2xl bg-pane py-2">
				<p><strong>{doubt.sentence}</strong></p>
				{#if sample.layout === 'csv'}
					<p class="mt-2">
						{#if doubt.code === 'fahrenheit' && columns.temperature === 'C'}<Act onclick={() => chooseOther({ temperature: 'F' })}
								>{texts.readThemAsF}</Act
							>{/if}
						{#if doubt.code === 'swapped'}<Act
								onclick={() => {
									if (!columns) return;
									[columns.low, columns.high] = [columns.high, columns.low];
									read();
								}}>{texts.swapTheTwo}</Act
							>{/if}
					</p>
				{/if}
			</Note>
		{/each}
		<LeftOut {found} />

		{#if found.stations.length > 1}
			<div class="mt-5 max-w-xl">
				<SelectField
					label={texts.station}
					name="station"
					bind:value={() => station, (v) => ((station = v), read())}
					items={found.stations.map((s) => ({ value: s.id, name: texts.days2(s.id, sayNumber(s.figures)) }))}
				/>
			</div>
		{/if}
		{#if sample.layout === 'csv'}
			<Columns {sample} bind:columns onchange={read} />
		{/if}
		{#if first.length}
			<div class="mt-5 overflow-x-auto">
				<Rows
					class="max-w-xl"
					caption={texts.theFirstDaysAs}
					heads={[texts.day2, texts.lowestC, texts.highestC, texts.rainMm]}
					rows={first}
					key={(d) => d.day}
				>
					{#snippet cells(d: (typeof first)[number])}
						<TableBodyCell>{sayDate(isoOf(d.day))}</TableBodyCell>
						{#each [d.low, d.high, d.rain] as v, i (i)}<TableBodyCell>{v === null ? '' : sayNumber(v, 1, true)}</TableBodyCell
							>{/each}
					{/snippet}
				</Rows>
			</div>
			<div class="mt-6 flex max-w-xl flex-col gap-4">
				<Field label={texts.callIt} name="name" bind:value={name} maxlength={120} />
				{#if found.doubts.length}
					<Checkbox bind:checked={certain}>{texts.iHaveLookedAt}</Checkbox>
				{/if}
				<p>
					<Act
						main
						disabled={saving || share !== null || (found.doubts.length > 0 && !certain) || name.trim() === ''}
						onclick={keep}
						>{saving
							? texts.storing
							: texts.keep(found.days === 1 ? texts.thisWord : texts.these, some(found.days, 'day', 'days'))}</Act
					>
				</p>
			</div>
		{:else}
			<p class="mt-4">{texts.noDayWithA(sample.layout === 'csv' ? texts.lookAtTheColumns : '')}</p>
		{/if}
	</section>
{/if}
