<script lang="ts">
	import Act from '$lib/ui/Act.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { KINDS } from '$lib/core/ledger/entries.js';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { undoEntry } from '$lib/ui/undo.js';
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
	const kindItems = [
		{ value: '', name: 'every entry' },
		...Object.entries(KINDS).map(([value, { words }]) => ({ value, name: words }))
	];
</script>

<svelte:head><title>Ledger · {data.garden.name}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>What happened</h1>
		<p class="text-faded">Every entry, the newest first. Nothing is ever changed or lost; an undo is an entry too.</p>
	</div>
	<Act href="{base}/ledger/ledger.csv{page.url.search}" download>Save as CSV</Act>
</div>

<form
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
	<Field label="Words" name="q" type="search" value={data.filter.q} placeholder="code, kind, place, note" />
	<SelectField label="What" name="kind" value={data.filter.kind} items={kindItems} />
	<SelectField
		label="Kind of plant"
		name="plant"
		value={data.filter.plant}
		items={[{ value: '', name: 'all kinds' }, ...data.kinds.map((k) => ({ value: k.id, name: k.name }))]}
	/>
	<DayField label="From" name="from" value={data.filter.from} />
	<DayField label="To" name="to" value={data.filter.to} />
	<Act type="submit" main>Find</Act>
</form>
{#if filtered}<p class="mt-2"><a href="{base}/ledger">Show all again</a></p>{/if}

{#if data.rows.length === 0}
	<p class="mt-8">{filtered ? 'Nothing in the ledger fits that.' : 'Nothing logged yet.'}</p>
{:else}
	<Rows class="mt-4" heads={['Day', 'Entry', { name: 'Undo', silent: true }]} rows={data.rows} key={(e) => e.id}>
		{#snippet cells(e: (typeof data.rows)[number])}
			<TableBodyCell class="w-32 py-3 whitespace-nowrap text-faded">{sayDate(e.on)}</TableBodyCell>
			<TableBodyCell class="py-0 wrap-anywhere">
				<p class="flex min-h-11 flex-wrap items-center gap-x-2">
					<span class={e.undone ? 'text-faded line-through' : ''}
						>{#if link(e)}<a class="lone no-underline hover:underline" href={link(e)}>{e.line}</a>{:else}{e.line}{/if}</span
					>
					{#if e.undone}<span class="note">undone</span>{/if}
				</p>
				{#if e.note}<span class="note block max-w-prose whitespace-pre-wrap" dir="auto"
						>{e.note.length > 400 ? `${e.note.slice(0, 400)} …` : e.note}</span
					>{/if}
			</TableBodyCell>
			<TableBodyCell class="w-20 py-0 text-right">
				{#if !e.undone}<button
						class="min-h-11 min-w-11 px-2 text-leaf underline underline-offset-4"
						aria-label="Undo: {e.line}"
						onclick={() => undoEntry(base, e.id)}>Undo</button
					>{/if}
			</TableBodyCell>
		{/snippet}
	</Rows>
	<nav class="mt-4 flex gap-3" aria-label="Pages">
		{#if !data.first}<Act href={withParam('after', null)}>Newest</Act>{/if}
		{#if data.next}<Act href={withParam('after', data.next)}>Older</Act>{/if}
	</nav>
{/if}
