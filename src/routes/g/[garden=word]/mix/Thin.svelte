<script lang="ts">
	/** A rooting liquid thinned to the strength that is wanted: C₁V₁ = C₂V₂. */
	import { texts } from '$lib/messages/mix.js';
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { dilute, percentToMgL, SOAK } from '$lib/core/mix/hormone.js';

	let { open }: { open: boolean } = $props();
	let percent = $state(1);
	let wanted = $state(1000);
	let ml = $state(100);
	const thinned = $derived(dilute(percentToMgL(percent), wanted, ml));
</script>

<Fold label={texts.thinALiquid} class="mt-2" {open}>
	<div class="grid grid-cols-3 gap-3">
		<NumberBox label={texts.bottle} step={0.1} bind:value={percent} />
		<NumberBox label={texts.wantedMgL} step={100} bind:value={wanted} />
		<NumberBox label={texts.makeMl} step={10} bind:value={ml} />
	</div>
	{#if thinned.ok}<p class="mt-2 text-lg" data-testid="thinned">
			<strong>{texts.ml(Math.round(thinned.value.concentrateMl * 10) / 10)}</strong>
			{texts.ofItAnd}
			<strong>{texts.ml(Math.round(thinned.value.waterMl * 10) / 10)}</strong>
			{texts.ofWater1To(Math.round(thinned.value.toOne * 10) / 10)}
		</p>
	{:else}<p role="alert" class="mt-2 text-madder">{thinned.problem.sentence}</p>{/if}
	<p class="note">
		{texts.n1Is10000(SOAK.hours, SOAK.mgL[0], SOAK.mgL[1])}
	</p>
</Fold>
