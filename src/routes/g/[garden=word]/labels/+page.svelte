<script lang="ts">
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/labels.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Input from 'flowbite-svelte/Input.svelte';
	import Act from '$lib/ui/Act.svelte';
	// Who: at the table after a day's striking, sheet in the printer. Question: which labels, how many, on what?
	// Computed: sheets needed and where the first label falls. Biggest: how many labels on how many sheets.
	// At 390 px: the list with its counts, then the sheet and its offsets.
	import { sayDate } from '$lib/core/dates.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { PAPER_MM, writeSheet } from '$lib/core/handbook/sheet.js';
	import type { Sheet } from '$lib/core/handbook/benchSchema.js';
	import OwnSheet from './OwnSheet.svelte';
	import QrAddress from './QrAddress.svelte';
	import { untrack } from 'svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	let rows = $state(untrack(() => data.batches.map((b) => ({ ...b }))));
	// More of the list: what is chosen above stays chosen.
	$effect(() => {
		const there = new Set(untrack(() => rows.map((r) => r.code)));
		const more = data.batches.filter((b) => !there.has(b.code));
		if (more.length) rows.push(...more.map((b) => ({ ...b })));
	});
	let sheetId = $state(untrack(() => data.usual));
	let skip = $state(0);
	let right = $state(0);
	let down = $state(0);
	let lines = $state(true);
	/** The last sheet that can be printed: measures half typed leave it. */
	let own = $state<Sheet | null>(null);
	let address = $state<string | null>(null);
	const listed = $derived(data.sheets.find((s) => s.id === sheetId));
	const sheet = $derived(listed ?? own ?? data.sheets[0]!);
	const [paperWide, paperHigh] = $derived(PAPER_MM[sheet.paper]);
	const chosen = $derived(rows.filter((r) => r.chosen));
	const count = $derived(chosen.reduce((sum, r) => sum + Math.max(1, Math.min(500, Math.round(r.times || 1))), 0));
	const perPage = $derived(sheet.across * sheet.down);
	const pages = $derived(Math.ceil((count + Math.min(perPage - 1, skip || 0)) / perPage));
	/** Which sheet, and where the QR codes lead. */
	const where = $derived(
		new URLSearchParams({
			sheet: sheetId,
			...(sheetId === 'own' ? { own: writeSheet(sheet) } : {}),
			...(address ? { at: address } : {})
		}).toString()
	);
	const picture = $derived(chosen[0] ? `${base}/labels/${chosen[0].code}.svg?${where}` : null);
	/** The label as PNG, 12 dots a mm. */
	async function savePicture() {
		const image = new Image();
		image.src = picture!;
		await image.decode();
		const canvas = document.createElement('canvas');
		canvas.width = sheet.width * 12;
		canvas.height = sheet.height * 12;
		canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
		const a = document.createElement('a');
		a.href = canvas.toDataURL('image/png');
		a.download = `${chosen[0]!.code}.png`;
		a.click();
	}
	const href = $derived(
		`${base}/labels/sheet.pdf?${new URLSearchParams({
			codes: chosen.map((r) => `${r.code}:${Math.max(1, Math.round(r.times || 1))}`).join(','),
			skip: String(skip || 0),
			right: String(right || 0),
			down: String(down || 0),
			lines: lines ? '1' : '0'
		})}&${where}`
	);
</script>

<svelte:head><title>{texts.labels(data.garden.name)}</title></svelte:head>
<h1>{texts.labels2}</h1>
<p class="mt-2" aria-live="polite">
	{#if count === 0}{texts.chooseTheBatchesThat}{:else}
		<span class="figure">{count}</span>
		<span class="unit"
			>{texts.on(count === 1 ? texts.label : texts.labels3, pages, pages === 1 ? texts.sheet : texts.sheets)}</span
		>
	{/if}
</p>
<div class="mt-4 grid gap-10 md:grid-cols-[1.3fr_1fr]">
	<section>
		<h2 class="border-b border-ink pb-1">{texts.batches}</h2>
		{#if rows.length === 0}
			<p class="mt-2">
				{texts.noBatchIsPlanned} <a href="{base}/wants/new">{texts.sayWhatYouWant}</a>{texts.or}
				<a href="{base}/bench/new">{texts.strikeSomeWithoutA}</a>.
			</p>{/if}
		<ul class="ruled max-h-[60vh] overflow-y-auto">
			{#each rows as r (r.code)}
				<li class="flex min-h-14 items-center gap-3">
					<Checkbox bind:checked={r.chosen} classes={{ div: 'flex-1' }}
						><span
							><span class="border border-ink px-1.5 font-mono">{r.code}</span>
							{r.name} <span class="note">{r.status === 'planned' ? texts.plannedFor : texts.struck} {sayDate(r.on)}</span></span
						></Checkbox
					>
					{#if r.chosen}<label class="flex items-center gap-2"
							><span class="sr-only">{texts.howManyFor(r.code)}</span><Input
								type="number"
								min="1"
								max="500"
								class="max-w-24"
								bind:value={r.times}
							/></label
						>{/if}
				</li>
			{/each}
		</ul>
		<MoreRows rows={data.rows} hidden={data.hidden} of={['batch', 'batches']} />
	</section>
	<section class="flex flex-col gap-4">
		<h2 class="border-b border-ink pb-1">{texts.sheet2}</h2>
		<SelectField
			label={texts.kindOfLabel}
			name="sheet"
			bind:value={sheetId}
			items={[
				...data.sheets.map((s) => ({ value: s.id, name: `${s.name} (${s.paper === 'A4' ? 'A4' : texts.usLetter})` })),
				{ value: 'own', name: texts.aSheetOfMy }
			]}
		/>
		{#if sheetId === 'own'}<OwnSheet from={data.sheets[0]!} bind:sheet={own} />{/if}
		<div class="grid grid-cols-3 gap-3">
			<NumberBox label={texts.usedPlaces} max={perPage - 1} bind:value={skip} />
			<NumberBox label={texts.rightMm} min={-20} max={20} step={0.5} bind:value={right} />
			<NumberBox label={texts.downMm} min={-20} max={20} step={0.5} bind:value={down} />
		</div>
		<p class="note">{texts.usedPlacesAreLeft}</p>
		<svg
			viewBox="0 0 {paperWide} {paperHigh}"
			class="max-h-72 w-fit border border-ink bg-[#fff]"
			role="img"
			aria-label={texts.theSheetWithIts}
		>
			{#each { length: perPage } as _, i (i)}
				{@const x = sheet.left + (i % sheet.across) * (sheet.width + sheet.gap_x) + (right || 0)}
				{@const y = sheet.top + Math.floor(i / sheet.across) * (sheet.height + sheet.gap_y) + (down || 0)}
				<rect
					{x}
					{y}
					width={sheet.width}
					height={sheet.height}
					fill={i >= skip && i < skip + count ? '#cfe3d6' : '#fff'}
					stroke="#4d6157"
					stroke-width="0.6"
				/>
			{/each}
		</svg>
		{#if picture}
			<figure>
				<img data-testid="label" src={picture} alt={texts.theLabelOf(chosen[0]!.code)} class="max-w-full border border-ink" />
				<figcaption class="note">
					<TextAct onclick={savePicture}>{texts.saveThisOneAs}</TextAct>
				</figcaption>
			</figure>
		{/if}
		<QrAddress bind:address />
		<Checkbox bind:checked={lines}>{texts.hairlinesToCutAlong}</Checkbox>
		{#if count > 0}<Act main class="w-fit" {href}>{texts.makeThePdf}</Act>{:else}<p class="note">
				{texts.chooseABatchFirst}
			</p>{/if}
		<p class="note">{texts.noPrinterPencilThe}</p>
	</section>
</div>
