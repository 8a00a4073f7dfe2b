<script lang="ts">
	/** A chart by ECharts, loaded when it is needed; its title says what to conclude. */
	import type { EChartsCoreOption } from 'echarts/core';
	import { onMount } from 'svelte';

	interface Props {
		title: string;
		option: EChartsCoreOption;
		height?: number;
	}
	let { title, option, height = 260 }: Props = $props();
	let box: HTMLDivElement;
	let calm = false;
	let chart: {
		setOption(o: EChartsCoreOption, notMerge?: boolean): void;
		resize(): void;
		dispose(): void;
	} | null = $state(null);

	onMount(() => {
		let gone = false;
		let watcher: ResizeObserver | undefined;
		void import('./echarts.js').then(({ makeChart, still }) => {
			if (gone) return;
			calm = still();
			chart = makeChart(box);
			watcher = new ResizeObserver(() => chart?.resize());
			watcher.observe(box);
		});
		return () => {
			gone = true;
			watcher?.disconnect();
			chart?.dispose();
		};
	});
	$effect(() => chart?.setOption(calm ? { ...option, animation: false } : option, true));
</script>

<figure>
	<figcaption class="mb-1 font-semibold">{title}</figcaption>
	<!-- Its title says what it shows; the marks and figures drawn are not read out one by one. -->
	<div role="img" aria-label={title}><div bind:this={box} style:height="{height}px" aria-hidden="true"></div></div>
</figure>
