<script lang="ts">
	/** How much feed goes into a can for the young. */
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { feedMl } from '$lib/core/mix/hormone.js';

	let label = $state(4);
	let can = $state(5);
</script>

<Fold label="Feed">
	<div class="grid grid-cols-2 gap-3">
		<NumberBox label="The label says, ml a litre" step={0.5} max={100} bind:value={label} />
		<NumberBox label="Can, litres" step={0.5} max={1000} bind:value={can} />
	</div>
	<p class="mt-2 text-lg">
		For the young half of that: <strong>{Math.round(feedMl(Math.max(0, can || 0), Math.max(0, label || 0)) * 10) / 10} ml</strong> in
		the can.
	</p>
	<p class="note">
		Once the mix has fed them for three weeks, then every other week in growth. Never dry pots; the label comes first.
	</p>
</Fold>
