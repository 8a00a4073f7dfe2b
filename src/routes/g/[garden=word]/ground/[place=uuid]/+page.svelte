<script lang="ts">
	/** How many fill this bed, and where does each go? */
	import { texts } from '$lib/messages/ground.js';
	import { goto } from '$app/navigation';
	import Range from 'flowbite-svelte/Range.svelte';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { sayCover, sayFits, sayGaps, sayInHand, sayKeptBy, sayThen } from '$lib/core/ground/words.js';
	import { sayArea, sayLength } from '$lib/core/units/index.js';
	import Choices from './Choices.svelte';
	import FillForm from './FillForm.svelte';
	import Measure from './Measure.svelte';
	import StandsThere from './StandsThere.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	const bed = $derived(data.bed);
	const f = $derived(data.filled);

	const given = $derived.by(
		steady(() => ({
			bed: data.bed.id,
			...data.asked,
			kind: data.filled?.kind.id ?? data.asked.kind,
			pattern: data.filled?.pattern ?? 'triangular'
		}))
	);
	let kind = $derived(given.kind);
	let spacing = $derived(given.spacing);
	let margin = $derived(given.margin);
	let pattern = $derived<string>(given.pattern);
	let turn = $derived(given.turn === 'on');
	let gaps = $derived(given.gaps);
	let beside = $derived(given.beside);
	let share = $derived(given.share);
	/** What is asked, as an address has it. */
	const address = (over: Record<string, string> = {}) => {
		const day = data.isToday ? '' : data.viewed;
		const asked = {
			kind,
			spacing,
			margin,
			pattern,
			gaps,
			beside,
			share: beside ? share : '',
			...(turn ? { turn: 'on' } : {}),
			day,
			...over
		};
		return `?${new URLSearchParams(Object.entries(asked).filter(([, v]) => v !== '')).toString()}`;
	};
	const ask = () => goto(address(), { keepFocus: true, noScroll: true, replaceState: true });

	const placed = $derived(bed.stands.some((s) => s.at.length > 0));
	/** The summer that is drawn: at first the one in which they touch. */
	const touching = $derived.by(steady(() => data.filled?.asked.touch ?? 3));
	let summer = $derived(Math.min(10, Math.max(1, Math.ceil(touching))));
	const acrossM = $derived((f?.spreads[summer] ?? 0) / 100);
	const heading = $derived(
		!bed.ground
			? texts.isNotMeasuredYet(bed.name)
			: f
				? `${sayFits(f.asked.count)} ${placed ? texts.besideWhatStandsIn : 'in'} ${bed.name}`
				: `${bed.name}: ${sayArea(bed.ground.areaM2, units)}`
	);
</script>

<svelte:head><title>{texts.ground2(bed.name, data.garden.name)}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if !data.isToday}<p class="mt-1 text-lg"><strong>{sayThen(data.viewed, data.garden.today)}</strong></p>{/if}
{#if f}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.atOn(
			f.mix ? texts.andInGroupsOf(f.mix.counts[0], f.kind.name, f.mix.counts[1], f.mix.kind.name) : f.kind.name,
			sayLength(f.asked.spacingCm, units),
			sayArea(bed.ground!.areaM2, units),
			f.asked.count > 1 && !f.mix ? sayCover(f.asked.touch, f.asked.closed) : '',
			sayInHand(f.asked.count, f.likely)
		)}
		{#if f.hedge}{texts.asAHedgeAlong(f.hedge.one, f.hedge.two)}{/if}
		{#if f.hedge && f.hedge.gaps !== null}{sayGaps(f.hedge.gaps)}{/if}
		{sayKeptBy(f.spares)}
	</p>
{:else if !bed.ground}
	<p class="mt-1 max-w-prose text-lg text-faded">{texts.withItsSizeIt}</p>
{/if}
{#if 'trouble' in data && data.trouble}<Note tone="harm" said>{data.trouble}</Note>{/if}
{#if f?.steep}<Note>{texts.isSteepPlantIn(Math.round(bed.ground!.said.slope!.deg))}</Note>{/if}
{#if f?.wrong}<Note tone="harm" said>{texts.whatIsShownIs(f.wrong, sayLength(f.asked.spacingCm, units))}</Note>{/if}

{#if bed.ground}
	<div class="mt-4 grid gap-6 lg:grid-cols-[2fr_1fr]">
		<div>
			<BedDrawing
				outline={bed.ground.outline}
				holes={bed.ground.holes}
				points={f?.points ?? []}
				others={f?.mix?.isOther ?? []}
				othersAcrossM={(f?.mix?.spreads[summer] ?? 0) / 100}
				stands={bed.stands}
				{acrossM}
				{units}
				say={f
					? texts.fromAboveWithOf(bed.name, f.asked.count, f.kind.name, sayLength(acrossM * 100, units))
					: texts.fromAbove(bed.name)}
			/>
			{#if f && f.asked.count > 0}
				<label class="no-print mt-2 block">
					<span
						>{texts.across(
							summer === 0 ? texts.asTheyAreSet : texts.after(summer, summer === 1 ? texts.summer : texts.summers),
							sayLength(acrossM * 100, units)
						)}</span
					>
					<Range min={0} max={10} step={1} bind:value={summer} />
				</label>
			{/if}
		</div>
		<FillForm
			kinds={data.kinds}
			hedge={bed.kind === 'hedge'}
			{units}
			bind:kind
			bind:beside
			bind:share
			bind:spacing
			bind:margin
			bind:pattern
			bind:gaps
			bind:turn
			onask={ask}
		/>
	</div>
{/if}

{#if f}
	<Choices {f} {bed} {units} currency={data.garden.currency} {base} {address} bind:spacing />
{/if}

<StandsThere {bed} {units} {base} today={data.garden.today} isToday={data.isToday} filled={f !== null} />

<section class="no-print mt-8" aria-labelledby="measured">
	{#if bed.ground}
		<Fold label={texts.measureItAnew}>
			<Measure said={bed.ground.said} {units} today={data.garden.today} seen={{ id: bed.id, version: bed.version }} />
		</Fold>
	{:else}
		<h2 id="measured" class="border-b border-ink pb-1">{texts.measureIt}</h2>
		<div class="mt-3">
			<Measure said={null} {units} today={data.garden.today} seen={{ id: bed.id, version: bed.version }} />
		</div>
	{/if}
</section>
