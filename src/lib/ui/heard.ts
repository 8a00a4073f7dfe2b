/** What the server tells as it works it out (server-sent events), heard until it is told or nobody listens any more. */

/** By the name of an event, what is done with what it tells. */
export type Hearing = Record<string, (told: never) => void>;

/**
 * @param last names of events after which nothing more comes
 * @param lost the connection was refused; one that was lost is taken up again by the browser
 * @returns what ends it
 */
export function hear(address: string, on: Hearing, last: readonly string[], lost: () => void): () => void {
	const source = new EventSource(address);
	const end = () => source.close();
	for (const [name, take] of Object.entries(on))
		source.addEventListener(name, (e) => {
			if (last.includes(name)) end();
			take(JSON.parse(e.data as string) as never);
		});
	source.addEventListener('error', () => {
		if (source.readyState === EventSource.CLOSED) lost();
	});
	return end;
}
