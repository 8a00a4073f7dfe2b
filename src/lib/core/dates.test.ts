import { describe, expect, it } from 'vitest';
import { sayWait } from './dates.js';

describe('a wait', () => {
	it('is said in the unit that a person would use', () => {
		const said = [0, 1, 2, 13, 14, 21, 30, 59, 60, 120, 364, 365, 420, 540, 700, 900, 1000].map(sayWait);
		expect(said).toEqual([
			...['a day', 'a day', '2 days', '13 days', '2 weeks', '3 weeks', '4 weeks', '8 weeks'],
			...['2 months', '4 months', '12 months', 'a year', 'a year', '1½ years', '2 years', '2½ years', '2½ years']
		]);
	});
});
