<script lang="ts">
	/** What is full when: minutes and room, week by week, what grows already below, the plan on it, and what there is as a line. */
	import { texts } from '$lib/messages/plan.js';
	import Chart from '$lib/ui/Chart.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import { areaMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { tone } from '$lib/ui/tones.js';
	import type { LoadView } from '$lib/server/jointView.js';

	interface Props {
		load: LoadView;
		units: UnitChoice;
	}
	let { load, units }: Props = $props();
	const minutes = $derived(load.places === null);
	const what = $derived(load.places === null ? texts.yourMinutes : load.places.join(', '));
	const area = $derived(areaMeasure(units));
	/** Nothing is limited where nobody has said how much there is. */
	const limited = $derived(load.weeks.every((w) => Number.isFinite(w.limit)));
	/** Minutes, or area as the person has it. */
	const shown = (v: number) => (minutes ? Math.round(v) : area.shown(v / 10_000, 2));
	const title = $derived.by(() => {
		const { share, from } = load.fullest;
		const when = texts.inTheWeekOf(sayDate(from));
		if (!limited) return texts.nobodyHasSaid(what);
		if (share > 1.001) return texts.growsMoreThanThere(what, when);
		if (share > 0.97) return texts.full(what, when);
		return texts.atMostUsed(what, sayNumber(share * 100), when);
	});
	const option = $derived.by(() => {
		const data = (pick: (w: LoadView['weeks'][number]) => number) => load.weeks.map((w) => [w.from, shown(pick(w))]);
		return {
			grid: { left: 72, right: 8, top: 12, bottom: 46 },
			legend: { bottom: 0, itemHeight: 8 },
			tooltip: {
				trigger: 'axis',
				valueFormatter: (v: number) => (minutes ? texts.minutes(sayNumber(v)) : `${sayNumber(v, 2)} ${area.unit}`)
			},
			xAxis: { type: 'time', axisLabel: { hideOverlap: true } },
			yAxis: { type: 'value', axisLabel: { formatter: minutes ? texts.min('{value}') : `{value} ${area.unit}` } },
			series: [
				{ name: texts.growsAlready, data: data((w) => w.busy), color: tone('frost') },
				{ name: texts.thisPlan, data: data((w) => w.plan), color: tone('leaf') }
			]
				.map((s) => ({ ...s, type: 'line', step: 'end', stack: 'all', symbol: 'none', lineStyle: { width: 0 }, areaStyle: {} }))
				.concat(
					limited
						? ([
								{
									name: texts.thereIs,
									type: 'line',
									step: 'end',
									symbol: 'none',
									data: data((w) => w.limit),
									color: tone('madder'),
									lineStyle: { width: 2, type: 'dashed' }
								}
							] as never)
						: []
				)
		};
	});
</script>

<Chart {title} {option} height={220} />
