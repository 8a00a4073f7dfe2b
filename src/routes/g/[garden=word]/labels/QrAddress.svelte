<script lang="ts">
	/** Where a phone finds the app when it reads a label: by this page's own address, or by one that phones can reach. */
	import { texts } from '$lib/messages/labels.js';
	import { onMount } from 'svelte';
	import Field from '$lib/ui/Field.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { remembered } from '$lib/ui/remembered.js';

	let { address = $bindable() }: { address: string | null } = $props();
	const kept = remembered<string>('address on labels', 'device');
	let typed = $state('');
	let here = $state('');
	onMount(() => {
		here = location.origin;
		typed = kept.read() ?? here;
	});
	const LOOPBACK = /^(127\.\d+\.\d+\.\d+|localhost|\[::1\])$/;
	const url = $derived.by(() => {
		try {
			const u = new URL(typed.trim());
			return /^https?:$/.test(u.protocol) && typed.trim().length <= 200 ? u : null;
		} catch {
			return null;
		}
	});
	$effect(() => {
		address = url?.origin ?? null;
		if (url) kept.write(url.origin);
	});
</script>

<div>
	<Field label={texts.addressThatTheQr} name="at" bind:value={typed} hint={texts.asPhonesInThe} />
	{#if typed && !url}
		<Note tone="harm" said class="mt-2">{texts.thatIsNoAddress}</Note>
	{:else if url && LOOPBACK.test(url.hostname)}
		<Note tone="now" class="mt-2">
			{texts.thatIsThisComputers}
		</Note>
	{/if}
</div>
