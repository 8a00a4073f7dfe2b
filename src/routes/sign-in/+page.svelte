<script lang="ts">
	import { texts } from '$lib/messages/garden.js';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Field from '$lib/ui/Field.svelte';
	let { form } = $props();
</script>

<svelte:head><title>{texts.signInSurculus}</title></svelte:head>
<main class="mx-auto max-w-sm px-4 py-20">
	<h1>Surculus</h1>
	<p class="mt-2 text-faded">{texts.thisGardenIsKept}</p>
	<form
		method="POST"
		action="?/in&to={encodeURIComponent(page.url.searchParams.get('to') ?? '/')}"
		use:enhance
		class="mt-6 flex flex-col gap-4"
	>
		<Field label={texts.password} name="password" type="password" autocomplete="current-password" required />
		{#if form?.sentence}<Note tone="harm" said>
				{form.sentence}
			</Note>{/if}
		<Act type="submit" main>{texts.signIn}</Act>
	</form>
</main>
