<script lang="ts">
	import MonthRow from '$lib/ui/MonthRow.svelte';
	import SuitBar from '$lib/ui/SuitBar.svelte';
	import Field from '$lib/ui/Field.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	let text = $state('');
	let openOnly = $state(false);
	const uid = $props.id();
	const isOpen = (w: PageData['kinds'][number]['ways'][number]) => w.window.now >= 0.5;
	const shown = $derived(
		data.kinds.filter((k) => {
			const hit = `${k.names} ${k.botanical} ${k.standsFor} ${k.ways.map((w) => w.name).join(' ')}`
				.toLowerCase()
				.includes(text.trim().toLowerCase());
			return hit && (!openOnly || k.ways.some(isOpen));
		})
	);
</script>

<svelte:head><title>Handbook · {data.garden.name}</title></svelte:head>
<h1>How it is done, and when, here</h1>
<p class="mt-2"><a class="act" href="{base}/handbook/own">Add a kind of your own</a></p>
<p class="mt-2 text-faded">
	{data.kinds.length} kinds. Windows rise and fall with this garden’s own year: full height where every year of its record would have
	it open. <a href="{base}/handbook/sources">What the figures rest on</a>.
</p>
<div class="mt-4 flex flex-wrap items-end gap-4">
	<div class="w-full max-w-sm">
		<Field label="Find a kind or a way" name="q" type="search" bind:value={text} />
	</div>
	<div class="flex min-h-12 items-center gap-2">
		<input id={uid} type="checkbox" bind:checked={openOnly} class="h-6 w-6 border-ink text-bottle" /><label for={uid}
			>Only what can be done {data.isToday ? 'now' : 'then'}</label
		>
	</div>
</div>
<div class="sticky top-0 z-10 mt-4 grid grid-cols-1 gap-x-6 border-b border-ink bg-glass py-1 sm:grid-cols-[16rem_1fr]">
	<span class="hidden sm:block"></span><MonthRow from={data.from} />
</div>
<ul>
	{#each shown as k (k.id)}
		<li class="border-b border-rule">
			<a href="{base}/handbook/{k.id}" class="grid grid-cols-1 gap-x-6 py-2 hover:bg-pane sm:grid-cols-[16rem_1fr]">
				<div>
					<p class="leading-tight font-semibold">{k.common}</p>
					<p class="note"><span class="italic">{k.botanical}</span>{k.mine ? ' · your own' : ''}</p>
				</div>
				<div>
					{#each k.ways as w (w.id)}
						<p class="note -mb-1">{w.name}{w.window.now >= 0.9 ? ', open' : w.window.now >= 0.5 ? ', likely open' : ''}</p>
						<SuitBar
							from={data.from}
							day={data.day}
							values={w.window.values}
							step={data.step}
							label="Window of {w.name} for {k.common}"
						/>
					{/each}
				</div>
			</a>
		</li>
	{/each}
</ul>
{#if shown.length === 0}<p class="mt-6">
		No kind of the handbook is called that. <a href="{base}/handbook/own">Add it as a kind of your own</a>: it takes a minute.
	</p>{/if}
