<script lang="ts">
	/** Takes back one line of the ledger, wherever it is read. */
	import TextAct from './TextAct.svelte';
	import { texts } from '$lib/messages/common.js';
	import { undoEntry } from '$lib/ui/undo.js';

	interface Props {
		base: string;
		entry: { id: string; line: string };
	}
	let { base, entry }: Props = $props();
</script>

<TextAct class="px-2" aria-label={texts.undoOf(entry.line)} onclick={() => undoEntry(base, entry.id)}>{texts.undo}</TextAct>
