<script lang="ts">
	/** Plants bought towards a want: how many are still to be, and that they were. */
	import { texts } from '$lib/messages/wants.js';
	import { sayCost } from '$lib/core/numbers.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import type { PageData } from './$types';
	interface Props {
		want: PageData['want'];
		/** Of one of them. */
		price: number;
		currency: string;
		today: string;
	}
	let { want, price, currency, today }: Props = $props();
</script>

{#snippet bought()}
	<EntryForm action="?/bought" submit={texts.theyAreBought} {today} seen={want}>
		<Stepper label={texts.bought3} name="count" value={Math.max(1, want.wouldBuy)} min={1} max={2000} />
	</EntryForm>
{/snippet}
{#snippet number()}
	<EntryForm action="?/buying" submit={texts.putThemOnThe} {today} dated={false} noted={false} seen={want} quiet>
		<input type="hidden" name="want" value={want.id} />
		<Field label={texts.toBeBought2} name="count" value={String(want.wouldBuy)} numeric hint={texts.noneGrowsAll} />
	</EntryForm>
{/snippet}

{#key want.version}
	<section id="bought" class="border-b border-rule py-3">
		{#if want.buying}
			<h2>{texts.toBeBought(want.buying, sayCost(want.buying * price, currency))}</h2>
			{#if want.wouldBuy < want.buying}
				<p class="mt-1">{want.wouldBuy === 0 ? texts.noneIsNeeded : texts.soManyWouldDo(want.wouldBuy)}</p>
			{/if}
			<div class="mt-2 max-w-md">{@render bought()}</div>
			<Fold label={texts.anotherNumberToBe}><div class="max-w-md">{@render number()}</div></Fold>
		{:else}
			<Fold label={texts.buySomeOfThem}>
				<div class="max-w-md">{@render number()}</div>
				<Fold label={texts.someWereBought}>{@render bought()}</Fold>
			</Fold>
		{/if}
	</section>
{/key}
