<script lang="ts">
	/** Plants with their odds where they stand, the most endangered first, and where they would be better off. */
	import { sayOdds } from '$lib/core/odds/words.js';
	import { sayTemperature } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	interface Props {
		lodgers: PageData['view']['outside'];
		base: string;
		units: UnitChoice;
	}
	let { lodgers, base, units }: Props = $props();
</script>

<ul class="ruled long">
	{#each lodgers as l (l.id)}
		<li class="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
			<a class="lone min-w-0 font-semibold" href="{base}/{l.what === 'batch' ? 'bench' : 'stock'}/{l.id}">
				<span class="min-w-0 wrap-anywhere">
					{#if l.code}<span class="font-mono font-normal whitespace-nowrap">{l.code}</span>{/if}
					{l.name}{#if l.count > 1}<span class="font-normal">, {l.count}</span>{/if}
				</span>
			</a>
			<span class="text-right {l.chance < 0.5 ? 'font-semibold text-madder' : ''}">{sayOdds(l.chance)}</span>
			<p class="note col-span-2">
				{l.count > 1 ? 'They bear' : 'It bears'} about {sayTemperature(l.bearsC, units)}.
				{#if l.better}
					Better: {l.better.place}, <strong>{sayOdds(l.better.chance)}</strong>{l.better.fits
						? '.'
						: ', but no room is left there.'}
				{/if}
			</p>
		</li>
	{/each}
</ul>
