<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { sayWindow } from '$lib/ui/say.js';
	// Who: before the plant, secateurs in one hand, phone in the other. Question: what can I get from it, and where
	// do I cut? Computed: the cuts that bring most rooted pieces. Biggest: how many pieces, how many will root, and
	// the stem with its cuts. At 390 px: the number, the drawing (it scrolls sideways), then the measures.
	import { sayDate, sayWait } from '$lib/core/dates.js';
	import { sayLength } from '$lib/core/units/index.js';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { page } from '$app/state';
	import ClumpCuts from './ClumpCuts.svelte';
	import OtherCuts from './OtherCuts.svelte';
	import StemCuts from './StemCuts.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const s = $derived(data.stock);
	const asked = $derived(
		data.ways.find((w) => w.id === page.url.searchParams.get('way'))?.id ?? data.ways.find((w) => w.open)?.id ?? data.ways[0]!.id
	);
	let wayId = $derived(asked);
	const w = $derived(data.ways.find((x) => x.id === wayId) ?? data.ways[0]!);
	let pieces = $state(0);
	let expected = $state(0);
	const onresult = (p: number, e: number) => {
		pieces = p;
		expected = e;
	};
	const say = (cm: number) => sayLength(cm, data.garden.units);
	/** They have roots or stores already. */
	const ROOTED: ReadonlySet<string> = new Set(['clump', 'sucker', 'tuber']);
	const told = $derived(Math.max(0, Math.round(pieces * w.factor)));
</script>

<svelte:head><title>{texts.whatItGives(s.name, data.garden.name)}</title></svelte:head>
<Trail to="{base}/stock/{s.id}" name={s.name} />
<h1 class="mt-1">{texts.whatGives(s.name)}</h1>
{#if s.may.may !== 'yes'}<Note tone={s.may.may === 'no' ? 'harm' : 'now'} class="mt-2">
		{s.may.sentence}
	</Note>{/if}
<div class="mt-3 flex flex-wrap items-end gap-6">
	<div class="w-96 max-w-full">
		<SelectField
			label={texts.way}
			name="way"
			bind:value={wayId}
			items={data.ways.map((x) => ({ value: x.id, name: x.open ? x.name : texts.itsWindowIsShut(x.name) }))}
		/>
	</div>
	<p class="pb-1" aria-live="polite">
		<span class="figure" data-testid="pieces">{pieces}</span>
		<span class="unit"
			>{pieces === 1 ? w.piece[0] : w.piece[1]}{pieces === 0
				? ''
				: Math.round(expected) === 0
					? texts.dontCountOn(pieces === 1 ? texts.it : texts.any)
					: texts.aboutWill(Math.round(expected), ROOTED.has(w.cut.draws) ? texts.take : texts.root)}</span
		>
	</p>
</div>
{#if w.past.length}
	<p class="mt-1 max-w-prose">
		{texts.foretoldAndHadFrom(w.past.map((p) => texts.foretoldStruck(p.code, p.foretold, p.had)).join('; '))}
		{#if told !== pieces}{texts.byThatExpectAbout} <strong>{told}</strong>.{/if}
	</p>
{/if}
<p class="note mt-1">
	{texts.aPlantOfThis(w.now, w.fullAgainOn ? texts.andIsFullAgain(sayDate(w.fullAgainOn)) : '')}
	{#if pieces > w.now && w.cut.draws !== 'clump' && w.cut.draws !== 'tuber'}<strong>{texts.thatIsMoreThan}</strong>{/if}
	{texts.whatIsTakenGrows(sayWait(w.recoverDays), sayWindow(w))}
</p>
{#key w.id}
	{#if w.cut.draws === 'clump'}
		<ClumpCuts
			stockId={s.id}
			usualCount={w.usual.n}
			usualCm={w.usual.at_cm}
			spacingCm={s.spacingCm}
			sizeCm={s.sizeCm}
			ageYears={s.ageYears}
			chance={w.chance}
			units={data.garden.units}
			{say}
			{onresult}
		/>
	{:else if ['stem', 'rod', 'basal'].includes(w.cut.draws)}
		<StemCuts
			stockId={s.id}
			cut={w.cut}
			chance={w.chance}
			heightCm={s.sizeCm ?? s.heightCm}
			flat={w.wayId === 'nodal'}
			units={data.garden.units}
			{say}
			{onresult}
		/>
	{:else}
		<OtherCuts cut={w.cut} tray={w.tray} chance={w.chance} units={data.garden.units} {say} {onresult} />
	{/if}
{/key}
{#if data.seed}<Note class="mt-6 max-w-prose">
		<strong>{texts.seedTheOtherWay}</strong>
		{texts.aboutToFlowerAnd(
			data.seed.years,
			data.seed.years === 1 ? texts.year : texts.years,
			data.seed.true_to_type ? texts.itComesLikeIts : texts.notTrueToIts,
			data.seed.say
		)}
	</Note>{/if}
<p class="mt-8 flex flex-wrap gap-3 border-t border-ink pt-4">
	{#if pieces > 0 && s.may.may !== 'no'}<Act
			main
			href="{base}/bench/new?stock={s.id}&way={w.id}&count={told || pieces}&foretold={pieces}"
			>{texts.strike(told || pieces, told === 1 ? w.piece[0] : w.piece[1])}</Act
		>{/if}
	<Act href="{base}/guide/{s.kindId}/{w.id}">{texts.howToCut}</Act>
</p>
