<script lang="ts">
	import TextAct from './TextAct.svelte';
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
	<TextAct class="self-start" onclick={() => (open = true)}>{texts.addANote}</TextAct>
{/if}
