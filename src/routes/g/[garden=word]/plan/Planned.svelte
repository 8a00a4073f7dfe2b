<script lang="ts">
	/** What all wants take together, what binds, and what to do next. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/plan.js';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayNoMoves } from '$lib/core/joint/words.js';
	import { sayCost, sayNumber } from '$lib/core/numbers.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PlanView, Totals } from '$lib/server/jointView.js';
	import AllStages from './AllStages.svelte';
	import AsIf from './AsIf.svelte';
	import Held from './Held.svelte';
	import Lanes from './Lanes.svelte';
	import Loads from './Loads.svelte';
	import Growing from './Growing.svelte';
	import ByHand from './ByHand.svelte';
	import { Hand } from './hand.svelte.js';
	import type { Help, Stage } from './says.js';
	import OtherPlans from './OtherPlans.svelte';
	import Take from './Take.svelte';
	import { aimAddress, aimQuery, comparedTo, keyOf } from './says.js';

	interface Props {
		plan: PlanView;
		help: Help;
		stage: Stage;
		/** Why a better one was not found. */
		why: string;
		onstop: () => void;
		onlook: () => void;
		/** Batches that are planned and not struck, and plants that are still to be bought. */
		planned: { batches: number; plants: number };
		garden: { slug: string; today: string };
		currency: string;
		units: UnitChoice;
	}
	let { plan: made, help, stage, why, onstop, onlook, planned, garden, currency, units }: Props = $props();

	const choice = $derived({
		...{ aim: made.aim, anew: made.anew, not: made.not.map((n) => n.way), off: made.off, spend: made.spend },
		free: made.free.map((place) => place.id),
		minutes: made.asIf.minutes,
		room: made.asIf.room.map((r) => `${r.id}~${r.moreCm2}`),
		without: made.asIf.without.map((w) => w.id)
	});
	const hand = new Hand(
		() => base,
		() => choice,
		() => made
	);
	const plan = $derived(hand.now);
	let picked = $state<string | null>(null);
	async function change(want: string, key: string, to: { on: string; pieces?: number } | null) {
		await hand.change(want, key, to);
		if (!hand.refused) picked = null;
	}
	const inHand = $derived.by(() => {
		for (const w of plan.wants) for (const b of w.batches) if (`${w.id} ${keyOf(b)}` === picked) return { want: w, batch: b };
		return null;
	});
	const base = $derived(`/g/${garden.slug}`);
	const next = $derived(plan.moves[0] ?? null);
	const short = $derived(plan.wants.filter((w) => w.standing !== 'in hand'));
	const totals = (t: Totals) =>
		[
			`${t.batches} ${t.batches === 1 ? 'batch' : 'batches'}`,
			...(t.buys ? [texts.toBuy(t.buys)] : []),
			sayMinutes(t.minutes),
			sayCost(t.cost, currency)
		].join(', ');

	let shownMoves = $state(3);
</script>

<h1 class="mt-1">{plan.says}</h1>
<p class="mt-2 max-w-prose text-lg">
	{#if next}{texts.next(next.says)}{:else if plan.wants.length}{sayNoMoves(plan.wants)}{/if}
	{#if plan.totals.batches || plan.totals.buys}<span class="text-faded">{texts.inAll(totals(plan.totals))}</span>{/if}
</p>
{#if plan.usual && plan.aim !== 'usual'}
	<p class="mt-1 max-w-prose text-lg">{comparedTo(plan.totals, plan.usual, currency)}</p>
{/if}

<AsIf {plan} {choice} {base} {units} />
{#if stage !== 'told'}
	<div class="mt-4 flex max-w-prose flex-wrap items-center justify-between gap-x-6 gap-y-2 border-l-4 border-catkin bg-pane p-3">
		<p class="grow basis-64" role="status">
			{stage === 'first' ? texts.aFirstPlan : stage === 'stopped' ? texts.stoppedAtTheFirst : why}
		</p>
		{#if stage === 'first'}<Act onclick={onstop}>{texts.keepThisOne}</Act>
		{:else}<Act onclick={onlook}>{texts.lookForABetter}</Act>{/if}
	</div>
{/if}

{#if plan.moves.length}
	<section class="mt-6" aria-labelledby="moves">
		<h2 id="moves" class="border-b border-ink pb-1">{texts.whatToDoIn}</h2>
		<ol class="ruled">
			{#each plan.moves.slice(0, shownMoves) as m (m.wantId + m.on + m.says)}
				<li class="grid gap-x-4 py-2 sm:grid-cols-[8rem_1fr_auto]">
					<span class="font-head text-lg font-semibold">{sayDate(m.on)}</span>
					<span>{m.says}<span class="note block">{texts.forWord(m.want)}</span></span>
					{#if m.guide}<TextAct href="{base}/{m.guide}">{texts.howToCut}</TextAct>{/if}
				</li>
			{/each}
		</ol>
		{#if plan.moves.length > shownMoves}
			<Act class="mt-2" onclick={() => (shownMoves = plan.moves.length)}>{texts.showAll(plan.moves.length)}</Act>
		{/if}
		<div class="mt-4"><Take {plan} today={garden.today} /></div>
	</section>
{/if}

{#if plan.anew && !hand.plan}
	<section class="mt-8" aria-labelledby="changes">
		<h2 id="changes" class="border-b border-ink pb-1">
			{plan.changes.says.length === 0
				? texts.nothingWouldBePlanned
				: plan.changes.says.length === 1
					? texts.oneWantWouldBe
					: texts.wantsWouldBePlanned(plan.changes.says.length)}
		</h2>
		<ul class="ruled">
			{#each plan.changes.says as says (says)}<li class="py-2">{says}</li>{/each}
		</ul>
		{#if plan.moves.length === 0 && plan.changes.says.length > 0}
			<div class="mt-3"><Take {plan} today={garden.today} /></div>
		{/if}
		{#if plan.changes.stay || plan.changes.says.length === 0}
			<p class="mt-2 text-faded">
				{plan.changes.stay === 0
					? texts.nothingWasPlanned
					: plan.changes.stay === 1
						? texts.onePlannedBatchStays
						: texts.plannedBatchesStayAs(plan.changes.stay)}
			</p>
		{/if}
	</section>
{/if}

<section class="mt-8" aria-labelledby="wants">
	<h2 id="wants">{texts.eachWantThroughThe}</h2>
	<p class="note mb-2">
		{texts.aBodyIsA}
	</p>
	{#if hand.plan || hand.refused}
		<div class="my-2 border-l-4 border-catkin bg-pane p-3" role="status">
			{#if hand.refused}<p class="text-madder">{hand.refused}</p>{/if}
			{#if hand.plan}
				<p class="font-semibold">
					{texts.asYouHaveChanged(hand.plan.says)}
				</p>
				{#each hand.plan.clashes as clash (clash)}<p class="text-madder">{clash}</p>{/each}
				<div class="mt-2 flex flex-wrap gap-3">
					<Act disabled={hand.busy} onclick={hand.around}>{hand.busy ? texts.workingItOut : texts.planTheRestAround}</Act>
					<Act disabled={hand.busy} onclick={() => hand.back()}>{texts.backToThePlan}</Act>
				</div>
			{/if}
		</div>
	{/if}
	<Lanes
		wants={plan.wants}
		today={garden.today}
		{base}
		{picked}
		onpick={(want, key) => (picked = picked === `${want} ${key}` ? null : `${want} ${key}`)}
		felt={hand.felt}
		ondrag={(want, key, on) => void hand.feel(want, key, on)}
		onmove={(want, key, on) => {
			hand.letGo();
			if (on) void change(want, key, { on });
		}}
	>
		{#snippet editor()}
			{#if inHand}
				{@const { want, batch } = inHand}
				<ByHand
					{batch}
					name={batch.kind}
					busy={hand.busy}
					more={hand.more(want.id, keyOf(batch))}
					ontry={(on, pieces) => change(want.id, keyOf(batch), { on, pieces })}
					onleave={() => change(want.id, keyOf(batch), null)}
					onnever={() => goto(aimAddress(base, { ...choice, not: [...choice.not, `${batch.kindId}~${batch.wayId}`] }))}
					onclose={() => (picked = null)}
				/>
			{/if}
		{/snippet}
	</Lanes>
	{#each plan.left as l (l.name + l.why)}
		<p class="note mt-1">
			{l.name}: {l.why === 'met'
				? texts.itStandsAlready
				: l.why === 'due'
					? texts.dayGoneBy
					: l.why === 'many'
						? texts.waitsForOthers
						: texts.wantedTooFarAhead}
		</p>
	{/each}
</section>

{#if short.length}
	<Held {short} {help} coming={stage === 'first' || stage === 'told'} {base} {choice} today={garden.today} />
{/if}

<!-- Of the best plan alone: what is grown and printed is no other than what is shown. -->
{#if stage === 'told'}
	<section class="mt-8" aria-labelledby="seasons">
		<h2 id="seasons" class="border-b border-ink pb-1">{texts.asTheSeasonsMay}</h2>
		<Growing address="{base}/plan/seasons{aimQuery(choice)}" wants={plan.wants} />
	</section>
{/if}

<section class="mt-8" aria-labelledby="loads">
	<h2 id="loads" class="border-b border-ink pb-1">{texts.whatItAsksOf}</h2>
	<div class="mt-3 grid gap-8 lg:grid-cols-2">
		{#each plan.loads as load, i (i)}<Loads {load} {units} />{/each}
	</div>
</section>

{#if plan.moves.length && !hand.plan && stage === 'told'}
	<p class="mt-6 no-print">
		<TextAct href="{base}/plan/sheet.pdf{aimQuery(choice)}">{texts.thePlanOnPaper}</TextAct>
	</p>
{/if}
<OtherPlans {plan} {choice} {planned} {base} {currency} {units} today={garden.today} />
<AllStages wants={plan.wants} />
<p class="note mt-6">
	{texts.batchesAndCombinationsOf(
		sayNumber(plan.figures.candidates),
		sayNumber(plan.figures.patterns),
		plan.figures.gap < 0.005
			? texts.ofThoseNoneIs
			: texts.noneOfThoseCan(sayNumber(plan.figures.gap * 100, plan.figures.gap < 0.1 ? 1 : 0))
	)}
</p>
