<script lang="ts">
	import Act from '$lib/ui/Act.svelte';
	import { page } from '$app/state';
	const down = $derived(page.error?.code === 'database.down');
</script>

<svelte:head><title>Surculus</title></svelte:head>
<main class="mx-auto max-w-xl px-4 py-16">
	<p class="figure">{down ? 503 : page.status}</p>
	<h1 class="mt-4">{page.error?.message ?? 'Something went wrong.'}</h1>
	{#if down}
		<p class="mt-4">
			It works again as soon as the database is back. Look whether <code>./start</code> still runs.
		</p>
		<Act main class="mt-6" onclick={() => location.reload()}>Try again</Act>
	{:else}
		<p class="mt-6"><Act main href="/">To the round</Act></p>
	{/if}
</main>
