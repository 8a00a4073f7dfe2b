<script lang="ts">
	/** A way of multiplying the kind: its window here, how it is done, and how its pieces fare. */
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import MonthRow from '$lib/ui/MonthRow.svelte';
	import SuitBar from '$lib/ui/SuitBar.svelte';
	import { sayForm } from '$lib/core/evidence/byForm.js';
	import { sayDate, sayWait } from '$lib/core/dates.js';
	import { sayLength, sayLengthRange } from '$lib/core/units/index.js';
	import { plural, STAGE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';

	interface Props {
		w: PageData['ways'][number];
		data: PageData;
		base: string;
	}
	let { w, data, base }: Props = $props();
	const k = $derived(data.kind);
	const units = $derived(data.garden.units);
</script>

<section class="mt-8 border-t border-ink pt-4">
	<div class="grid gap-x-8 gap-y-2 md:grid-cols-[16rem_1fr]">
		<div>
			<h2>{w.name}</h2>
			<Act href="{base}/guide/{k.id}/{w.id}">How to cut, step by step</Act>
			<p class="note">{w.window.say}</p>
			{#if w.window.next}
				{@const n = w.window.next}
				<p class="mt-1">
					{#if w.window.allYear}Open <strong>all year</strong>{:else if n.open}Open, until about <strong
							>{sayDate(n.closes.usual)}</strong
						>
						<span class="note">({sayDate(n.closes.early, false)} to {sayDate(n.closes.late, false)})</span>{:else}Opens about
						<strong>{sayDate(n.opens.usual)}</strong>
						<span class="note">({sayDate(n.opens.early, false)} to {sayDate(n.opens.late, false)})</span>, shuts about {sayDate(
							n.closes.usual
						)}{/if}.
				</p>
				<p class="note">
					{data.isToday ? 'Today' : 'That day'} suits {Math.round(w.window.now * 10)} years in 10{n.share < 0.95
						? `; only ${Math.round(n.share * 10)} years in 10 have it at all`
						: ''}.
				</p>
			{:else}
				<p class="mt-1">
					It does not open here in most years{w.window.seldom
						? `; about ${Math.max(1, Math.round(w.window.seldom * 10))} years in 10 have it`
						: ''}.
				</p>
			{/if}
		</div>
		<div>
			<MonthRow from={data.from} /><SuitBar
				from={data.from}
				day={data.day}
				values={w.window.values}
				step={data.step}
				label="Window of {w.name}"
				height={36}
			/>
		</div>
	</div>
	<div class="mt-3 grid gap-8 md:grid-cols-[1fr_1.2fr] *:min-w-0">
		<div>
			<p>
				{w.profile.piece.say}{w.profile.piece.cm
					? `, ${sayLengthRange(w.profile.piece.cm[0], w.profile.piece.cm[1], units)}`
					: ''}.
			</p>
			<p class="mt-1">
				Medium: {w.profile.medium}. Cover: {w.profile.cover}. Hormone: {w.profile.hormone}.
			</p>
			<p class="mt-1">
				A plant of {sayLength(w.profile.gives.at_cm, units)} gives about {plural(w.profile.gives.n, w.pieces)}{w.profile.gives
					.uses_up
					? ' and is used up'
					: `, and grows them again in about ${sayWait(w.profile.gives.recover_days)}`}.
			</p>
			{#each w.cautions as c (c)}<Note tone="harm" class="mt-2">{c}</Note>{/each}
			<ol class="mt-2 list-decimal space-y-1 pl-5">
				{#each w.how as step (step)}<li>{step}</li>{/each}
			</ol>
			<p class="mt-2"><strong>Signs:</strong> {w.signs} <strong>Then:</strong> {w.profile.then}</p>
			{#each w.schools as s (s.id)}
				<Fold label={s.question} plain class="border-b border-rule">
					<p class="pb-2">{s.one} {s.other} <em>Here: {s.ours}</em></p>
				</Fold>
			{/each}
		</div>
		<div>
			<Rows
				heads={['Until', 'Days', 'Of 100 pass', 'With yours', { name: 'In', wide: true }, { name: 'Source', wide: true }]}
				rows={w.stages}
				key={(s) => s.to}
			>
				{#snippet cells(s: (typeof w.stages)[number])}
					<TableBodyCell class="font-semibold"
						>{STAGE_WORDS[s.to]}<span class="note block font-normal sm:hidden">{s.container}. {data.sources[s.src]}.</span
						></TableBodyCell
					>
					<TableBodyCell class="whitespace-nowrap"
						>{s.days[2] > 0 ? `${s.days[1]} (${s.days[0]}–${s.days[2]})` : '–'}</TableBodyCell
					>
					<TableBodyCell>{Math.round(s.chance * 100)}</TableBodyCell>
					<TableBodyCell>{s.counted ? `${Math.round(s.own * 100)} (${s.passed} of your ${s.counted})` : '–'}</TableBodyCell>
					<TableBodyCell class="hidden sm:table-cell">{s.container}</TableBodyCell>
					<TableBodyCell class="note hidden sm:table-cell">{data.sources[s.src]}</TableBodyCell>
				{/snippet}
			</Rows>
			{#each w.forms as f (f.form)}<p class="mt-2">{sayForm(f.form, f.counted, STAGE_WORDS[w.stages[0]!.to])}</p>{/each}
		</div>
	</div>
</section>
