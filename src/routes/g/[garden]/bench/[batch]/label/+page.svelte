<script lang="ts">
	import { sayDate } from '$lib/core/dates.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const l = $derived(data.label);
	let copies = $state(2);
</script>

<svelte:head><title>Label {l.code} · {data.garden.name}</title></svelte:head>
<p class="note no-print"><a href="/g/{data.garden.slug}/bench/{l.id}">{l.code}</a></p>
<div class="no-print mt-1 mb-6 flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>Labels for {l.code}</h1>
		<p class="text-faded">
			100 × 25 mm, in rows on the sheet of your printer. No printer? Pencil the code on a stick: it is enough to find the batch.
		</p>
	</div>
	<div class="flex items-end gap-3">
		<label class="block"
			><span class="block font-semibold">How many</span><input
				type="number"
				min="1"
				max="60"
				bind:value={copies}
				class="box box-count"
			/></label
		>
		<button class="act act-main" onclick={() => window.print()}>Print</button>
	</div>
</div>
<div class="flex flex-wrap gap-[3mm]">
	{#each Array.from({ length: Math.min(60, Math.max(1, copies || 1)) }, (_, i) => i) as i (i)}
		<div class="label" data-testid="label">
			<img class="qr" src={l.qr} alt="The code {l.code} as a QR code" />
			<div class="min-w-0 flex-1">
				<p class="name">{l.kind}</p>
				<p class="small italic">{l.botanical}</p>
				<p class="small">{l.way} · {l.count} · {l.planned ? 'for ' : ''}{sayDate(l.on)}</p>
			</div>
			<p class="code">{l.code}</p>
		</div>
	{/each}
</div>

<style>
	.label {
		width: 100mm;
		height: 25mm;
		padding: 2mm;
		display: flex;
		gap: 3mm;
		align-items: center;
		background: #fff;
		border: 0.2mm solid #14261e;
		color: #000;
		break-inside: avoid;
		max-width: 100%;
	}
	.qr {
		width: 18mm;
		height: 18mm;
		flex: none;
	}
	.name {
		font: 650 5mm/1.1 var(--font-head);
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.small {
		font-size: 3mm;
		line-height: 1.25;
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.code {
		font:
			700 7.5mm/1 ui-monospace,
			monospace;
		flex: none;
	}
</style>
