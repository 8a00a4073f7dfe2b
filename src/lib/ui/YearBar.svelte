<script lang="ts">
	/** Windows on a year of this garden, to scale: thin where it may be done, thick where it is best. */
	import { monthsOf } from './strip.js';
	interface Props {
		from: number;
		day: number;
		open: { from: number; to: number; bestFrom: number; bestTo: number }[];
		label: string;
		months?: boolean;
	}
	let { from, day, open, label, months = false }: Props = $props();
	const SPAN = 380;
	const x = (d: number) => (Math.min(SPAN, Math.max(0, d - from)) / SPAN) * 1000;
	const marks = $derived(monthsOf(from, from + SPAN));
</script>

<svg
	viewBox="0 0 1000 {months ? 44 : 24}"
	preserveAspectRatio="none"
	class="block w-full"
	style:height={months ? '44px' : '24px'}
	role="img"
	aria-label={label}
>
	{#each marks as m (m.day)}<line
			x1={x(m.day)}
			x2={x(m.day)}
			y1="0"
			y2="24"
			stroke="var(--color-rule)"
			vector-effect="non-scaling-stroke"
		/>{/each}
	{#each open as o (o.from)}
		<rect x={x(o.from)} width={Math.max(0, x(o.to) - x(o.from))} y="9" height="6" fill="var(--color-primary-300)" />
		<rect x={x(o.bestFrom)} width={Math.max(0, x(o.bestTo) - x(o.bestFrom))} y="4" height="16" fill="var(--color-leaf)" />
	{/each}
	<line
		x1={x(day)}
		x2={x(day)}
		y1="0"
		y2="24"
		stroke="var(--color-catkin-deep)"
		stroke-width="3"
		vector-effect="non-scaling-stroke"
	/>
</svg>
