<script lang="ts">
	/** A way that falls short: why, and the most that it can bring. */
	import { texts } from '$lib/messages/wants.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import { plural } from '$lib/ui/say.js';
	import { goes, sayAll } from './planSays.js';
	import type { PlannedWay } from './planSays.js';

	interface Props {
		w: PlannedWay;
		target: number;
		confidence: number;
		stockId: string | null;
		today: string;
	}
	let { w, target, confidence, stockId, today }: Props = $props();
</script>

<h3>{w.name}</h3>
<p class="mt-1">{w.why}</p>
{#if w.fallback}
	<p class="note">
		{w.fallback.usually < 1
			? texts.dontCountOnAny(plural(w.fallback.strike, w.pieces), goes(w.fallback, ''))
			: texts.theMostItCan(
					Math.floor(w.fallback.usually),
					plural(w.fallback.strike, w.pieces),
					goes(w.fallback, ''),
					sayAll(w.fallback.probability, target, confidence)
				)}
	</p>
	<div class="mt-2">
		<EntryForm action="?/accept" submit={texts.planThatAllThe} {today} dated={false} noted={false} quiet>
			<input type="hidden" name="way_id" value={w.wayId} />
			<input type="hidden" name="stock_id" value={stockId} />
			<input type="hidden" name="flushes" value={JSON.stringify(w.fallback.flushes)} />
			<input type="hidden" name="promised" value={w.fallback.probability} />
		</EntryForm>
	</div>
{/if}
<p class="note mt-1">{texts.window(w.window)}</p>
