<script lang="ts">
	/** What is full when: minutes and room, week by week, what grows already below, the plan on it, and what there is as a line. */
	import Chart from '$lib/ui/Chart.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayNumber } from '$lib/core/numbers.js';
	import { sayArea } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { tone } from '$lib/ui/tones.js';
	import type { LoadView } from '$lib/server/jointView.js';

	interface Props {
		load: LoadView;
		units: UnitChoice;
	}
	let { load, units }: Props = $props();
	const minutes = $derived(load.places === null);
	const what = $derived(load.places === null ? 'Your minutes' : load.places.join(', '));
	/** Square metres or minutes; nothing is limited where nobody has said how much there is. */
	const limited = $derived(load.weeks.every((w) => Number.isFinite(w.limit)));
	const shown = (v: number) => (minutes ? Math.round(v) : Math.round(v / 100) / 100);
	const title = $derived.by(() => {
		const { share, from } = load.fullest;
		const when = `in the week of ${sayDate(from)}`;
		if (!limited) return `${what}: nobody has said how many there are`;
		if (share > 1.001) return `${what}: what grows already asks for more than there is ${when}`;
		if (share > 0.97) return `${what}: full ${when}`;
		return `${what}: at most ${sayNumber(share * 100)} % used, ${when}`;
	});
	const option = $derived.by(() => {
		const data = (pick: (w: LoadView['weeks'][number]) => number) => load.weeks.map((w) => [w.from, shown(pick(w))]);
		return {
			grid: { left: 44, right: 8, top: 12, bottom: 46 },
			legend: { bottom: 0, itemHeight: 8 },
			tooltip: {
				trigger: 'axis',
				valueFormatter: (v: number) => (minutes ? `${sayNumber(v)} minutes` : sayArea(v, units))
			},
			xAxis: { type: 'time', axisLabel: { hideOverlap: true } },
			yAxis: { type: 'value' },
			series: [
				{ name: 'grows already', data: data((w) => w.busy), color: tone('frost') },
				{ name: 'this plan', data: data((w) => w.plan), color: tone('leaf') }
			]
				.map((s) => ({ ...s, type: 'line', step: 'end', stack: 'all', symbol: 'none', lineStyle: { width: 0 }, areaStyle: {} }))
				.concat(
					limited
						? ([
								{
									name: 'there is',
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
