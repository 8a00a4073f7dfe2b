<script lang="ts">
	/** A bed from above, to scale: its outline, stones, and plants as wide as they are. */
	import type { Point } from '$lib/core/ground/index.js';
	import { sayDistance } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';

	/** Plants that stand there, each so wide; drawn with the number that they have in the list, from 1. */
	interface Group {
		name: string;
		at: readonly Point[];
		acrossM: number;
	}
	interface Props {
		outline: readonly Point[];
		holes: readonly (readonly Point[])[];
		points?: readonly Point[];
		/** What stands there already. */
		stands?: readonly Group[];
		/** Of each plant, m across. */
		acrossM?: number;
		units: UnitChoice;
		/** In words. */
		say: string;
		/** Drawn to this many metres across, that several are to one scale; as wide as it is if left out. */
		overM?: number;
		svg?: SVGSVGElement | null;
		class?: string;
	}
	let {
		outline,
		holes,
		points = [],
		stands = [],
		acrossM = 0,
		units,
		say,
		overM,
		svg = $bindable(null),
		class: cls = ''
	}: Props = $props();

	const box = $derived.by(() => {
		const xs = outline.map((p) => p[0]);
		const ys = outline.map((p) => p[1]);
		const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
		return { left, low, high, wide: right - left, tall: high - low };
	});
	/** Room round it, for plants that lean over the edge and for the bar below. */
	const around = $derived(Math.max(acrossM / 2, Math.max(box.wide, box.tall) * 0.04));
	const whole = $derived(Math.max(overM ?? 0, box.wide) + 2 * around);
	const d = (ring: readonly Point[]) => ring.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${-y}`).join('') + 'Z';
	/** A bar of 1, 2 or 5 times a power of ten, about a quarter of the drawing. */
	const bar = $derived.by(() => {
		const foot = units.length === 'us' ? 0.3048 : 1;
		const most = whole / 3 / foot;
		const ten = 10 ** Math.floor(Math.log10(most));
		return ([5, 2, 1].find((n) => n * ten <= most) ?? 1) * ten * foot;
	});
	const below = $derived(-box.low + around + whole * 0.02);
</script>

<svg
	bind:this={svg}
	viewBox="{box.left - around} {-box.high - around} {whole} {box.tall + 2 * around + whole * 0.07}"
	class="block w-full {cls}"
	role="img"
	aria-label={say}
>
	<path d={d(outline)} class="fill-pane stroke-ink" stroke-width={whole / 320} stroke-linejoin="round" />
	{#each stands as s, n (n)}
		{#each s.at as [x, y], i (i)}
			<circle cx={x} cy={-y} r={s.acrossM / 2} class="fill-catkin/40 stroke-ink" stroke-width={whole / 480}>
				<title>{s.name}</title>
			</circle>
			<text {x} y={-y + whole * 0.011} font-size={whole * 0.032} text-anchor="middle" class="fill-ink font-semibold">{n + 1}</text
			>
		{/each}
	{/each}
	{#each points as [x, y], i (i)}
		<circle cx={x} cy={-y} r={acrossM / 2} class="fill-leaf/40 stroke-leaf" stroke-width={whole / 640} />
		<circle cx={x} cy={-y} r={whole / 300} class="fill-ink" />
	{/each}
	{#each holes as hole, i (i)}
		<path d={d(hole)} class="fill-rule stroke-ink" stroke-width={whole / 480} />
	{/each}
	<path d="M{box.left} {below}h{bar}" class="stroke-ink" stroke-width={whole / 200} />
	<text x={box.left + bar + whole * 0.012} y={below + whole * 0.009} font-size={whole * 0.028} class="fill-ink"
		>{sayDistance(bar, units)}</text
	>
</svg>
