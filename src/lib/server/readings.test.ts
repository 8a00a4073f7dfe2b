/** Thermometers of places, and the secrets by which they and calendars come in. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo, DEMO_GARDEN } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { closeDatabase, database } from './db.js';
import { readingsSchema, takeReadings } from './readings.js';
import { gardenOfToken, makeToken, MOST_TOKENS, revokeToken, tokens } from './tokens.js';

const TODAY = '2026-09-05';

beforeAll(async () => {
	process.env.SURCULUS_TODAY = TODAY;
	await closeDatabase();
	await freshDatabase('readings');
	await loadDemo();
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});

describe('thermometers', () => {
	const NOW = Date.parse('2026-09-05T10:00:00Z');
	const send = (readings: unknown[], now = NOW) => {
		const body = readingsSchema.safeParse({ readings });
		return body.success ? takeReadings(DEMO_GARDEN, body.data, now) : Promise.resolve(null);
	};
	const days = async () =>
		(
			await database().query<{ day: string; low: number; high: number; last_c: number; readings: number }>(
				'SELECT day, low, high, last_c, readings FROM reading_day WHERE garden_id = $1 ORDER BY day',
				[DEMO_GARDEN]
			)
		).rows;

	it('keep lowest, highest and now of each day, in whatever order they come', async () => {
		await send([
			{ place: 'Kitchen sill', at: '2026-09-05T06:00:00+02:00', now_c: 17.5 },
			{ place: 'kitchen sill', at: '2026-09-05T11:00:00+02:00', now_c: 21 },
			{ place: 'Kitchen sill', at: '2026-09-05T03:00:00+02:00', now_c: 16, low_c: 15.2 }
		]);
		expect(await days()).toMatchObject([{ day: '2026-09-05', last_c: 21, readings: 3 }]);
		expect((await days())[0]!.low).toBeCloseTo(15.2, 4);
	});

	it('a day is the garden’s own: across midnight and the change of clocks', async () => {
		// In Warsaw clocks go back on 25 October 2026: the day has 25 hours, and all of them are that day's.
		const now = Date.parse('2026-10-26T12:00:00Z');
		await send(
			[
				'2026-10-24T21:59:00Z',
				'2026-10-24T22:01:00Z',
				'2026-10-25T00:30:00Z',
				'2026-10-25T22:59:00Z',
				'2026-10-25T23:01:00Z'
			].map((at) => ({ place: 'Garage', at, now_c: 8 })),
			now
		);
		const counted = Object.fromEntries((await days()).map((d) => [d.day, d.readings]));
		expect(counted).toMatchObject({ '2026-10-24': 1, '2026-10-25': 3, '2026-10-26': 1 });
	});

	it('refuse what cannot be: 900 °C, an unknown place, the future, last year, lowest above highest', async () => {
		const before = await days();
		expect(await send([{ place: 'Garage', now_c: 900 }])).toBeNull();
		expect(await send([{ place: 'Garage', now_c: 5, low_c: 9, high_c: 3 }])).toBeNull();
		expect(await send([])).toBeNull();
		for (const [reading, code] of [
			[{ place: 'Attic', now_c: 5 }, 'place.unknown'],
			[{ place: 'Garage', now_c: 5, at: '2026-09-06T10:00:00Z' }, 'reading.future'],
			[{ place: 'Garage', now_c: 5, at: '2024-09-06T10:00:00Z' }, 'reading.old']
		] as const) {
			// A good one beside a bad one is not taken either.
			const result = await send([{ place: 'Garage', now_c: 5 }, reading]);
			expect(result && !result.ok ? result.problem.code : '').toBe(code);
		}
		expect(await days()).toEqual(before);
	});

	it('ten thousand readings of an hour are one row a place', async () => {
		for (let call = 0; call < 10; call++) {
			const result = await send(
				Array.from({ length: 1000 }, (_, i) => ({
					place: 'Cold frame',
					at: new Date(NOW - (call * 1000 + i) * 360).toISOString(),
					now_c: 10 + ((call * 1000 + i) % 50) / 10
				}))
			);
			expect(result?.ok).toBe(true);
		}
		const { rows } = await database().query<{ n: number; readings: number }>(
			`SELECT count(*) AS n, sum(readings) AS readings FROM reading_day r JOIN place p ON p.garden_id = r.garden_id AND p.id = r.place_id WHERE p.name = 'Cold frame'`
		);
		expect(rows[0]).toMatchObject({ n: 1, readings: 10_000 });
	});
});

describe('links and sensors', () => {
	it('open one garden for one purpose, until shut; a garden has so many and no more', async () => {
		const token = (await makeToken(DEMO_GARDEN, 'calendar', 'phone'))!;
		expect(await gardenOfToken(token, 'calendar')).toBe(DEMO_GARDEN);
		expect(await gardenOfToken(token, 'readings')).toBeNull();
		expect(await gardenOfToken(token.slice(1) + 'A', 'calendar')).toBeNull();
		expect(await gardenOfToken('', 'calendar')).toBeNull();
		const { rows } = await database().query<{ n: number }>(
			`SELECT count(*) AS n FROM garden_token WHERE encode(token_hash, 'escape') LIKE '%' || $1 || '%'`,
			[token]
		);
		expect(rows[0]!.n).toBe(0);
		const [door] = await tokens(DEMO_GARDEN);
		expect(door!.used_at).not.toBeNull();
		await revokeToken(DEMO_GARDEN, door!.id);
		expect(await gardenOfToken(token, 'calendar')).toBeNull();
		for (let i = 0; i < MOST_TOKENS; i++) expect(await makeToken(DEMO_GARDEN, 'readings', String(i))).not.toBeNull();
		expect(await makeToken(DEMO_GARDEN, 'readings', 'one more')).toBeNull();
	});
});
