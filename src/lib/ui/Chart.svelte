<script lang="ts">
	/**
	 * A chart by ECharts; its title says what to conclude. It is drawn in a worker as a picture, and comes to life, with
	 * what its points are, under a pointer.
	 */
	import { onMount } from 'svelte';
	import { drawChart } from './drawnCharts.js';
	import type { ChartOption } from './echarts.js';

	interface Props {
		title: string;
		option: ChartOption;
		height?: number;
	}
	let { title, option, height = 260 }: Props = $props();
	let box: HTMLDivElement;
	let width = $state(0);
	let picture = $state('');
	/** Somebody points at it: then it lives, until it changes. */
	let pointed = $state.raw<ChartOption | null>(null);
	let living = $state<HTMLDivElement>();
	let made = $state(false);

	onMount(() => {
		const watcher = new ResizeObserver(() => (width = box.clientWidth));
		watcher.observe(box);
		return () => watcher.disconnect();
	});
	$effect(() => (width > 0 ? drawChart(option, width, height, (svg) => (picture = svg)) : undefined));
	$effect(() => {
		const [at, shown, wide] = [living, option, width];
		if (!at || wide === 0) return;
		let chart: { dispose(): void } | null = null;
		let gone = false;
		void import('./echarts.js').then(({ makeChart }) => {
			if (gone) return;
			chart = makeChart(at, shown);
			made = true;
		});
		return () => {
			gone = true;
			made = false;
			chart?.dispose();
		};
	});
	const alive = $derived(pointed === option);
</script>

<figure>
	<figcaption class="mb-1 font-semibold">{title}</figcaption>
	<!-- Its title says what it shows; the marks and figures drawn are not read out one by one. -->
	<div role="img" aria-label={title} onpointerenter={() => (pointed = option)}>
		<div class="relative" bind:this={box} style:height="{height}px" aria-hidden="true">
			<div hidden={made}>{@html picture}</div>
			{#if alive}<div class="absolute inset-0" bind:this={living}></div>{/if}
		</div>
	</div>
</figure>
