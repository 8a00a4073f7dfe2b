<script lang="ts">
	/** In what order do things move, when each needs its place free? */
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayLength } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	let to = $derived<Record<string, string>>({ ...data.asked });
	let ticked = $state<string[]>([]);
	const items = (id: string) => [
		{ value: '', name: 'stays' },
		...data.beds.map((b) => ({ value: `bed:${b.id}`, name: `to a free spot in ${b.name}` })),
		...data.stocks.filter((s) => s.id !== id).map((s) => ({ value: `at:${s.id}`, name: `to where ${s.name} stands` }))
	];
	function ask() {
		const moves = Object.entries(to).filter(([, v]) => v !== '');
		const query = new URLSearchParams({ m: moves.map(([id, v]) => `${id}~${v}`).join(',') });
		// The answer stands at the top.
		void goto(`?${query.toString()}`);
	}
	const people = $derived(Math.max(1, ...data.steps.map((s) => s.lift?.people ?? 1)));
	const heading = $derived(
		data.steps.length === 0
			? 'In what order do things move?'
			: `${data.steps.length} ${data.steps.length === 1 ? 'move' : 'moves'}; ${
					data.mostHeld === 0
						? 'nothing waits in between'
						: `${data.mostHeld} ${data.mostHeld === 1 ? 'plant waits' : 'plants wait'} in between`
				}`
	);
	const kilos = (kg: number) => `${kg < 10 ? Math.round(kg) : Math.round(kg / 5) * 5} kg`;
</script>

<svelte:head><title>Moves · Ground · {data.garden.name}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if data.steps.length}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{data.day === data.garden.today
			? 'Today suits all of them.'
			: data.day
				? `The first day that suits all of them is ${sayDate(data.day)}.`
				: 'No day suits all of them: each has its own, below.'}
		{people > 1 ? `The heaviest takes ${people} people.` : ''} A dull, damp day is best.
	</p>
{/if}
{#if data.wrong}<Note tone="harm" said>{data.wrong}</Note>{/if}

{#if data.steps.length}
	<section class="mt-6" aria-labelledby="order">
		<h2 id="order" class="border-b border-ink pb-1">In this order</h2>
		<EntryForm
			action="?/carry{page.url.search.replace(/^\?/, '&')}"
			submit={ticked.length === 0 ? 'Log what you moved' : `Log ${ticked.length} as moved`}
			today={data.garden.today}
			noted={false}
			ondone={() => (ticked = [])}
		>
			<ol class="ruled">
				{#each data.steps as s, i (i)}
					<li class="flex items-start gap-3 py-2">
						<span class="figure w-8 shrink-0">{i + 1}</span>
						<span class="min-w-0 flex-1">
							<strong>{s.count > 1 ? `${s.count} ` : ''}{s.name}</strong>
							{#if s.holds}out of {s.from}, into pots or sacking in the shade: {s.count > 1 ? 'they wait' : 'it waits'}.
							{:else}{s.held ? `from where ${s.count > 1 ? 'they' : 'it'} waited` : `from ${s.from}`} to {s.to}{s.after
									? `, where ${s.after} stood`
									: ''}.{/if}
							<span class="note block">
								{#if s.lift && !s.held}A ball {sayLength(s.lift.acrossCm, units)} across, about {kilos(s.lift.kg)} wet{s.lift
										.people > 1
										? `: ${s.lift.people} people`
										: ''}.{/if}
								{#if s.from_day && !s.held}{s.from_day <= data.garden.today
										? 'Its season is open.'
										: `Its season opens ${sayDate(s.from_day)}.`}{/if}
							</span>
						</span>
						{#if s.place}<Checkbox
								name="carry"
								value="{s.stock} {s.place}"
								bind:group={ticked}
								aria-label="{s.name} is moved"
							/>{/if}
					</li>
				{/each}
			</ol>
		</EntryForm>
		<ul class="note mt-4 ml-5 max-w-prose list-disc">
			<li>Dig the hole first, as wide again as the ball. Circle with the spade, undercut, and lift with all the soil.</li>
			<li>Straight there, at its old level: a cane across the hole shows it. Water it in.</li>
			<li>Not in frozen or sodden ground. Two people from 23 kg.</li>
		</ul>
	</section>
{/if}

<section class="no-print mt-8" aria-labelledby="where">
	<h2 id="where" class="border-b border-ink pb-1">Where is each to go?</h2>
	{#if data.stocks.length === 0}
		<p class="mt-2 text-faded">
			Nothing is told to stand in the ground: <a href="{base}/stock/new">add a stock plant</a> with its bed.
		</p>
	{:else}
		<form
			onsubmit={(e) => {
				e.preventDefault();
				ask();
			}}
		>
			<ul class="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-2">
				{#each data.stocks as s (s.id)}
					<li>
						<SelectField
							label="{s.count > 1 ? `${s.count} ` : ''}{s.name}, {s.bed}"
							name="to-{s.id}"
							items={items(s.id)}
							bind:value={() => to[s.id] ?? '', (v) => (to = { ...to, [s.id]: v })}
						/>
					</li>
				{/each}
			</ul>
			<div class="mt-4"><Act type="submit" main>Find the order</Act></div>
		</form>
	{/if}
</section>
