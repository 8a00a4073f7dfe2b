<script lang="ts">
	/** A shelter's coldest nights beside what its lodgers bear, on one scale of degrees; the text above says it in words. */
	import { texts } from '$lib/messages/shelter.js';
	import { scaleLinear } from 'd3-scale';
	import { sayTemperature } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';

	interface Props {
		coldest: readonly [number, number, number];
		outsideC: number;
		limits: readonly number[];
		units: UnitChoice;
	}
	let { coldest, outsideC, limits, units }: Props = $props();
	let width = $state(360);
	const HEIGHT = 54;
	const low = $derived(Math.min(outsideC, coldest[2], -5) - 2);
	const high = $derived(Math.max(coldest[0], 10) + 4);
	const x = $derived(scaleLinear([low, high], [8, width - 8]));
	const marks = $derived(x.ticks(Math.max(3, Math.floor(width / 90))));
	/** Kinds that bear less than the scale shows stand beyond it. */
	const shown = $derived([...new Set(limits.filter((c) => c > low && c < high))]);
	const label = $derived(
		texts.coldestNightsInsideFrom(
			sayTemperature(coldest[2], units),
			sayTemperature(coldest[0], units),
			sayTemperature(outsideC, units),
			shown.length ? texts.whatStandsHereBears(shown.map((c) => sayTemperature(c, units)).join(', ')) : ''
		)
	);
</script>

<div bind:clientWidth={width} class="mt-2">
	<svg {width} height={HEIGHT} viewBox="0 0 {width} {HEIGHT}" role="img" aria-label={label} class="block max-w-full">
		<line x1={x(low)} x2={x(high)} y1="30" y2="30" class="stroke-rule" />
		{#each marks as c (c)}
			<line x1={x(c)} x2={x(c)} y1="26" y2="34" class="stroke-faded" />
			<text x={x(c)} y="48" text-anchor="middle" class="fill-faded text-[13px]">{sayTemperature(c, units)}</text>
		{/each}
		<rect x={x(coldest[2])} y="22" width={Math.max(3, x(coldest[0]) - x(coldest[2]))} height="16" class="fill-frost opacity-60" />
		<line x1={x(coldest[0])} x2={x(coldest[0])} y1="18" y2="42" class="stroke-ink" stroke-width="2" />
		{#each shown as c (c)}
			<path d="M{x(c)} 20 l-5 -9 h10 z" class="fill-madder" />
		{/each}
	</svg>
</div>
