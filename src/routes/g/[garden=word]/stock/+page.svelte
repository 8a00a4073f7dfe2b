<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import Act from '$lib/ui/Act.svelte';
	import Island from '$lib/ui/Island.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayLength } from '$lib/core/units/index.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	/** The way whose window opens first, if it gives anything then. */
	const soonest = <G extends { opensOn: string | null; then: number | null }>(gives: readonly G[]): G[] =>
		gives
			.filter((g) => g.opensOn && g.then)
			// Days as text stand in their order; a collator is some 30 ms to set up.
			.sort((a, b) => (a.opensOn! < b.opensOn! ? -1 : 1))
			.slice(0, 1);
</script>

<svelte:head><title>{texts.stock(data.garden.name)}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.whatYouHaveTo(data.isToday ? '' : texts.on(sayDate(data.viewed)))}</h1>
		<p class="text-faded">{texts.howManyPiecesEach}</p>
	</div>
	<div class="flex flex-wrap gap-3">
		<Island>
			<Act main href="{base}/stock/new">{texts.addAStockPlant}</Act>
			<Act href="{base}/stock/import">{texts.bringInAList}</Act>
		</Island>
	</div>
</div>
{#if data.stocks.length === 0}
	<p class="mt-10 max-w-xl border-t border-ink pt-6">
		{texts.noStockYetAdd}
	</p>
{/if}
<Island>
	<ul class="long mt-6 border-t border-ink">
		{#each data.stocks as s (s.id)}
			{@const open = s.gives.filter((g) => g.open)}
			<li class="border-b border-rule">
				<a href="{base}/stock/{s.id}" class="grid gap-x-6 gap-y-1 py-4 hover:bg-pane sm:grid-cols-[1fr_1.3fr]">
					<div>
						<p class="text-lg leading-tight font-semibold">{s.kindName}{s.label ? `, ${s.label}` : ''}</p>
						<p class="note">
							{s.count > 1 ? texts.alike(s.count) : ''}{s.placeName || texts.noPlaceGiven} · {s.condition}{s.size_cm
								? ` · ${sayLength(s.size_cm, data.garden.units)} ${s.measure === 'height' ? texts.tall : texts.across}`
								: ''}
						</p>
						{#if s.trouble}<p class="text-madder">{s.trouble}</p>{/if}
						{#if s.may.may !== 'yes'}<p class="note">
								<strong class={s.may.may === 'no' ? 'text-madder' : 'text-catkin-deep'}
									>{s.may.may === 'no' ? texts.mayNotBeMultiplied : texts.lookAtTheLabel}</strong
								>
							</p>{/if}
					</div>
					<ul>
						{#each open as g (g.wayId)}
							<li>
								<span class="font-head text-2xl font-semibold">{g.now}</span>
								<span>{texts.now(g.now === 1 ? g.pieceWord[0] : g.pieceWord[1], g.wayName)}</span>
								<span class="note"
									>{g.fullAgainOn
										? texts.ofAllAgain(g.full, sayDate(g.fullAgainOn))
										: g.closesOn
											? texts.until(sayDate(g.closesOn))
											: texts.allYear}</span
								>
							</li>
						{/each}
						{#if s.barred}
							<li class="text-faded">{texts.itGivesNothingWithout}</li>
						{:else if open.length === 0}
							<li class="text-faded">
								{texts.nothingNow}
								{#each soonest(s.gives) as g (g.wayId)}{texts.nextByFrom(g.then!, g.wayName, sayDate(g.opensOn!))}{/each}
							</li>
						{/if}
					</ul>
				</a>
			</li>
		{/each}
	</ul>
</Island>
<MoreRows rows={data.rows} hidden={data.hidden} of={[texts.stockPlant, texts.stockPlants]} />
