<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
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
			leaf: [texts.leaves, texts.leafLength(short.unit), ''],
			root: [texts.rootsOnThePlant, texts.lengthOfEach(short.unit), texts.thicknessMm],
			tuber: [texts.tubers, texts.soundOnes, texts.eyesOnTheirNecks],
			layer: [texts.lowShoots, texts.lengthOfEach(short.unit), texts.heightTheyLeaveThe(short.unit)],
			sucker: [texts.suckersThatLookSo, texts.distanceFromTheParent(short.unit), '']
		}[cut.draws as 'leaf' | 'root' | 'tuber' | 'sucker' | 'layer'] ?? [texts.howMany, '', '']
	);
</script>

<div class="mt-4 grid max-w-2xl grid-cols-2 gap-3 sm:grid-cols-3">
	<NumberBox label={names[0] ?? ''} bind:value={a} />
	{#if names[1]}<NumberBox label={names[1]} bind:value={b} />{/if}
	{#if names[2]}<NumberBox label={names[2]} bind:value={c} />{/if}
</div>
{#if cut.draws === 'sucker'}
	<fieldset class="mt-3 flex flex-wrap gap-3">
		<legend class="font-semibold">{texts.rakeTheMulchOff}</legend>
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
		{texts.groovesAcrossASeed(halves.rows, halves.inRow)}
		<strong>{halves.trays} {halves.trays === 1 ? texts.tray : texts.trays}</strong>{texts.andSomeToPrick(
			plural(halves.plantlets, texts.plantlets),
			tips.perPot,
			say(13),
			plural(tips.pots, texts.pots)
		)}
	</p>
{:else if cut.draws === 'root'}
	<p class="mt-3 max-w-prose text-lg">
		{texts.takeOfTheRoots(roots.mostRoots, say(roots.cm), roots.set === 'upright' ? texts.uprightTheEndThat : texts.flat)}
	</p>
{:else if cut.draws === 'layer'}
	<p class="mt-3 max-w-prose text-lg">
		{layered > 0 ? texts.theyReachUnderThe : texts.tooShortToReach(say(short.from(c)), say(25))}
	</p>
{:else}
	<p class="mt-3 max-w-prose text-lg">
		{tubers.thrownOut === 0
			? texts.eachHasAnEye
			: texts.withoutAnEye(
					plural(tubers.thrownOut, texts.pieces),
					tubers.thrownOut === 1 ? texts.goes : texts.go,
					tubers.thrownOut === 1 ? texts.it : texts.them
				)}
	</p>
{/if}
