<script lang="ts">
	/** What the plan is to go by instead: another aim, what is ruled out, limits, what if. */
	import { texts } from '$lib/messages/plan.js';
	import type { PlanView } from '$lib/server/jointView.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Act from '$lib/ui/Act.svelte';
	import Limits from './Limits.svelte';
	import { AIM_WORDS, aimAddress } from './says.js';
	import type { Choice } from './says.js';
	import WhatIf from './WhatIf.svelte';

	interface Props {
		plan: PlanView;
		choice: Choice;
		planned: { batches: number; plants: number };
		base: string;
		currency: string;
		units: UnitChoice;
		today: string;
	}
	let { plan, choice, planned, base, currency, units, today }: Props = $props();
</script>

<section class="mt-8 no-print" aria-labelledby="others">
	<h2 id="others" class="border-b border-ink pb-1">{texts.otherPlans}</h2>
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
			{texts.ruledOut(n.says)}
			<a href={aimAddress(base, { ...choice, not: choice.not.filter((way) => way !== n.way) })}>{texts.allowItAgain}</a>
		</p>
	{/each}
	<Limits {choice} rooms={plan.rooms} {base} {currency} {today} />
	<WhatIf {choice} {plan} {base} {units} />
	{#if planned.batches + planned.plants > 0 || plan.anew}
		<p class="mt-3 max-w-prose">
			{#if plan.anew}
				{texts.hereAllThatIs} <a href={aimAddress(base, { ...choice, anew: false })}>{texts.planAroundItInstead}</a>.
			{:else}
				{texts.plannedAlready(planned.batches, planned.plants)}
				<a href={aimAddress(base, { ...choice, anew: true })}>{texts.planAnewWithThose}</a>.
			{/if}
		</p>
	{/if}
</section>
