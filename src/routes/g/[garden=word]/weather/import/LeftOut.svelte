<script lang="ts">
	/** What of a file is missing, double, flagged or unreadable, and what becomes of it. */
	import { texts } from '$lib/messages/weather.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import type { WeatherFound } from '$lib/formats/weatherFile.js';
	import Fold from '$lib/ui/Fold.svelte';

	let { found }: { found: WeatherFound } = $props();
	const some = (count: number, one: string, many: string) => `${sayNumber(count)} ${count === 1 ? one : many}`;
</script>

<ul class="mt-3 max-w-2xl list-disc pl-5">
	{#if found.gapDays}<li>
			{texts.withoutTemperaturesGapsStay(
				some(found.gapDays, 'day', 'days'),
				found.gaps.length
					? `: ${found.gaps
							.slice(0, 4)
							.map((g) => `${sayDate(isoOf(g.from))}, ${g.days} ${g.days === 1 ? texts.day : texts.days}`)
							.join('; ')}${found.gaps.length > 4 ? ' …' : ''}`
					: ''
			)}
		</li>{/if}
	{#if found.doubles}<li>
			{texts.cameTwiceTheLater(
				some(found.doubles, 'figure', 'figures'),
				found.differing ? texts.ofThemDiffering(sayNumber(found.differing)) : ''
			)}
		</li>{/if}
	{#if found.flagged}<li>
			{texts.markedByTheirSource(some(found.flagged, texts.figureWas, texts.figuresWere))}
		</li>{/if}
	{#if found.badCount}<li>
			{texts.leftOutWhole(some(found.badCount, texts.lineCannotBeRead, texts.linesCannotBeRead))}
			<Fold label={texts.showThem}>
				<ol class="note mt-1">
					{#each found.bad as bad, i (i)}<li>
							{bad.line ? texts.line(bad.line) : texts.day2}: {bad.why}
							<span class="font-mono break-all">{bad.text.slice(0, 60)}</span>
						</li>{/each}
				</ol>
			</Fold>
		</li>{/if}
	{#if !found.gapDays && !found.doubles && !found.flagged && !found.badCount}<li>{texts.noGapsNoDoubles}</li>{/if}
</ul>
