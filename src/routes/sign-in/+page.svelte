<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Field from '$lib/ui/Field.svelte';
	let { form } = $props();
</script>

<svelte:head><title>Sign in · Surculus</title></svelte:head>
<main class="mx-auto max-w-sm px-4 py-20">
	<h1>Surculus</h1>
	<p class="mt-2 text-faded">This garden is kept behind the household’s password.</p>
	<form
		method="POST"
		action="?/in&to={encodeURIComponent(page.url.searchParams.get('to') ?? '/')}"
		use:enhance
		class="mt-6 flex flex-col gap-4"
	>
		<Field label="Password" name="password" type="password" autocomplete="current-password" required />
		{#if form?.sentence}<p role="alert" class="border-l-4 border-madder px-3 text-madder">
				{form.sentence}
			</p>{/if}
		<button class="act act-main">Sign in</button>
	</form>
</main>
