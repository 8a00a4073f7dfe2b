<script lang="ts">
	import Act from '$lib/ui/Act.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
</script>

<svelte:head><title>{data.code} · {data.garden.name}</title></svelte:head>
<h1><span class="border-2 border-ink px-2 font-mono font-normal">{data.code}</span> is not of this garden</h1>
{#if data.elsewhere.length}
	<ul class="mt-4 flex flex-col gap-3">
		{#each data.elsewhere as e (e.slug)}<li>
				<Act href="/g/{e.slug}/bench/{e.batchId}?do=look">It stands in {e.name}</Act>
			</li>{/each}
	</ul>
{:else}<p class="mt-3 max-w-prose">
		The code is well made, but no garden here has a batch by it. It may be of another house.
	</p>{/if}
