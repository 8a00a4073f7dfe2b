<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { applyAction, enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { tick } from 'svelte';
	import { v7 as uuidv7 } from 'uuid';
	import type { Snippet } from 'svelte';
	import type { Problem } from '$lib/core/result.js';
	import DayField from './DayField.svelte';
	import NoteField from './NoteField.svelte';
	import { fieldsAt, provideProblem } from './form.js';
	import { tell } from './toast.svelte.js';
	import { versionMoved, versionToSend } from './versions.js';
	import type { Seen } from './versions.js';

	interface Props {
		action: string;
		submit: string;
		/** Today in the garden, the date offered. */
		today: string;
		/** Ask for a date and a note? */
		dated?: boolean;
		noted?: boolean;
		/** What the entry is about, as it stood when this form was drawn. */
		seen?: Seen | null;
		quiet?: boolean;
		children?: Snippet;
		/** Id of what the form is about, where several say the same on their buttons. */
		about?: string | undefined;
		ondone?: () => void;
	}
	let {
		action,
		submit,
		today,
		dated = true,
		noted = true,
		seen = null,
		quiet = false,
		about,
		children,
		ondone
	}: Props = $props();

	// The client makes the entry's id: a form sent twice is one entry.
	let id = $state(uuidv7());
	let problem = $state<Problem | null>(null);
	let sending = $state(false);
	provideProblem(() => problem);

	/** The hand goes on where something is wrong: the field that is named, else the sentence. */
	function toFault(form: HTMLFormElement, path: string | undefined) {
		const named = path ? fieldsAt(path).find((name) => form.elements.namedItem(name)) : undefined;
		const field = named ? form.elements.namedItem(named) : null;
		const at = field instanceof RadioNodeList ? (field[0] as HTMLElement) : (field as HTMLElement | null);
		// It may stand in what is folded away.
		at?.closest('details')?.setAttribute('open', '');
		if (at && at.getAttribute('type') !== 'hidden') at.focus();
		else form.querySelector<HTMLElement>('[role=alert]')?.scrollIntoView({ block: 'nearest' });
	}
</script>

<form
	method="POST"
	{action}
	class="flex flex-col gap-4"
	use:enhance={({ formData }) => {
		const thing = seen && seen.version !== null ? { id: seen.id, version: seen.version } : null;
		if (thing) formData.set('seen', String(versionToSend(thing)));
		sending = true;
		problem = null;
		return async ({ result, formElement }) => {
			// Someone was quicker: the new counts are there before it is said, so that sending again goes with them.
			const refusal = result.type === 'failure' ? (result.data?.problem as Problem | undefined) : undefined;
			if (refusal?.code === 'entry.changed-since' || refusal?.code.startsWith('entry.sent')) await invalidateAll();
			// Its id is taken by what was saved before: what is sent next is an entry of its own.
			if (refusal?.code.startsWith('entry.sent')) id = uuidv7();
			sending = false;
			if (result.type === 'failure') {
				problem = refusal ?? { code: 'form', sentence: texts.thatCouldNotBe };
				await tick();
				toFault(formElement, problem.path);
			} else if (result.type === 'redirect') {
				await applyAction(result);
			} else if (result.type !== 'success') {
				// An error of ours has a code; anything else is the network, or a page that something put in between.
				const said = result.type === 'error' ? (result.error as { message?: string; code?: string } | undefined) : undefined;
				problem = said?.code
					? { code: said.code, sentence: said.message ?? '' }
					: { code: 'down', sentence: texts.theAppDoesNot };
			} else {
				const done = result.data?.done as { entryId: string; sentence: string; version?: number | null } | undefined;
				if (done) tell(done);
				if (done && thing && typeof done.version === 'number') versionMoved(thing.id, thing.version, done.version);
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
	{#if seen && seen.version !== null}<input type="hidden" name="seen" value={seen.version} />{/if}
	{@render children?.()}
	{#if dated}
		<DayField label={texts.day} name="on" value={today} />
	{/if}
	{#if noted}
		<NoteField />
	{/if}
	{#if problem}
		<Note tone="harm" said class="bg-pane py-2 whitespace-pre-line">
			{problem.sentence}
			{#if problem.code === 'sign-in'}<a href="/sign-in" target="_blank" rel="opener">{texts.signInInAnother}</a>{/if}
		</Note>
	{/if}
	<div>
		<Act type="submit" main={!quiet} disabled={sending} aria-describedby={about}>{sending ? texts.saving : submit}</Act>
	</div>
</form>
