<script lang="ts">
	/** What hardly will root any more: one line, and one tap gives it up or leaves it standing for another month. */
	import { texts } from '$lib/messages/round.js';
	import { addDays } from '$lib/core/dates.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import { plural } from '$lib/ui/say.js';
	import Fold from '$lib/ui/Fold.svelte';
	import type { ShownTask } from '$lib/server/roundShown.js';

	interface Props {
		tasks: readonly ShownTask[];
		base: string;
		today: string;
		isToday: boolean;
	}
	let { tasks, base, today, isToday }: Props = $props();
	const KEPT_DAYS = 28;
	const pieces = $derived(tasks.reduce((n, t) => n + t.count, 0));
	const one = $derived(tasks.length === 1 ? tasks[0]! : null);
	const told = (t: ShownTask) => `${t.batchId} ${t.seen} ${t.count}`;
	const names = $derived(tasks.map((t) => `${t.title} (${t.code})`));
</script>

<section
	class="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-t border-ink py-3"
	aria-label={texts.stragglers}
>
	<div class="min-w-0 flex-1 basis-64">
		{#if one}
			<p>
				<a class="lone" href="{base}/{one.link}">{names[0]}</a>
				{texts.willHardlyRootAny}
			</p>
		{:else}
			<Fold label={texts.piecesOfBatchesWill(pieces, tasks.length)} plain>
				<ul class="ruled">
					{#each tasks as t, i (t.key)}
						<li><a class="lone" href="{base}/{t.link}">{names[i]}</a></li>
					{/each}
				</ul>
			</Fold>
		{/if}
	</div>
	{#if isToday}
		<div class="flex flex-wrap gap-2">
			<EntryForm action="?/giveup" submit={texts.giveUp(plural(pieces, texts.pieces))} {today} dated={false} noted={false} quiet>
				{#each tasks as t (t.key)}<input type="hidden" name="straggler" value={told(t)} />{/each}
			</EntryForm>
			<EntryForm action="?/putoff" submit={texts.leaveThem} {today} dated={false} noted={false} quiet>
				<input type="hidden" name="work" value="look" />
				<input type="hidden" name="place" value="" />
				<input type="hidden" name="targets" value={tasks.map((t) => t.batchId).join(',')} />
				<input type="hidden" name="until" value={addDays(today, KEPT_DAYS)} />
			</EntryForm>
		</div>
	{/if}
</section>
