<script lang="ts">
	/** A way of multiplying the kind: its window here, how it is done, and how its pieces fare. */
	import { texts } from '$lib/messages/handbook.js';
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
			<Act href="{base}/guide/{k.id}/{w.id}">{texts.howToCutStep}</Act>
			<p class="note">{w.window.say}</p>
			{#if w.window.next}
				{@const n = w.window.next}
				<p class="mt-1">
					{#if w.window.allYear}{texts.open2} <strong>{texts.allYear}</strong>{:else if n.open}{texts.openUntilAbout}
						<strong>{sayDate(n.closes.usual)}</strong>
						<span class="note">{texts.to(sayDate(n.closes.early, false), sayDate(n.closes.late, false))}</span
						>{:else}{texts.opensAbout}
						<strong>{sayDate(n.opens.usual)}</strong>
						<span class="note">{texts.to(sayDate(n.opens.early, false), sayDate(n.opens.late, false))}</span>{texts.shutsAbout(
							sayDate(n.closes.usual)
						)}{/if}.
				</p>
				<p class="note">
					{texts.suitsYearsIn10(
						data.isToday ? texts.today : texts.thatDay,
						Math.round(w.window.now * 10),
						n.share < 0.95 ? texts.onlyYearsIn10(Math.round(n.share * 10)) : ''
					)}
				</p>
			{:else}
				<p class="mt-1">
					{texts.itDoesNotOpen(w.window.seldom ? texts.aboutYearsIn10(Math.max(1, Math.round(w.window.seldom * 10))) : '')}
				</p>
			{/if}
		</div>
		<div>
			<MonthRow from={data.from} /><SuitBar
				from={data.from}
				day={data.day}
				values={w.window.values}
				step={data.step}
				label={texts.windowOf(w.name)}
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
				{texts.mediumCoverHormone(w.profile.medium, w.profile.cover, w.profile.hormone)}
			</p>
			<p class="mt-1">
				{texts.aPlantOfGives(
					sayLength(w.profile.gives.at_cm, units),
					plural(w.profile.gives.n, w.pieces),
					w.profile.gives.uses_up ? texts.andIsUsedUp : texts.andGrowsThemAgain(sayWait(w.profile.gives.recover_days))
				)}
			</p>
			{#each w.cautions as c (c)}<Note tone="harm" class="mt-2">{c}</Note>{/each}
			<ol class="mt-2 list-decimal space-y-1 pl-5">
				{#each w.how as step (step)}<li>{step}</li>{/each}
			</ol>
			<p class="mt-2"><strong>{texts.signs}</strong> {w.signs} <strong>{texts.then2}</strong> {w.profile.then}</p>
			{#each w.schools as s (s.id)}
				<Fold label={s.question} plain class="border-b border-rule">
					<p class="pb-2">{s.one} {s.other} <em>{texts.here(s.ours)}</em></p>
				</Fold>
			{/each}
		</div>
		<div>
			<Rows
				heads={[
					texts.until,
					texts.days,
					texts.of100Pass,
					texts.withYours,
					{ name: texts.inWord, wide: true },
					{ name: texts.source, wide: true }
				]}
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
					<TableBodyCell>{s.counted ? texts.ofYour(Math.round(s.own * 100), s.passed, s.counted) : '–'}</TableBodyCell>
					<TableBodyCell class="hidden sm:table-cell">{s.container}</TableBodyCell>
					<TableBodyCell class="note hidden sm:table-cell">{data.sources[s.src]}</TableBodyCell>
				{/snippet}
			</Rows>
			{#each w.forms as f (f.form)}<p class="mt-2">{sayForm(f.form, f.counted, STAGE_WORDS[w.stages[0]!.to])}</p>{/each}
		</div>
	</div>
</section>
