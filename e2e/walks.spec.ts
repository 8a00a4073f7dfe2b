/**
 * Gardens that the demo is not: temperate, southern by the sea, subarctic, and at the equator. Facts of the trade are
 * common practice, no source.
 */
import { expect, test } from './app.js';
import { post, read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-01-15' } } });

const KINDS = ['lavender', 'fuchsia', 'willow', 'iris', 'box', 'daylily', 'penstemon', 'agapanthus'];
const GARDENS = {
	Temperate: { latitude: '45.1', longitude: '7.9', height: '250', coldest: '-15', last: '2026-04-25', first: '2026-10-15' },
	Southern: { latitude: '-42.9', longitude: '147.3', height: '30', coldest: '-2', last: '2026-09-20', first: '2026-05-25' },
	Subarctic: { latitude: '64.1', longitude: '25.5', height: '150', coldest: '-35', last: '2026-06-05', first: '2026-08-30' },
	Equator: { latitude: '0.3', longitude: '32.6', height: '1150', coldest: '14', last: '', first: '' }
};
type Name = keyof typeof GARDENS;

interface Walked {
	base: string;
	/** Each stock plant's own page, its kind's page of the handbook, and a want's plan. */
	stock: Map<string, string>;
	handbook: Map<string, string>;
	plan: Map<string, string>;
	round: string;
}

async function garden(url: string, name: Name): Promise<Walked> {
	const g = GARDENS[name];
	const to = await post(`${url}/new`, {
		name,
		place: '',
		latitude: g.latitude,
		longitude: g.longitude,
		height: g.height,
		coldest: g.coldest,
		units: 'metric',
		temperature: 'C',
		currency: 'EUR',
		minutes: '120',
		...(g.last ? { last_frost: g.last, first_frost: g.first } : { no_frost: 'on' }),
		last_frost_sd: '12',
		first_frost_sd: '12',
		places: ['bed', 'bench', 'sill', 'frame', 'garage', 'nursery_row']
	});
	const base = url + to.replace('/round', '');
	const walked: Walked = { base, stock: new Map(), handbook: new Map(), plan: new Map(), round: '' };
	for (const kind of KINDS) {
		const at = await post(`${base}/stock/new`, {
			kind_id: kind,
			label: '',
			count: '3',
			size: '60',
			age: '4',
			condition: 'strong',
			protection: 'free',
			until: ''
		});
		walked.stock.set(kind, await read(url + at));
		walked.handbook.set(kind, await read(`${base}/handbook/${kind}`));
		const want = await post(`${base}/wants/new`, {
			kind_id: kind,
			purpose: 'plants',
			label: '',
			target: '10',
			due: '2027-06-30',
			confidence: '90'
		});
		walked.plan.set(kind, await read(url + want));
	}
	walked.round = await read(`${base}/round`);
	return walked;
}

/** The days that a text names after a phrase, in order. */
const daysAfter = (text: string, phrase: RegExp): string[] =>
	[...text.matchAll(new RegExp(`${phrase.source} (\\d{1,2} \\p{L}+ \\d{4})`, 'gu'))].map((m) => m[1]!);

for (const name of Object.keys(GARDENS) as Name[])
	test(`${name}: windows are the same day on the stock plant, in the handbook and in the round`, async ({ app }) => {
		const w = await garden(app.url, name);
		for (const kind of KINDS) {
			const stock = w.stock.get(kind)!;
			const book = w.handbook.get(kind)!;
			expect(stock, kind).toContain('What it can give now');
			const opens = daysAfter(stock, /Its window opens on/);
			const until = daysAfter(stock, /Its window is open until/);
			for (const day of opens) expect(book, `${name} ${kind} opens`).toContain(`Opens about ${day}`);
			for (const day of until) expect(book, `${name} ${kind} closes`).toContain(`until about ${day}`);
			const asked = new RegExp(`Plan 10 [^.]*?By (\\d{1,2} \\p{L}+)\\.(?:(?!Not now).)*?until about (\\d{1,2} \\p{L}+)`, 'u');
			for (const part of w.round.split('Not now')) {
				const m = asked.exec(part);
				if (m) expect(m[1]).toBe(m[2]);
			}
			// Every plan names a number, or says what cannot be and what can.
			expect(w.plan.get(kind)!, `${name} ${kind}`).toMatch(
				/Take \d+;|be that sure of having them|does not open here in most years|Plan 10/
			);
		}
		if (name === 'Equator') {
			expect(w.round).not.toMatch(/frost|Bring in|frozen/i);
			expect(w.stock.get('lavender')).toContain('Open all year.');
			expect(w.handbook.get('lavender')).toContain('Open all year');
		}
		if (name === 'Subarctic') {
			// Nothing soft is cut in deep winter, and what falls at −25 °C is not rain.
			expect(w.round).toContain('The soil is frozen');
			expect(w.round).not.toMatch(/it rains tomorrow/);
			expect(daysAfter(w.stock.get('fuchsia')!, /open until/)).toEqual([]);
			// No number where there is no window; the row has one of its own.
			expect(w.stock.get('box')).toMatch(
				/semi-ripe cutting Its window does not open here in most years: the season is too short, and it would shut before it opens\. semi-ripe/
			);
			expect(w.plan.get('box')).toContain('does not open here in most years');
		}
		if (name === 'Southern') {
			// Semi-ripe wood is ripe in January, rods are cut in June.
			expect(w.stock.get('lavender')).toMatch(/semi-ripe cutting Its window is open until \d+ (Mar|Apr)/);
			expect(w.stock.get('willow')).toMatch(/opens on \d+ (May|Jun|Jul)/);
		}
		if (name === 'Temperate') {
			expect(w.stock.get('willow')).toMatch(/open until \d+ Mar/);
			expect(w.stock.get('lavender')).toMatch(/semi-ripe cutting Its window opens on \d+ (Jun|Jul)/);
		}
	});
