<script lang="ts">
	/** How do we get all of it? What the plan gives, what is next, what holds the rest back. */
	import { page } from '$app/state';
	import { texts } from '$lib/messages/plan.js';
	import Act from '$lib/ui/Act.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import type { PageData } from './$types';
	import Looked from './Looked.svelte';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
</script>

<svelte:head><title>{texts.plan(data.garden.name)}</title></svelte:head>
<Trail to="{base}/wants" name="Wants" />

{#if data.wants === 0}
	<h1 class="mt-1">{texts.nothingIsWantedYet}</h1>
	<p class="mt-2 max-w-prose text-lg">
		{texts.sayWhatShouldStand}
	</p>
	<p class="mt-4"><Act main href="{base}/wants/new">{texts.sayWhatYouWant}</Act></p>
{:else}
	<Looked
		address="{base}/plan/search{page.url.search}"
		state={data.state}
		kept={data.plan}
		planned={data.planned}
		garden={data.garden}
		currency={data.garden.currency}
		units={data.garden.units}
	/>
{/if}
