/** Room that places share: Hall's rows against trying every way of standing things. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isIn, roomIn, roomsFor, unionsOf } from './rooms.js';
import type { Lives, Room } from './types.js';
import { kind } from '../../../testing/handbook.js';

const rooms: Room[] = [
	{ id: 'sill', kind: 'sill', cm2: 4 },
	{ id: 'frame', kind: 'frame', cm2: 3 },
	{ id: 'bench', kind: 'bench', cm2: 5 },
	{ id: 'garage', kind: 'garage', cm2: 2 }
];

/** Can pots of one unit each, each with places that will do, all stand somewhere? Every way is tried. */
function stand(sets: readonly number[], left: number[], at = 0): boolean {
	if (at === sets.length) return true;
	return left.some((room, i) => {
		if (room < 1 || !(sets[at]! & (1 << i))) return false;
		left[i]!--;
		const fits = stand(sets, left, at + 1);
		left[i]!++;
		return fits;
	});
}

describe('room that places share', () => {
	it('holds what the rows allow, and no more (Hall 1935): as every way of standing them tried', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 11 }), (sets) => {
				const watched = unionsOf(new Set(sets));
				const allowed = watched.every((u) => sets.filter((s) => isIn(s, u)).length <= roomIn(u, rooms));
				expect(allowed).toBe(
					stand(
						sets,
						rooms.map((r) => r.cm2!)
					)
				);
			}),
			{ numRuns: 500 }
		);
	});

	it('keeps tender plants in the house in winter, lets them out in summer, and leaves open what nobody measured', () => {
		const tender = kind('marguerite');
		const at = (rests: boolean, to: 'rooted' | 'potted', grows: 'always' | 'season' = 'season', of = rooms) =>
			of.filter((_, i) => roomsFor({ kind: tender, need: { to, open: false }, grows, rests }, of) & (1 << i)).map((r) => r.id);
		expect(at(false, 'potted')).toEqual([]);
		expect(at(true, 'rooted', 'always')).toEqual(['sill']);
		expect(at(true, 'potted')).not.toContain('bench');
		expect(at(true, 'potted').length).toBeGreaterThan(0);
		expect(at(false, 'rooted')).toEqual(['sill', 'frame', 'bench']);
		expect(at(true, 'rooted', 'always', [{ id: 'sill', kind: 'sill', cm2: null }])).toEqual([]);
		// What bears the winter where it is asks for no shelter.
		const hardy = roomsFor({ kind: kind('dogwood'), need: { to: 'potted', open: false }, grows: 'season', rests: true }, rooms);
		expect(hardy).toBe(0);
	});

	it('goes by what each place of the garden is like: its own winter, its light, and none where one is as large as need be', () => {
		const tender = kind('marguerite');
		const inWinter = (of: Room[], lives?: Lives, to: 'rooted' | 'potted' = 'potted') =>
			of
				.filter(
					(_, i) => roomsFor({ kind: tender, need: { to, open: false }, grows: 'season', rests: true }, of, lives) & (1 << i)
				)
				.map((r) => r.id);
		const two: Room[] = [
			{ id: 'cold', kind: 'garage', cm2: 4 },
			{ id: 'mild', kind: 'garage', cm2: 3 },
			{ id: 'bench', kind: 'bench', cm2: 9 }
		];
		expect(inWinter(two)).toEqual(['cold', 'mild']);
		expect(inWinter(two, (_, id) => (id === 'mild' ? 0.8 : id === 'cold' ? 0.3 : 0))).toEqual(['mild']);
		// It bears the winter of this garden out of doors.
		expect(inWinter(two, (_, id) => (id === null ? 0.7 : 0.8))).toEqual([]);
		expect(inWinter(two, (_, id) => (id === null ? 0.7 : 0.8), 'rooted')).toEqual(['bench']);
		const dark = two.map((r) => ({ ...r, dark: r.id === 'mild' }));
		expect(inWinter(dark, () => 0.8, 'rooted')).toEqual(['bench']);
		expect(inWinter(dark, (_, id) => (id === null ? 0 : 0.8), 'rooted')).toEqual(['cold']);
		expect(inWinter(dark, (_, id) => (id === null ? 0 : 0.8))).toEqual(['cold', 'mild']);
		// One of them as large as need be: room is not what limits, whatever else there is.
		const large: Room[] = [two[0]!, { id: 'mild', kind: 'garage', cm2: null }, { id: 'sill', kind: 'sill', cm2: 2 }];
		expect(inWinter(large, (_, id) => (id === null ? 0 : 0.8))).toEqual([]);
	});
});
