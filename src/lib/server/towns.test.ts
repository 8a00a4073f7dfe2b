/** Places by any spelling. Held against GeoNames' own table (CC BY 4.0) and against what is known of some towns. */
import { afterAll, beforeAll, expect, test } from 'vitest';
import { fillTowns } from '../../../bin/towns.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { closeDatabase, database } from './db.js';
import { findTowns, nearestTown } from './towns.js';

beforeAll(async () => {
	await fillTowns(await freshDatabase('towns'));
}, 120_000);
afterAll(closeDatabase);

const names = async (typed: string) => (await findTowns(database(), typed)).map((t) => t.name);

test.each([
	['Hay-on-Wye', /^Hay-on-Wye \(Hay\), Wales, United Kingdom$/i],
	['hay on wye', /^Hay-on-Wye \(Hay\)/i],
	['München', /^München \(Munich\), Germany$/],
	['munchen', /\(Munich\), Germany$/],
	['Muenchen', /\(Munich\), Germany$/],
	['Мюнхен', /^Мюнхен \(Munich\), Germany$/],
	['Łódź', /^Łódź, Poland$/],
	['lodz', /^Łódź, Poland$/],
	['東京', /^東京 \(Tokyo\), Japan$/],
	['Galway', /^Galway \(Gaillimh\), Ireland$/],
	['Edinburg', /^Edinburgh, Scotland/],
	['san d', /^San Diego, CA, United States$/],
	['Tromso', /^Tromsø, Norway$/],
	// Slips of the finger.
	['Wellingon', /^Wellington, New Zealand$/],
	['Edinbrugh', /^Edinburgh, Scotland/],
	// The country after a comma chooses.
	['Wellington, South Africa', /^Wellington, South Africa$/],
	['Wellington, uk', /^Wellington/],
	['Hay-on-Wye (Hay), Wales, United Kingdom', /^Hay-on-Wye \(Hay\)/i]
])('%s is found first', async (typed, first) => {
	expect((await names(typed))[0]).toMatch(first);
});

test('position, height and money of a town: Munich lies at 48.14° N, 11.58° E, some 520 m up (from memory)', async () => {
	const [munich] = await findTowns(database(), 'Munich');
	expect(munich).toMatchObject({ latitude: 48.14, currency: 'EUR', us: false });
	expect(Math.abs(munich!.longitude - 11.58)).toBeLessThan(0.02);
	expect(Math.abs(munich!.heightM - 520)).toBeLessThan(15);
	const denver = (await findTowns(database(), 'Denver'))[0]!;
	expect(denver).toMatchObject({ currency: 'USD', us: true });
	// "The mile-high city": 1,609 m at the steps of its capitol.
	expect(Math.abs(denver.heightM - 1609)).toBeLessThan(30);
});

test('what is read alike is told apart by what it is near', async () => {
	const alike = (await findTowns(database(), 'Springfield')).concat(await findTowns(database(), 'Brüggen'));
	for (const t of alike) {
		const twins = alike.filter((o) => o.name === t.name);
		if (twins.length > 1) expect(t.near, t.name).not.toBe('');
	}
});

test('the nearest place to a position, also where degrees are narrow and across the line of the date', async () => {
	expect((await nearestTown(database(), 53.271, -9.055))!.name).toBe('Gaillimh, Ireland');
	expect((await nearestTown(database(), 69.65, 18.95))!.name).toBe('Tromsø, Norway');
	const [suva, taveuni] = [await nearestTown(database(), -18.14, 178.44), await nearestTown(database(), -16.8, -179.98)];
	expect(suva!.name).toMatch(/Suva, Fiji/);
	expect(taveuni!.name).toMatch(/Fiji/);
});

test('what is no name finds nothing and breaks nothing', async () => {
	for (const typed of ['', 'x', '%', '__', "'; DROP TABLE town; --", '\\', ',,,', '(', '\ud800', 'a'.repeat(4000)])
		expect(Array.isArray(await findTowns(database(), typed))).toBe(true);
	expect(await names('zzzzqqqq')).toEqual([]);
	expect(await names('%')).toEqual([]);
});
