<script lang="ts">
	/** What stands in the bed or is on its way, and where each is set in the drawing. */
	import { texts } from '$lib/messages/ground.js';
	import Act from '$lib/ui/Act.svelte';
	import { sayKilos } from '$lib/core/ground/movesWords.js';
	import { sayLength } from '$lib/core/units/index.js';
	import Setting from './Setting.svelte';
	import type { PageData } from './$types';

	let {
		bed,
		units,
		base,
		today,
		isToday,
		filled
	}: {
		bed: PageData['bed'];
		units: PageData['garden']['units'];
		base: string;
		today: string;
		isToday: boolean;
		filled: boolean;
	} = $props();
	/** The stock whose places are being told. */
	let setting = $state<string | null>(null);
	const unset = $derived(bed.stands.reduce((n, s) => n + (s.coming ? 0 : s.count - s.at.length), 0));
</script>

<section class="mt-8" aria-labelledby="there">
	<h2 id="there" class="border-b border-ink pb-1">{texts.whatStandsThere}</h2>
	{#if bed.stands.length}
		<ul class="mt-2">
			{#each bed.stands as s, n (s.id)}
				<li class="border-b border-rule py-1">
					<span class="flex flex-wrap items-center justify-between gap-x-4">
						<span
							>{#if s.at.length}<span
									class="mr-2 inline-grid size-7 place-items-center rounded-full border border-ink bg-catkin/40 text-[0.875rem] font-semibold"
									>{n + 1}</span
								>{/if}<a href="{base}/{s.link}">{s.count} {s.name}</a>
							<span class="note"
								>{texts.across2(
									sayLength(s.acrossM * 100, units),
									s.coming ? texts.onTheWay : '',
									!bed.ground
										? ''
										: s.assumed
											? texts.drawnWhereItFits
											: s.at.length === s.count
												? ''
												: s.at.length === 0
													? texts.notSetInThe
													: texts.setInTheDrawing(s.at.length)
								)}</span
							>{#if s.lift}<span class="note block"
									>{texts.toMoveABall(
										s.count === 1 ? texts.it : texts.one,
										sayLength(s.lift.acrossCm, units),
										sayKilos(s.lift.kg),
										s.lift.people > 1 ? texts.byPeople(s.lift.people) : ''
									)}</span
								>{/if}</span
						>
						{#if bed.ground && s.what === 'stock' && isToday}<Act
								class="no-print"
								aria-expanded={setting === s.id}
								onclick={() => (setting = setting === s.id ? null : s.id)}
								>{setting === s.id ? texts.leaveIt : s.at.length ? texts.setAnew : texts.setItInThe}</Act
							>{/if}
					</span>
					{#if setting === s.id && bed.ground}
						<Setting stock={s} {bed} {units} {today} ondone={() => (setting = null)} />
					{/if}
				</li>
			{/each}
		</ul>
		{#if bed.ground && unset > 0 && filled}<p class="note mt-2">
				{texts.withoutAPlaceIn(
					unset === 1 ? texts.onePlant : texts.plants2(unset),
					unset === 1 ? texts.is : texts.are,
					unset === 1 ? texts.it : texts.they
				)}
			</p>{/if}
		<div class="no-print mt-3"><Act href="{base}/ground/moves?free={bed.id}">{texts.clearThisBedWhere}</Act></div>
	{:else}<p class="mt-2 text-faded">{texts.nothingIsToldTo}</p>{/if}
</section>
