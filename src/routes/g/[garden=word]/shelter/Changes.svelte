<script lang="ts">
	/** What binds, and the smallest thing that frees it; what is put over a place is logged here. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/shelter.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import { sayMoney } from '$lib/core/numbers.js';
	import { warmthMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { changeNamed, changeSaid } from './changeWords.js';
	import type { PageData } from './$types';

	interface Props {
		changes: NonNullable<Awaited<PageData['changes']>>;
		units: UnitChoice;
		currency: string;
		today: string;
		base: string;
	}
	let { changes, units, currency, today, base }: Props = $props();
	const warmth = $derived(warmthMeasure(units));
	const money = (n: number) => sayMoney(n < 10 ? Math.round(n * 2) / 2 : Math.round(n), currency);
</script>

{#if changes.none}
	<p class="mt-2 max-w-prose">
		{texts.nothingThatWasTried}
	</p>
{:else}
	<ul class="ruled mt-1">
		{#each changes.gains as g (changeNamed(g, units))}
			{@const c = g.change}
			<li class="py-3">
				<p class="text-lg font-semibold">{changeNamed(g, units)}</p>
				<p class="max-w-prose">{changeSaid(g, units, money)}</p>
				{#if c.what === 'cover' || c.what === 'heater'}
					<Fold label={c.what === 'cover' ? texts.itIsOverIt : texts.itStandsThereNow}>
						<EntryForm action="?/guard" submit={texts.logIt} {today} noted={false} quiet about={c.placeId}>
							<input type="hidden" name="place" value={c.placeId} />
							{#if c.what === 'cover'}<input type="hidden" name="cover" value={c.cover} />{:else}
								<input type="hidden" name="watts" value={c.watts} />
								<input type="hidden" name="set" value={warmth.shown(c.setC)} />
							{/if}
						</EntryForm>
					</Fold>
				{:else if c.what === 'room'}
					<TextAct href="{base}/settings">{texts.changeThePlace}</TextAct>
				{/if}
			</li>
		{/each}
	</ul>
{/if}
