<script lang="ts">
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Radio from 'flowbite-svelte/Radio.svelte';
	/** Leaves, roots, suckers and tubers: a few counts and what they come to. */
	import { plural } from '$lib/ui/say.js';
	import { untrack } from 'svelte';
	import type { Cut } from '$lib/core/handbook/benchSchema.js';
	import { byEyes } from '$lib/core/material/clump.js';
	import { leafHalves, leafTips } from '$lib/core/material/leaves.js';
	import { layers, rootPieces, sucker } from '$lib/core/material/lengths.js';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	interface Props {
		cut: Cut;
		tray: { lengthCm: number; widthCm: number };
		chance: number;
		units: UnitChoice;
		say: (cm: number) => string;
		onresult: (pieces: number, expected: number) => void;
	}
	let { cut, tray, chance, units, say, onresult }: Props = $props();
	const short = $derived(shortMeasure(units));
	let a = $state(6);
	let b = $state(
		untrack(() =>
			cut.draws === 'leaf'
				? short.shown(cut.cm?.[1] ?? 12, 0)
				: cut.draws === 'root'
					? short.shown(20, 0)
					: cut.draws === 'layer'
						? short.shown(60, 0)
						: 5
		)
	);
	let c = $state(6);
	let tug = $state<'resists' | 'gives'>('resists');
	const whole = (n: number, most: number) => Math.max(0, Math.min(most, Math.floor(n || 0)));
	const halves = $derived(leafHalves(whole(a, 500), Math.max(0, short.from(b)), tray, chance));
	const tips = $derived(leafTips(whole(a, 500), 13));
	const roots = $derived(rootPieces(whole(a, 500), Math.max(0, short.from(b)), c));
	const tubers = $derived(byEyes({ all: whole(a, 500), sound: whole(b, 500), eyes: whole(c, 2000), each: 1 }));
	const layered = $derived(whole(a, 500) * layers([{ lengthCm: short.from(b), heightCm: short.from(c) }]));
	const verdict = $derived(sucker(tug, Math.max(0, short.from(b))));
	const pieces = $derived(
		cut.draws === 'leaf'
			? halves.pieces
			: cut.draws === 'root'
				? roots.pieces
				: cut.draws === 'tuber'
					? tubers.count
					: cut.draws === 'layer'
						? layered
						: verdict.take
							? whole(a, 500)
							: 0
	);
	$effect(() => onresult(pieces, pieces * chance));
	const names = $derived(
		{
			leaf: ['Leaves', `Leaf length, ${short.unit}`, ''],
			root: ['Roots on the plant', `Length of each, ${short.unit}`, 'Thickness, mm'],
			tuber: ['Tubers', 'Sound ones', 'Eyes on their necks'],
			layer: ['Low shoots', `Length of each, ${short.unit}`, `Height they leave the plant, ${short.unit}`],
			sucker: ['Suckers that look so', `Distance from the parent, ${short.unit}`, '']
		}[cut.draws as 'leaf' | 'root' | 'tuber' | 'sucker' | 'layer'] ?? ['How many', '', '']
	);
</script>

<div class="mt-4 grid max-w-2xl grid-cols-2 gap-3 sm:grid-cols-3">
	<NumberBox label={names[0] ?? ''} bind:value={a} />
	{#if names[1]}<NumberBox label={names[1]} bind:value={b} />{/if}
	{#if names[2]}<NumberBox label={names[2]} bind:value={c} />{/if}
</div>
{#if cut.draws === 'sucker'}
	<fieldset class="mt-3 flex flex-wrap gap-3">
		<legend class="font-semibold">Rake the mulch off and tug. It</legend>
		{#each ['resists', 'gives'] as const as t (t)}<Radio
				name="tug"
				value={t}
				bind:group={tug}
				classes={{ label: 'border border-rule px-3' }}>{t}</Radio
			>{/each}
	</fieldset>
	<p class="mt-3 max-w-prose text-lg">{verdict.say}</p>
{:else if cut.draws === 'leaf'}
	<p class="mt-3 max-w-prose text-lg">
		{halves.rows} grooves across a seed tray, {halves.inRow} halves in each:
		<strong>{halves.trays} {halves.trays === 1 ? 'tray' : 'trays'}</strong>, and some {plural(halves.plantlets, [
			'plantlet',
			'plantlets'
		])} to prick off. Or as tips: {tips.perPot} round a {say(13)} pot, {plural(tips.pots, ['pot', 'pots'])}.
	</p>
{:else if cut.draws === 'root'}
	<p class="mt-3 max-w-prose text-lg">
		Take {roots.mostRoots} of the roots and leave two thirds on the plant. Lengths of {say(roots.cm)}, set {roots.set ===
		'upright'
			? 'upright, the end that was nearest the crown on top'
			: 'flat'}.
	</p>
{:else if cut.draws === 'layer'}
	<p class="mt-3 max-w-prose text-lg">
		{layered > 0
			? 'They reach: under the ground and the tip up again.'
			: `Too short to reach: from the plant to the ground takes ${say(short.from(c))}, and ${say(25)} more to lie under and come up again.`}
	</p>
{:else}
	<p class="mt-3 max-w-prose text-lg">
		{tubers.thrownOut === 0
			? 'Each has an eye and is sound: none is thrown out.'
			: `${plural(tubers.thrownOut, ['piece', 'pieces'])} without an eye or not sound ${tubers.thrownOut === 1 ? 'goes' : 'go'} out: nothing would ever shoot from ${tubers.thrownOut === 1 ? 'it' : 'them'}.`}
	</p>
{/if}
