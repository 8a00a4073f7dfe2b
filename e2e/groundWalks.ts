/** Ground in gardens that the demo is not, in the middle of January and of July. */
import { randomUUID } from 'node:crypto';
import { expect, test } from './app.js';
import { addStock, GARDENS, newGarden } from './growers.js';
import type { GardenName } from './growers.js';
import { read } from './plainly.js';

export const [JANUARY, JULY] = ['2026-01-15', '2026-07-15'] as const;

export function walks(today: string) {
	for (const name of Object.keys(GARDENS) as GardenName[])
		test(`${name}, ${today}: how many fill a bed is one number, and what moves has its day`, async ({ app }) => {
			const base = await newGarden(app.url, name, name);
			const settings = await (await fetch(`${base}/settings`)).text();
			const bed = /id:"([0-9a-f-]{36})",name:"[^"]+",kind:"bed"/.exec(settings)![1]!;
			expect(await read(`${base}/ground`)).toContain('No bed is measured yet');
			const told = await fetch(`${base}/ground/${bed}?/measure`, {
				method: 'POST',
				body: new URLSearchParams({ entry_id: randomUUID(), on: today, by: 'sides', length: '4', width: '1.05' }),
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
			const cold = name === 'Subarctic' || name === 'Temperate';
			if (cold && today === JANUARY) expect(moves).not.toContain('Today suits all of them');
			if (name === 'Equator' && today === JANUARY) expect(moves).toContain('Today suits all of them');
			expect(moves).toMatch(/Today suits all of them|suits all of them|each on its day|find a day/);
			for (const said of [moves, filled]) expect(said).not.toMatch(/NaN|undefined|null|Infinity/);
			// Kept, it is the same on its own page, and the round has it once its day is there.
			const kept = await fetch(`${base}/ground/moves?/keep`, {
				method: 'POST',
				body: new URLSearchParams({ entry_id: randomUUID(), m: `${lavender}~at:${dahlia},${dahlia}~at:${lavender}` }),
				headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
			});
			expect(((await kept.json()) as { type: string }).type).toBe('success');
			expect(await read(`${base}/ground/moves`)).toContain('2 moves; 2 plants wait in between');
			const round = await read(`${base}/round`);
			if (moves.includes('Today suits all of them')) expect(round).toContain('Move 4 plants from');
			else if (cold && today === JANUARY) expect(round).toContain('Nothing is due this week');
			// The strip's day: a year on both are wider, and no page loses its words.
			const later = await read(`${base}/ground/${bed}?kind=lavender&day=${Number(today.slice(0, 4)) + 1}-03-20`);
			expect(later).toContain('As it should stand on');
			expect(later).not.toMatch(/NaN|undefined|Infinity/);
			const leaving = await read(`${base}/ground/leaving?on=${Number(today.slice(0, 4)) + 1}-06-01&to=Oslo`);
			expect(leaving).toMatch(/come along, about \d+ kg|comes? along/);
			expect(leaving).toContain('ask the plant health authority of both places');
			expect(leaving).not.toMatch(/NaN|undefined|Infinity/);
		});
}
