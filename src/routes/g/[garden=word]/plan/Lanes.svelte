<script lang="ts">
	/**
	 * Each want a lane along the years: its batches as bodies whose width is how many there usually are, stage by stage, so
	 * that losses are seen; at the right end how sure it is.
	 */
	import { texts } from '$lib/messages/plan.js';
	import type { Snippet } from 'svelte';
	import { scaleLinear } from 'd3-scale';
	import StandingMark from '$lib/ui/StandingMark.svelte';
	import { tone } from '$lib/ui/tones.js';
	import { dayNumber, isoOf, sayDate } from '$lib/core/dates.js';
	import { sayWouldDo } from '$lib/core/joint/words.js';
	import { sayOddsAsked } from '$lib/core/odds/words.js';
	import { monthsOf } from '$lib/ui/strip.js';
	import type { Growing, WantPlanned } from '$lib/server/jointView.js';
	import type { Felt } from './hand.svelte.js';
	import { keyOf } from './says.js';

	interface Props {
		wants: readonly WantPlanned[];
		today: string;
		base: string;
		/** The batch in hand, by its key; null for none. */
		picked: string | null;
		onpick: (want: string, key: string) => void;
		/** Over another day, and let go there; '' where it was. */
		ondrag: (want: string, key: string, on: string) => void;
		onmove: (want: string, key: string, on: string) => void;
		/** What the batch under the finger would come to. */
		felt: Felt | null;
		/** What stands below the lane of the batch in hand. */
		editor: Snippet;
	}
	let { wants, today, base, picked, onpick, ondrag, onmove, felt, editor }: Props = $props();

	/** A body under the finger: so many days from where it stood. */
	let drag = $state<{ key: string; from: number; days: number } | null>(null);
	const moved = (b: Body) => (drag?.key === b.key ? x(first + drag.days) - x(first) : 0);
	function down(e: PointerEvent, b: Body) {
		if (!b.planned || e.button !== 0 || e.pointerType === 'touch') return;
		(e.currentTarget as Element).setPointerCapture(e.pointerId);
		drag = { key: b.key, from: e.clientX, days: 0 };
	}
	const dayAt = (b: Body, days: number) => isoOf(Math.max(first, dayNumber(b.stages[0]!.from) + days));
	function move(e: PointerEvent, w: WantPlanned, b: Body) {
		if (drag?.key !== b.key) return;
		const days = Math.round(((e.clientX - drag.from) / width) * (last - first));
		if (days === drag.days) return;
		drag = { ...drag, days };
		ondrag(w.id, b.key, dayAt(b, days));
	}
	function up(w: WantPlanned, b: Body) {
		const days = drag?.key === b.key ? drag.days : 0;
		drag = null;
		onmove(w.id, b.key, days === 0 ? '' : dayAt(b, days));
		if (days === 0) onpick(w.id, b.key);
	}

	let width = $state(640);
	/** A body at its widest, and the line of figures above it. */
	const BODY = 30;
	const FIGURES = 16;
	const ROW = BODY + FIGURES + 4;
	const first = $derived(dayNumber(today));
	const last = $derived(
		wants.reduce(
			(day, w) =>
				[...w.batches, ...w.growing].reduce(
					(d, b) => Math.max(d, dayNumber(b.stages.at(-1)?.until ?? today)),
					Math.max(day, dayNumber(w.due))
				),
			first + 180
		) + 20
	);
	const x = $derived(scaleLinear([first, last], [0, width]));
	/** Only months that have room for their names: else quarters, else years. */
	const step = $derived([1, 3, 6, 12].find((n) => (width / ((last - first) / 30.4)) * n > 52) ?? 12);
	const months = $derived(monthsOf(first, last).filter((m) => (Number(isoOf(m.day).slice(5, 7)) - 1) % step === 0));
	type Stages = Growing['stages'];
	interface Body {
		key: string;
		planned: boolean;
		stages: Stages;
	}
	/** In the order of their days, never wider than before: a winter falls into the stage that it interrupts. */
	function inOrder(stages: Stages): Stages {
		let most = Infinity;
		return [...stages]
			.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : b.count - a.count))
			.map((s) => ({ ...s, count: (most = Math.min(most, s.count)) }));
	}
	/** What grows already first, then what the plan adds. */
	const bodies = (w: WantPlanned): Body[] => [
		...w.growing.map((g) => ({ key: g.id, planned: false, stages: inOrder(g.stages) })),
		...w.batches.map((b) => ({ key: keyOf(b), planned: true, stages: inOrder(b.stages) }))
	];
	const most = (w: WantPlanned) => Math.max(w.target, 1, ...bodies(w).map((b) => b.stages[0]?.count ?? 0));

	/** Nothing is drawn before today. */
	const at = (day: string) => Math.max(0, x(dayNumber(day)));
	/** Corners of a body: as many as enter each stage, on the day that they do. */
	function outline({ stages }: Body, scale: number, middle: number): string {
		const corners = stages.map((s) => ({ x: at(s.from), h: Math.max(1.5, s.count * scale) / 2 }));
		const end = { x: Math.max(at(stages.at(-1)!.until), corners.at(-1)!.x) + 4, h: corners.at(-1)!.h };
		const all = [...corners, end];
		const top = all.map((p) => `${p.x.toFixed(1)},${(middle - p.h).toFixed(1)}`);
		const low = all.toReversed().map((p) => `${p.x.toFixed(1)},${(middle + p.h).toFixed(1)}`);
		return [...top, ...low].join(' ');
	}
	const rows = (w: WantPlanned) => bodies(w).map((b, i) => ({ b, middle: FIGURES + BODY / 2 + i * ROW }));
	const tall = (w: WantPlanned) => Math.max(1, bodies(w).length) * ROW;
	const spoken = (w: WantPlanned) =>
		w.batches.length === 0
			? w.growing.length
				? texts.nothingNewIsPlanned
				: texts.nothingGrowsOrIs
			: w.batches
					.map((b) =>
						(b.stages.at(-1)!.to === 'planted' ? texts.onUsuallyPlantedAbout : texts.onUsuallyReadyAbout)(
							b.pieces,
							b.pieces === 1 ? b.piece[0] : b.piece[1],
							sayDate(b.on),
							b.stages.at(-1)!.count,
							sayDate(b.stages.at(-1)!.from)
						)
					)
					.join('; ');
</script>

<div>
	<!-- As wide as a lane is, on a phone and on a desk. -->
	<div class="grid h-0 sm:grid-cols-[13rem_1fr_8.5rem] sm:gap-x-4" aria-hidden="true">
		<div class="sm:col-start-2" bind:clientWidth={width}></div>
	</div>
	<div class="hidden border-b border-ink sm:grid sm:grid-cols-[13rem_1fr_8.5rem] sm:gap-x-4" aria-hidden="true">
		<span></span>
		<div class="relative h-6">
			{#each months as m (m.day)}
				<span class="note absolute bottom-0 border-l border-rule pl-1 whitespace-nowrap" style:left="{x(m.day)}px"
					>{m.year ?? m.name}</span
				>
			{/each}
		</div>
		<span></span>
	</div>
	<ul>
		{#each wants as w (w.id)}
			<li class="grid grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-2 sm:grid-cols-[13rem_1fr_8.5rem]">
				<a href="{base}/wants/{w.id}" class="block leading-tight">
					<span class="font-head text-xl font-semibold">{w.target}</span> <span class="font-semibold">{w.name}</span>
					<span class="note block">{texts.by(w.label ? `${w.label}, ` : '', sayDate(w.due))}</span>
				</a>
				<div class="order-3 col-span-2 sm:order-none sm:col-span-1">
					<svg
						{width}
						height={tall(w)}
						viewBox="0 0 {width} {tall(w)}"
						role="img"
						aria-label={spoken(w)}
						class="block max-w-full"
					>
						{#each months as m (m.day)}
							<line x1={x(m.day)} x2={x(m.day)} y1="0" y2={tall(w)} stroke={tone('rule')} stroke-width="1" />
						{/each}
						{#each rows(w) as { b, middle } (b.key)}
							{@const scale = BODY / most(w)}
							{@const begin = b.stages[0]!}
							{@const end = b.stages.at(-1)!}
							<!-- The mouse's way; the buttons below the lane are everyone's. -->
							<polygon
								points={outline(b, scale, middle)}
								transform="translate({moved(b)} 0)"
								fill={b.planned ? tone('leaf') : tone('pane')}
								stroke={`${w.id} ${b.key}` === picked ? tone('catkin') : tone('leaf')}
								stroke-width={`${w.id} ${b.key}` === picked ? 3 : 1}
								class={b.planned ? 'cursor-ew-resize' : ''}
								onpointerdown={(e) => down(e, b)}
								onpointermove={(e) => move(e, w, b)}
								onpointerup={() => b.planned && drag && up(w, b)}
								onpointercancel={() => ((drag = null), onmove(w.id, b.key, ''))}
								role="presentation"
							/>
							{#each b.stages.slice(1) as s, i (i)}
								<line
									x1={at(s.from)}
									x2={at(s.from)}
									y1={middle - Math.max(1, s.count * scale) / 2}
									y2={middle + Math.max(1, s.count * scale) / 2}
									stroke={b.planned ? tone('field') : tone('leaf')}
									stroke-width="1.5"
								/>
							{/each}
							<text x={at(begin.from)} y={middle - Math.max(1.5, begin.count * scale) / 2 - 4} font-size="13" fill={tone('ink')}
								>{begin.count}</text
							>
							{#if end !== begin}
								<text
									x={Math.min(width - 18, at(end.until) + 8)}
									y={middle + 5}
									font-size="13"
									font-weight="600"
									fill={tone('ink')}>{end.count}</text
								>
							{/if}
						{/each}
						<line
							x1={x(dayNumber(w.due))}
							x2={x(dayNumber(w.due))}
							y1="0"
							y2={tall(w)}
							stroke={tone('catkin-deep')}
							stroke-width="2"
							stroke-dasharray="4 3"
						/>
					</svg>
				</div>
				<div class="order-2 text-right sm:order-none sm:text-left">
					{#if drag && felt?.want === w.id}
						<p class={felt.standing ? 'font-head text-lg leading-tight font-semibold' : 'note text-madder'}>{felt.says}</p>
						{#if felt.standing}<StandingMark word={felt.standing} />{/if}
						<p class="note">{texts.struckOn(felt.on)}</p>
						{#each felt.clashes as clash (clash)}<p class="note text-madder">{clash}</p>{/each}
					{:else}
						<p class="font-head text-lg leading-tight font-semibold">{sayOddsAsked(w.odds, w.confidence)}</p>
						<StandingMark word={w.standing} />
					{/if}
					{#if w.buys}<p class="note">{texts.toBuy(w.buys)}</p>{/if}
					{#if w.instead && w.standing !== 'in hand'}<p class="note">{sayWouldDo(w, w.instead, w.instead.odds)}.</p>{/if}
				</div>
				{#if w.batches.length}
					<div class="order-4 col-span-2 flex flex-wrap gap-x-4 sm:order-none sm:col-span-3">
						{#each w.batches as b (keyOf(b))}
							<button
								type="button"
								class="note min-h-11 cursor-pointer underline underline-offset-4"
								aria-expanded={picked === `${w.id} ${keyOf(b)}`}
								onclick={() => onpick(w.id, keyOf(b))}
								>{texts.onChange(b.pinned ? texts.byHand : '', b.pieces, sayDate(b.on))}</button
							>
						{/each}
					</div>
					{#if w.batches.some((b) => `${w.id} ${keyOf(b)}` === picked)}
						<div class="order-5 col-span-2 sm:order-none sm:col-span-3">{@render editor()}</div>
					{/if}
				{/if}
			</li>
		{/each}
	</ul>
</div>
