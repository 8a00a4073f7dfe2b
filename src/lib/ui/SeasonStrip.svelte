<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import DayInput from './DayInput.svelte';
	import { sayNumber } from '$lib/core/numbers.js';
	import { sayThat } from '$lib/core/odds/words.js';
	/**
	 * The garden's year from three months back to fifteen ahead: frost odds as ground, day length as a
	 * line, temperature as seen and as usual, windows of what is looked at, batches and wants as lanes,
	 * today. The mark is dragged, moved by keys or set by a date; every screen then shows that day.
	 */
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { scaleLinear } from 'd3-scale';
	import { area, curveMonotoneX, line } from 'd3-shape';
	import { dayNumber, isoOf, sayDate } from '$lib/core/dates.js';
	import { frostOdds } from '$lib/core/season/frost.js';
	import { dayLength } from '$lib/core/season/solar.js';
	import { sayTemperature } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { Climate } from '$lib/core/season/climate.js';
	import { MOST_ROWS } from '$lib/core/season/lanes.js';
	import type { Lane } from '$lib/core/season/lanes.js';
	import { addressWithDay, DAYS_AHEAD, DAYS_BACK, monthsOf, weeksOf } from './strip.js';

	interface Props {
		units: UnitChoice;
		climate: Climate;
		today: string;
		viewed: string;
		/** As the server packed them: those that are drawn, each with its row. */
		lanes: (Lane & { row: number })[];
		weather: { usual: Temperatures[]; seen: Temperatures[]; toldFrom: number };
		/** Windows of the thing on the page below: suitability every four days. */
		windows: { label: string; from: number; values: number[] }[];
		/** Coldest of each week inside the place on the page below. */
		inside?: { name: string; low: { day: number; low: number }[] } | null;
		base: string;
		/** Time is not the question of this screen: a line, until it is opened. */
		still: boolean;
	}
	interface Temperatures {
		day: number;
		low: number;
		high: number;
	}
	// Its temperatures are said as the garden has them.
	let { units, climate, today, viewed, lanes, weather, windows, inside = null, base, still }: Props = $props();

	const uid = $props.id();
	const WINDOW = 14;
	const STEP = 4;
	const ROW = 5;

	/** As wide as a computer's, until it is measured: what is drawn is pressed together where there is less room. */
	let width = $state(1180);
	/** At rest it is a band; opened by a touch, a drag, a key or its button, it stays open until it is closed. */
	let open = $state(false);
	const TOP = $derived(open ? 16 : 12);
	const GROUND = $derived(open ? 60 : inside ? 34 : 14);
	let dragging = $state(false);
	let dragged = $state<number | null>(null);

	const now = $derived(dayNumber(today));
	const first = $derived(now - DAYS_BACK);
	const last = $derived(now + DAYS_AHEAD);
	const x = $derived(scaleLinear([first, last], [0, width]));
	const weeks = $derived(weeksOf(climate, first, last));
	const months = $derived(monthsOf(first, last));
	const rows = $derived(lanes);
	const rowCount = $derived(Math.min(MOST_ROWS, Math.max(0, ...rows.map((r) => r.row + 1))));
	const lanesTop = $derived(TOP + GROUND + 4 + windows.length * WINDOW);
	const height = $derived(open ? lanesTop + rowCount * ROW + 4 : TOP + GROUND + 2);
	// The scale of temperature leaves a margin for what is colder or warmer than usual.
	const y = $derived(
		scaleLinear(
			[Math.min(...weather.usual.map((w) => w.low)) - 6, Math.max(...weather.usual.map((w) => w.high)) + 6],
			[TOP + GROUND, TOP + 2]
		).clamp(true)
	);
	const usualBand = $derived(
		area<Temperatures>()
			.x((w) => x(w.day))
			.y0((w) => y(w.low))
			.y1((w) => y(w.high))
			.curve(curveMonotoneX)(weather.usual) ?? ''
	);
	const seenLine = (of: 'low' | 'high', told: boolean) =>
		line<Temperatures>(
			(w) => x(w.day),
			(w) => y(w[of])
		)(weather.seen.filter((w) => (told ? w.day >= weather.toldFrom - 1 : w.day < weather.toldFrom))) ?? '';
	const windowPaths = $derived(
		windows.map((w, row) => {
			const floor = TOP + GROUND + 4 + (row + 1) * WINDOW - 3;
			return {
				label: w.label,
				floor,
				d:
					area<number>()
						.x((_, i) => x(w.from + i * STEP))
						.y0(floor)
						.y1((v) => floor - v * (WINDOW - 5))(w.values) ?? ''
			};
		})
	);
	const insideLine = $derived(
		inside
			? (line<{ day: number; low: number }>()
					.x((w) => x(w.day))
					.y((w) => y(w.low))
					.curve(curveMonotoneX)(inside.low) ?? '')
			: ''
	);
	const sayInside = (day: number) => {
		const w = inside?.low.findLast((l) => l.day - 3 <= day);
		return inside && w ? texts.downToThatWeek(inside.name, sayTemperature(w.low, units)) : '';
	};
	const sayWindows = (day: number) =>
		windows
			.map((w) => ({ label: w.label, v: w.values[Math.round((day - w.from) / STEP)] ?? 0 }))
			.filter((w) => w.v >= 0.5)
			.map((w) => texts.open(w.label))
			.join('');
	const lightLine = $derived(
		line<{ day: number; hours: number }>(
			(w) => x(w.day),
			(w) => TOP + GROUND - (w.hours / 24) * GROUND
		)(weeks) ?? ''
	);
	const mark = $derived(dragged ?? dayNumber(viewed));
	const at = $derived(
		texts.dayTold(
			sayDate(isoOf(mark)),
			climate.lastFrost ? sayThat(frostOdds(mark, climate), texts.theSeasonsFrostsHave) : texts.noFrostIsKnown,
			sayNumber(dayLength(climate.latitude, climate.longitude, mark), 1),
			`${sayWindows(mark)}${sayInside(mark)}`
		)
	);

	let svg: SVGSVGElement;
	const dayAt = (clientX: number) => {
		const box = svg.getBoundingClientRect();
		return Math.round(Math.min(last, Math.max(first, x.invert(((clientX - box.left) / box.width) * width))));
	};
	async function show(day: number) {
		dragged = day;
		await goto(addressWithDay(page.url, day === now ? null : day), {
			keepFocus: true,
			noScroll: true,
			replaceState: true
		});
		dragged = null;
	}
	let later: ReturnType<typeof setTimeout> | undefined;
	function byKey(event: KeyboardEvent) {
		const step: Record<string, number> = {
			ArrowRight: event.shiftKey ? 7 : 1,
			ArrowLeft: event.shiftKey ? -7 : -1,
			PageUp: 30,
			PageDown: -30
		};
		let day = mark;
		if (event.key === 'Home') day = now;
		else if (step[event.key] !== undefined) day += step[event.key]!;
		else return;
		event.preventDefault();
		open = true;
		dragged = Math.min(last, Math.max(first, day));
		clearTimeout(later);
		later = setTimeout(() => void show(dragged ?? now), 250);
	}
</script>

<section class="no-print border-b border-rule bg-pane" aria-label={texts.seasonStrip}>
	<div class="mx-auto max-w-[1240px] px-4">
		<div class="flex items-center justify-between gap-3 text-note sm:py-0.5">
			<p class="min-w-0 truncate" aria-live="polite">
				{#if mark === now}<strong class="font-semibold">{texts.today}</strong>, {at}{:else}<strong
						class="bg-catkin px-1 font-semibold text-night">{texts.lookingAt}</strong
					>
					{at}{/if}
			</p>
			<div class="relative z-10 flex shrink-0 items-center gap-2">
				{#if mark !== now}
					<button class="min-h-8 px-2 font-semibold text-leaf underline" onclick={() => show(now)}>{texts.backToToday}</button>
				{/if}
				<div class="hidden items-center gap-1 sm:flex">
					<DayInput
						aria-label={texts.showDay}
						class="w-36"
						slim
						value={isoOf(mark)}
						min={isoOf(first)}
						max={isoOf(last)}
						onday={(d) => {
							if (dayNumber(d) >= first && dayNumber(d) <= last) void show(dayNumber(d));
						}}
					/>
				</div>
				<button
					class="min-h-7 px-2 font-semibold text-leaf underline max-sm:min-h-11"
					aria-expanded={open}
					onclick={() => (open = !open)}>{open ? texts.closeTheYear : texts.theYear}</button
				>
			</div>
		</div>
		<div bind:clientWidth={width} class="{open ? 'pb-1' : ''} {still && !open && !inside ? 'hidden' : ''}">
			<svg
				bind:this={svg}
				{width}
				{height}
				viewBox="0 0 {width} {height}"
				preserveAspectRatio="none"
				class="block max-w-full touch-none select-none cursor-ew-resize {open
					? ''
					: 'max-sm:-mt-4 max-sm:box-content max-sm:pt-4'}"
				role="slider"
				tabindex="0"
				aria-label={texts.dayShownOnAll}
				aria-valuemin={first}
				aria-valuemax={last}
				aria-valuenow={mark}
				aria-valuetext={at}
				onkeydown={byKey}
				onpointerdown={(e) => {
					dragging = true;
					open = true;
					svg.setPointerCapture(e.pointerId);
					dragged = dayAt(e.clientX);
				}}
				onpointermove={(e) => {
					if (dragging) dragged = dayAt(e.clientX);
				}}
				onpointerup={() => {
					if (!dragging) return;
					dragging = false;
					void show(dragged ?? now);
				}}
				onpointercancel={() => {
					dragging = false;
					dragged = null;
				}}
			>
				<defs>
					<linearGradient id="frost-{uid}">
						{#each weeks as w (w.day)}<stop
								offset={(w.day + 3 - first) / (last - first)}
								stop-color="var(--color-frost)"
								stop-opacity={0.04 + w.frost * 0.5}
							/>{/each}
					</linearGradient>
				</defs>
				<rect x="0" y={TOP} {width} height={GROUND} fill="url(#frost-{uid})" />
				{#if open}
					<path d={usualBand} fill="var(--color-faded)" fill-opacity="0.16" />
					<line x1="0" x2={width} y1={y(0)} y2={y(0)} stroke="var(--color-frost)" stroke-width="0.75" stroke-dasharray="2 4" />
					<path d={seenLine('high', false)} fill="none" stroke="var(--color-catkin-deep)" stroke-width="1" />
					<path d={seenLine('low', false)} fill="none" stroke="var(--color-frost)" stroke-width="1" />
					<path
						d={seenLine('high', true)}
						fill="none"
						stroke="var(--color-catkin-deep)"
						stroke-width="1.5"
						stroke-dasharray="2 1.5"
					/>
					<path d={seenLine('low', true)} fill="none" stroke="var(--color-frost)" stroke-width="1.5" stroke-dasharray="2 1.5" />
					<path
						d={lightLine}
						fill="none"
						stroke="var(--color-catkin-deep)"
						stroke-width="1.5"
						stroke-dasharray="1 3"
						stroke-linecap="round"
					/>
				{/if}
				{#if inside}
					<path d={insideLine} fill="none" stroke="var(--color-madder)" stroke-width="2" />
				{/if}
				{#each months as m (m.day)}
					<line x1={x(m.day)} x2={x(m.day)} y1={TOP - 3} y2={TOP + GROUND} stroke="var(--color-rule)" />
					<text
						x={x(m.day) + 3}
						y={TOP - (open ? 5 : 3)}
						font-size={open ? 12 : 10}
						fill={m.year ? 'var(--color-ink)' : 'var(--color-faded)'}
						font-weight={m.year ? 700 : 400}>{width < 700 ? m.name[0] : m.year ? `${m.name} ${m.year}` : m.name}</text
					>
				{/each}
				{#if open}
					{#each windowPaths as w, i (i)}
						<line x1="0" x2={width} y1={w.floor} y2={w.floor} stroke="var(--color-leaf)" stroke-width="0.5" />
						<path d={w.d} fill="var(--color-leaf)" fill-opacity="0.8" />
						<!-- On a slip of its own: the hill behind would show between its words. -->
						<rect x="0" y={w.floor - WINDOW + 3} width={w.label.length * 5.6 + 8} height={WINDOW - 4} fill="var(--color-pane)" />
						<text x="3" y={w.floor - 2} font-size="11" fill="var(--color-ink)">{w.label}</text>
					{/each}
					{#each rows as r (r.code)}
						{#if r.row < MOST_ROWS}
							{@const left = x(Math.max(first, r.from))}
							{@const right = x(Math.min(last, r.to))}
							<g transform="translate({left}, {lanesTop + r.row * ROW})">
								<title>{r.label}</title>
								{#if r.kind === 'want'}
									<line x2={right - left} y1="1.5" y2="1.5" stroke="var(--color-ink)" stroke-width="0.75" />
									{#if r.to <= last}<path
											d="M {right - left} -1 l 3 3 l -3 3 l -3 -3 Z"
											fill="var(--color-catkin)"
											stroke="var(--color-ink)"
										/>{/if}
								{:else}
									<rect
										width={Math.max(3, right - left)}
										height="3"
										fill={r.kind === 'planned' ? 'none' : 'var(--color-leaf)'}
										stroke="var(--color-leaf)"
										stroke-width={r.kind === 'planned' ? 1 : 0}
										stroke-dasharray={r.kind === 'planned' ? '3 2' : undefined}
									/>
								{/if}
							</g>
						{/if}
					{/each}
				{/if}
				<line x1={x(now)} x2={x(now)} y1={TOP - 2} y2={height} stroke="var(--color-bottle)" stroke-width="1.5" />
				<g transform="translate({x(mark)}, 0)">
					<line y1={TOP - 4} y2={height} stroke="var(--color-catkin-deep)" stroke-width="2" />
					<path
						d="M -7 0 L 7 0 L 7 {TOP / 2} L 0 {TOP} L -7 {TOP / 2} Z"
						fill="var(--color-catkin)"
						stroke="var(--color-ink)"
						stroke-width="1"
					/>
				</g>
			</svg>
			{#if open}
				<p class="flex flex-wrap gap-x-4 text-[0.75rem] text-faded">
					<span><span class="inline-block h-2 w-4 bg-frost/60"></span> {texts.frostLikely}</span>
					<span
						><span class="inline-block w-4 border-t-2 border-dotted border-catkin-deep align-middle"></span>
						{texts.lengthOfDay}</span
					>
					<span><span class="inline-block h-[3px] w-4 bg-leaf align-middle"></span> {texts.batchStrikeToPlanting}</span>
					<span><span class="inline-block h-[5px] w-4 border border-dashed border-leaf align-middle"></span> {texts.planned}</span
					>
					<span
						><span class="mr-1 inline-block size-2 rotate-45 border border-ink bg-catkin align-middle"
						></span>{texts.wantedBy}</span
					>
					<span><span class="inline-block h-2 w-4 bg-faded/20 align-middle"></span> {texts.usualTemperature}</span>
					{#if inside}<span
							><span class="inline-block w-4 border-t-2 border-madder align-middle"></span>
							{texts.coldestOfTheWeek(inside.name)}</span
						>{/if}
					<span
						><span class="inline-block w-4 border-t-2 border-catkin-deep align-middle"></span><span
							class="inline-block w-4 border-t-2 border-frost align-middle"
						></span>
						{texts.daysAndNightsAs}</span
					>
					<span class="ml-auto flex gap-4"
						><a class="inline-flex min-h-6 items-center underline underline-offset-2 max-sm:min-h-11" href="{base}/weather"
							>{texts.weather}</a
						><a class="inline-flex min-h-6 items-center underline underline-offset-2 max-sm:min-h-11" href="{base}/year"
							>{texts.theYearOnOne}</a
						></span
					>
				</p>
			{/if}
		</div>
	</div>
</section>
