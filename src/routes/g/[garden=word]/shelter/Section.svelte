<script lang="ts">
	/**
	 * A shelf in section, to scale along its length: each plant as wide as the room it takes, as tall as it is. Dragged, or
	 * picked up and put down by the keys, it is tried elsewhere; the list below says the same in words.
	 */
	import { texts } from '$lib/messages/shelter.js';
	import { dndzone, SHADOW_PLACEHOLDER_ITEM_ID } from 'svelte-dnd-action';
	import type { DndEvent } from 'svelte-dnd-action';
	import { sayOdds } from '$lib/core/odds/words.js';
	import { sayLength } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { areaOfStanding } from './arrangement.js';
	import type { Standing } from './arrangement.js';

	interface Item extends Standing {
		id: string;
	}
	interface Props {
		name: string;
		here: readonly Standing[];
		roomCm2: number | null;
		usedCm2: number;
		depthCm: number;
		units: UnitChoice;
		onput: (id: string, count: number) => void;
	}
	let { name, here, roomCm2, usedCm2, depthCm, units, onput }: Props = $props();

	/** svelte-dnd-action wants a list that it may rearrange. */
	let items = $derived<Item[]>(here.map((s) => ({ ...s, id: s.lodger.id })));
	/** What is drawn: the room there is, or as much as stands there where that is more or not known. */
	const whole = $derived(Math.max(roomCm2 ?? 0, usedCm2, 1));
	const TALLEST_PX = 92;
	/** More of one are drawn as so many, each the wider. */
	const MOST_POTS = 12;
	const tallest = $derived(Math.max(60, ...here.map((s) => s.lodger.tallCm)));
	const length = $derived(roomCm2 === null ? null : sayLength(roomCm2 / depthCm, units));
	function finalize(e: CustomEvent<DndEvent<Item>>) {
		items = e.detail.items;
		const { id, trigger } = e.detail.info;
		const dropped = items.find((i) => i.id === id);
		if (trigger === 'droppedIntoZone' && dropped && !here.some((s) => s.lodger.id === id)) onput(id, dropped.keeps);
	}
	const said = (s: Standing) => `${s.lodger.name}${s.lodger.count > 1 ? `, ${s.lodger.count}` : ''}: ${sayOdds(s.chance)}`;
</script>

<div class="no-print mt-2">
	<ul
		class="flex min-h-[104px] items-end border-b-4 border-ink bg-pane"
		aria-label={texts.inSection(name)}
		use:dndzone={{
			items,
			type: 'winter',
			flipDurationMs: 120,
			dropTargetStyle: {},
			dropTargetClasses: ['outline-2', 'outline-catkin'],
			centreDraggedOnCursor: true
		}}
		onconsider={(e) => (items = e.detail.items)}
		onfinalize={finalize}
	>
		{#each items as s (s.id)}
			<li
				class="flex min-w-6 shrink flex-col items-center justify-end overflow-hidden px-px {s.id === SHADOW_PLACEHOLDER_ITEM_ID
					? 'opacity-40'
					: ''}"
				style="width: {(100 * areaOfStanding(s)) / whole}%"
				aria-label={said(s)}
				title={said(s)}
			>
				<span
					class="block max-w-full truncate text-[0.75rem] {s.chance < 0.5 ? 'font-bold text-madder' : 'text-faded'}"
					aria-hidden="true">{s.lodger.code ?? s.lodger.name.split(',')[0]}</span
				>
				<span class="flex w-full items-end" aria-hidden="true">
					{#each { length: Math.min(MOST_POTS, Math.max(1, Math.round((s.lodger.vessels * s.keeps) / s.lodger.count))) } as _, i (i)}
						<span class="flex min-w-0 flex-1 flex-col items-center px-px">
							<span
								class="block w-4/5 rounded-t-full border-2 {s.chance < 0.5
									? 'border-dashed border-madder'
									: 'border-transparent bg-leaf/70'}"
								style="height: {Math.max(10, (s.lodger.tallCm / tallest) * TALLEST_PX - 14)}px"
							></span>
							<span class="block h-3 w-full bg-bottle"></span>
						</span>
					{/each}
				</span>
			</li>
		{/each}
	</ul>
	<p class="mt-1 text-[0.75rem] text-faded" aria-hidden="true">
		{#if length}{texts.alongDeep(length, sayLength(depthCm, units))}{:else}{texts.roomNotToldDrawn}{/if}
	</p>
</div>
