import { invalidateAll } from '$app/navigation';
import { v7 as uuidv7 } from 'uuid';
import { tell } from './toast.svelte.js';

/** Undoes an entry and all that was done with it, tells how it went, and fetches the new state. */
export async function undoEntry(base: string, entryId: string): Promise<void> {
	const answer = await fetch(`${base}/undo`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({ entryId, undoId: uuidv7() })
	}).catch(() => null);
	if (!answer) return tell({ entryId, sentence: 'The app does not answer: try again in a moment.' });
	if (answer.status === 401)
		return tell({ entryId, sentence: 'You are signed out: sign in again in another tab, then undo it.' });
	const body = (await answer.json().catch(() => ({}))) as { error?: { sentence: string } };
	tell({ entryId: null, sentence: answer.ok ? 'Undone.' : (body.error?.sentence ?? 'That could not be undone.') });
	await invalidateAll();
}
