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
		/** Nobody has said where: drawn where it fits. */
		assumed?: boolean;
	}
	interface Moving {
		n: number;
		at: readonly Point[];
		acrossM: number;
	}
	interface Props {
		outline: readonly Point[];
		holes: readonly (readonly Point[])[];
		points?: readonly Point[];
		/** Which of them are of the other kind of a mix: drawn with a cross. */
		others?: readonly boolean[];
		othersAcrossM?: number;
		/** What stands there already. */
		stands?: readonly Group[];
		/** What stands there is drawn without the numbers of a list. */
		unnumbered?: boolean;
		/** What leaves its place and what comes to one, by the number of its move. */
		goes?: readonly Moving[];
		comes?: readonly Moving[];
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
		others = [],
		othersAcrossM = 0,
		stands = [],
		unnumbered = false,
		goes = [],
		comes = [],
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
	const around = $derived.by(() => {
		const all = [...stands, ...goes, ...comes, { at: points, acrossM: Math.max(acrossM, othersAcrossM) }];
		const over = all.flatMap((g) =>
			g.at.map(([x, y]) => {
				const r = g.acrossM / 2;
				return Math.max(box.left - x + r, x + r - box.left - box.wide, box.low - y + r, y + r - box.high);
			})
		);
		return Math.max(Math.max(box.wide, box.tall) * 0.04, ...over);
	});
	const whole = $derived(Math.max(overM ?? 0, box.wide) + 2 * around);
	const d = (ring: readonly Point[]) => ring.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${-y}`).join('') + 'Z';
	/** A bar of 1, 2 or 5 times a power of ten, about a quarter of the drawing. */
	const bar = $derived.by(() => {
		const foot = units.length === 'us' ? 0.3048 : 1;
		const most = whole / 3 / foot;
		const ten = 10 ** Math.floor(Math.log10(most));
		return ([5, 2, 1].find((n) => n * ten <= most) ?? 1) * ten * foot;
	});
	const middle = (at: readonly Point[]): Point => [
		at.reduce((s, p) => s + p[0], 0) / at.length,
		at.reduce((s, p) => s + p[1], 0) / at.length
	];
	/** From where to where inside the bed, each arrow short of both middles so that their numbers are read. */
	const arrows = $derived(
		goes.flatMap((g) => {
			const c = comes.find((x) => x.n === g.n);
			if (!c) return [];
			const [[ax, ay], [bx, by]] = [middle(g.at), middle(c.at)];
			const long = Math.hypot(bx - ax, by - ay);
			const cut = whole * 0.03;
			if (long < 2.5 * cut) return [];
			const [ux, uy] = [(bx - ax) / long, (by - ay) / long];
			const [x2, y2] = [bx - ux * cut, by - uy * cut];
			const w = whole * 0.018;
			return [
				{
					line: `M${ax + ux * cut} ${-(ay + uy * cut)}L${x2} ${-y2}`,
					head: `M${x2} ${-y2}L${x2 - ux * w - uy * w * 0.6} ${-(y2 - uy * w + ux * w * 0.6)}L${x2 - ux * w + uy * w * 0.6} ${-(y2 - uy * w - ux * w * 0.6)}Z`
				}
			];
		})
	);
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
			<circle
				cx={x}
				cy={-y}
				r={s.acrossM / 2}
				class="{s.assumed ? 'fill-catkin/20' : 'fill-catkin/40'} stroke-ink"
				stroke-width={whole / 480}
				stroke-dasharray={s.assumed ? `${whole / 120}` : undefined}
			>
				<title>{s.name}</title>
			</circle>
			{#if !unnumbered && (i === 0 || s.acrossM > whole * 0.04)}<text
					{x}
					y={-y + whole * 0.011}
					font-size={whole * 0.032}
					text-anchor="middle"
					class="fill-ink font-semibold">{n + 1}</text
				>{/if}
		{/each}
	{/each}
	{#each goes as g (g.n)}
		{#each g.at as [x, y], i (i)}
			<circle
				cx={x}
				cy={-y}
				r={g.acrossM / 2}
				class="fill-none stroke-faded"
				stroke-width={whole / 320}
				stroke-dasharray={whole / 90}
			/>
			<text {x} y={-y - g.acrossM / 2 - whole * 0.006} font-size={whole * 0.026} text-anchor="middle" class="fill-faded"
				>{g.n}</text
			>
		{/each}
	{/each}
	{#each comes as c (c.n)}
		{#each c.at as [x, y], i (i)}
			<circle cx={x} cy={-y} r={c.acrossM / 2} class="fill-leaf/30 stroke-leaf" stroke-width={whole / 240} />
			<text {x} y={-y + whole * 0.011} font-size={whole * 0.032} text-anchor="middle" class="fill-ink font-semibold">{c.n}</text>
		{/each}
	{/each}
	{#each arrows as a, i (i)}
		<path d={a.line} class="stroke-ink" stroke-width={whole / 240} fill="none" />
		<path d={a.head} class="fill-ink" />
	{/each}
	{#each points as [x, y], i (i)}
		<circle
			cx={x}
			cy={-y}
			r={(others[i] ? othersAcrossM : acrossM) / 2}
			class={others[i] ? 'fill-frost/40 stroke-frost' : 'fill-leaf/40 stroke-leaf'}
			stroke-width={whole / 640}
		/>
		{#if others[i]}<path
				d="M{x - whole / 120} {-y - whole / 120}l{whole / 60} {whole / 60}m0 {-whole / 60}l{-whole / 60} {whole / 60}"
				class="stroke-ink"
				stroke-width={whole / 480}
			/>{:else}<circle cx={x} cy={-y} r={whole / 300} class="fill-ink" />{/if}
	{/each}
	{#each holes as hole, i (i)}
		<path d={d(hole)} class="fill-rule stroke-ink" stroke-width={whole / 480} />
	{/each}
	<path d="M{box.left} {below}h{bar}" class="stroke-ink" stroke-width={whole / 200} />
	<text x={box.left + bar + whole * 0.012} y={below + whole * 0.009} font-size={whole * 0.028} class="fill-ink"
		>{sayDistance(bar, units)}</text
	>
</svg>
