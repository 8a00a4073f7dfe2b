<script lang="ts">
	/** What of a file is missing, double, flagged or unreadable, and what becomes of it. */
	import { sayNumber } from '$lib/core/numbers.js';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import type { WeatherFound } from '$lib/formats/weatherFile.js';
	import Fold from '$lib/ui/Fold.svelte';

	let { found }: { found: WeatherFound } = $props();
	const some = (count: number, one: string, many: string) => `${sayNumber(count)} ${count === 1 ? one : many}`;
</script>

<ul class="mt-3 max-w-2xl list-disc pl-5">
	{#if found.gapDays}<li>
			{some(found.gapDays, 'day', 'days')} without temperatures{found.gaps.length
				? `: ${found.gaps
						.slice(0, 4)
						.map((g) => `${sayDate(isoOf(g.from))}, ${g.days} ${g.days === 1 ? 'day' : 'days'}`)
						.join('; ')}${found.gaps.length > 4 ? ' …' : ''}`
				: ''}. Gaps stay gaps.
		</li>{/if}
	{#if found.doubles}<li>
			{some(found.doubles, 'figure', 'figures')} came twice{found.differing
				? `, ${sayNumber(found.differing)} of them differing`
				: ''}: the later line stands.
		</li>{/if}
	{#if found.flagged}<li>
			{some(found.flagged, 'figure was', 'figures were')} marked by their source as failing its checks, and left out.
		</li>{/if}
	{#if found.badCount}<li>
			{some(found.badCount, 'line cannot be read and is', 'lines cannot be read and are')} left out whole.
			<Fold label="Show them">
				<ol class="note mt-1">
					{#each found.bad as bad, i (i)}<li>
							{bad.line ? `Line ${bad.line}` : 'Day'}: {bad.why}
							<span class="font-mono break-all">{bad.text.slice(0, 60)}</span>
						</li>{/each}
				</ol>
			</Fold>
		</li>{/if}
	{#if !found.gapDays && !found.doubles && !found.flagged && !found.badCount}<li>No gaps, no doubles, no bad lines.</li>{/if}
</ul>
