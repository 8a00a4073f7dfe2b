<script lang="ts">
	/** Takes back one line of the ledger, wherever it is read. */
	import { texts } from '$lib/messages/common.js';
	import { undoEntry } from '$lib/ui/undo.js';

	interface Props {
		base: string;
		entry: { id: string; line: string };
	}
	let { base, entry }: Props = $props();
</script>

<button
	class="min-h-11 min-w-11 px-2 text-leaf underline underline-offset-4"
	aria-label={texts.undoOf(entry.line)}
	onclick={() => undoEntry(base, entry.id)}>{texts.undo}</button
>
