<script lang="ts">
	import { texts } from '$lib/messages/round.js';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const days = $derived([...new Set((data.away?.rows ?? []).map((r) => r.day))]);
	const span = $derived(texts.to2(sayDate(data.asked.from), sayDate(data.asked.to)));
</script>

<svelte:head><title>{texts.away2(data.garden.name)}</title></svelte:head>

<div class="no-print">
	<h1>{texts.away}</h1>
	<form method="GET" class="mt-4 flex max-w-2xl flex-wrap items-end gap-4">
		<DayField label={texts.firstDayAway} name="from" value={data.asked.from} />
		<DayField label={texts.lastDayAway} name="to" value={data.asked.to} />
		<Act type="submit" main>{texts.show}</Act>
	</form>
	{#if data.problem}
		<Note tone="harm" said class="mt-4 bg-pane py-2">{data.problem.sentence}</Note>
	{/if}
</div>

{#if data.away}
	<section class="no-print mt-8 border-t border-ink pt-5">
		<h2>{texts.beforeYouLeave}</h2>
		{#if data.away.before.length}
			<p class="mt-1">
				<span class="figure">{Math.round(data.away.minutes)}</span>
				<span class="unit">{texts.minOnOrBefore(sayDate(data.asked.from, false))}</span>
			</p>
			<ul class="ruled mt-3 max-w-3xl">
				{#each data.away.before as task (task.key)}
					<li class="flex flex-wrap justify-between gap-x-4 py-2">
						<a class="lone" href="{base}/{task.link}">{task.title}</a>
						<span class="note">{texts.by3(sayDate(isoOf(task.by), false), sayMinutes(Math.max(1, task.minutes)))}</span>
					</li>
				{/each}
			</ul>
			<MoreRows rows={data.rows} hidden={data.away.hidden} of={['task', 'tasks']} />
		{:else}
			<p class="mt-1">{texts.nothingFallsDueBefore}</p>
		{/if}
	</section>

	<section class="mt-8 border-t border-ink pt-5">
		<div class="flex flex-wrap items-center justify-between gap-4">
			<h2>{texts.forWhoeverLooksAfter(span)}</h2>
			{#if data.away.rows.length}
				<p class="no-print flex gap-3">
					<Act onclick={() => print()}>{texts.print}</Act>
					<Act href="{base}/round/away/sheet.pdf?from={data.asked.from}&to={data.asked.to}" data-sveltekit-reload
						>{texts.saveAsPdf}</Act
					>
				</p>
			{/if}
		</div>
		{#if data.away.rows.length}
			{#each days as day (day)}
				<h3 class="mt-5 border-t border-rule pt-3">{day}</h3>
				<ul class="ruled max-w-3xl">
					{#each data.away.rows.filter((r) => r.day === day) as row (row.place + row.what)}
						<li class="grid gap-x-4 py-2 sm:grid-cols-[1.5rem_14rem_1fr]">
							<span class="mt-1 hidden size-4 border border-ink sm:block" aria-hidden="true"></span>
							<span class="font-semibold">{row.what}</span>
							<span>{row.place}. {row.how}</span>
						</li>
					{/each}
				</ul>
			{/each}
		{:else}
			<p class="mt-2">{texts.nothingNeedsDoingIn}</p>
		{/if}
	</section>
{/if}
