<script lang="ts">
	import { texts } from '$lib/messages/handbook.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	// Who: at the bench, one hand wet, phone propped up. Question: what exactly do I do now? Computed: the piece
	// to scale in one's own units, by the school chosen. Biggest: the step and the drawing. At 390 px: one step a
	// screen, with the drawing above it.
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import Drawing from '$lib/ui/Drawing.svelte';
	import { startClock } from '$lib/ui/clocks.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const g = $derived(data.guide);
	const base = $derived(`/g/${data.garden.slug}`);
	// The cautions come before the first cut, but not in the way twice: seen once in this browser they wait above.
	// Other cautions than those are new ones: the mark names what was read.
	const SEEN = $derived(`surculus:cautions:${g.kind.id}/${g.way.id}:${g.steps[0]!.say.length}`);
	let at = $derived(browser && localStorage.getItem(SEEN) ? 1 : 0);
	const step = $derived(g.steps[Math.min(at, g.steps.length - 1)]!);
	function go(to: number) {
		if (at === 0) localStorage.setItem(SEEN, '1');
		at = Math.max(0, Math.min(g.steps.length - 1, to));
	}
	const side = (id: string, on: boolean) =>
		`?${[...[...page.url.searchParams].filter(([key]) => key !== id), [id, on ? '1' : '0']].map(([k, v]) => `${k}=${v}`).join('&')}`;
	const minutes = (m: number) =>
		m < 120 ? texts.minutes(m) : m % 1440 === 0 ? texts.day(m / 1440, m === 1440 ? '' : 's') : texts.hours(m / 60);
</script>

<svelte:head><title>{texts.howToCut(g.kind.common, g.way.name)}</title></svelte:head>
<Trail to="{base}/handbook/{g.kind.id}" name={g.kind.common} />
<div class="mt-1 flex flex-wrap items-end justify-between gap-4 border-b border-ink pb-3">
	<div>
		<h1>{g.kind.common}: {g.way.name}</h1>
		<p class="text-faded italic">{g.kind.botanical}</p>
	</div>
	<Act class="no-print" href="{base}/guide/{g.kind.id}/{g.way.id}/page.pdf{data.query}">{texts.onePageToPrint}</Act>
</div>
{#if g.protection}<Note tone="now" class="mt-3">{g.protection}</Note>{/if}
<div class="mt-5 grid gap-8 md:grid-cols-[1.1fr_1fr]">
	<div>
		<Drawing drawing={g.drawing} class="max-h-[46vh] md:max-h-[62vh]" />
		<p class="note mt-2">
			{texts.drawnToScaleFrom(g.sources === 'practice' ? texts.commonPracticeNoSource : texts.fromMemory)}
		</p>
	</div>
	<div class="flex flex-col">
		<section aria-live="polite" class="border-t-4 {step.caution ? 'border-madder' : 'border-catkin'} bg-pane p-4 md:min-h-64">
			<p class="note">{texts.stepOf(Math.min(at, g.steps.length - 1) + 1, g.steps.length)}</p>
			<h2 class="mt-1 font-head text-2xl font-semibold">{step.title}</h2>
			<p class="mt-2 max-w-prose text-xl leading-relaxed" data-testid="step">{step.say}</p>
			{#if step.clock}
				<Act class="mt-4" onclick={() => startClock(base, `${g.kind.common}: ${step.clock!.say}`, step.clock!.minutes)}
					>{texts.startAClock(minutes(step.clock.minutes))}</Act
				>
			{/if}
		</section>
		<div class="no-print mt-3 flex gap-3">
			<Act class="flex-1" onclick={() => go(at - 1)} disabled={at === 0}>{texts.back}</Act>
			<Act main class="flex-1" onclick={() => go(at + 1)} disabled={at >= g.steps.length - 1}>{texts.next}</Act>
		</div>
		<ol class="no-print mt-5 hidden list-decimal space-y-1 pl-6 md:block">
			{#each g.steps as s, i (i)}<li class={i === at ? 'font-semibold' : 'text-faded'}>
					<button class="min-h-8 text-left underline-offset-4 hover:underline" onclick={() => go(i)}>{s.title}</button>
				</li>{/each}
		</ol>
	</div>
</div>
{#if g.schools.length}
	<section class="mt-8">
		<h2 class="border-b border-ink pb-1">{texts.whereGrowersDisagreeChoose}</h2>
		<ul class="ruled">
			{#each g.schools as s (s.id)}
				<li class="grid gap-3 py-3 md:grid-cols-[14rem_1fr_1fr]">
					<p class="font-semibold">{s.question}</p>
					{#each [true, false] as on (on)}
						<a
							href={side(s.id, on)}
							data-sveltekit-noscroll
							aria-current={s.on === on ? 'true' : undefined}
							class="border px-3 py-2 text-ink {s.on === on ? 'border-2 border-bottle bg-pane font-semibold' : 'border-rule'}"
							>{on ? s.one : s.other}{s.usual === on ? texts.whereWeStart : ''}</a
						>
					{/each}
				</li>
			{/each}
		</ul>
	</section>
{/if}
{#each g.others as s (s.id)}
	<Fold label={s.question} plain class="mt-2 border-b border-rule">
		<p class="pb-2">{s.one} {s.other} <em>{texts.here(s.ours)}</em></p>
	</Fold>
{/each}
<p class="mt-6 flex flex-wrap gap-3">
	<Act href="{base}/mix?kind={g.kind.id}&way={g.way.id}">{texts.whatToPutThem}</Act>
</p>
