/** Gardens that the demo is not, and what growers do in them, by the forms that a browser would send. */
import { randomUUID } from 'node:crypto';
import { post } from './plainly.js';

/** 45° N with winters to −15 °C; 42° S by the sea; 64° N inland; the equator. */
export const GARDENS = {
	Temperate: { latitude: '45.1', longitude: '7.9', height: '250', coldest: '-15', last: '2026-04-25', first: '2026-10-15' },
	Southern: { latitude: '-42.9', longitude: '147.3', height: '30', coldest: '-2', last: '2026-09-20', first: '2026-05-25' },
	Subarctic: { latitude: '64.1', longitude: '25.5', height: '150', coldest: '-35', last: '2026-06-05', first: '2026-08-30' },
	Equator: { latitude: '0.3', longitude: '32.6', height: '1150', coldest: '14', last: '', first: '' }
};
export type GardenName = keyof typeof GARDENS;

/** Begins a garden and gives its address. */
export async function newGarden(url: string, name: GardenName, called: string): Promise<string> {
	const g = GARDENS[name];
	const to = await post(`${url}/new`, {
		...{ name: called, place: '', latitude: g.latitude, longitude: g.longitude, height: g.height, coldest: g.coldest },
		...{ units: 'metric', temperature: 'C', currency: 'EUR', minutes: '600' },
		...(g.last ? { last_frost: g.last, first_frost: g.first } : { no_frost: 'on' }),
		...{ last_frost_sd: '12', first_frost_sd: '12', places: ['bed', 'bench', 'sill', 'frame', 'garage', 'nursery_row'] }
	});
	return url + to.replace('/round', '');
}

/** Adds a stock plant and gives its address and id. */
export async function addStock(base: string, kind_id: string, over: Record<string, string> = {}) {
	const path = await post(`${base}/stock/new`, {
		...{ kind_id, label: '', count: '1', size: '60', age: '6', condition: 'strong', protection: 'free', until: '' },
		...over
	});
	return { at: new URL(path, base).href, id: path.split('/').at(-1)! };
}

export async function addWant(base: string, kind_id: string, target: number, due: string, over: Record<string, string> = {}) {
	const path = await post(`${base}/wants/new`, {
		...{ kind_id, purpose: 'plants', label: '', target: String(target), due, confidence: '90' },
		...over
	});
	return { at: new URL(path, base).href, id: path.split('/').at(-1)! };
}

/** Strikes a batch from a stock plant and gives its address and id. */
export async function strikeBatch(
	base: string,
	stock_id: string,
	way_id: string,
	struck: number,
	on: string,
	over: Record<string, string> = {}
) {
	const path = await post(`${base}/bench/new`, {
		...{ stock_id, way_id, struck: String(struck), place_id: '', container: '', medium: '', hormone: '', cover: '', on },
		...over
	});
	const id = /bench\/([0-9a-f-]{36})/.exec(path)![1]!;
	return { at: `${base}/bench/${id}`, id };
}

export interface Answer {
	type: string;
	status: number;
	data?: string;
}

/** Sends a form that stays on its page; gives the answer whatever it says. */
export async function send(url: string, data: Record<string, string>): Promise<Answer> {
	const response = await fetch(url, {
		method: 'POST',
		body: new URLSearchParams({ entry_id: randomUUID(), ...data }),
		redirect: 'manual',
		headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
	});
	return (await response.json()) as Answer;
}

/** The same, and it must have been taken. */
export async function done(url: string, data: Record<string, string>): Promise<Answer> {
	const answer = await send(url, data);
	if (answer.type !== 'success') throw new Error(`${url}: ${JSON.stringify(answer)}`);
	return answer;
}

/** The id of one of the garden's places, by its name. */
export async function placeNamed(base: string, name: string): Promise<string> {
	const html = await (await fetch(`${base}/wants/new`)).text();
	const found = new RegExp(`<option value="([0-9a-f-]{36})"[^>]*>${name}`).exec(html);
	if (!found) throw new Error(`${name}: no such place`);
	return found[1]!;
}
