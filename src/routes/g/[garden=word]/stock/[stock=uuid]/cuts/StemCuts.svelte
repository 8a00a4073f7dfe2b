<script lang="ts">
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/stock.js';
	import { areaMeasure, sayDistance, shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Input from 'flowbite-svelte/Input.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { onMount, untrack } from 'svelte';
	import { sayShare } from '$lib/core/odds/words.js';
	/** Stems, measured or usual, and the best cuts along each. */
	import type { Cut } from '$lib/core/handbook/benchSchema.js';
	import { drawStem } from '$lib/core/draw/index.js';
	import { checkStem, gradeOf, PARENT_KEEPS, planStem, usualNodes } from '$lib/core/material/stem.js';
	import type { CutRules, Stem, StemPiece } from '$lib/core/material/stem.js';
	import { remembered } from '$lib/ui/remembered.js';
	import { canes, strikesInPlace } from '$lib/core/material/lengths.js';
	import { reachable } from '$lib/ui/reachable.js';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import Drawing from '$lib/ui/Drawing.svelte';

	interface Props {
		/** Whose stems these are: what was measured on them stays while one looks at other ways. */
		stockId: string;
		cut: Cut;
		chance: number;
		heightCm: number;
		units: UnitChoice;
		say: (cm: number) => string;
		/** Canes and runners may be laid flat whole. */
		flat: boolean;
		/** Pieces that all stems give, and those of them expected to root. */
		onresult: (pieces: number, expected: number) => void;
	}
	let { stockId, cut, chance, heightCm, units, say, flat, onresult }: Props = $props();
	const short = $derived(shortMeasure(units));
	const surface = $derived(areaMeasure(units));
	const usual = $derived(cut.cm?.[1] ?? 12);
	const typed = (cm: number) => short.shown(cm, 1);
	const fresh = () => {
		const long =
			cut.draws === 'basal'
				? usual
				: cut.draws === 'rod'
					? Math.min(180, heightCm * 0.6)
					: Math.max(usual * 1.6, Math.min(70, heightCm * 0.45));
		return {
			count: 1,
			long: short.shown(long, 0),
			gap: typed(cut.internode_cm ?? Math.max(1, usual / ((cut.nodes?.[0] ?? 2) + 1))),
			nodes: '',
			// A shoot from the base is of this spring throughout.
			woody: typed(cut.draws === 'basal' ? 0 : cut.draws === 'rod' ? long * 0.15 : long * 0.1),
			soft: typed(cut.draws === 'basal' ? 0 : cut.wood?.[0] === 'soft' ? long * 0.35 : long * 0.85),
			base: cut.mm ? Math.round(cut.mm * 1.4 * 10) / 10 : 6,
			tip: cut.mm ? Math.round(cut.mm * 0.5 * 10) / 10 : 2,
			flowering: false
		};
	};
	const kept = remembered<{ stems: ReturnType<typeof fresh>[]; cutOff: boolean }>(`stems ${untrack(() => stockId)}`);
	let stems = $state([fresh()]);
	/** It lies on the table: nothing of it is left to the plant. */
	let cutOff = $state(false);
	onMount(() => {
		const before = kept.read();
		if (before?.stems.length) ({ stems, cutOff } = before);
	});
	const usualText = JSON.stringify(untrack(() => [fresh()]));
	$effect(() => {
		if (cutOff || JSON.stringify(stems) !== usualText) kept.write({ stems: $state.snapshot(stems), cutOff });
	});
	const rules = $derived<CutRules>({
		cm: [cut.cm?.[0] ?? 8, cut.cm?.[2] ?? 15],
		usualCm: usual,
		leastNodes: cut.nodes?.[0] ?? 2,
		leg: cut.draws === 'stem',
		sliver: cut.draws === 'basal',
		wood: cut.wood ?? ['firm'],
		tip: cut.tip ?? 'may',
		usualMm: cut.mm ?? 4,
		chance: Math.min(0.97, Math.max(0.03, chance))
	});
	const keeps = $derived(cutOff || rules.sliver ? 0 : PARENT_KEEPS);
	const plans = $derived(
		stems.map((s) => {
			const lengthCm = short.from(s.long);
			const listed = s.nodes.trim()
				? s.nodes
						.split(/[\s;,]+/)
						.filter(Boolean)
						.map((t) => short.read(t) ?? Number.NaN)
				: null;
			const stem: Stem = {
				lengthCm,
				nodes: listed ?? (lengthCm > 0 ? usualNodes(lengthCm, short.from(s.gap)) : []),
				woodyTo: short.from(s.woody),
				softFrom: Math.min(short.from(s.soft), lengthCm),
				baseMm: s.base,
				tipMm: s.tip,
				flowering: s.flowering
			};
			const checked = checkStem(stem);
			return checked.ok
				? { ok: true as const, stem, plan: planStem(stem, rules, keeps), count: Math.max(0, Math.round(s.count || 0)) }
				: { ok: false as const, problem: checked.problem };
		})
	);
	$effect(() => {
		let pieces = 0;
		let expected = 0;
		for (const p of plans)
			if (p.ok) {
				pieces += p.count * p.plan.pieces.length;
				expected += p.count * p.plan.expected;
			}
		onresult(pieces, expected);
	});
	const laid = $derived(
		plans.reduce(
			(sum, p, i) => {
				if (!p.ok) return sum;
				const c = canes(p.count, p.stem.lengthCm, short.from(stems[i]?.gap ?? 0));
				return { rowM: sum.rowM + c.rowM, shoots: sum.shoots + c.shoots };
			},
			{ rowM: 0, shoots: 0 }
		)
	);
	// Struck where it is to grow: the surface asks for so many.
	let area = $state(1);
	const drift = $derived(strikesInPlace(surface.from(Math.max(0, Math.min(10_000, area || 0))), cut.spread_cm, usual));
	const LACKS = {
		short: texts.shortWord,
		thin: texts.thinWord,
		'old wood': texts.oldWood,
		'few nodes': texts.tooFewNodesBelow
	} as const;
	const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
	const sayGrade = (p: StemPiece) => {
		const grade = gradeOf(p, rules.chance);
		return grade !== 'poor' ? grade : p.lacks.length ? texts.poorFor(p.lacks.map((l) => LACKS[l]).join(', ')) : texts.poorWord;
	};
	const poorOf = (pieces: readonly StemPiece[]) => pieces.filter((p) => gradeOf(p, rules.chance) === 'poor').length;
	const FIELDS = [
		['long', texts.length],
		['gap', texts.betweenNodes],
		['woody', texts.woodyUpTo],
		['soft', texts.softFrom]
	] as const;
</script>

{#if !rules.sliver}
	<Checkbox bind:checked={cutOff} classes={{ div: 'mt-4' }}>{texts.alreadyCutOffNothing}</Checkbox>
{/if}
{#each plans as p, i (i)}
	<section class="mt-6 border-t border-ink pt-3" aria-label={texts.stem(i + 1)}>
		<div class="flex flex-wrap items-end justify-between gap-3">
			<h2>
				{plans.length > 1 ? texts.stem2(i + 1) : ''}{p.ok
					? p.plan.pieces.length
						? `${count(p.plan.pieces.length, 'piece', 'pieces')}, ${count(p.plan.cuts, 'cut', 'cuts')}${poorOf(p.plan.pieces) ? texts.poor(count(poorOf(p.plan.pieces), 'is', 'are')) : ''}`
						: texts.noPiece
					: texts.cannotBeCutSo}
			</h2>
			{#if stems.length > 1}<TextAct class="px-2" onclick={() => stems.splice(i, 1)}>{texts.takeItAway}</TextAct>{/if}
		</div>
		{#if p.ok}
			<div class="mt-2 overflow-x-auto" role="group" aria-label={texts.theStemAndIts} {@attach reachable}>
				<div class={p.stem.lengthCm > 120 ? 'min-w-[60rem]' : 'min-w-[34rem]'}>
					<Drawing drawing={drawStem(p.stem, p.plan, say)} />
				</div>
			</div>
			<p class="note">
				{texts.baseToTheLeft(keeps > 0 ? texts.stayOnThePlant(say(p.plan.leftCm)) : '')}
			</p>
			{#if p.plan.pieces.length === 0}
				<p class="mt-2 max-w-prose">
					{keeps > 0 && p.stem.nodes.length <= keeps
						? texts.thePlantKeepsTwo
						: p.stem.nodes.length === 0
							? texts.withoutANodeNothing
							: texts.itHasNoStretch}
				</p>
			{:else}
				<ol class="mt-2 grid gap-x-8 sm:grid-cols-2">
					{#each p.plan.pieces as piece, k (k)}<li class="flex justify-between border-b border-rule py-1">
							<span
								><strong>{k + 1}</strong>
								{say(piece.end - piece.start)}, {piece.nodes
									? count(piece.nodes, 'node', 'nodes')
									: texts.withItsSliver}{piece.isTip ? texts.withTheTip : ''}{piece.onLeg ? texts.onBareStem : ''}</span
							>
							<span class="text-faded">{texts.root2(sayGrade(piece), sayShare(piece.chance))}</span>
						</li>{/each}
				</ol>
			{/if}
			{#if p.plan.waste.length}<p class="note mt-2">
					{texts.thrownOut(
						p.plan.waste
							.filter((w) => w.end - w.start > 1.2)
							.map((w) => `${say(w.end - w.start)} (${w.why})`)
							.join(', ') || texts.onlyTheStubsBetween
					)}
				</p>{/if}
		{:else}<Note tone="harm" said class="mt-2">{p.problem.sentence}</Note>{/if}
		<div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-5">
			<NumberBox label={texts.alike2} max={500} bind:value={stems[i]!.count} />
			{#each FIELDS as [key, name] (key)}
				<NumberBox label={name} step={0.5} unit={short.unit} bind:value={stems[i]![key]} />
			{/each}
		</div>
		<Fold label={texts.measuredNodesThicknessFlowers} class="mt-2">
			<div class="grid gap-3 sm:grid-cols-[2fr_1fr_1fr]">
				<label class="block"
					><span class="block font-semibold">{texts.nodesFromTheBase(short.unit)}</span><Input
						type="text"
						class="w-full"
						placeholder="4 9 13.5 19"
						maxlength={3000}
						bind:value={stems[i]!.nodes}
					/></label
				>
				<NumberBox label={texts.baseMm} min={0.1} step={0.5} bind:value={stems[i]!.base} />
				<NumberBox label={texts.tipMm} min={0.1} step={0.5} bind:value={stems[i]!.tip} />
			</div>
			<Checkbox bind:checked={stems[i]!.flowering} classes={{ div: 'mt-2' }}>{texts.theTipFlowersOr}</Checkbox>
		</Fold>
	</section>
{/each}
{#if stems.length < 12}<Act class="mt-4" onclick={() => stems.push({ ...stems.at(-1)! })}>{texts.anotherStem}</Act>{/if}
{#if flat && laid.rowM > 0}
	<p class="mt-4 max-w-prose text-lg">
		{texts.orLaidFlatWhole} <strong>{sayDistance(laid.rowM, units)}</strong>
		{texts.ofRowAndAbout}
		<strong>{Math.round(laid.shoots)}</strong>
		{texts.shootsToCutApart}
	</p>
{/if}
{#if cut.set === 'place'}
	<div class="mt-4 flex flex-wrap items-end gap-4">
		<NumberBox label={texts.toCover(surface.unit)} step={0.5} narrow bind:value={area} />
		<p class="pb-2 text-lg">
			<strong>{drift.stalks}</strong>
			{texts.stalksApartOfStalk(say(cut.spread_cm), sayDistance(drift.metres, units))}
		</p>
	</div>
{/if}
