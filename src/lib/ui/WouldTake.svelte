<script lang="ts">
	/** What a want would take, told beside it while it is typed: the same plan that its own page will show. */
	import { texts } from '$lib/messages/wants.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { sayDate } from '$lib/core/dates.js';
	import { capital, sayCount, sayDoes } from '$lib/core/odds/words.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import { plural } from './say.js';

	type Told =
		| { says: 'nothing' }
		| { says: 'why'; why: string; stock: boolean }
		| { says: 'wrong'; why: string }
		| {
				says: 'plan';
				way: string;
				pieces: [string, string];
				strike: number;
				goes: { on: string; pieces: number }[];
				probability: number;
				quantiles: { p05: number; p50: number; p95: number };
				ready: string;
				minutes: number;
				lastSafe: string | null;
				buying: number;
		  }
		| {
				says: 'instead';
				nearly: boolean;
				most: { way: string; pieces: [string, string]; strike: number; usually: number; probability: number } | null;
				soonest: { way: string; pieces: [string, string]; strike: number; on: string; ready: string } | null;
				buying: number;
		  };
	interface Props {
		base: string;
		kind: string;
		orKinds: readonly string[];
		purpose: string;
		/** The least height, as it is typed. */
		least: string;
		target: number | null;
		due: string;
		confidence: number | null;
		currency: string;
	}
	let { base, kind, orKinds, purpose, least, target, due, confidence, currency }: Props = $props();

	const RESTS_MS = 300;
	let told = $state<Told>({ says: 'nothing' });
	/** What the answer is of: it stands until the next one, also while the day is being typed anew. */
	let of = $state({ target: 0, due: '' });
	let asking = $state(false);
	$effect(() => {
		const asked = new URLSearchParams([
			...Object.entries({ kind, purpose, least, target: String(target), due, confidence: String(confidence) }),
			...orKinds.map((other) => ['or', other])
		]);
		if (!kind || !target || target < 1 || !due || !confidence) {
			told = { says: 'nothing' };
			asking = false;
			return;
		}
		const asks = { target, due };
		const going = new AbortController();
		// As soon as the hand rests; what was asked before is let go.
		const timer = setTimeout(() => {
			asking = true;
			fetch(`${base}/wants/would-take?${asked}`, { signal: going.signal })
				.then(async (r) => {
					const answer: Told = r.ok ? ((await r.json()) as Told) : { says: 'wrong', why: (await r.json()).message };
					of = asks;
					told = answer;
				})
				.catch(() => {
					if (!going.signal.aborted) told = { says: 'wrong', why: texts.itCantBeWorked };
				})
				.finally(() => {
					if (!going.signal.aborted) asking = false;
				});
		}, RESTS_MS);
		return () => {
			clearTimeout(timer);
			going.abort();
		};
	});
</script>

<section
	aria-label={texts.whatItWouldTake}
	aria-live="polite"
	aria-busy={asking}
	class="border-t-4 border-catkin bg-pane p-4 {asking ? 'opacity-60' : ''}"
>
	{#if told.says === 'nothing'}
		<p class="text-faded">{texts.chooseAKindHow}</p>
	{:else if told.says === 'wrong'}
		<p class="text-lg">{told.why}</p>
	{:else if told.says === 'why'}
		<p class="text-lg">{told.why}</p>
		{#if !told.stock}<p class="mt-2"><a href="{base}/stock/new?kind={kind}">{texts.addOneThatYou}</a></p>{/if}
	{:else if told.says === 'plan'}
		<p class="note">{texts.leastWork(told.way)}</p>
		<p>
			<span class="figure">{told.strike}</span> <span class="unit">{told.strike === 1 ? told.pieces[0] : told.pieces[1]}</span>
		</p>
		<p class="font-semibold">
			{told.goes
				.map((g) => `${told.says === 'plan' && told.goes.length > 1 ? texts.on(g.pieces) : ''}${sayDate(g.on)}`)
				.join(', ')}
		</p>
		<p class="mt-2 text-lg">
			{capital(sayDoes(told.probability, 'that', texts.leavesYou, texts.orMoreBy(of.target, sayDate(of.due))))}; {sayCount(
				told.quantiles
			)}.
		</p>
		<p class="mt-1">
			{texts.readyAboutOfWork(sayDate(told.ready), sayMinutes(told.minutes), of.target, sayMoney(told.buying, currency))}
		</p>
		{#if told.lastSafe}<p class="mt-1">{texts.theLastSafeDay(sayDate(told.lastSafe))}</p>{/if}
	{:else}
		<p class="text-lg font-semibold">
			{texts.by(told.nearly ? texts.notQuiteAsSure : texts.youCantBeThat, sayDate(of.due))}
		</p>
		{#if told.most}
			<p class="mt-2">
				{texts.theMostByThen(
					plural(told.most.strike, told.most.pieces),
					told.most.way,
					told.most.usually < 1 ? texts.butDontCountOn : texts.theyUsuallyLeave(Math.floor(told.most.usually))
				)}
			</p>
		{/if}
		{#if told.soonest}
			<p class="mt-2">
				{texts.asSureAsYou} <strong>{sayDate(told.soonest.ready)}</strong>{texts.struckOn(
					plural(told.soonest.strike, told.soonest.pieces),
					told.soonest.way,
					sayDate(told.soonest.on)
				)}
			</p>
		{/if}
		<p class="mt-2">{texts.boughtWouldCostAbout(of.target, sayMoney(told.buying, currency))}</p>
	{/if}
</section>
