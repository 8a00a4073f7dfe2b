<script lang="ts">
	/** What a plan asks stage by stage, and how it is done. */
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { sayArea, sayVolume } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Fold from '$lib/ui/Fold.svelte';
	import { STAGE_WORDS } from '$lib/ui/say.js';
	import type { PlannedWay } from './planSays.js';

	interface Props {
		w: PlannedWay;
		units: UnitChoice;
	}
	let { w, units }: Props = $props();
</script>

<Fold label="Stage by stage, and how" class="mt-3">
	<div>
		<table class="mt-2 w-full">
			<thead
				><tr class="border-b border-ink"
					><th class="py-1 pr-3">Until</th><th class="pr-3">Pieces</th><th class="pr-3">In</th><th
						class="hidden pr-3 sm:table-cell">Room</th
					><th class="hidden pr-3 sm:table-cell">Mix</th><th>About</th></tr
				></thead
			>
			<tbody class="ruled">
				{#each w.best!.effort.stages as s, i (i)}
					<tr class="border-b border-rule"
						><td class="py-1 pr-3">{STAGE_WORDS[s.to]}</td><td class="pr-3">{Math.round(s.entering)}</td><td class="pr-3"
							>{s.open ? s.container : `${s.containers} × ${s.container}`}</td
						><td class="hidden pr-3 sm:table-cell">{s.areaCm2 >= 50 ? sayArea(s.areaCm2 / 10_000, units) : '–'}</td><td
							class="hidden pr-3 sm:table-cell">{s.litres ? sayVolume(s.litres, units) : '–'}</td
						><td>{sayDate(isoOf(s.until))}</td></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
	{#if w.tall}<p class="mt-3 max-w-prose">{w.tall.years} {w.tall.lift}</p>{/if}
	<p class="mt-3">
		{w.piece.say}. Medium: {w.medium}. Cover: {w.cover}. Hormone: {w.hormone}.
	</p>
	<p class="note">Window: {w.window}.</p>
	{#each w.cautions as caution (caution)}<p class="mt-1 text-madder">{caution}</p>{/each}
</Fold>
