/** Shelter in gardens that the demo is not, in the middle of January: facts of the trade are common practice, no source. */
import { expect, test } from './app.js';
import { addStock, GARDENS, newGarden } from './growers.js';
import type { GardenName } from './growers.js';
import { read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-01-15' } } });

/** What is to be carried, from the list as it is read: name and day. */
const carried = (text: string): string[] => [...text.matchAll(/(Bush fuchsia|Garden dahlia|Coleus|English lavender)[^,]*, 2 (now|by \d+ \w+ \d{4}|any day)/g)].map((m) => `${m[1]} ${m[2]}`); // prettier-ignore

for (const name of Object.keys(GARDENS) as GardenName[])
	test(`${name}: what needs a shelter is told, and where it goes`, async ({ app }) => {
		const base = await newGarden(app.url, name, name);
		const settings = await (await fetch(`${base}/settings`)).text();
		const at = new Map([...settings.matchAll(/id:"([0-9a-f-]{36})",name:"[^"]+",kind:"([a-z_]+)"/g)].map((m) => [m[2]!, m[1]!]));
		for (const [kind, place] of [
			['fuchsia', 'bench'],
			['ivy-pelargonium', 'sill'],
			['dahlia', 'bed'],
			['lavender', 'bed']
		] as const)
			await addStock(base, kind, { count: '2', place_id: at.get(place)! });
		const text = await read(`${base}/shelter`);
		if (name === 'Equator') {
			// Nothing dies of cold where there is none, whatever stands where.
			expect(text).toContain('Nothing here needs a shelter');
			expect(text).not.toContain('to carry');
			expect(text).toContain('would live outside as well');
			return;
		}
		const list = carried(text);
		expect(text).toMatch(/\d+ of \d+ will probably come through the winter/);
		if (name === 'Southern') {
			// It is midsummer: nothing is carried now, and no day of this summer is named.
			expect(list.some((l) => l.endsWith('now'))).toBe(false);
			for (const l of list) expect(l).toMatch(/ by \d+ (Mar|Apr|May|Jun|Jul) 2026$/);
		} else {
			// Two tender pots out in January: now, and to a frost-free place.
			expect(list).toContain('Bush fuchsia now');
			expect(text).toMatch(/Better: Frost-free garage, \d+ times in 10/);
		}
		// −35 °C takes lavender in the ground, and no place is told that keeps it; the way on is.
		if (name === 'Subarctic') expect(text).toMatch(/English lavender, 2 .{0,60}What else can be done/);
		else expect(text).not.toMatch(/English lavender, 2 hardly ever/);
		// The round calls in what Shelter calls in.
		const round = await read(`${base}/round`);
		expect(/Bush fuchsia/.test(round)).toBe(list.includes('Bush fuchsia now'));
	});
