<script lang="ts">
	/** What a plan asks stage by stage, and how it is done. */
	import { texts } from '$lib/messages/wants.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
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
	type Stage = NonNullable<PlannedWay['best']>['effort']['stages'][number];
</script>

<Fold label={texts.stageByStageAnd} class="mt-3">
	<div>
		<Rows
			class="mt-2"
			heads={[
				texts.until,
				texts.pieces,
				texts.inWord,
				{ name: texts.room, wide: true },
				{ name: texts.mix, wide: true },
				texts.about
			]}
			rows={w.best!.effort.stages}
			key={(s) => `${s.to} ${s.until}`}
		>
			{#snippet cells(s: Stage)}
				<TableBodyCell>{STAGE_WORDS[s.to]}</TableBodyCell>
				<TableBodyCell>{Math.round(s.entering)}</TableBodyCell>
				<TableBodyCell>{s.open ? s.container : `${s.containers} × ${s.container}`}</TableBodyCell>
				<TableBodyCell class="hidden sm:table-cell">{s.areaCm2 >= 50 ? sayArea(s.areaCm2 / 10_000, units) : '–'}</TableBodyCell>
				<TableBodyCell class="hidden sm:table-cell">{s.litres ? sayVolume(s.litres, units) : '–'}</TableBodyCell>
				<TableBodyCell>{sayDate(isoOf(s.until))}</TableBodyCell>
			{/snippet}
		</Rows>
	</div>
	{#if w.tall}<p class="mt-3 max-w-prose">{w.tall.years} {w.tall.lift}</p>{/if}
	<p class="mt-3">
		{texts.mediumCoverHormone(w.piece.say, w.medium, w.cover, w.hormone)}
	</p>
	<p class="note">{texts.window(w.window)}</p>
	{#each w.cautions as caution (caution)}<p class="mt-1 text-madder">{caution}</p>{/each}
</Fold>
