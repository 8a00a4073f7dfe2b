<script lang="ts">
	/**
	 * How well the days of a year suit, drawn as a rise and fall: full height where every year of the record
	 * would have it open. Ticks below are what was done in earlier years.
	 */
	import { area, curveMonotoneX } from 'd3-shape';
	import { monthsOf } from './strip.js';
	interface Props {
		from: number;
		/** Suitability 0–1 every `step` days from `from`. */
		values: number[];
		step: number;
		/** The day looked at. */
		day: number | null;
		label: string;
		marks?: { day: number; say: string }[];
		height?: number;
	}
	let { from, values, step, day, label, marks = [], height = 26 }: Props = $props();
	const span = $derived((values.length - 1) * step);
	const x = (d: number) => (Math.min(span, Math.max(0, d - from)) / span) * 1000;
	const floor = $derived(height - (marks.length ? 7 : 1));
	const months = $derived(monthsOf(from, from + span));
	const path = $derived(
		area<number>()
			.x((_, i) => x(from + i * step))
			.y0(floor)
			.y1((v) => floor - v * (floor - 2))
			.curve(curveMonotoneX)(values) ?? ''
	);
</script>

<svg
	viewBox="0 0 1000 {height}"
	preserveAspectRatio="none"
	class="block w-full"
	style:height="{height}px"
	role="img"
	aria-label={label}
>
	{#each months as m (m.day)}<line
			x1={x(m.day)}
			x2={x(m.day)}
			y1="0"
			y2={floor}
			stroke="var(--color-rule)"
			vector-effect="non-scaling-stroke"
		/>{/each}
	<path d={path} fill="var(--color-leaf)" fill-opacity="0.85" />
	<line x1="0" x2="1000" y1={floor} y2={floor} stroke="var(--color-leaf)" vector-effect="non-scaling-stroke" />
	{#each marks as m, i (i)}<line
			x1={x(m.day)}
			x2={x(m.day)}
			y1={floor + 1}
			y2={height}
			stroke="var(--color-ink)"
			stroke-width="2"
			vector-effect="non-scaling-stroke"><title>{m.say}</title></line
		>{/each}
	{#if day !== null && day >= from && day <= from + span}
		<line
			x1={x(day)}
			x2={x(day)}
			y1="0"
			y2={height}
			stroke="var(--color-catkin-deep)"
			stroke-width="3"
			vector-effect="non-scaling-stroke"
		/>
	{/if}
</svg>
