<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import { tone } from '$lib/ui/tones.js';
	/** Is it rooted yet? The answer in words, then the curve with its looks. */
	import { isoOf, sayDate, sayWait } from '$lib/core/dates.js';
	import type { RootingView } from '$lib/server/rooting.js';
	import Chart from '$lib/ui/Chart.svelte';

	interface Props {
		rooting: RootingView;
		today: number;
		struck: number;
		/** Pieces known to have rooted. */
		known: number;
	}
	let { rooting: r, today, struck, known }: Props = $props();
	const DAY = 86_400_000;
	const say = (day: number) => sayDate(isoOf(day), false);
	const title = $derived(
		r.eighty === null
			? texts.tooColdThereFor
			: r.eighty <= today
				? texts.mostOfThoseThat
				: texts.mostOfThoseThatWill(say(r.eighty))
	);
	const option = $derived({
		grid: { left: 44, right: 16, top: 30, bottom: 28 },
		tooltip: {
			trigger: 'axis',
			valueFormatter: (v: unknown) => (typeof v === 'number' ? `${Math.round(v / 5) * 5} %` : '')
		},
		xAxis: { type: 'time', minInterval: 7 * DAY, axisLabel: { hideOverlap: true, formatter: '{d} {MMM}' } },
		yAxis: { type: 'value', min: 0, max: 100, interval: 25, axisLabel: { formatter: '{value} %' } },
		series: [
			{
				name: texts.rootedOfAllStruck,
				type: 'line',
				showSymbol: false,
				areaStyle: { opacity: 0.12 },
				data: r.curve.map((p) => [p.day * DAY, Math.round(p.share * 1000) / 10]),
				markLine: {
					symbol: 'none',
					silent: true,
					label: { fontSize: 13, formatter: '{b}' },
					data: [
						{ name: 'today', xAxis: today * DAY, lineStyle: { color: tone('catkin-deep'), width: 2, type: 'solid' } },
						...(r.look !== null && r.look > today
							? [
									{
										name: 'look',
										xAxis: r.look * DAY,
										lineStyle: { color: tone('frost'), type: 'dashed' },
										label: { position: 'insideStartBottom', fontSize: 13, formatter: '{b}' }
									}
								]
							: [])
					]
				}
			},
			{
				name: 'counted',
				type: 'line',
				lineStyle: { width: 0 },
				symbol: 'diamond',
				symbolSize: 14,
				itemStyle: { color: tone('ink') },
				data: r.looks.map((l) => [l.day * DAY, Math.round(l.share * 1000) / 10])
			}
		]
	});
	const slow = $derived(r.pace > 1.12 ? texts.slowerThanUsual : r.pace < 0.89 ? texts.quickerThanUsual : texts.atTheUsualPace);
</script>

<section aria-label={texts.isItRootedYet} class="mt-4 border-t-4 border-catkin pt-3">
	<h2 class="font-head text-2xl font-semibold first-letter:uppercase">
		{known > 0 ? texts.rootedOfTheRest(known, r.word) : r.word}
	</h2>
	<p class="mt-1 max-w-prose text-lg" data-testid="rooting">{r.sentence}</p>
	<div class="mt-3 max-w-xl"><Chart {title} {option} height={210} /></div>
	<p class="note mt-1">
		{texts.struckWhereItStood(
			today === struck ? texts.today : texts.ago(sayWait(today - struck)),
			Math.round(r.warmth) === 1 ? texts.n1Day : texts.days(Math.round(r.warmth)),
			r.looks.length ? texts.itsOwnLooksSay(slow) : texts.noRootsHaveBeen
		)}
	</p>
</section>
