<script lang="ts">
	/** How tall the plants of a want are to stand at least on their day. */
	import { texts } from '$lib/messages/wants.js';
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { untrack } from 'svelte';
	import Field from './Field.svelte';
	interface Props {
		units: UnitChoice;
		cm?: number | null;
		/** They are handed over in their pots, not planted. */
		pots?: boolean;
		/** As it is typed. */
		text?: string;
	}
	let { units, cm = null, pots = false, text = $bindable('') }: Props = $props();
	const measure = $derived(shortMeasure(units));
	untrack(() => {
		if (cm !== null) text = String(shortMeasure(units).shown(cm, 0));
	});
</script>

<Field
	label={texts.leastHeight}
	name="least"
	bind:value={text}
	numeric
	unit={measure.unit}
	hint={pots ? texts.handedOnUntil : texts.grownOnUntil}
/>
