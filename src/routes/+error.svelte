<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Act from '$lib/ui/Act.svelte';
	import { page } from '$app/state';
	const down = $derived(page.error?.code === 'database.down');
</script>

<svelte:head><title>Surculus</title></svelte:head>
<main class="mx-auto max-w-xl px-4 py-16">
	<p class="figure">{down ? 503 : page.status}</p>
	<h1 class="mt-4">{page.error?.message ?? texts.somethingWentWrong}</h1>
	{#if down}
		<p class="mt-4">
			{texts.itWorksAgainAs} <code>{texts.start}</code>
			{texts.stillRuns}
		</p>
		<Act main class="mt-6" onclick={() => location.reload()}>{texts.tryAgain}</Act>
	{:else}
		<p class="mt-6"><Act main href="/">{texts.toTheRound}</Act></p>
	{/if}
</main>
