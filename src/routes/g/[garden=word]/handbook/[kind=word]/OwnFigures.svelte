<script lang="ts">
	/** Figures of the handbook replaced by the garden’s own. */
	import { texts } from '$lib/messages/handbook.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { shortMeasure, warmthMeasure } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const units = $derived(data.garden.units);
	let path = $state('hardiness_c');
	const figure = $derived(data.figures.find((f) => f.path === path) ?? data.figures[0]!);
	const measureOf = (unit: string) => (unit === '°C' ? warmthMeasure(units) : unit === 'cm' ? shortMeasure(units) : null);
	const shown = (v: number, unit: string) => measureOf(unit)?.shown(v, 2) ?? Number(v.toFixed(2));
	const unitOf = (unit: string) => measureOf(unit)?.unit ?? (unit === 'money' ? data.garden.currency : unit);
	const wayName = (id: string | null) => (id ? `${data.ways.find((w) => w.id === id)?.name}: ` : '');
	const own = $derived(data.figures.filter((f) => f.own !== null));
</script>

<section class="mt-10 border-t border-ink pt-4">
	<h2>{texts.yourOwnFigures}</h2>
	<p class="text-faded">{texts.everyFigureCanBe}</p>
	{#if own.length}
		<ul class="ruled mt-3 max-w-2xl">
			{#each own as f (f.path)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span
						>{wayName(f.way)}{f.label}: <strong>{shown(f.own!, f.unit)} {unitOf(f.unit)}</strong>
						<span class="note">{texts.handbook3(shown(f.value, f.unit))}</span></span
					>
					<EntryForm action="?/clear" submit={texts.handbooksAgain} today={data.garden.today} dated={false} noted={false} quiet
						><input type="hidden" name="path" value={f.path} /></EntryForm
					>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="mt-4 max-w-xl">
		<EntryForm action="?/set" submit={texts.useMine} today={data.garden.today} dated={false} quiet>
			<SelectField
				label={texts.figure}
				name="path"
				bind:value={path}
				items={data.figures.map((f) => ({ value: f.path, name: `${wayName(f.way)}${f.label}` }))}
			/>
			<input type="hidden" name="unit" value={figure.unit} />
			{#key path}<Field
					label={texts.yourValue}
					name="value"
					value={String(shown(figure.own ?? figure.value, figure.unit))}
					unit={unitOf(figure.unit)}
					numeric
					hint={texts.handbook4(String(shown(figure.value, figure.unit)).replace('-', '−'), data.sources[figure.src] ?? '')}
				/>{/key}
		</EntryForm>
	</div>
</section>
