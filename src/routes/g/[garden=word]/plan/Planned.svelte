<script lang="ts">
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayMoney, sayNumber } from '$lib/core/numbers.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PlanView, Totals } from '$lib/server/jointView.js';
	import Held from './Held.svelte';
	import Lanes from './Lanes.svelte';
	import Loads from './Loads.svelte';
	import Growing from './Growing.svelte';
	import ByHand from './ByHand.svelte';
	import { Hand } from './hand.svelte.js';
	import type { Binds } from './says.js';
	import Limits from './Limits.svelte';
	import Take from './Take.svelte';
	import { AIM_WORDS, aimAddress, aimQuery, comparedTo, keyOf, STAGE_WORDS } from './says.js';

	interface Props {
		plan: PlanView;
		binds: Binds;
		/** Batches that are planned and not struck. */
		planned: number;
		garden: { slug: string; today: string };
		currency: string;
		units: UnitChoice;
	}
	let { plan: made, binds, planned, garden, currency, units }: Props = $props();

	const choice = $derived({ aim: made.aim, anew: made.anew, not: made.not.map((n) => n.way), off: made.off, spend: made.spend });
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
	const withBatches = $derived(plan.wants.filter((w) => w.batches.length > 0));
	const totals = (t: Totals) =>
		[`${t.batches} ${t.batches === 1 ? 'batch' : 'batches'}`, sayMinutes(t.minutes), `about ${sayMoney(t.cost, currency)}`].join(
			', '
		);

	let shownMoves = $state(3);
</script>

<h1 class="mt-1">{plan.says}</h1>
<p class="mt-2 max-w-prose text-lg">
	{#if next}Next: {next.says}{:else if plan.wants.length}Nothing new needs striking.{/if}
	{#if plan.totals.batches}<span class="text-faded">In all {totals(plan.totals)}.</span>{/if}
</p>
{#if plan.usual && plan.aim !== 'usual'}
	<p class="mt-1 max-w-prose text-lg">{comparedTo(plan.totals, plan.usual, currency)}</p>
{/if}

{#if plan.moves.length}
	<section class="mt-6" aria-labelledby="moves">
		<h2 id="moves" class="border-b border-ink pb-1">What to do, in order</h2>
		<ol class="ruled">
			{#each plan.moves.slice(0, shownMoves) as m (m.wantId + m.on + m.guide)}
				<li class="grid gap-x-4 py-2 sm:grid-cols-[8rem_1fr_auto]">
					<span class="font-head text-lg font-semibold">{sayDate(m.on)}</span>
					<span>{m.says}<span class="note block">For {m.want}.</span></span>
					<a class="flex min-h-11 items-center text-leaf underline underline-offset-4" href="{base}/{m.guide}">How to cut</a>
				</li>
			{/each}
		</ol>
		{#if plan.moves.length > shownMoves}
			<Act class="mt-2" onclick={() => (shownMoves = plan.moves.length)}>Show all {plan.moves.length}</Act>
		{/if}
		<div class="mt-4"><Take {plan} today={garden.today} /></div>
	</section>
{/if}

{#if plan.anew && !hand.plan}
	<section class="mt-8" aria-labelledby="changes">
		<h2 id="changes" class="border-b border-ink pb-1">
			{plan.changes.says.length === 0
				? 'Nothing would be planned otherwise'
				: plan.changes.says.length === 1
					? 'One want would be planned otherwise'
					: `${plan.changes.says.length} wants would be planned otherwise`}
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
					? 'Nothing was planned.'
					: plan.changes.stay === 1
						? 'One planned batch stays as it is.'
						: `${plan.changes.stay} planned batches stay as they are.`}
			</p>
		{/if}
	</section>
{/if}

<section class="mt-8" aria-labelledby="wants">
	<h2 id="wants">Each want, through the seasons</h2>
	<p class="note mb-2">
		A body is a batch: as wide as it has pieces, stage by stage; green what the plan adds, pale what there is already. Drag a
		green one to another day, or change it below its lane. The broken line is the day you want them.
	</p>
	{#if hand.plan || hand.refused}
		<div class="my-2 border-l-4 border-catkin bg-pane p-3" role="status">
			{#if hand.refused}<p class="text-madder">{hand.refused}</p>{/if}
			{#if hand.plan}
				<p class="font-semibold">
					As you have changed it. {hand.plan.says}
				</p>
				{#each hand.plan.clashes as clash (clash)}<p class="text-madder">{clash}</p>{/each}
				<div class="mt-2 flex flex-wrap gap-3">
					<Act disabled={hand.busy} onclick={hand.around}>{hand.busy ? 'Working it out …' : 'Plan the rest around it'}</Act>
					<Act disabled={hand.busy} onclick={() => hand.back()}>Back to the plan as it was made</Act>
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
					name={want.name}
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
				? 'it stands already.'
				: l.why === 'due'
					? 'its day has gone by: give it another.'
					: l.why === 'many'
						? 'it waits until some of those that are due before it are planned: the plan takes a hundred at a time.'
						: 'it is wanted more than three years ahead: the plan looks three years ahead.'}
		</p>
	{/each}
</section>

{#if short.length}
	<Held {short} {binds} {base} {choice} today={garden.today} />
{/if}

<section class="mt-8" aria-labelledby="seasons">
	<h2 id="seasons" class="border-b border-ink pb-1">As the seasons may go</h2>
	<Growing address="{base}/plan/seasons{aimQuery(choice)}" wants={plan.wants} />
</section>

<section class="mt-8" aria-labelledby="loads">
	<h2 id="loads" class="border-b border-ink pb-1">What it asks of your weeks and places</h2>
	<div class="mt-3 grid gap-8 lg:grid-cols-2">
		{#each plan.loads as load, i (i)}<Loads {load} {units} />{/each}
	</div>
</section>

{#if plan.moves.length && !hand.plan}
	<p class="mt-6 no-print">
		<a
			class="inline-flex min-h-11 items-center text-leaf underline underline-offset-4"
			href="{base}/plan/sheet.pdf{aimQuery(choice)}">The plan on paper, for the shed door (PDF)</a
		>
	</p>
{/if}
<section class="mt-8 no-print" aria-labelledby="others">
	<h2 id="others" class="border-b border-ink pb-1">Other plans</h2>
	<ul class="mt-2 flex flex-wrap gap-2">
		{#each Object.entries(AIM_WORDS) as [aim, words] (aim)}
			<li>
				{#if aim === plan.aim}<span class="inline-flex min-h-12 items-center border-b-4 border-catkin px-3 font-semibold"
						>{words}</span
					>
				{:else}<Act href={aimAddress(base, { ...choice, aim })} data-sveltekit-noscroll>{words}</Act>{/if}
			</li>
		{/each}
	</ul>
	{#each plan.not as n (n.way)}
		<p class="mt-3">
			Ruled out: {n.says}.
			<a href={aimAddress(base, { ...choice, not: choice.not.filter((way) => way !== n.way) })}>Allow it again</a>
		</p>
	{/each}
	<Limits {choice} {base} {currency} today={garden.today} />
	{#if planned > 0 || plan.anew}
		<p class="mt-3 max-w-prose">
			{#if plan.anew}
				Here all that is only planned is open to change. <a href={aimAddress(base, { ...choice, anew: false })}
					>Plan around it instead</a
				>.
			{:else}
				{planned === 1 ? 'One batch is' : `${planned} batches are`} planned already and {planned === 1 ? 'stays' : 'stay'} as {planned ===
				1
					? 'it is'
					: 'they are'}. <a href={aimAddress(base, { ...choice, anew: true })}>Plan anew, with those open to change</a>.
			{/if}
		</p>
	{/if}
</section>

{#if withBatches.length}
	<Fold label="All stages, with where they stand" class="mt-6 border-t border-rule pt-2">
		{#each withBatches as w (w.id)}
			<h3 class="mt-4">{w.target} {w.name}{w.label ? `, ${w.label}` : ''}</h3>
			{#each w.batches as b (b.on + b.wayId + b.stockId)}
				<p class="mt-1 font-semibold">
					{sayDate(b.on)}: {b.pieces}
					{b.pieces === 1 ? b.piece[0] : b.piece[1]}{b.stock ? ` from ${b.stock}` : ''}, {b.way.toLowerCase()}
				</p>
				<ul class="note list-disc pl-5">
					{#each b.stages as s, i (i)}
						<li>
							{STAGE_WORDS[s.to] ?? s.to}, {sayDate(s.from)}{s.until > s.from ? ` to ${sayDate(s.until)}` : ''}: usually {s.count}{s.to !==
								'planted' && s.containers
								? `, in ${sayNumber(s.containers)} × ${s.container}`
								: ''}{s.place ? `, ${s.place}` : ''}
						</li>
					{/each}
				</ul>
			{/each}
		{/each}
	</Fold>
{/if}
<p class="note mt-6">
	{sayNumber(plan.figures.candidates)} batches and {sayNumber(plan.figures.patterns)} combinations of them were weighed. {plan
		.figures.gap < 0.005
		? 'Of those none is better.'
		: `None of those can be more than ${sayNumber(plan.figures.gap * 100, plan.figures.gap < 0.1 ? 1 : 0)} % better.`}
</p>
