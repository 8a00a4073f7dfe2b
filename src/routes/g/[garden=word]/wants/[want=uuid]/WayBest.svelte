<script lang="ts">
	/** A way by which the want can be met: how many, when, how sure, what it asks. */
	import { texts } from '$lib/messages/wants.js';
	import { sayCost, sayMoney } from '$lib/core/numbers.js';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { capital, sayCount, sayDoes, sayOdds, sayShare } from '$lib/core/odds/words.js';
	import { sayMinutes, sayVolume } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Act from '$lib/ui/Act.svelte';
	import Chart from '$lib/ui/Chart.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import { HINGE_WORDS, sayRange } from '$lib/ui/say.js';
	import Stages from './Stages.svelte';
	import { curveOf, curveTitle, lower } from './planSays.js';
	import type { PlannedWay } from './planSays.js';

	interface Props {
		w: PlannedWay;
		/** The one of least work. */
		first: boolean;
		/** It comes on top of what grows or is planned already. */
		beside: boolean;
		target: number;
		due: string;
		stockId: string | null;
		garden: { units: UnitChoice; today: string; currency: string };
		base: string;
	}
	let { w, first, beside, target, due, stockId, garden, base }: Props = $props();
	let shown = $state(false);
</script>

{#if w.best}
	{@const best = w.best}
	<div class="grid gap-x-8 gap-y-4 md:grid-cols-[13rem_1fr]">
		<div>
			<p class="note">{first ? texts.leastWork2 : texts.anotherWay}</p>
			<h3>{w.name}</h3>
			<p class="mt-2">
				<span class="figure">{best.strike}</span> <span class="unit">{w.pieces[1]}</span>
			</p>
			<p class="font-semibold">
				{best.flushes.map((x) => `${best.flushes.length > 1 ? texts.on(x.pieces) : ''}${sayDate(isoOf(x.on))}`).join(', ')}
			</p>
		</div>
		<div>
			<p class="max-w-prose text-lg">
				{texts.take(best.strike, beside ? texts.more2 : '')}
				<strong>{sayDoes(best.probability, 'that', texts.leavesYou, texts.orMoreBy(target, sayDate(due)))}</strong>. {capital(
					sayCount(best.quantiles)
				)}.
			</p>
			<p class="mt-1">
				{texts.readyAbout(
					sayDate(isoOf(best.ready.usual)),
					best.ready.quick === best.ready.slow ? '' : ` (${sayRange(isoOf(best.ready.quick), isoOf(best.ready.slow))})`
				)}
				{#if best.inTime < 0.995}{texts.ofThemAreReady(capital(sayShare(best.inTime)))}{/if}
				{#if w.lastSafe !== null}{texts.lastSafeDay(sayDate(isoOf(w.lastSafe)))}{/if}
				{#if !best.inBest}{texts.outsideTheBestWeeks}{/if}
			</p>
			{#if w.hinge}<p class="mt-1">
					{texts.itHangsMostOnKnown(
						HINGE_WORDS[w.hinge.stage],
						sayShare(w.hinge.chance),
						Math.round(w.hinge.weight),
						w.hinge.weight > (w.stageWeight ?? Infinity) + 0.5 ? texts.yourOwnAmongThem : ` (${lower(w.hinge.source)})`
					)}
				</p>{/if}
			{#if sayOdds(best.moreAlike) !== sayOdds(best.probability)}<p class="mt-1">
					{texts.howAlikeThePieces}
					<a href="{base}/handbook/sources#judgements">{texts.ourOwnJudgement}</a>{texts.ifTheyWereTwice(sayOdds(best.moreAlike))}
				</p>{/if}
			{#each best.binds as bind (bind.code)}<p class="mt-1 text-catkin-deep">
					<strong>{texts.whatLimitsIt}</strong>
					{bind.sentence}
				</p>{/each}
			<dl class="mt-3 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-4">
				<div>
					<dt class="note">{texts.workInAll}</dt>
					<dd class="font-semibold">{sayMinutes(best.effort.minutes)}</dd>
				</div>
				<div>
					<dt class="note">{texts.mostInAWeek}</dt>
					<dd class="font-semibold">{sayMinutes(best.effort.peakMinutesPerWeek)}</dd>
				</div>
				<div>
					<dt class="note">{texts.mix}</dt>
					<dd class="font-semibold">
						{best.effort.litres ? sayVolume(best.effort.litres, garden.units) : texts.none}
					</dd>
				</div>
				<div>
					<dt class="note">{texts.costsOrBought}</dt>
					<dd class="font-semibold">
						{texts.bought(capital(sayCost(best.effort.cost, garden.currency)), sayMoney(best.buying, garden.currency))}
					</dd>
				</div>
			</dl>
			<Stages {w} units={garden.units} />
			<div class="mt-3 flex flex-wrap gap-3">
				<EntryForm action="?/accept" submit={texts.takeThisPlan} today={garden.today} dated={false} noted={false} quiet={!first}>
					<input type="hidden" name="way_id" value={w.wayId} />
					<input type="hidden" name="stock_id" value={stockId} />
					<input type="hidden" name="flushes" value={JSON.stringify(best.flushes)} />
					<input type="hidden" name="promised" value={best.probability} />
				</EntryForm>
				<Act class="self-start" aria-expanded={shown} onclick={() => (shown = !shown)}>{texts.otherDays}</Act>
			</div>
			{#if shown}
				<div class="mt-4">
					<Chart title={curveTitle(w)} option={curveOf(w)} />
				</div>
			{/if}
		</div>
	</div>
{/if}
