<script lang="ts">
	import { texts } from '$lib/messages/weather.js';
	import Act from '$lib/ui/Act.svelte';
	/**
	 * Who: the gardener planning at the table, or pinning a page to the shed wall. Question: when in the year
	 * is what done here? Computes: suitability of every way of every kind grown, over all years of the record.
	 * Biggest: the rows of windows under one calendar. At 390 px: names stand above their bars.
	 */
	import { area, line } from 'd3-shape';
	import MonthRow from '$lib/ui/MonthRow.svelte';
	import SuitBar from '$lib/ui/SuitBar.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const v = $derived(data.view);
	const x = (i: number) => (i / (v.points.length - 1)) * 1000;
	const TOP = 64;
	type Point = PageData['view']['points'][number];
	const frost = $derived(
		area<Point>()
			.x((_, i) => x(i))
			.y0(0)
			.y1((p) => p.frost * TOP)(v.points) ?? ''
	);
	const light = $derived(
		line<Point>()
			.x((_, i) => x(i))
			.y((p) => TOP - (p.light / 24) * TOP)(v.points) ?? ''
	);
	const marked = $derived(v.rows.some((r) => r.ways.some((w) => w.marks.length)));
</script>

<svelte:head><title>{texts.onOnePage(v.year, data.garden.name)}</title></svelte:head>

<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{data.garden.name}, {v.year}</h1>
		<p class="max-w-2xl text-faded">
			{texts.fullHeightEveryYear(
				v.made ? texts.theMadeRecord : texts.theYearsOnRecord(v.years),
				marked ? texts.ticksAreWhatWas : ''
			)}
		</p>
	</div>
	<Act class="no-print" onclick={() => print()}>{texts.print}</Act>
</div>

{#if v.rows.length === 0}
	<p class="mt-8 border-t border-ink pt-5">
		{texts.nothingIsGrownOr} <a href="{base}/stock/new">{texts.addAStockPlant}</a>
		{texts.or}
		<a href="{base}/wants/new">{texts.sayWhatYouWant}</a>{texts.itsWindowsComeHere}
	</p>
{:else}
	<div class="year mt-6 grid grid-cols-1 gap-x-6 sm:grid-cols-[16rem_1fr]">
		<p class="note hidden self-end sm:block">{texts.fromAboveChanceOf}</p>
		<div>
			<MonthRow from={v.from} span={(v.points.length - 1) * v.step} />
			<svg
				viewBox="0 0 1000 {TOP}"
				preserveAspectRatio="none"
				class="block h-16 w-full"
				role="img"
				aria-label={texts.chanceOfFrostAnd}
			>
				<path d={frost} fill="var(--color-frost)" fill-opacity="0.45" />
				<path
					d={light}
					fill="none"
					stroke="var(--color-catkin-deep)"
					stroke-width="1.5"
					stroke-dasharray="1 3"
					vector-effect="non-scaling-stroke"
				/>
				<line x1="0" x2="1000" y1={TOP} y2={TOP} stroke="var(--color-ink)" vector-effect="non-scaling-stroke" />
			</svg>
		</div>
	</div>
	<ul>
		{#each v.rows as r (r.id)}
			<li class="year break-inside-avoid border-b border-rule py-1">
				{#each r.ways as w, i (w.id)}
					<div class="grid grid-cols-1 items-center gap-x-6 sm:grid-cols-[16rem_1fr]">
						<p class="leading-tight">
							{#if i === 0}<a class="lone font-semibold" href="{base}/handbook/{r.id}">{r.common}</a>{:else}<span
									class="hidden sm:inline">&nbsp;&nbsp;</span
								>{/if}
							<span class="note">{w.name}</span>
						</p>
						<SuitBar
							from={v.from}
							values={w.values}
							step={v.step}
							day={v.today}
							marks={w.marks}
							label="{r.common}, {w.name}: {w.next ?? texts.neverHere}"
						/>
					</div>
				{/each}
			</li>
		{/each}
	</ul>
{/if}

<style>
	@media print {
		.year {
			grid-template-columns: 14rem 1fr;
		}
	}
</style>
