<script lang="ts">
	/** Light or dark, on this device. */
	import { texts } from '$lib/messages/common.js';
	import { onMount } from 'svelte';
	import { lookCookie, lookOf, LOOKS } from '$lib/formats/look.js';
	import type { Look } from '$lib/formats/look.js';
	import Chip from './Chip.svelte';

	const WORDS: Record<Look, string> = { device: texts.asThisDeviceHas, light: texts.light, dark: texts.dark };
	let look = $state<Look>('device');
	onMount(() => (look = lookOf(document.documentElement.dataset.theme)));
	function choose(chosen: Look) {
		look = chosen;
		document.documentElement.dataset.theme = chosen;
		document.cookie = lookCookie(chosen);
	}
</script>

<fieldset>
	<legend class="font-semibold">{texts.lightOrDark}</legend>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each LOOKS as each (each)}
			<Chip type="radio" name="look" value={each} checked={look === each} onchange={() => choose(each)}>{WORDS[each]}</Chip>
		{/each}
	</div>
</fieldset>
