<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	/**
	 * Someone with a list of their plants in a spreadsheet. One question: which column is what, and is each plant known?
	 * Computed: the columns by their heads, the kinds by their names. Biggest: how many plants will come in. At 390 px the
	 * columns stand one under the other.
	 */
	import { goto } from '$app/navigation';
	import Papa from 'papaparse';
	import { v7 as uuidv7 } from 'uuid';
	import {
		COLUMN_WORDS,
		COLUMNS,
		guessColumns,
		kindNamed,
		MOST_COLUMNS,
		MOST_ROWS,
		readRow
	} from '$lib/core/material/plantList.js';
	import { shortMeasure } from '$lib/core/units/index.js';
	import { plural } from '$lib/ui/say.js';
	import { tell } from '$lib/ui/toast.svelte.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);

	let table = $state.raw<string[][]>([]);
	let at = $state(guessColumns([]));
	/** Kinds chosen by hand for names that mean none or several; '' leaves the row out. */
	let chosen = $state<Record<string, string>>({});
	let trouble = $state('');
	let sending = $state(false);
	let id = uuidv7();

	const heads = $derived(table[0] ?? []);
	const rows = $derived(
		table.slice(1).flatMap((r, i) => {
			const plant = readRow(r, at);
			if (plant.name === '') return [];
			const kind = chosen[plant.name] ?? kindNamed(plant.name, data.kinds);
			const place = data.places.find((p) => p.name.toLowerCase() === plant.place.toLowerCase());
			return [{ ...plant, row: i + 2, kind, placeId: place?.id ?? null }];
		})
	);
	const unknown = $derived([...new Set(rows.filter((r) => r.kind === null).map((r) => r.name))]);
	const coming = $derived(rows.filter((r) => r.kind));
	const unplaced = $derived([...new Set(rows.filter((r) => r.place !== '' && r.placeId === null).map((r) => r.place))]);

	const text = (cell: unknown) =>
		cell === null || cell === undefined
			? ''
			: cell instanceof Date
				? cell.toISOString().slice(0, 10)
				: String(cell as string | number);

	/** The first sheet of a workbook; its reader is fetched when there is one to read. */
	async function sheetOf(file: File): Promise<string[][]> {
		const { readSheet } = await import('read-excel-file/browser');
		return (await readSheet(file)).map((row) => row.map(text));
	}

	async function read(file: File | undefined) {
		trouble = '';
		table = [];
		if (!file) return;
		if (file.size > 2_000_000) {
			trouble = texts.thatFileIsLarger;
			return;
		}
		let found: string[][];
		try {
			found = /\.xlsx$/i.test(file.name)
				? await sheetOf(file)
				: Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' }).data;
		} catch {
			trouble = texts.thatFileCannotBe;
			return;
		}
		found = found.filter((r) => r.some((c) => c.trim() !== ''));
		if (found.length < 2) trouble = texts.thereIsNoList;
		else if (found.length > MOST_ROWS + 1) trouble = texts.aListHasAt(MOST_ROWS, found.length - 1);
		else {
			table = found.map((r) => r.slice(0, MOST_COLUMNS));
			at = guessColumns(table[0]!);
			chosen = {};
			id = uuidv7();
		}
	}

	async function take() {
		sending = true;
		trouble = '';
		const short = shortMeasure(data.garden.units);
		const answer = await fetch(`${base}/stock/import`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({
				id,
				rows: coming.map((r) => ({
					row: r.row,
					data: {
						kind_id: r.kind,
						place_id: r.placeId,
						label: r.label,
						count: r.count,
						size_cm: r.size === null ? null : short.from(r.size),
						age_years: r.age,
						condition: r.condition,
						protection: { status: 'unknown', until: null },
						from_batch: null
					}
				}))
			})
		}).catch(() => null);
		sending = false;
		const told = (await answer?.json().catch(() => null)) as { entryId?: string; error?: { sentence: string } } | null;
		if (answer?.ok && told?.entryId) {
			await goto(`${base}/stock`);
			tell({ entryId: told.entryId, sentence: texts.takenIn(plural(coming.length, texts.plants)) });
		} else trouble = told?.error?.sentence ?? texts.theAppDoesNot;
	}
</script>

<svelte:head><title>{texts.aListOfPlants(data.garden.name)}</title></svelte:head>
<Trail to="{base}/stock" name="Stock" />
<h1>{table.length ? texts.willComeIn(plural(coming.length, texts.plants)) : texts.bringInAListOf}</h1>
<p class="mt-2 max-w-prose">{texts.aTableSavedAs}</p>
<label class="mt-4 block font-semibold" for="list">{texts.theFile}</label>
<input
	id="list"
	type="file"
	accept=".csv,.txt,.xlsx,text/csv"
	class="mt-1 block min-h-11 w-full max-w-md py-2 file:bg-bottle file:text-white"
	onchange={(e) => read(e.currentTarget.files?.[0])}
/>
{#if trouble}<Note tone="harm" said class="mt-3 bg-pane py-2">{trouble}</Note>{/if}
{#if table.length}
	<h2 class="mt-6">{texts.whichColumnIsWhat}</h2>
	<div class="mt-2 grid gap-4 sm:grid-cols-3">
		{#each COLUMNS as c (c)}
			<label class="block"
				><span class="font-semibold">{COLUMN_WORDS[c]}{c === 'size' ? `, ${shortMeasure(data.garden.units).unit}` : ''}</span>
				<select
					class="mt-1 block min-h-11 w-full border-edge bg-field"
					value={at[c] === null ? '' : String(at[c])}
					onchange={(e) => (at = { ...at, [c]: e.currentTarget.value === '' ? null : Number(e.currentTarget.value) })}
				>
					<option value="">{c === 'plant' ? texts.chooseAColumn : texts.notInTheList}</option>
					{#each heads as head, i (i)}<option value={String(i)}>{head || texts.column(i + 1)}</option>{/each}
				</select></label
			>
		{/each}
	</div>
	{#if unknown.length}
		<h2 class="mt-8">{texts.notInTheHandbook(plural(unknown.length, texts.namesAre))}</h2>
		<ul class="ruled mt-2">
			{#each unknown as name (name)}
				<li class="grid items-center gap-3 py-3 sm:grid-cols-2">
					<span class="font-semibold break-words">{name}</span>
					<select
						aria-label={texts.kindOf(name)}
						class="min-h-11 w-full border-edge bg-field"
						onchange={(e) => (chosen = { ...chosen, [name]: e.currentTarget.value })}
					>
						<option value="" selected>{texts.leaveItOut}</option>
						{#each data.kinds as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
					</select>
				</li>
			{/each}
		</ul>
	{/if}
	{#if unplaced.length}
		<p class="mt-4 max-w-prose">
			{texts.noPlaceOfThis(unplaced.slice(0, 5).join(', '), unplaced.length > 5 ? texts.andMore : '')}
		</p>
	{/if}
	<p class="mt-6">
		<Act main disabled={sending || coming.length === 0} onclick={take}
			>{sending ? texts.saving : texts.bringIn(plural(coming.length, texts.plants))}</Act
		>
	</p>
	<h2 class="mt-8">{texts.asTheyWillCome}</h2>
	<ul class="ruled mt-2">
		{#each coming.slice(0, 12) as r (r.row)}
			<li class="py-2">
				<span class="font-semibold">{data.kinds.find((k) => k.id === r.kind)?.name}{r.label ? `, ${r.label}` : ''}</span>
				<span class="note"
					>{Number.isNaN(r.count) ? texts.howMany2 : r.count}
					{r.size === null ? '' : ` · ${Number.isNaN(r.size) ? texts.size : `${r.size} ${shortMeasure(data.garden.units).unit}`}`}
					{r.age === null ? '' : ` · ${Number.isNaN(r.age) ? texts.age2 : plural(r.age, texts.years3)}`} · {r.condition}{r.placeId
						? ` · ${r.place}`
						: ''}</span
				>
			</li>
		{/each}
	</ul>
	{#if coming.length > 12}<p class="note mt-2">{texts.andMore2(coming.length - 12)}</p>{/if}
{/if}
