/** The interface without a browser: forms as they are posted, and pages as they are read. */
import { randomUUID } from 'node:crypto';

/** The words of a page's main part, as a reader meets them. */
export async function read(url: string): Promise<string> {
	const html = await (await fetch(url)).text();
	const main = /<main[^]*<\/main>/.exec(html)?.[0] ?? html;
	return main
		.replace(/<(script|svg)[^]*?<\/\1>/g, '')
		.replace(/<[^>]*>/g, ' ')
		.replaceAll('&#39;', '’')
		.replace(/\s+/g, ' ')
		.replace(/ ([.,;:])/g, '$1')
		.trim();
}

/** Posts a form and gives the path that it leads to; throws with the refusal's sentence. */
export async function post(url: string, data: Record<string, string | string[]>): Promise<string> {
	const body = new URLSearchParams({ entry_id: randomUUID() });
	for (const [name, value] of Object.entries(data)) for (const v of [value].flat()) body.append(name, v);
	const response = await fetch(url, {
		method: 'POST',
		body,
		redirect: 'manual',
		headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
	});
	const answer = (await response.json()) as { type: string; location?: string };
	if (answer.type !== 'redirect' || !answer.location) throw new Error(`${url}: ${JSON.stringify(answer)}`);
	return answer.location;
}
