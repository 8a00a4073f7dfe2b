<script lang="ts">
	/** A rooting liquid thinned to the strength that is wanted: C₁V₁ = C₂V₂. */
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { dilute, percentToMgL, SOAK } from '$lib/core/mix/hormone.js';

	let { open }: { open: boolean } = $props();
	let percent = $state(1);
	let wanted = $state(1000);
	let ml = $state(100);
	const thinned = $derived(dilute(percentToMgL(percent), wanted, ml));
</script>

<Fold label="Thin a liquid" class="mt-2" {open}>
	<div class="grid grid-cols-3 gap-3">
		<NumberBox label="Bottle, %" step={0.1} bind:value={percent} />
		<NumberBox label="Wanted, mg/L" step={100} bind:value={wanted} />
		<NumberBox label="Make, ml" step={10} bind:value={ml} />
	</div>
	{#if thinned.ok}<p class="mt-2 text-lg" data-testid="thinned">
			<strong>{Math.round(thinned.value.concentrateMl * 10) / 10} ml</strong> of it and
			<strong>{Math.round(thinned.value.waterMl * 10) / 10} ml</strong>
			of water (1 to {Math.round(thinned.value.toOne * 10) / 10}).
		</p>
	{:else}<p role="alert" class="mt-2 text-madder">{thinned.problem.sentence}</p>{/if}
	<p class="note">
		1 % is 10,000 mg/L. A soak of {SOAK.hours} hours is far weaker: {SOAK.mgL[0]}–{SOAK.mgL[1]} mg/L. Strengths after Hartmann and Kester,
		“Plant Propagation”, from memory. The label and local rules come first; gloves, no dust.
	</p>
</Fold>
