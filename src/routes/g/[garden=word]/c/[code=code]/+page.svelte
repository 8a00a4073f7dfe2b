<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import Act from '$lib/ui/Act.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
</script>

<svelte:head><title>{data.code} · {data.garden.name}</title></svelte:head>
<h1><span class="border-2 border-ink px-2 font-mono font-normal">{data.code}</span> {texts.isNotOfThis}</h1>
{#if data.elsewhere.length}
	<ul class="mt-4 flex flex-col gap-3">
		{#each data.elsewhere as e (e.slug)}<li>
				<Act href="/g/{e.slug}/bench/{e.batchId}?do=look">{texts.itStandsIn(e.name)}</Act>
			</li>{/each}
	</ul>
{:else}<p class="mt-3 max-w-prose">
		{texts.theCodeIsWell}
	</p>{/if}
