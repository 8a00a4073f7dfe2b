<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	/** How many will stand there in the end: a bar for each number, those that reach the target filled. */
	interface Props {
		pmf: number[];
		target: number;
		width?: number;
		height?: number;
	}
	let { pmf, target, width = 220, height = 56 }: Props = $props();
	const shown = $derived.by(() => {
		let low = pmf.findIndex((p) => p > 0.002);
		let high = pmf.findLastIndex((p) => p > 0.002);
		if (low < 0) [low, high] = [0, 0];
		low = Math.max(0, Math.min(low, target - 1));
		high = Math.max(high, target + 1);
		// More numbers than the width can show are put together.
		const wide = Math.ceil((high - low + 1) / 60);
		const bars: { from: number; p: number }[] = [];
		for (let k = low; k <= high; k += wide) {
			let p = 0;
			for (let i = k; i < k + wide; i++) p += pmf[i] ?? 0;
			bars.push({ from: k, p });
		}
		return { bars, low, high, wide, top: Math.max(...bars.map((b) => b.p), 1e-9) };
	});
	const step = $derived(width / shown.bars.length);
	const targetX = $derived(((target - shown.low) / shown.wide) * step);
</script>

<svg
	{width}
	height={height + 16}
	viewBox="0 0 {width} {height + 16}"
	role="img"
	aria-label={texts.spreadOfTheNumber(target)}
	class="block max-w-full"
>
	{#each shown.bars as bar, i (bar.from)}
		{@const h = (bar.p / shown.top) * (height - 4)}
		<rect
			x={i * step + 0.5}
			y={height - h}
			width={Math.max(1, step - 1)}
			height={h}
			fill={bar.from >= target ? 'var(--color-leaf)' : 'var(--color-field)'}
			stroke={bar.from >= target ? 'none' : 'var(--color-madder)'}
			stroke-width="1"
		/>
	{/each}
	<line x1="0" x2={width} y1={height} y2={height} stroke="var(--color-ink)" stroke-width="1" />
	<line x1={targetX} x2={targetX} y1="0" y2={height + 4} stroke="var(--color-ink)" stroke-width="1.5" />
	<text
		x={Math.min(width - 2, Math.max(2, targetX))}
		y={height + 14}
		font-size="12"
		text-anchor={targetX > width - 40 ? 'end' : targetX < 30 ? 'start' : 'middle'}
		fill="var(--color-ink)">{texts.wanted(target)}</text
	>
</svg>
