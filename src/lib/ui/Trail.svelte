<script lang="ts">
	/** The way back from a page to what it belongs to. */
	import { texts } from '$lib/messages/common.js';
	import Breadcrumb from 'flowbite-svelte/Breadcrumb.svelte';
	import BreadcrumbItem from 'flowbite-svelte/BreadcrumbItem.svelte';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import Island from './Island.svelte';
	let { to, name }: { to: string; name: string } = $props();
</script>

<Island>
	<Breadcrumb ariaLabel={texts.whereThisBelongs} class="no-print">
		<BreadcrumbItem href={to}>
			{#snippet icon()}<ChevronLeft size={18} class="text-faded" aria-hidden="true" />{/snippet}
			{name}
		</BreadcrumbItem>
	</Breadcrumb>
</Island>
