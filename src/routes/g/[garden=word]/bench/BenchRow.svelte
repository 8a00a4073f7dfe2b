<script lang="ts">
	/** A batch in the list of the bench: what it is, how its pieces stand, what it asks for next. */
	import { texts } from '$lib/messages/bench.js';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import PieceBar from '$lib/ui/PieceBar.svelte';
	import { STAGE_WORDS } from '$lib/ui/say.js';
	import type { ShownBatch } from '$lib/server/views/bench.js';

	interface Props {
		b: ShownBatch;
		base: string;
		day: number;
		isToday: boolean;
	}
	let { b, base, day, isToday }: Props = $props();
	const VERB = {
		strike: texts.strike,
		look: texts.look,
		'winter-look': texts.lookOver,
		pot: texts.pot,
		'winter-count': texts.countAfterWinter,
		'frost-count': texts.lookWhichLive,
		missed: texts.planAgain,
		shelter: texts.bringIn,
		plant: texts.plant,
		decide: texts.decide
	} as const;
</script>

<a
	href="{base}/bench/{b.id}"
	class="grid min-w-0 flex-1 items-center gap-x-6 gap-y-2 py-3 hover:bg-pane sm:grid-cols-[auto_minmax(0,1.6fr)_minmax(0,1.2fr)_minmax(0,1fr)]"
>
	<span class="w-fit border border-ink px-2 py-1 font-mono text-lg">{b.code}</span>
	<div>
		<p class="text-lg leading-tight font-semibold">{b.kindName}{b.form ? `, ${b.form}` : ''}</p>
		<p class="note">
			{b.wayName} · {b.status === 'planned'
				? texts.plannedFor(sayDate(b.plannedOn!))
				: texts.struck(sayDate(b.struckOn!))}{b.placeName ? ` · ${b.placeName}` : ''}
		</p>
	</div>
	<div>
		{#if isToday}
			<PieceBar batch={b} />
			{#if b.trouble}<p class="font-semibold text-madder first-letter:uppercase">{b.trouble.word}</p>
			{:else if b.rooting}<p class="font-semibold first-letter:uppercase">{b.rooting.word}</p>{/if}
		{:else}
			<p>
				<span class="font-head text-2xl font-semibold">{Math.round(b.expected.pieces)}</span>
				{STAGE_WORDS[b.expected.stage]}
			</p>
		{/if}
	</div>
	<p>
		{#if !isToday}
			{#if b.plantedOn}<span class="text-faded"
					>{(b.inPots ? texts.readyAbout : texts.plantedAbout)(sayDate(b.plantedOn.usual))}</span
				>{/if}
		{:else if b.next}<span class="font-semibold">{VERB[b.next.kind]}</span>
			<span class={b.next.by < day ? 'font-semibold text-madder' : 'text-faded'}
				>{texts.from(b.next.by < day ? texts.late : '', sayDate(isoOf(b.next.from), false))}</span
			>
		{:else}<span class="text-faded">{texts.nothingToDo}</span>{/if}
	</p>
</a>
