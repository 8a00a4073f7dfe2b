<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { untrack } from 'svelte';
	import { dayNumber, sayDate } from '$lib/core/dates.js';
	import { sayCount, sayOddsAsked, sayPlanted } from '$lib/core/odds/words.js';
	import Soon from '$lib/ui/Soon.svelte';
	import PieceBar from '$lib/ui/PieceBar.svelte';
	import { plural, sayNext, sayRange, STAGE_WORDS } from '$lib/ui/say.js';
	import UndoEntry from '$lib/ui/UndoEntry.svelte';
	import Beside from './Beside.svelte';
	import LogForm from './LogForm.svelte';
	import { OFFERED, VERBS } from './verbs.js';
	import type { Verb } from './verbs.js';
	import RootingPanel from './RootingPanel.svelte';
	import TrayPanel from './TrayPanel.svelte';
	import type { PageData } from './$types';
	import { sayLength } from '$lib/core/units/index.js';
	let { data }: { data: PageData } = $props();

	const base = $derived(`/g/${data.garden.slug}`);
	const b = $derived(data.batch);
	const rootedNow = $derived(b.rooted + b.potted);
	const standing = $derived(b.planted - b.lostPlanted);

	/** There is a want that it could be for, or one that it is for. */
	const meantFor = $derived(data.wants.length > 0 || data.want !== null);
	const usable = $derived(
		VERBS.filter(([v]) =>
			b.inHand === 0 ? v === 'lost' && standing > 0 : v === 'split' ? b.inHand > 1 : v === 'meant' ? meantFor : true
		)
	);
	let verb = $state<Verb | null>(null);
	const open = (v: Verb | null) => (verb = v);
	// The form asked for by the address opens once, not again with every new count.
	let arrived = '';
	$effect.pre(() => {
		const here = `${b.id} ${data.ask}`;
		if (here === arrived) return;
		arrived = here;
		const asked = data.ask ? (OFFERED[data.ask] ?? null) : null;
		untrack(() => open((asked === 'struck') === (b.status === 'planned') ? asked : null));
	});
</script>

<svelte:head><title>{b.code} {b.kindName}{b.form ? `, ${b.form}` : ''} · {data.garden.name}</title></svelte:head>
<Trail to="{base}/bench" name="Bench" />
<div class="mt-1 flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
	<div>
		<h1>
			<span class="border-2 border-ink px-2 font-mono font-normal">{b.code}</span>
			{b.kindName}{b.form ? `, ${b.form}` : ''}
		</h1>
		<p class="mt-2 text-faded">
			{b.wayName}
			{#if b.status === 'planned'}{texts.plannedFor2(sayDate(b.plannedOn!))}{:else if b.struckOn}{texts.struck2(
					sayDate(b.struckOn)
				)}{/if}
			{#if b.placeName}· {b.placeName}{/if}
			{#if data.stock}{texts.from2} <a href="{base}/stock/{data.stock.id}">{data.stock.label || texts.itsStockPlant}</a>{/if}
			{#if data.parent}{texts.splitFrom} <a href="{base}/bench/{data.parent.id}">{data.parent.code}</a>{/if}
			{#if data.want}{texts.forWord} <a href="{base}/wants/{data.want.id}">{data.want.name}</a>{/if}
		</p>
	</div>
	<Island><Act href="{base}/labels?codes={b.code}">{texts.label}</Act></Island>
</div>

<div class="mt-5 grid gap-10 md:grid-cols-[1.35fr_1fr]">
	<div>
		<section aria-label={texts.howItStands}>
			{#if !data.isToday}
				<Note tone="now" class="mb-3">
					{Math.round(b.expected.pieces) === 0
						? texts.dontCountOnAny(sayDate(data.viewed))
						: texts.expectedOnAbout(sayDate(data.viewed), Math.round(b.expected.pieces), STAGE_WORDS[b.expected.stage])}
				</Note>
			{/if}
			{#if b.status === 'planned'}
				<p>
					<span class="figure">{b.plannedCount}</span>
					<span class="unit">{texts.toStrike2(data.way.pieces[1])}</span>
				</p>
			{:else if b.status === 'dropped'}
				<p class="text-lg">{texts.thisPlanWasDropped}</p>
			{:else}
				<p class="text-lg">
					<span class="figure">{b.inHand}</span>
					<span class="unit"
						>{texts.ofInHand(
							b.struck,
							standing ? texts.inTheGround(standing) : '',
							b.lastSign ? texts.lastSign(b.lastSign) : ''
						)}</span
					>
				</p>
				<div class="mt-2 max-w-lg"><PieceBar batch={b} /></div>
			{/if}
			{#if b.trouble && data.isToday}<Note tone="harm" class="mt-3 max-w-prose text-lg">
					{b.trouble.sentence}
				</Note>{/if}
			{#if b.rooting && data.isToday && b.struckOn}
				{@const struck = dayNumber(b.struckOn)}
				<Island>
					<RootingPanel rooting={b.rooting} today={dayNumber(data.garden.today)} {struck} known={rootedNow} />
				</Island>
			{/if}
			{#if b.coming && (b.inHand > 0 || b.status === 'planned')}
				<p class="mt-3 max-w-prose text-lg">
					{sayPlanted(b.coming, b.inPots)}{#if b.plantedOn && b.coming.p50 > 0}{texts.about(
							sayDate(b.plantedOn.usual)
						)}{#if b.plantedOn.quick !== b.plantedOn.slow}<span class="note"
								>{` (${sayRange(b.plantedOn.quick, b.plantedOn.slow)})`}</span
							>{/if}{/if}.
				</p>
			{/if}
			{#if data.want}<p class="mt-1">
					{texts.itsWantBy(data.want.name, sayDate(data.want.due))}
					<strong>{sayOddsAsked(data.want.odds, data.want.confidence)}</strong>.
					{#if data.want.leastCm !== null}{texts.grownOnUntil(sayLength(data.want.leastCm, data.garden.units))}{/if}
					{#if data.want.byThen}{texts.ofThisBatchBy(sayCount(data.want.byThen))}{/if}
				</p>{/if}
			{#if data.tall && data.isToday}<p class="mt-1 max-w-prose">{data.tall}</p>{/if}
			{#if b.next}<p class="mt-1">{sayNext(b.next, data.way.pieces, data.garden.today)}</p>{/if}
		</section>

		{#if b.status === 'planned'}
			<div class="mt-5 flex flex-wrap gap-3">
				<Act main aria-expanded={verb === 'struck'} onclick={() => open(verb === 'struck' ? null : 'struck')}
					>{texts.strikeIt}</Act
				>
				<Act aria-expanded={verb === 'dropped'} onclick={() => open(verb === 'dropped' ? null : 'dropped')}
					>{texts.dropThePlan}</Act
				>
				{#if meantFor}<Act aria-expanded={verb === 'meant'} onclick={() => open(verb === 'meant' ? null : 'meant')}
						>{texts.meantFor}</Act
					>{/if}
			</div>
		{:else if usable.length}
			<div class="mt-5 flex flex-wrap gap-2" role="group" aria-label={texts.log}>
				<Island>
					{#each usable as [v, label] (v)}
						{@const name = v === 'wintered' && b.trouble?.frost ? texts.countAfterFrost : label}
						<Act main={verb === v} aria-expanded={verb === v} onclick={() => open(verb === v ? null : v)}>{name}</Act>
					{/each}
				</Island>
			</div>
		{/if}

		{#if verb}
			<div class="mt-4 max-w-lg border-t-4 border-catkin bg-pane p-4">
				{#key `${b.id} ${verb}`}<Soon><LogForm {verb} {data} ondone={() => (verb = null)} /></Soon>{/key}
			</div>
		{/if}

		{#if b.tray || (b.status === 'growing' && b.unrooted + b.rooted > 1)}
			<Island><TrayPanel batch={b} today={data.garden.today} inHand={b.inHand} /></Island>
		{/if}

		<section class="mt-8">
			<h2 class="border-b border-ink pb-1">{texts.whatHappened}</h2>
			<Island
				><ol class="ruled">
					{#each data.story as e (e.id)}
						<li class="flex items-start justify-between gap-4 py-2">
							<div class="min-w-0 {e.undone ? 'text-faded line-through' : ''}">
								<p class="grid gap-x-3 sm:grid-cols-[7.5rem_1fr]">
									<span class="text-faded">{sayDate(e.on)}</span><span>{e.line.replace(/^\S+ [^:]*: /, '')}</span>
								</p>
								{#if e.note}<p class="note wrap-anywhere whitespace-pre-wrap" dir="auto">{e.note}</p>{/if}
							</div>
							{#if e.undone}<span class="note">{texts.undone}</span>{:else}<UndoEntry {base} entry={e} />{/if}
						</li>
					{/each}
				</ol></Island
			>
		</section>
	</div>

	<Island><Beside {data} {base} /></Island>
</div>
<p class="sr-only">{plural(b.inHand, data.way.pieces)}</p>
