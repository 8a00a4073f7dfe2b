<script lang="ts">
	/** What the plan takes as given that is not so: told above all that follows from it, each taken away in one tap. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/plan.js';
	import { sayArea, sayMinutes } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PlanView } from '$lib/server/jointView.js';
	import { aimAddress } from './says.js';
	import type { Choice } from './says.js';

	interface Props {
		plan: PlanView;
		choice: Choice;
		base: string;
		units: UnitChoice;
	}
	let { plan, choice, base, units }: Props = $props();
	const given = $derived([
		...(plan.asIf.minutes === null
			? []
			: [
					{
						says: texts.asIfYouHad(sayMinutes(plan.asIf.minutes)),
						back: { ...choice, minutes: null },
						at: 'settings'
					}
				]),
		...plan.asIf.room.map((r) => ({
			says: texts.asIfThereWere(sayArea(r.moreCm2 / 10_000, units), r.name),
			back: { ...choice, room: choice.room.filter((x) => !x.startsWith(r.id)) },
			at: 'settings#places'
		})),
		...plan.asIf.without.map((w) => ({
			says: texts.asIfYouDid(w.name),
			back: { ...choice, without: choice.without.filter((x) => x !== w.id) },
			at: `wants/${w.id}`
		}))
	]);
</script>

{#if given.length}
	<div class="mt-4 max-w-prose border-l-4 border-catkin bg-pane p-3">
		<ul>
			{#each given as g (g.says)}
				<li class="flex flex-wrap items-baseline gap-x-4">
					<span class="grow font-semibold">{g.says}</span>
					<span class="flex gap-x-4">
						<TextAct href={aimAddress(base, g.back)}>{texts.notSo}</TextAct>
						<TextAct href="{base}/{g.at}">{texts.makeItSo}</TextAct>
					</span>
				</li>
			{/each}
		</ul>
		<p class="note">{texts.nothingOfThatIs}</p>
	</div>
{/if}
