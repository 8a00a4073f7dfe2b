<script lang="ts">
	/** Below a field: what is wrong with it, else what helps to fill it in. The field names it in `aria-describedby`. */
	import Helper from 'flowbite-svelte/Helper.svelte';

	interface Props {
		id: string;
		wrong: string | null;
		hint: string;
	}
	let { id, wrong, hint }: Props = $props();
</script>

{#if wrong}
	<Helper {id} class="text-madder">{wrong}</Helper>
{:else if hint}
	<Helper {id}>{hint}</Helper>
{/if}
