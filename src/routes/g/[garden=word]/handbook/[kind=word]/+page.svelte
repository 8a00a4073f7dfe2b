<script lang="ts">
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { capital, sayShare } from '$lib/core/odds/words.js';
	import { sayForm } from '$lib/core/evidence/byForm.js';
	import { sayDate, sayWait } from '$lib/core/dates.js';
	import { sayLength, sayLengthRange, sayTemperature, shortMeasure, warmthMeasure, zoneOf } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import MonthRow from '$lib/ui/MonthRow.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import SuitBar from '$lib/ui/SuitBar.svelte';
	import { SIGHTING_WORDS } from '$lib/core/season/suitability.js';
	import { money, PLACE_WORDS, plural, STAGE_WORDS } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const k = $derived(data.kind);
	const units = $derived(data.garden.units);
	let path = $state('hardiness_c');
	const figure = $derived(data.figures.find((f) => f.path === path) ?? data.figures[0]!);
	const measureOf = (unit: string) => (unit === '°C' ? warmthMeasure(units) : unit === 'cm' ? shortMeasure(units) : null);
	const shown = (v: number, unit: string) => measureOf(unit)?.shown(v, 2) ?? Number(v.toFixed(2));
	const unitOf = (unit: string) => measureOf(unit)?.unit ?? (unit === 'money' ? data.garden.currency : unit);
	const wayName = (id: string | null) => (id ? `${data.ways.find((w) => w.id === id)?.name}: ` : '');
	const own = $derived(data.figures.filter((f) => f.own !== null));
</script>

<svelte:head><title>{k.common} · Handbook</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<div class="mt-1 flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
	<div>
		<h1>{k.common}</h1>
		<p class="text-lg italic">
			{k.botanical}{#if k.trade}<span class="not-italic">, sold as {k.trade}</span>{/if}
		</p>
		<p class="text-faded">
			{#if data.mine}Your own kind{#if data.mine.like}, which behaves like <a href="{base}/handbook/{data.mine.likeId}"
						>{data.mine.like.toLowerCase()}</a
					>{/if}. <a href="{base}/handbook/own?kind={k.id}">Change it</a>.
			{:else}{k.stands_for}{/if}
		</p>
	</div>
	<p class="flex flex-wrap gap-3">
		<Act main href="{base}/wants/new?kind={k.id}">I want some</Act><Act href="{base}/stock/new?kind={k.id}">I have one</Act>
	</p>
</div>
<dl class="mt-4 grid gap-x-8 gap-y-3 sm:grid-cols-4">
	<div>
		<dt class="note">Bears cold down to</dt>
		<dd class="text-lg font-semibold">
			{sayTemperature(k.hardiness_c.v, units)}, zone {zoneOf(k.hardiness_c.v).zone}
		</dd>
	</div>
	<div>
		<dt class="note">Grows to</dt>
		<dd class="text-lg font-semibold">
			{sayLength(k.size.height_cm, units)} tall, {sayLength(k.size.spread_cm, units)} wide
		</dd>
	</div>
	<div>
		<dt class="note">Spacing</dt>
		<dd class="text-lg font-semibold">{sayLength(k.size.spacing_cm, units)}</dd>
	</div>
	<div>
		<dt class="note">One bought</dt>
		<dd class="text-lg font-semibold">about {money(k.price.v, data.garden.currency)}</dd>
	</div>
</dl>
{#if k.seed}<p class="mt-3">
		<strong>Seed, the other way:</strong> about {k.seed.years}
		{k.seed.years === 1 ? 'year' : 'years'} to flower, {k.seed.true_to_type ? 'like its parent' : 'not true to its parent'}. {k
			.seed.say}
	</p>{/if}
{#if data.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.hardiness}</Note>{/if}
{#each k.hazards as h (h.what)}<Note tone="harm" class="mt-3">
		<strong>{h.what}:</strong>
		{h.say}
	</Note>{/each}
<Note class="mt-3">
	<strong
		>{k.protection.status === 'free'
			? 'Not protected.'
			: k.protection.status === 'protected'
				? 'Protected.'
				: 'May be protected.'}</strong
	>
	{k.protection.say}
</Note>
<p class="mt-3">
	<strong>Winter:</strong>
	{k.winter.say}
	{#if k.winter.limit_c > -5}In growth it bears nights of {sayTemperature(k.winter.limit_c, units)}.{/if}
</p>
{#if k.winter.shelters.length > 1 || k.winter.shelters[0]?.in !== 'ground'}
	<ul class="mt-1 list-disc pl-6">
		{#each k.winter.shelters as s (s.in)}<li>
				{capital(PLACE_WORDS[s.in])}: {sayShare(s.chance)} come through. {s.say}
			</li>{/each}
	</ul>
{/if}

<details class="mt-6 max-w-2xl border-t border-rule pt-2" open={data.sightings.length > 0}>
	<summary class="min-h-11 cursor-pointer font-semibold">Seen something in the garden? Windows move with it.</summary>
	{#if data.sightings.length}
		<ul class="mb-3 list-disc pl-5">
			{#each data.sightings.slice(-5).reverse() as s, i (i)}<li>{sayDate(s.on)}: {SIGHTING_WORDS[s.event]}</li>{/each}
		</ul>
	{/if}
	<EntryForm action="?/saw" submit="I saw it" today={data.garden.today} noted={false}>
		<SelectField label="What" name="event" value={data.events[0]!.value} items={data.events} />
	</EntryForm>
</details>

{#each data.ways as w (w.id)}
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
{/each}

<section class="mt-10 border-t border-ink pt-4">
	<h2>Pass it on, or make another of it</h2>
	<p class="mt-2 flex flex-wrap gap-3">
		<Act href="{base}/handbook/{k.id}/kind.yaml" data-sveltekit-reload>Save as a file (YAML)</Act>
		{#if !data.mine}<Act href="{base}/handbook/own?like={k.id}">A kind of my own like this</Act>{/if}
	</p>
	{#if data.mine}
		<Fold label="Take this kind away" class="mt-3 max-w-xl">
			<EntryForm action="?/away" submit="Take {k.common} away" today={data.garden.today} dated={false} noted={false} quiet>
				<Field label="Why (if you like)" name="why" />
			</EntryForm>
		</Fold>
	{/if}
</section>

<section class="mt-10 border-t border-ink pt-4">
	<h2>Your own figures</h2>
	<p class="text-faded">Every figure can be replaced for this garden. Plans and odds then use yours.</p>
	{#if own.length}
		<ul class="ruled mt-3 max-w-2xl">
			{#each own as f (f.path)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span
						>{wayName(f.way)}{f.label}: <strong>{shown(f.own!, f.unit)} {unitOf(f.unit)}</strong>
						<span class="note">(handbook: {shown(f.value, f.unit)})</span></span
					>
					<EntryForm action="?/clear" submit="Handbook’s again" today={data.garden.today} dated={false} noted={false} quiet
						><input type="hidden" name="path" value={f.path} /></EntryForm
					>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="mt-4 max-w-xl">
		<EntryForm action="?/set" submit="Use mine" today={data.garden.today} dated={false} quiet>
			<SelectField
				label="Figure"
				name="path"
				bind:value={path}
				items={data.figures.map((f) => ({ value: f.path, name: `${wayName(f.way)}${f.label}` }))}
			/>
			<input type="hidden" name="unit" value={figure.unit} />
			{#key path}<Field
					label="Your value"
					name="value"
					value={String(shown(figure.own ?? figure.value, figure.unit))}
					unit={unitOf(figure.unit)}
					numeric
					hint="Handbook: {String(shown(figure.value, figure.unit)).replace('-', '−')}, {data.sources[figure.src]}."
				/>{/key}
		</EntryForm>
	</div>
</section>
