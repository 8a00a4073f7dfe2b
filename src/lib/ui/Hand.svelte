<script lang="ts">
	/** How dates and numbers are written, on this device. */
	import { texts } from '$lib/messages/common.js';
	import { onMount } from 'svelte';
	import { DAY_WRITINGS, NUMBER_WRITINGS, PLAIN } from '$lib/core/writing.js';
	import type { Writing } from '$lib/core/writing.js';
	import { invalidateAll } from '$app/navigation';
	import { DAY_SAMPLES, NUMBER_SAMPLES } from '$lib/formats/writing.js';
	import Chip from './Chip.svelte';
	import { chooseHand, takeHand } from './hand.svelte.js';

	let hand = $state<Writing>(PLAIN);
	onMount(() => (hand = takeHand()));
	function choose(change: Partial<Writing>) {
		hand = { ...hand, ...change };
		chooseHand(hand);
		// The server's sentences are written anew; what was typed stays.
		void invalidateAll();
	}
</script>

<fieldset>
	<legend class="font-semibold">{texts.dates}</legend>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each DAY_WRITINGS as each (each)}
			<Chip type="radio" name="days" value={each} checked={hand.days === each} onchange={() => choose({ days: each })}
				>{DAY_SAMPLES[each]}</Chip
			>
		{/each}
	</div>
</fieldset>
<fieldset class="mt-4">
	<legend class="font-semibold">{texts.numbers}</legend>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each NUMBER_WRITINGS as each (each)}
			<Chip type="radio" name="numbers" value={each} checked={hand.numbers === each} onchange={() => choose({ numbers: each })}
				>{NUMBER_SAMPLES[each]}</Chip
			>
		{/each}
	</div>
</fieldset>
