<script lang="ts">
	import { texts } from '$lib/messages/ledger.js';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import UndoEntry from '$lib/ui/UndoEntry.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const filtered = $derived(Object.values(data.filter).some(Boolean));
	const PATH = { batch: 'bench', stock: 'stock', want: 'wants' } as const;
	const link = (e: { subject: string; subjectId: string }) =>
		e.subject in PATH ? `${base}/${PATH[e.subject as keyof typeof PATH]}/${e.subjectId}` : null;
	const withParam = (name: string, value: string | null) => {
		const url = new URL(page.url);
		if (value) url.searchParams.set(name, value);
		else url.searchParams.delete(name);
		return url.pathname + url.search;
	};
	const kindItems = $derived([{ value: '', name: texts.everyEntry }, ...data.sorts]);
</script>

<svelte:head><title>{texts.ledger(data.garden.name)}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.whatHappened}</h1>
		<p class="text-faded">{texts.everyEntryTheNewest}</p>
	</div>
	<Island><Act href="{base}/ledger/ledger.csv{page.url.search}" download>{texts.saveAsCsv}</Act></Island>
</div>

<Island
	><form
		class="mt-5 flex flex-wrap items-end gap-3 border-y border-ink py-4 *:min-w-36 *:flex-1"
		method="GET"
		onsubmit={(e) => {
			e.preventDefault();
			const form = new FormData(e.currentTarget);
			const search = [...form]
				.flatMap(([name, value]) => (typeof value === 'string' && value ? [`${name}=${encodeURIComponent(value)}`] : []))
				.join('&');
			void goto(`?${search}`, { keepFocus: true, noScroll: true });
		}}
	>
		<Field label={texts.words} name="q" type="search" value={data.filter.q} placeholder={texts.whatWordsMayBe} />
		<SelectField label={texts.what} name="kind" value={data.filter.kind} items={kindItems} />
		<SelectField
			label={texts.kindOfPlant}
			name="plant"
			value={data.filter.plant}
			items={[{ value: '', name: texts.allKinds }, ...data.kinds.map((k) => ({ value: k.id, name: k.name }))]}
		/>
		<DayField label={texts.from} name="from" value={data.filter.from} />
		<DayField label={texts.to} name="to" value={data.filter.to} />
		<Act type="submit" main>{texts.find}</Act>
	</form></Island
>
{#if filtered}<p class="mt-2"><a href="{base}/ledger">{texts.showAllAgain}</a></p>{/if}

{#if data.rows.length === 0}
	<p class="mt-8">{filtered ? texts.nothingInTheLedger : texts.nothingLoggedYet}</p>
{:else}
	<Island
		><Rows class="mt-4" heads={[texts.day, texts.entry, { name: texts.undo, silent: true }]} rows={data.rows} key={(e) => e.id}>
			{#snippet cells(e: (typeof data.rows)[number])}
				<TableBodyCell class="w-32 py-3 whitespace-nowrap text-faded">{sayDate(e.on)}</TableBodyCell>
				<TableBodyCell class="py-0 wrap-anywhere">
					<p class="flex min-h-11 flex-wrap items-center gap-x-2">
						<span class={e.undone ? 'text-faded line-through' : ''}
							>{#if link(e)}<a class="lone no-underline hover:underline" href={link(e)}>{e.line}</a>{:else}{e.line}{/if}</span
						>
						{#if e.undone}<span class="note">{texts.undone}</span>{/if}
					</p>
					{#if e.note}<span class="note block max-w-prose whitespace-pre-wrap" dir="auto"
							>{e.note.length > 400 ? `${e.note.slice(0, 400)} …` : e.note}</span
						>{/if}
				</TableBodyCell>
				<TableBodyCell class="w-20 py-0 text-right">
					{#if !e.undone}<UndoEntry {base} entry={e} />{/if}
				</TableBodyCell>
			{/snippet}
		</Rows></Island
	>
	<nav class="mt-4 flex gap-3" aria-label={texts.pages}>
		{#if !data.first}<Act href={withParam('after', null)}>{texts.newest}</Act>{/if}
		{#if data.next}<Act href={withParam('after', data.next)}>{texts.older}</Act>{/if}
	</nav>
{/if}
