<script lang="ts">
	/** Where the plants of a stock stand: tapped on the drawing, moved by the arrow keys, or typed. */
	import { texts } from '$lib/messages/ground.js';
	import Act from '$lib/ui/Act.svelte';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import LinesField from '$lib/ui/LinesField.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { readRows } from '$lib/core/ground/index.js';
	import type { Point } from '$lib/core/ground/index.js';
	import { longMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { untrack } from 'svelte';
	import type { PageData } from './$types';

	interface Props {
		stock: PageData['bed']['stands'][number];
		bed: PageData['bed'];
		units: UnitChoice;
		today: string;
		ondone: () => void;
	}
	let { stock, bed, units, today, ondone }: Props = $props();
	const long = $derived(longMeasure(units));
	/** Taps and keys go by steps of so much, m. */
	const STEP = 0.05;
	const shown = (m: number) => String(Math.round(long.shown(m) * 100) / 100);
	const lines = (at: readonly Point[]) => at.map((p) => p.map(shown).join('  ')).join('\n');
	let typed = $state(untrack(() => lines(stock.at)));
	const read = $derived(readRows(typed, 2, long.read, 'at'));
	const at = $derived((read.ok ? read.value : []) as Point[]);
	/** In the order of the list, this one as it is typed. */
	const drawn = $derived(bed.stands.map((s) => (s.id === stock.id ? { ...s, at } : s)));
	let svg = $state<SVGSVGElement | null>(null);

	const stepped = (m: number) => Math.round(m / STEP) * STEP;
	function put(e: MouseEvent) {
		const to = svg?.getScreenCTM()?.inverse();
		if (!to || at.length >= stock.count || !read.ok) return;
		// Pressed by a key: in the middle of the drawing, and on from there by the arrows.
		const box = svg!.getBoundingClientRect();
		const by = e.detail === 0 ? { x: box.x + box.width / 2, y: box.y + box.height / 2 } : { x: e.clientX, y: e.clientY };
		const p = new DOMPoint(by.x, by.y).matrixTransform(to);
		typed = lines([...at, [stepped(p.x), stepped(-p.y)]]);
	}
	const ARROWS: Record<string, Point> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
	function nudge(e: KeyboardEvent) {
		const by = ARROWS[e.key];
		const last = at.at(-1);
		if (!by || !last) return;
		e.preventDefault();
		typed = lines([...at.slice(0, -1), [stepped(last[0] + by[0] * STEP), stepped(last[1] + by[1] * STEP)]]);
	}
</script>

<div class="mt-2 grid gap-6 lg:grid-cols-2">
	<div>
		<div class="relative">
			<BedDrawing
				outline={bed.ground!.outline}
				holes={bed.ground!.holes}
				stands={drawn}
				{units}
				say="{bed.name} from above: {at.length} of {stock.count} {stock.name} set"
				bind:svg
			/>
			<button
				type="button"
				class="absolute inset-0 cursor-crosshair bg-transparent"
				aria-label={texts.setOneWhereYou}
				onclick={put}
				onkeydown={nudge}
			></button>
		</div>
		<p class="mt-1" aria-live="polite">
			{texts.ofSet(at.length, stock.count)}
			{#if at.length > 0}<Act onclick={() => (typed = lines(at.slice(0, -1)))}>{texts.takeTheLastBack}</Act>{/if}
		</p>
	</div>
	<EntryForm
		action="?/set"
		submit={texts.keepThesePlaces}
		{today}
		noted={false}
		quiet
		seen={{ id: stock.id, version: stock.version }}
		{ondone}
	>
		<input type="hidden" name="stock" value={stock.id} />
		<LinesField label={texts.whereEachStands(long.unit)} name="at" bind:value={typed} rows={5} hint={texts.oneALineHowFar} />
		{#if !read.ok}<Note tone="harm">{read.problem.sentence}</Note>{/if}
	</EntryForm>
</div>
