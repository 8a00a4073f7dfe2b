<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Label from 'flowbite-svelte/Label.svelte';
	import Textarea from 'flowbite-svelte/Textarea.svelte';
	const uid = $props.id();
	let open = $state(false);
</script>

{#if open}
	<div>
		<Label for={uid}>{texts.note}</Label>
		<Textarea id={uid} name="note" rows={3} maxlength={5000} class="w-full" />
	</div>
{:else}
	<button type="button" class="self-start text-leaf underline underline-offset-4 min-h-11" onclick={() => (open = true)}
		>{texts.addANote}</button
	>
{/if}
