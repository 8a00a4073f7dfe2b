/** Ground in gardens that the demo is not, in the middle of January. */
import { randomUUID } from 'node:crypto';
import { expect, test } from './app.js';
import { addStock, GARDENS, newGarden } from './growers.js';
import type { GardenName } from './growers.js';
import { read } from './plainly.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: '2026-01-15' } } });

for (const name of Object.keys(GARDENS) as GardenName[])
	test(`${name}: how many fill a bed is one number, and what moves has its day`, async ({ app }) => {
		const base = await newGarden(app.url, name, name);
		const settings = await (await fetch(`${base}/settings`)).text();
		const bed = /id:"([0-9a-f-]{36})",name:"[^"]+",kind:"bed"/.exec(settings)![1]!;
		expect(await read(`${base}/ground`)).toContain('No bed is measured yet');
		const told = await fetch(`${base}/ground/${bed}?/measure`, {
			method: 'POST',
			body: new URLSearchParams({ entry_id: randomUUID(), on: '2026-01-15', by: 'sides', length: '4', width: '1.05' }),
			headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
		});
		expect(((await told.json()) as { type: string }).type).toBe('success');
		for (const kind of ['lavender', 'dahlia']) await addStock(base, kind, { count: '2', place_id: bed });
		// 4 m and 1.05 m at 35 cm, square: 12 in a row, 4 rows.
		const filled = await read(`${base}/ground/${bed}?kind=lavender&pattern=square`);
		expect(filled).toContain('48 plants fit in ');
		const most = Number(/(\d+) plants fit in /.exec(await read(`${base}/ground/${bed}?kind=lavender`))![1]);
		expect(await read(`${base}/ground?kind=lavender&count=12`)).toContain(`${most} plants fit`);
		const page = await (await fetch(`${base}/ground/moves`)).text();
		const [lavender, dahlia] = ['English lavender', 'Garden dahlia'].map(
			(plant) => new RegExp(`id:"([0-9a-f-]{36})",name:"${plant}"`).exec(page)![1]!
		);
		const moves = await read(`${base}/ground/moves?m=${lavender}~at:${dahlia},${dahlia}~at:${lavender}`);
		expect(moves).toContain('2 moves; 2 plants wait in between');
		// In the north nothing is dug from frozen ground in January; where it never freezes any day will do.
		if (name === 'Subarctic' || name === 'Temperate') expect(moves).not.toContain('Today suits all of them');
		if (name === 'Equator') expect(moves).toContain('Today suits all of them');
	});
