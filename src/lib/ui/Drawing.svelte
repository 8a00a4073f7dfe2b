<script lang="ts">
	/** A drawing made from data, to scale. */
	import { TONES } from '$lib/core/draw/shapes.js';
	import type { Drawing } from '$lib/core/draw/shapes.js';
	interface Props {
		drawing: Drawing;
		class?: string;
	}
	let { drawing, class: cls = '' }: Props = $props();
	/** As it is printed; by night its own tones where the sheet has them. */
	const inTone = (name: keyof typeof TONES): string => `var(--draw-${name}, ${TONES[name]})`;
</script>

<svg
	viewBox={drawing.box.join(' ')}
	class="block w-full {cls}"
	role="img"
	aria-label={drawing.say}
	preserveAspectRatio="xMidYMid meet"
>
	{#each drawing.shapes as s, i (i)}
		{#if 'path' in s}
			<path
				d={s.path}
				fill={s.fill ? inTone(s.fill) : 'none'}
				stroke={s.stroke ? inTone(s.stroke) : 'none'}
				stroke-width={s.width ?? 0}
				stroke-dasharray={s.dash ? `${(s.width ?? 0.1) * 4} ${(s.width ?? 0.1) * 3}` : undefined}
				stroke-linejoin="round"
			/>
		{:else}
			<text x={s.x} y={s.y} font-size={s.size} text-anchor={s.anchor} fill={inTone(s.tone ?? 'ink')}>{s.text}</text>
		{/if}
	{/each}
</svg>
