<script lang="ts">
	/** How do we get all of it? What the plan gives, what is next, what holds the rest back. */
	import Act from '$lib/ui/Act.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import type { PageData } from './$types';
	import Planned from './Planned.svelte';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
</script>

<svelte:head><title>Plan · {data.garden.name}</title></svelte:head>
<Trail to="{base}/wants" name="Wants" />

{#if data.wants === 0}
	<h1 class="mt-1">Nothing is wanted yet</h1>
	<p class="mt-2 max-w-prose text-lg">
		Say what should stand where, how many and by when. The plan then finds what to strike, when and where, for all of it together.
	</p>
	<p class="mt-4"><Act main href="{base}/wants/new">Say what you want</Act></p>
{:else}
	{#await data.plan}
		<h1 class="mt-1">Working out a plan for everything you want …</h1>
		<p class="mt-2 max-w-prose text-lg text-faded" role="status">
			Each way, each plant and each week is weighed against your room, your minutes and the winters that may come. It takes some
			seconds; what else you open meanwhile does not wait for it.
		</p>
	{:then plan}
		{#if 'sorry' in plan}
			<h1 class="mt-1">No plan just now</h1>
			<Note tone="harm" said class="mt-2 text-lg">{plan.sorry}</Note>
		{:else}
			<Planned
				plan={plan.value}
				binds={data.binds}
				planned={data.planned}
				garden={data.garden}
				currency={data.garden.currency}
				units={data.garden.units}
			/>
		{/if}
	{/await}
{/if}
