<script lang="ts">
	/** How much feed goes into a can for the young. */
	import { texts } from '$lib/messages/mix.js';
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { feedMl } from '$lib/core/mix/hormone.js';

	let label = $state(4);
	let can = $state(5);
</script>

<Fold label={texts.feed}>
	<div class="grid grid-cols-2 gap-3">
		<NumberBox label={texts.theLabelSaysMl} step={0.5} max={100} bind:value={label} />
		<NumberBox label={texts.canLitres} step={0.5} max={1000} bind:value={can} />
	</div>
	<p class="mt-2 text-lg">
		{texts.forTheYoungHalf}
		<strong>{texts.ml(Math.round(feedMl(Math.max(0, can || 0), Math.max(0, label || 0)) * 10) / 10)}</strong>
		{texts.inTheCan}
	</p>
	<p class="note">
		{texts.onceTheMixHas}
	</p>
</Fold>
