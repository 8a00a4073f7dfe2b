import { describe, expect, it } from 'vitest';
import { allNames } from '$lib/core/handbook/names.js';
import { allKinds } from '../../testing/handbook.js';
import { finder, MOST_SHOWN } from './choice.js';

const items = allKinds().map((k) => ({ value: k.id, name: k.common, also: allNames(k).join(' ') }));
const find = finder(items);

describe('a kind is chosen by typing any of its names', () => {
	it('common, botanical, part of a word, with a slip, without its marks', () => {
		for (const [typed, id] of [
			['boxw', 'box'],
			['Buxus', 'box'],
			['lavand', 'lavender'],
			['sweet potato', 'sweet-potato-vine'],
			['lavnder', 'lavender'],
			['PEONY', 'peony'],
			['séd', 'stonecrop'],
			['penst', 'penstemon']
		] as const)
			expect(
				find(typed).map((c) => c.value),
				typed
			).toContain(id);
	});
	it('shows the list as it stands where nothing is typed, and nothing where nothing fits', () => {
		expect(find('')).toEqual(items.slice(0, MOST_SHOWN));
		expect(find('  ')).toHaveLength(MOST_SHOWN);
		expect(find('xyzzy')).toEqual([]);
		expect(find('((?*')).toEqual([]);
	});
	it('what is spelt so comes before what is one slip away', () => {
		const found = find('geran').map((c) => c.value);
		expect(found.indexOf('cranesbill')).toBeGreaterThanOrEqual(0);
		expect(found.indexOf('iris') < 0 || found.indexOf('cranesbill') < found.indexOf('iris')).toBe(true);
	});
	it('what is typed whole comes first', () => {
		for (const k of items.filter((i) => !/[‘’ -]/.test(i.name))) expect(find(k.name)[0]!.name, k.name).toBe(k.name);
	});
});
