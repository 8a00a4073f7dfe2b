<script lang="ts">
	/** No way is as sure as asked in time: what can be had instead. */
	import { texts } from '$lib/messages/wants.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { insteadOf } from '$lib/core/plan/instead.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { goes, sayAll } from './planSays.js';
	import type { PageData } from './$types';
	import type { PlannedWay } from './planSays.js';

	interface Props {
		ways: readonly PlannedWay[];
		want: PageData['want'];
		/** Plants that are missing: fewer than wanted where some are on their way. */
		target: number;
		today: string;
		buying: number;
		currency: string;
		/** Where a price of one's own is set. */
		handbook: string;
	}
	let { ways, want, target, today, buying, currency, handbook }: Props = $props();
	const instead = $derived(insteadOf(ways, want.confidence));
	const later = $derived(instead.soonest?.earliest ? isoOf(instead.soonest.earliest.ready) : null);
</script>

<Note tone="harm" class="mt-4 bg-pane py-3">
	<p class="text-lg font-semibold">
		{texts.by(instead.nearly ? texts.notQuiteAsSure : texts.youCantBeThat, sayDate(want.due))}
	</p>
	<ul class="mt-2 list-disc pl-5">
		{#if instead.most?.fallback}
			<li>
				{texts.theMostThatCan(
					instead.most.name,
					goes(instead.most.fallback),
					instead.most.fallback.usually < 1
						? texts.butDontCountOn
						: texts.usuallyLeave(
								Math.floor(instead.most.fallback.usually),
								sayAll(instead.most.fallback.probability, target, want.confidence)
							)
				)}
			</li>
		{/if}
		{#if instead.soonest?.earliest && later}
			<li>
				{texts.asSureAsYouAsk(
					sayDate(later),
					instead.soonest.name,
					instead.soonest.earliest.strike,
					sayDate(isoOf(instead.soonest.earliest.on))
				)}
			</li>
		{/if}
		<li>
			{texts.boughtWouldCostAboutPrice(target, sayMoney(buying, currency))}
			<a href={handbook}>{texts.handbook}</a>).
		</li>
	</ul>
	{#if later}
		<div class="mt-3">
			<EntryForm
				action="?/change"
				submit={texts.haveThemBy(sayDate(later))}
				{today}
				dated={false}
				noted={false}
				seen={want}
				quiet
			>
				<input type="hidden" name="due" value={later} />
				<input type="hidden" name="target" value={want.target} />
				<input type="hidden" name="confidence" value={Math.round(want.confidence * 100)} />
				<input type="hidden" name="place_id" value={want.placeId ?? ''} />
				<input type="hidden" name="label" value={want.label} />
			</EntryForm>
		</div>
	{/if}
</Note>
