import { describe, expect, it } from 'vitest';
import { kind } from '../../../testing/handbook.js';
import { betaOf, meanOf } from '../odds/beta.js';
import { stageOdds, worthOf } from './evidence.js';
import { forForm, formsOf, sayForm } from './byForm.js';
import type { Tallies } from './tally.js';

const way = kind('fuchsia').ways[0]!;
const stage = way.stages.find((s) => s.to === 'rooted')!;
const RHO = 0.1;
const worth = (t: Tallies[]) => worthOf(t, RHO);

/** A small generator of its own (Park and Miller 1988), so that the draws are the test's. */
function dice(seed: number): () => number {
	let x = seed;
	return () => (x = (x * 48271) % 2147483647) / 2147483647;
}
const normal = (u: () => number) => Math.sqrt(-2 * Math.log(u() + 1e-12)) * Math.cos(2 * Math.PI * u());
const logit = (p: number) => Math.log(p / (1 - p));
const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/** Mean square error of a form's chance told with all forms alike, and with its own record apart. */
function told(spread: number, batches: number, seed: number): { alike: number; apart: number } {
	const u = dice(seed);
	const sum = { alike: 0, apart: 0 };
	const RUNS = 400;
	for (let run = 0; run < RUNS; run++) {
		const forms = ['white', 'red', 'striped'];
		const truth = new Map(forms.map((f) => [f, logistic(logit(stage.chance) + spread * normal(u))]));
		const list = forms.flatMap((form) =>
			Array.from({ length: form === 'striped' ? 1 : batches }, () => {
				// The pieces of a batch share their luck.
				const p = logistic(logit(truth.get(form)!) + 0.5 * normal(u));
				let passed = 0;
				for (let i = 0; i < 12; i++) if (u() < p) passed++;
				return { form, tallies: { rooted: { passed, failed: 12 - passed } } as Tallies };
			})
		);
		const all = worth(list.map((x) => x.tallies));
		const own = formsOf(list, worth).get('red')!;
		const error = (t: Tallies) => (meanOf(stageOdds(stage, t)) - truth.get('red')!) ** 2;
		sum.alike += error(all) / RUNS;
		sum.apart += error(forForm(all, own)) / RUNS;
	}
	return sum;
}

describe('evidence by form', () => {
	it('forms that differ are told better apart; forms that do not, hardly worse', () => {
		const differ = told(1, 6, 20261);
		expect(differ.apart).toBeLessThan(0.7 * differ.alike);
		const same = told(0, 6, 20262);
		expect(Math.sqrt(same.apart)).toBeLessThan(Math.sqrt(same.alike) + 0.02);
	});

	it('too few to go by count like all the others', () => {
		const list = [
			{ form: 'white', tallies: { rooted: { passed: 30, failed: 10 } } },
			{ form: 'red', tallies: { rooted: { passed: 2, failed: 17 } } }
		];
		const all = worth(list.map((x) => x.tallies));
		const forms = formsOf(list, worth);
		expect(forForm(all, forms.get('red')!)).toEqual(all);
		// Forty of one batch are still one day's luck.
		expect(forForm(all, forms.get('white')!)).toEqual(all);
	});

	it('enough at one stage is no more than that stage, and the other forms are worth eight pieces struck apart at most', () => {
		const list = [
			...Array.from({ length: 40 }, () => ({ form: 'white', tallies: { rooted: { passed: 10, failed: 0 } } as Tallies })),
			...Array.from({ length: 3 }, () => ({
				form: 'red',
				tallies: { rooted: { passed: 2, failed: 8 }, planted: { passed: 2, failed: 0 } } as Tallies
			}))
		];
		const all = worth(list.map((x) => x.tallies));
		const red = formsOf(list, worth).get('red')!;
		const t = forForm(all, red);
		expect(t.planted).toEqual(all.planted);
		const own = red.worth.rooted!;
		expect(t.rooted!.passed + t.rooted!.failed).toBeCloseTo(own.passed + own.failed + 8, 9);
		expect(meanOf(stageOdds(stage, t))).toBeLessThan(meanOf(betaOf(stage.chance, stage.weight)));
		expect(meanOf(stageOdds(stage, all))).toBeGreaterThan(meanOf(betaOf(stage.chance, stage.weight)));
	});

	it('says it', () => {
		expect(sayForm('Striped one', { passed: 30, failed: 4 }, 'rooted')).toBe(
			'Striped one: 30 of 34 rooted here. That is often enough to go by its own record.'
		);
	});
});
