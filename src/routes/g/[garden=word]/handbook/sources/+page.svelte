<script lang="ts">
	import { texts } from '$lib/messages/handbook.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	/** Where the handbook's figures come from: how many rest on what, and what a remembered chance is taken to be worth. */
	import { plural } from '$lib/ui/say.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const share = (n: number) => texts.of100(Math.round((100 * n) / Math.max(1, data.total)));
	const remembered = $derived(data.sources.find((s) => s.id === 'memory')?.count ?? 0);
</script>

<svelte:head><title>{texts.sources(data.garden.name)}</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<h1>
	{remembered > data.total / 2 ? texts.mostFiguresAreFrom : texts.whatTheHandbooksFigures}
</h1>
<p class="mt-2 max-w-prose">
	{texts.thereAreFiguresA(sayNumber(data.total))}
</p>
<ul class="mt-4">
	{#each data.sources as s (s.id)}
		<li class="border-t border-rule py-3">
			<div class="grid gap-x-6 sm:grid-cols-[9rem_1fr]">
				<p>
					<span class="figure">{sayNumber(s.count)}</span>
					<span class="unit">{s.count === 1 ? texts.figure2 : texts.figures}</span>
					{#if s.count > 0}<br /><span class="note">{share(s.count)}</span>{/if}
				</p>
				<div>
					<h2 class="text-lg">{s.name}</h2>
					{#if s.note}<p class="note">{s.note}</p>{/if}
					{#if s.weight !== null}<p>
							{texts.amongThemEachWorth(plural(s.chances, texts.chances), Math.round(s.weight))}
						</p>{/if}
					{#if s.count === 0}<p class="note">{texts.namedBesideARule}</p>{/if}
					{#if s.kinds.length}
						<Fold label={texts.whichFiguresOf(plural(s.kinds.length, texts.kinds))}>
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

<h2 id="judgements" class="mt-10">{texts.whatEverySumTakes}</h2>
<p class="mt-2 max-w-prose">{texts.figuresThatBelongTo}</p>
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

<h2 class="mt-10">{texts.placesMapsAndLetters}</h2>
<ul class="mt-2 max-w-prose list-disc pl-5">
	<li>
		{texts.townsWithTheirNames}
	</li>
	<li>{texts.landAndSeaNatural}</li>
	<li>{texts.airOverTheSea}</li>
	<li>{texts.lettersBricolageGrotesqueAnd}</li>
</ul>
