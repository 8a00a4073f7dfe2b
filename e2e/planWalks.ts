/** The plan of all wants in gardens that the demo is not, in the middle of January and of July. */
import { randomUUID } from 'node:crypto';
import { expect, test } from './app.js';
import { addStock, addWant, GARDENS, newGarden } from './growers.js';
import type { GardenName } from './growers.js';
import { read } from './plainly.js';
import type { PlanView } from '../src/lib/server/jointView.js';

export const [JANUARY, JULY] = ['2026-01-15', '2026-07-15'] as const;

const KINDS = ['lavender', 'fuchsia', 'willow', 'iris', 'box', 'penstemon'];

export function walks(today: string) {
	for (const name of Object.keys(GARDENS) as GardenName[])
		test(`${name}, ${today}: all wants planned together; each day lies in its window, each promise is the want’s own once taken`, async ({
			app
		}) => {
			const base = await newGarden(app.url, name, name);
			const ask = async () => (await (await fetch(`${base}/plan/plan.json`)).json()) as PlanView;
			// Nothing is wanted, then something is but there is nothing to take from: an answer each time.
			expect(await read(`${base}/plan`)).toContain('Nothing is wanted yet');
			await addWant(base, 'lavender', 6, '2027-06-30');
			expect((await ask()).says).toBe('The one want can’t be met as surely as you ask.');
			for (const kind of KINDS) await addStock(base, kind, { count: '2' });
			for (const kind of KINDS.slice(1)) await addWant(base, kind, 6, '2027-06-30');
			await addWant(base, 'willow', 2000, '2026-12-01', { label: 'far too many' });
			const plan = await ask();
			expect(plan.wants).toHaveLength(KINDS.length + 1);
			expect(plan.met).toBeGreaterThan(name === 'Subarctic' ? 0 : today === JANUARY ? 2 : 1);
			const hopeless = plan.wants.find((w) => w.label === 'far too many')!;
			expect(hopeless.odds).toBeLessThan(0.1);
			for (const w of plan.wants) {
				expect(w.odds, w.name).toBeGreaterThanOrEqual(w.alone - 1e-9);
				for (const b of w.batches) {
					expect(b.on >= today && b.on <= w.due).toBe(true);
					expect(b.last >= b.on).toBe(true);
					expect(b.stages.at(-1)!.until <= '2029-12-31').toBe(true);
					// Nothing soft is cut in the deep of a winter that there is.
					if (name === 'Subarctic' || name === 'Temperate')
						if (b.wayId.includes('soft')) expect(b.on, `${w.name} ${b.way}`).toMatch(/-(0[4-9]|10)-/);
					for (let i = 1; i < b.stages.length; i++) expect(b.stages[i]!.count).toBeLessThanOrEqual(b.stages[i - 1]!.count);
				}
			}
			for (const load of plan.loads)
				for (const week of load.weeks)
					if (week.plan > 1e-6) expect(week.busy + week.plan).toBeLessThanOrEqual(week.limit * 1.0001 + 1e-3);
			const said = JSON.stringify([plan.says, plan.moves]);
			expect(said).not.toMatch(/NaN|undefined|Infinity|\b0 (cuttings|rods|stems)/);
			// Taken through the form as a browser sends it.
			const withBatches = plan.wants.filter((w) => w.batches.length > 0);
			const body = new URLSearchParams({
				entry_id: randomUUID(),
				batches: JSON.stringify(
					withBatches.flatMap((w) =>
						w.batches.map((b) => ({ want: w.id, kind: b.kindId, way: b.wayId, stock: b.stockId, on: b.on, pieces: b.pieces }))
					)
				),
				beside: JSON.stringify(Object.fromEntries(withBatches.map((w) => [w.id, w.beside])))
			});
			const taken = await fetch(`${base}/plan?/take`, {
				method: 'POST',
				body,
				headers: { accept: 'application/json', 'x-sveltekit-action': 'true' }
			});
			expect(((await taken.json()) as { type: string }).type).toBe('success');
			const after = await ask();
			for (const w of after.wants) expect(w.alone, w.name).toBeCloseTo(plan.wants.find((x) => x.id === w.id)!.odds, 9);
			// What is planned already is a fact: the plan made again asks for nothing more where it is met.
			for (const w of after.wants.filter((x) => x.alone >= x.confidence)) expect(w.batches).toEqual([]);
			expect(await read(`${base}/round`)).not.toMatch(/NaN|undefined/);
		});
}
