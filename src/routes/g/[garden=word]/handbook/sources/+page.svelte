<script lang="ts">
	import { sayNumber } from '$lib/core/numbers.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	/** Where the handbook's figures come from: how many rest on what, and what a remembered chance is taken to be worth. */
	import { plural } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const share = (n: number) => `${Math.round((100 * n) / Math.max(1, data.total))} of 100`;
	const remembered = $derived(data.sources.find((s) => s.id === 'memory')?.count ?? 0);
</script>

<svelte:head><title>Sources · {data.garden.name}</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<h1>
	{remembered > data.total / 2
		? 'Most figures are from memory: your own counts soon outweigh them'
		: 'What the handbook’s figures rest on'}
</h1>
<p class="mt-2 max-w-prose">
	There are {sayNumber(data.total)} figures. A chance counts as if so many pieces had been counted; what you count yourself is added
	to it, and any figure can be replaced by your own on its kind’s page.
</p>
<ul class="mt-4">
	{#each data.sources as s (s.id)}
		<li class="border-t border-rule py-3">
			<div class="grid gap-x-6 sm:grid-cols-[9rem_1fr]">
				<p>
					<span class="figure">{sayNumber(s.count)}</span>
					<span class="unit">{s.count === 1 ? 'figure' : 'figures'}</span>
					{#if s.count > 0}<br /><span class="note">{share(s.count)}</span>{/if}
				</p>
				<div>
					<h2 class="text-lg">{s.name}</h2>
					{#if s.note}<p class="note">{s.note}</p>{/if}
					{#if s.weight !== null}<p>
							{plural(s.chances, ['chance', 'chances'])} among them, each worth about {Math.round(s.weight)} counted pieces.
						</p>{/if}
					{#if s.count === 0}<p class="note">Named beside a rule or a table, not beside a kind’s figure.</p>{/if}
					{#if s.kinds.length}
						<Fold label={`Which figures of ${plural(s.kinds.length, ['kind', 'kinds'])}`}>
							<ul class="max-w-prose">
								{#each s.kinds as k (k.id)}<li class="py-1">
										<a href="{base}/handbook/{k.id}">{k.common}</a>: <span class="note">{k.figures.join('; ')}</span>
									</li>{/each}
							</ul>
						</Fold>
					{/if}
				</div>
			</div>
		</li>
	{/each}
</ul>

<h2 id="judgements" class="mt-10">What every sum takes for granted</h2>
<p class="mt-2 max-w-prose">Figures that belong to no one kind. Where a plan hangs on one of them, the plan says so.</p>
{#each data.judgements as j (j.subject)}
	<h3 class="mt-6">{j.subject}</h3>
	<dl class="mt-2">
		{#each j.figures as f (f.what)}
			<div class="grid gap-x-6 border-t border-rule py-2 sm:grid-cols-[16rem_1fr]">
				<dt class="font-semibold sm:order-1">{f.figure}</dt>
				<dd class="max-w-prose sm:order-2">{f.what} <span class="note">({f.source})</span></dd>
			</div>
		{/each}
	</dl>
{/each}

<h2 class="mt-10">Places, maps and letters</h2>
<ul class="mt-2 max-w-prose list-disc pl-5">
	<li>
		Towns with their names, heights and positions: GeoNames (geonames.org), cities of 500 people and more, licensed under Creative
		Commons Attribution 4.0; names were put into plain letters to be searched.
	</li>
	<li>Land and sea: Natural Earth, 1 : 50 million, in the public domain.</li>
	<li>Air over the sea by month: COADS, 4° grid, in the public domain.</li>
	<li>Letters: Bricolage Grotesque and Atkinson Hyperlegible Next, SIL Open Font License 1.1; on paper also DejaVu.</li>
</ul>
