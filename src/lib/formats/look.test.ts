import { describe, expect, it } from 'vitest';
import { lookCookie, lookOf, LOOKS } from './look.js';

describe('the look', () => {
	it('is as the device has it unless it was chosen, whatever the cookie holds', () => {
		expect([undefined, '', 'dark', 'light', 'pink', '"><script>', 'DARK'].map(lookOf)).toEqual([
			...['device', 'device', 'dark', 'light'],
			...['device', 'device', 'device']
		]);
		for (const look of LOOKS) expect(lookOf(/look=(\w+)/.exec(lookCookie(look))![1])).toBe(look);
	});
});
