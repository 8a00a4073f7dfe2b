<script lang="ts">
	/** The plan grown many times: how many stand when, and what a second strike would be worth. */
	import { texts } from '$lib/messages/plan.js';
	import Chart from '$lib/ui/Chart.svelte';
	import { tone } from '$lib/ui/tones.js';
	import { sayDate } from '$lib/core/dates.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import { sayOdds } from '$lib/core/odds/words.js';
	import type { WantPlanned } from '$lib/server/jointView.js';
	import type { SimView } from '$lib/server/simView.js';

	interface Props {
		sim: SimView;
		wants: readonly WantPlanned[];
	}
	let { sim, wants }: Props = $props();

	const NAMES: Record<string, string> = { rooted: 'rooting', potted: texts.settlingInPots, ready: texts.growingOn };
	const most = $derived.by(() => {
		const all = sim.from.map((from, w) => ({ from, n: sim.stages.reduce((s, x) => s + x.weeks[w]!.p50, 0) }));
		return all.reduce((a, b) => (b.n > a.n ? b : a), all[0]!);
	});
	/** Where a second strike would change the odds as they are told: what it gains in the seasons grown, on the want's own odds. */
	const worth = $derived(
		sim.wants.flatMap((s) => {
			const want = wants.find((w) => w.id === s.id);
			const again = Math.min(1, (want?.odds ?? 0) + s.again - s.odds);
			return want && sayOdds(again) !== sayOdds(want.odds) ? [{ ...s, again, want }] : [];
		})
	);
	const COLOURS = ['frost', 'catkin-deep', 'leaf'] as const;
	const option = $derived({
		grid: { left: 44, right: 8, top: 12, bottom: 46 },
		legend: { bottom: 0, itemHeight: 8, data: sim.stages.map((s) => NAMES[s.to] ?? s.to) },
		tooltip: { trigger: 'axis' },
		xAxis: { type: 'time', axisLabel: { hideOverlap: true } },
		yAxis: { type: 'value' },
		// Each stage as a band from 1 in 20 to 19 in 20, with its middle as a line.
		series: sim.stages.flatMap((s, i) => {
			const color = tone(COLOURS[i]!);
			const data = (pick: (f: (typeof s.weeks)[number]) => number) => sim.from.map((from, w) => [from, pick(s.weeks[w]!)]);
			const band = { type: 'line', stack: s.to, symbol: 'none', lineStyle: { width: 0 }, silent: true, tooltip: { show: false } };
			return [
				{ ...band, name: texts.low(s.to), data: data((f) => f.p05) },
				{ ...band, name: texts.high(s.to), data: data((f) => f.p95 - f.p05), areaStyle: { color, opacity: 0.25 } },
				{ name: NAMES[s.to] ?? s.to, type: 'line', symbol: 'none', color, lineStyle: { width: 2 }, data: data((f) => f.p50) }
			];
		})
	});
</script>

<div class="mt-3 grid gap-8 lg:grid-cols-2">
	<Chart title={texts.usuallyMostAreIn(sayDate(most.from), sayNumber(most.n))} {option} height={240} />
	<div>
		<p class="max-w-prose">
			{texts.grownTimesEachWith(sayNumber(sim.seasons))}
			{#if sim.over}
				{texts.inTheWeekOfIt(sayDate(sim.over.from), sayOdds(sim.over.share))}
			{:else if sim.limit !== null}
				{texts.noWeekAsksFor}
			{/if}
		</p>
		{#if worth.length}
			<h3 class="mt-3">{texts.lookInTimeAnd}</h3>
			<ul class="ruled mt-1">
				{#each worth as s (s.id)}
					<li class="py-2">
						<span class="font-semibold">{s.want.target} {s.want.name}</span>{texts.insteadOf(
							sayOdds(s.again),
							sayOdds(s.want.odds)
						)}
						<span class="note block"
							>{texts.neededThenAboutMore(
								sayOdds(s.struckAgain.share),
								sayNumber(Math.max(1, Math.round(s.struckAgain.pieces)))
							)}</span
						>
					</li>
				{/each}
			</ul>
		{:else}
			<p class="note mt-2">{texts.aSecondStrikeAfter}</p>
		{/if}
	</div>
</div>
