/** The plan on paper: every batch with its day, in the order of the days, under its month. */
import { describe, expect, it } from 'vitest';
import { planRows } from './planSheet.js';
import type { PlanView } from './jointView.js';

const stage = (to: string, from: string, count: number, place = '') => ({
	...{ to, from, until: from, count, container: 'pot', containers: count, place }
});
const plan = {
	moves: [
		{ on: '2027-05-20', says: 'Buy 3 Catmint by 15 Jul 2027, about €15.', want: '9 Catmint', guide: null },
		{ on: '2027-06-28', says: 'Told with its batch.', want: '9 Catmint', guide: 'guide/sage/semi-ripe' }
	],
	wants: [
		{
			...{ name: 'Garden sage or Catmint', label: 'one for each neighbour', target: 9 },
			batches: [
				{
					...{
						kind: 'Garden sage',
						way: 'Semi-ripe cutting',
						piece: ['cutting', 'cuttings'],
						stock: 'by the gate',
						on: '2027-06-28',
						last: '2027-07-01'
					},
					stages: [
						stage('rooted', '2027-06-28', 15, 'Cold frame'),
						stage('potted', '2027-08-10', 12),
						stage('planted', '2028-05-02', 11)
					]
				},
				{
					...{ kind: 'Catmint', way: 'Layer', piece: ['layer', 'layers'], stock: '', on: '2027-05-02', last: '2027-05-02' },
					stages: [stage('rooted', '2027-05-02', 1), stage('planted', '2028-05-02', 0)]
				}
			]
		}
	]
} as unknown as PlanView;

describe('the plan on paper', () => {
	it('has each strike and what follows it, in the order of their days', () => {
		const rows = planRows(plan).map((r) => ({ ...r, how: r.how.replaceAll('\u00a0', ' ') }));
		expect(rows.map((r) => `${r.head}: ${r.what}`)).toEqual([
			'May 2027: Strike 1 layer of Catmint',
			'May 2027: Buy 3 Catmint by 15 Jul 2027, about €15.',
			'June 2027: Strike 15 cuttings of Garden sage',
			'August 2027: Pot: usually 12 Garden sage',
			'May 2028: Plant: usually 11 Garden sage'
		]);
		expect(rows[2]!.how).toMatch(
			/28 Jun 2027, 1 Jul 2027 at the latest\. Semi-ripe cutting, from by the gate, Cold frame\. For 9, one for each neighbour\./
		);
		expect(planRows({ wants: [], moves: [] } as unknown as PlanView)).toEqual([]);
	});
});
