<script lang="ts">
	import { texts } from '$lib/messages/ground.js';
	/** A judgement by word and shape, so that colour is never needed. */
	interface Props {
		word: string;
	}
	let { word }: Props = $props();
	const good = $derived([texts.inHand, 'met'].includes(word));
	const bad = $derived(['unlikely', 'missed', texts.noPlan].includes(word));
</script>

<span class="inline-flex items-center gap-1.5 font-semibold {good ? 'text-leaf' : bad ? 'text-madder' : 'text-catkin-deep'}">
	<svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
		{#if good}
			<path
				d="M7 13V6M7 8C7 4 9 2 13 1c0 4-2 6-6 7zM7 10C7 7.5 5.500 5.500 1.500 5c0 3 2 5 5.500 5z"
				fill="currentColor"
				stroke="currentColor"
			/>
		{:else if bad}
			<path
				d="M7 13V7C7 4 9 3 11 4.500c1 1 .5 2.500-.5 3.500"
				fill="none"
				stroke="currentColor"
				stroke-width="2"
				stroke-linecap="round"
			/>
		{:else}
			<path d="M7 13V5M7 5l-3 2M7 7l3 1.500" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" />
		{/if}
	</svg>
	{word}
</span>
