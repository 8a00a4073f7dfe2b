import { invalidateAll } from '$app/navigation';
import { v7 as uuidv7 } from 'uuid';
import { tell } from './toast.svelte.js';

async function send(base: string, body: unknown, done: string): Promise<void> {
	const answer = await fetch(`${base}/clocks`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(body)
	}).catch(() => null);
	if (!answer) return tell({ entryId: null, sentence: 'The app does not answer: try again in a moment.' });
	const got = (await answer.json().catch(() => ({}))) as { entryId?: string; error?: { sentence: string } };
	tell({
		entryId: answer.ok ? (got.entryId ?? null) : null,
		sentence: answer.ok ? done : (got.error?.sentence ?? 'That could not be done.')
	});
	await invalidateAll();
}

/** A clock runs on the server: it goes on when the browser is closed. */
export const startClock = (base: string, say: string, minutes: number, batchId: string | null = null): Promise<void> =>
	send(
		base,
		{ start: { id: uuidv7(), say: say.slice(0, 120), minutes, batch_id: batchId } },
		'The clock runs, and the round will tell.'
	);

export const endClock = (base: string, id: string): Promise<void> =>
	send(base, { end: { id: uuidv7(), clock: id } }, 'Clock put away.');
