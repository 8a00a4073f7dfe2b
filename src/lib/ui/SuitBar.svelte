<script lang="ts">
	/**
	 * How well the days of a year suit, drawn as a rise and fall: full height where every year of the record
	 * would have it open. Ticks below are what was done in earlier years.
	 */
	import { area } from 'd3-shape';
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
	/** Only where it bends: most of a year it is open or shut, and a list of a hundred bars is read by phones. */
	const bends = $derived(
		values
			.map((v, i) => ({ v, i }))
			.filter(({ v, i }) => i === 0 || i === values.length - 1 || v !== values[i - 1] || v !== values[i + 1])
	);
	const path = $derived(
		area<{ v: number; i: number }>()
			.x(({ i }) => x(from + i * step))
			.y0(floor)
			.y1(({ v }) => floor - v * (floor - 2))
			.digits(1)(bends) ?? ''
	);
	const firsts = $derived(months.map((m) => `M${x(m.day).toFixed(1)} 0V${floor}`).join(''));
</script>

<svg
	viewBox="0 0 1000 {height}"
	preserveAspectRatio="none"
	class="block w-full"
	style:height="{height}px"
	role="img"
	aria-label={label}
>
	<path d={firsts} stroke="var(--color-rule)" vector-effect="non-scaling-stroke" />
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
