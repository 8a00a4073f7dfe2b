<script lang="ts">
	/** The keys that do something, told when a question mark is typed outside a field. */
	import { texts } from '$lib/messages/common.js';
	import Kbd from 'flowbite-svelte/Kbd.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';

	let open = $state(false);
	const KEYS: readonly (readonly [keys: readonly string[], does: string])[] = [
		[['Ctrl', 'K'], texts.findAScreenA],
		[['?'], texts.showTheseKeys],
		[['←', '→'], texts.onTheSeasonStrip],
		[['Shift', '←'], texts.onTheSeasonStripA],
		[['Page up'], texts.onTheSeasonStripAMonth],
		[['Home'], texts.onTheSeasonStripBack],
		[['Esc'], texts.closeWhatIsOpen]
	];
	const FIELDS = 'input, textarea, select, [contenteditable]';
	function byKey(e: KeyboardEvent) {
		if (e.key !== '?' || e.ctrlKey || e.metaKey || (e.target as Element).closest(FIELDS)) return;
		e.preventDefault();
		open = true;
	}
</script>

<svelte:window onkeydown={byKey} />
<Modal bind:open title={texts.keys} size="sm" outsideclose>
	<dl class="ruled">
		{#each KEYS as [keys, does] (does)}
			<div class="flex min-h-11 items-center justify-between gap-4">
				<dt class="flex shrink-0 gap-1">
					{#each keys as key (key)}<Kbd class="px-2 py-1">{key}</Kbd>{/each}
				</dt>
				<dd class="text-right">{does}</dd>
			</div>
		{/each}
	</dl>
</Modal>
