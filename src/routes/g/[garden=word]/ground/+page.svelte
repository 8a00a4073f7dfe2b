<script lang="ts">
	/** Where does it all go? The beds of the garden, to one scale. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/ground.js';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { sayFits, sayThen } from '$lib/core/ground/words.js';
	import { sayArea, sayLength } from '$lib/core/units/index.js';
	import Map from './Map.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	const measured = $derived(data.beds.filter((b) => b.ground));
	const unmeasured = $derived(data.beds.filter((b) => !b.ground));
	const area = $derived(measured.reduce((m2, b) => m2 + b.ground!.areaM2, 0));
	const widthOf = (b: (typeof measured)[number]) => {
		const xs = b.ground!.outline.map((p) => p[0]);
		return Math.max(...xs) - Math.min(...xs);
	};
	const widest = $derived(Math.max(1, ...measured.map(widthOf)));
	const then = $derived<Record<string, string>>(data.isToday ? {} : { day: data.viewed });
	const at = $derived(data.isToday ? '' : `?day=${data.viewed}`);
	const standing = (b: PageData['beds'][number]) => b.stands.reduce((n, s) => n + s.count, 0);
	const heading = $derived(
		data.beds.length === 0
			? texts.noGroundToPlant
			: measured.length === 0
				? texts.noBedIsMeasured
				: texts.ofMeasuredGround(sayArea(area, units))
	);
	const asked = $derived.by(steady(() => data.asked));
	let kind = $derived(asked.kind);
	let count = $derived(asked.count);
	const w = $derived(data.where);
	const going = $derived(w?.beds.filter((b) => b.takes > 0) ?? []);
	const told = $derived(
		!w
			? ''
			: going.length === 0
				? texts.noMeasuredBedHas(w.count === 1 ? 'it' : 'them', w.count === 1 ? 'it' : 'them')
				: `${going.map((b, i) => texts.inWord(b.takes, i === 0 ? ` ${w.kind.name}` : '', b.name)).join(', ')}${w.left > 0 ? texts.leftOverGiveAway(w.left, w.left === 1 ? 'is' : 'are', w.left === 1 ? 'it' : 'them', w.left === 1 ? 'it' : 'them') : ''}.`
	);
</script>

<svelte:head><title>{texts.ground(data.garden.name)}</title></svelte:head>
<h1>{heading}</h1>
{#if data.beds.length === 0}
	<Note>{texts.bedsHedgesSlopesAnd} <a href="{base}/settings">{texts.addOne}</a>{texts.thenMeasureItHere}</Note>
{:else}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.openABedTo(sayThen(data.viewed, data.garden.today), measured.length > 1 ? texts.allDrawnToOne : '')}
	</p>
{/if}

{#if measured.length}
	<section class="mt-6" aria-labelledby="where">
		<h2 id="where" class="border-b border-ink pb-1">{texts.whereCanTheseGo}</h2>
		<form
			class="no-print mt-3 grid items-end gap-4 sm:grid-cols-[2fr_1fr_auto]"
			onsubmit={(e) => {
				e.preventDefault();
				void goto(`?${new URLSearchParams({ kind, count, ...then }).toString()}`, { keepFocus: true, noScroll: true });
			}}
		>
			<ChoiceField
				label={texts.kind}
				name="kind"
				items={data.kinds.map((k) => ({ value: k.id, name: k.name, beside: k.have ? texts.youHaveIt : '' }))}
				bind:value={kind}
			/>
			<Field label={texts.howMany} name="count" bind:value={count} numeric />
			<Act type="submit">{texts.findRoom}</Act>
		</form>
		{#if data.wrong}<Note tone="harm" said>{data.wrong}</Note>{/if}
		{#if w}
			<p class="mt-4 max-w-prose text-lg" aria-live="polite"><strong>{told}</strong></p>
			<ul class="mt-2">
				{#each w.beds as b (b.id)}
					<li class="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-2">
						<TextAct href="{base}/ground/{b.id}?kind={w.kind.id}{at.replace('?', '&')}">{b.name}</TextAct>
						<span
							><span class="note">{b.light}</span>
							{texts.apart(sayFits(b.fits), sayLength(w.spacingCm, units))}</span
						>
					</li>
				{/each}
			</ul>
			{#each w.cautions as caution (caution)}<Note class="mt-2">{caution}</Note>{/each}
		{/if}
	</section>
	<ul class="mt-6 grid gap-6 lg:grid-cols-2">
		{#each measured as b (b.id)}
			<li class="border-b border-rule pb-4">
				<a href="{base}/ground/{b.id}{at}" class="block text-ink no-underline">
					<span class="flex flex-wrap items-baseline justify-between gap-2">
						<strong class="text-xl underline underline-offset-4">{b.name}</strong>
						<span class="note"
							>{sayArea(b.ground!.areaM2, units)}{standing(b)
								? texts.there(standing(b), standing(b) === 1 ? texts.plantStands : texts.plantsStand)
								: ''}</span
						>
					</span>
					<span class="mt-2 block">
						<BedDrawing
							outline={b.ground!.outline}
							holes={b.ground!.holes}
							stands={b.stands}
							{units}
							overM={widest}
							say="{b.name}, {sayArea(b.ground!.areaM2, units)}"
						/>
					</span>
				</a>
			</li>
		{/each}
	</ul>
{/if}
<div class="no-print mt-6"><Map {base} today={data.garden.today} any={measured.length > 0} /></div>
{#if data.beds.length}
	<div class="no-print mt-6 flex flex-wrap gap-3">
		<Act href="{base}/ground/moves">{texts.thingsHaveToChange}</Act>
		<Act href="{base}/ground/leaving">{texts.weLeaveThisGarden}</Act>
	</div>
{/if}
{#if unmeasured.length}
	<section class="mt-8" aria-labelledby="unmeasured">
		<h2 id="unmeasured" class="border-b border-ink pb-1">{texts.notMeasuredYet}</h2>
		<ul class="mt-2">
			{#each unmeasured as b (b.id)}
				<li class="border-b border-rule">
					<a href="{base}/ground/{b.id}" class="flex min-h-12 flex-wrap items-center justify-between gap-x-4">
						<span>{b.name}</span><span class="note">{texts.measureIt}</span>
					</a>
				</li>
			{/each}
		</ul>
	</section>
{/if}
