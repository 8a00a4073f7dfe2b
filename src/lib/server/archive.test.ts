/** A garden goes out of the house and comes into an empty one: the same rows, the same numbers. */
import { unzipSync, zipSync, strFromU8, strToU8 } from 'fflate';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_GARDEN, loadDemo } from '../../../demo/load.js';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { archiveOf, takeArchive } from './archive.js';
import { gardenById } from './context.js';
import { closeDatabase, database } from './db.js';
import { record } from './ledger.js';
import { PROJECTIONS } from './store/projections.js';
import { wantViews } from './wants.js';

const MADE = '2026-09-05T08:00:00.000Z';
const TABLES = [...Object.values(PROJECTIONS), 'entry', 'weather_day', 'station_day', 'reading_day'];
/** Every row, but for the numbers that a database counts by itself. */
const dump = async () => {
	const all: Record<string, unknown[]> = {};
	for (const t of TABLES) {
		const { rows } = await database().query<Record<string, unknown>>(`SELECT * FROM ${t}`);
		all[t] = rows.map((r) => JSON.stringify({ ...r, seq: null, version: null, words: null })).sort();
	}
	return all;
};
let zip: Uint8Array;
let before: Awaited<ReturnType<typeof dump>>;
let odds: unknown;

beforeAll(async () => {
	process.env.SURCULUS_TODAY = '2026-09-05';
	await closeDatabase();
	await freshDatabase('archive_out');
	await loadDemo();
	await database().query(
		`INSERT INTO reading_day (garden_id, place_id, day, low, high, last_c, last_at, readings)
		 SELECT garden_id, id, '2026-09-01', 3.5, 21.25, 18, '2026-09-01T20:00:00Z', 24 FROM place LIMIT 1`
	);
	const garden = (await gardenById(DEMO_GARDEN))!;
	zip = await archiveOf(garden, MADE);
	before = await dump();
	odds = (await wantViews(garden)).map((w) => [w.id, w.odds, w.quantiles]);
});
afterAll(async () => {
	delete process.env.SURCULUS_TODAY;
	await closeDatabase();
});
const intoEmpty = async (name: string) => {
	await closeDatabase();
	await freshDatabase(name);
};
const altered = (file: string, change: (text: string) => string): Uint8Array => {
	const files = unzipSync(zip);
	return zipSync({ ...files, [file]: strToU8(change(strFromU8(files[file]!))) });
};

describe('an archive', () => {
	it('is a data package: every file is described, and has the columns that are told', () => {
		const files = unzipSync(zip);
		const told = JSON.parse(strFromU8(files['datapackage.json']!)) as {
			profile: string;
			resources: { path: string; schema: { fields: { name: string; type: string }[] } }[];
		};
		expect(told.profile).toBe('data-package');
		expect(told.resources.map((r) => r.path).sort()).toEqual(
			Object.keys(files)
				.filter((f) => f.endsWith('.csv'))
				.sort()
		);
		for (const r of told.resources) {
			const { data, meta, errors } = Papa.parse(strFromU8(files[r.path]!), { header: true, skipEmptyLines: true });
			expect(errors, r.path).toEqual([]);
			expect(meta.fields, r.path).toEqual(r.schema.fields.map((f) => f.name));
			if (r.path === 'ledger.csv') expect(data.length).toBe(before.entry!.length);
		}
	});

	it('taken into an empty house gives the same rows and the same odds, and is written on', async () => {
		await intoEmpty('archive_in');
		const taken = await takeArchive(zip);
		expect(taken).toMatchObject({ ok: true, value: { slug: 'three-alders', entries: before.entry!.length } });
		expect(await dump()).toEqual(before);
		const garden = (await gardenById(DEMO_GARDEN))!;
		expect((await wantViews(garden)).map((w) => [w.id, w.odds, w.quantiles])).toEqual(odds);
		// The next batch takes the next code, not one that is on a label already.
		const id = crypto.randomUUID();
		const next = await record({ gardenId: garden.id, actor: 'test', today: garden.today }, [
			{
				id,
				kind: 'batch.struck',
				subjectId: id,
				on: garden.today,
				takesCode: true,
				data: {
					...{ kind_id: 'lavender', way_id: 'semi-ripe', stock_id: null, want_id: null, place_id: null, struck: 5 },
					...{ treatment: { medium: '', hormone: '', wound: false, cover: '' }, container: '' }
				}
			}
		]);
		expect(next.ok).toBe(true);
		const twice = await takeArchive(zip);
		expect(!twice.ok && twice.problem.code).toBe('archive.there');
	});

	it('that is damaged, foreign, newer or does not fold is refused whole, with the line', async () => {
		await intoEmpty('archive_bad');
		const code = async (bytes: Uint8Array) => {
			const r = await takeArchive(bytes);
			return r.ok ? 'ok' : `${r.problem.code}: ${r.problem.sentence}`;
		};
		expect(await code(strToU8('no zip'))).toContain('archive.unreadable');
		expect(await code(zip.slice(0, zip.length / 2))).toContain('archive.unreadable');
		expect(await code(zipSync({ 'a.txt': strToU8('x') }))).toContain('no datapackage.json');
		expect(await code(altered('datapackage.json', (t) => t.replace('"format": 1', '"format": 99')))).toContain('newer Surculus');
		expect(await code(altered('ledger.csv', (t) => t.replace(/^([^\n]*\n[^\n]*\n)[0-9a-f]{8}/, '$1not-an-id')))).toContain(
			'line 3: id'
		);
		expect(await code(altered('weather-days.csv', (t) => `${t}not-an-id,2026-02-30,1,2,3\r\n`))).toContain(
			'weather-days.csv, line'
		);
		// An entry taken out of the middle: what follows no longer goes with what is left.
		const dropped = altered('ledger.csv', (t) =>
			t
				.split('\r\n')
				.filter((l, i, all) => i !== all.findIndex((x) => x.includes(',batch.struck,')))
				.join('\r\n')
		);
		expect(await code(dropped)).toMatch(/archive\.(refused|row)/);
		expect((await database().query('SELECT 1 FROM garden')).rowCount).toBe(0);
		expect((await database().query('SELECT 1 FROM entry')).rowCount).toBe(0);
	});
});
