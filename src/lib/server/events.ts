/** Server-sent events: what is told as it is worked out, to whoever still listens. */
import { isHttpError } from '@sveltejs/kit';

export type Say = (name: string, data: unknown) => void;

/** What a failure is told as: the app's own sentence, or the one given. */
export const sorryFor = (e: unknown, sentence: string): { message: string } => ({
	message: isHttpError(e) ? e.body.message : sentence
});

/**
 * @param tell says its events; the stream ends with it
 * @param left whoever listened has gone, or all is told
 */
export function events(tell: (say: Say, gone: () => boolean) => Promise<void>, left: () => void): Response {
	let gone = false;
	const letters = new TextEncoder();
	const body = new ReadableStream<Uint8Array>({
		async start(out) {
			const say: Say = (name, data) => {
				if (!gone) out.enqueue(letters.encode(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`));
			};
			try {
				await tell(say, () => gone);
			} finally {
				if (!gone) out.close();
				left();
			}
		},
		cancel() {
			gone = true;
			left();
		}
	});
	return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
