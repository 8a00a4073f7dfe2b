<script lang="ts">
	import { applyAction, enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { v7 as uuidv7 } from 'uuid';
	import type { Snippet } from 'svelte';
	import type { Problem } from '$lib/core/result.js';
	import Field from './Field.svelte';
	import NoteField from './NoteField.svelte';
	import { provideProblem } from './form.js';
	import { tell } from './toast.svelte.js';

	interface Props {
		action: string;
		submit: string;
		/** Today in the garden, the date offered. */
		today: string;
		/** Ask for a date and a note? */
		dated?: boolean;
		noted?: boolean;
		/** Standing entries of the batch when this form was drawn. */
		seen?: number | null;
		quiet?: boolean;
		children?: Snippet;
		ondone?: () => void;
	}
	let { action, submit, today, dated = true, noted = true, seen = null, quiet = false, children, ondone }: Props = $props();

	// The client makes the entry's id: a form sent twice is one entry.
	let id = $state(uuidv7());
	let problem = $state<Problem | null>(null);
	let sending = $state(false);
	provideProblem(() => problem);
</script>

<form
	method="POST"
	{action}
	class="flex flex-col gap-4"
	use:enhance={() => {
		sending = true;
		problem = null;
		return async ({ result, formElement }) => {
			// Someone was quicker: the new counts are there before it is said, so that sending again goes with them.
			if (result.type === 'failure' && (result.data?.problem as Problem | undefined)?.code === 'batch.changed')
				await invalidateAll();
			sending = false;
			if (result.type === 'failure') {
				problem = (result.data?.problem as Problem | undefined) ?? {
					code: 'form',
					sentence: 'That could not be read.'
				};
			} else if (result.type === 'error') {
				problem = {
					code: 'down',
					sentence: result.error?.message ?? 'The app does not answer. What you typed is still here.'
				};
				if (problem.sentence === 'Failed to fetch')
					problem.sentence = 'The app does not answer. What you typed is still here: try again in a moment.';
			} else if (result.type === 'redirect') {
				await applyAction(result);
			} else {
				const done = result.data?.done as { entryId: string; sentence: string } | undefined;
				if (done) tell(done);
				id = uuidv7();
				// Before the new counts come: whoever taps on meanwhile must not have it shut again.
				if (ondone) ondone();
				else formElement.reset();
				await invalidateAll();
			}
		};
	}}
>
	<input type="hidden" name="entry_id" value={id} />
	{#if seen !== null}<input type="hidden" name="seen" value={seen} />{/if}
	{@render children?.()}
	{#if dated}
		<Field label="Day" name="on" type="date" value={today} />
	{/if}
	{#if noted}
		<NoteField />
	{/if}
	{#if problem}
		<p role="alert" class="border-l-4 border-madder bg-pane px-3 py-2 text-madder">{problem.sentence}</p>
	{/if}
	<div>
		<button type="submit" class={quiet ? 'act' : 'act act-main'} disabled={sending}>{sending ? 'Saving …' : submit}</button>
	</div>
</form>
