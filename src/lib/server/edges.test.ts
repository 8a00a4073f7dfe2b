/** The edges: forms, API bodies, CSV, sign-in, time zones, stand-ins. */
import { createServer } from 'node:http';
import type { Server } from 'node:http';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../bin/testDatabase.js';
import { readBody } from './api.js';
import {
	hashPassword,
	isLoopback,
	keepPassword,
	safePath,
	signedIn,
	signIn,
	signOut,
	signOutEverywhere,
	unsafeBind
} from './auth.js';
import { today } from './clock.js';
import { closeDatabase, database, isDatabaseDown } from './db.js';
import { Fields } from './forms.js';
import { gardenFields } from './gardenForm.js';
import { filterFrom } from './ledgerFilter.js';
import { outcomeRequest, strikeRequest } from './oddsSchema.js';
import { lookUpVariety, standIns } from './standIns.js';
import { csvHead, csvRows } from '$lib/formats/ledgerCsv.js';

const fields = (values: Record<string, string | string[]>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries(values)) for (const v of [value].flat()) form.append(name, v);
	return new Fields(form);
};
const METRIC = { length: 'metric', temperature: 'C' } as const;
const US = { length: 'us', temperature: 'F' } as const;

describe('fields of a form', () => {
	it('read numbers as people write them, and know what is none', () => {
		const f = fields({ a: '1,5', b: ' 12 ', c: '−3', d: '', e: 'ten', f: '1e3', g: '.5', h: '1 200' });
		expect([f.number('a'), f.number('b'), f.number('c'), f.number('d'), f.number('g'), f.number('h')]).toEqual([
			1.5,
			12,
			-3,
			null,
			0.5,
			1200
		]);
		expect(f.number('e')).toBeNaN();
		expect(f.number('f')).toBeNaN();
		expect(f.number('nothing')).toBeNull();
	});

	it('turn the garden’s units into ours', () => {
		const f = fields({ n: '10' });
		expect(f.cm('n', METRIC)).toBe(10);
		expect(f.cm('n', US)).toBeCloseTo(25.4, 10);
		expect(f.metres('n', US)).toBeCloseTo(3.048, 10);
		expect(f.celsius('n', US)).toBeCloseTo(-12.2222, 4);
		expect(f.celsius('missing', US)).toBeNull();
	});
});

describe('garden settings as typed', () => {
	const typed = {
		name: 'Yard',
		place: '',
		latitude: '40',
		longitude: '-83',
		height: '700',
		units: 'us',
		temperature: 'F',
		currency: 'usd',
		coldest: '0',
		zone: '',
		last_frost: '2026-05-01',
		last_frost_sd: '10',
		first_frost: '2026-10-10',
		first_frost_sd: '12',
		minutes: '60'
	};
	it('are read in their own units', () => {
		const r = gardenFields(fields(typed));
		expect(r).toMatchObject({
			ok: true,
			value: {
				height_m: expect.closeTo(213.36, 6),
				coldest_c: expect.closeTo(-17.7778, 3),
				currency: 'USD',
				last_frost: { doy: 121, sd: 10 },
				first_frost: { doy: 283, sd: 12 }
			}
		});
	});
	it('take the middle of a zone before the temperature, and no frost at its word', () => {
		// Zone 7a is 0 to 5 °F (USDA): its middle 2.5 °F.
		expect(gardenFields(fields({ ...typed, zone: '7a' }))).toMatchObject({ value: { coldest_c: expect.closeTo(-16.389, 3) } });
		expect(gardenFields(fields({ ...typed, no_frost: 'on' }))).toMatchObject({ value: { last_frost: null, first_frost: null } });
	});
	it('refuse what is no zone and no date', () => {
		expect(gardenFields(fields({ ...typed, zone: '15' }))).toMatchObject({ ok: false, problem: { path: 'zone' } });
		expect(gardenFields(fields({ ...typed, last_frost: '2026-02-30' }))).toMatchObject({
			ok: false,
			problem: { path: 'last_frost' }
		});
	});
	it('pair days away, leaving empty rows out', () => {
		const r = gardenFields(fields({ ...typed, away_from: ['2026-12-01', ''], away_to: ['2026-12-09', ''] }));
		expect(r).toMatchObject({ value: { away: [{ from: '2026-12-01', to: '2026-12-09' }] } });
	});
});

describe('bodies of the API', () => {
	const ask = async (body: string, schema: typeof strikeRequest | typeof outcomeRequest = strikeRequest) => {
		const r = await readBody<unknown>(new Request('http://x/', { method: 'POST', body }), schema);
		return r instanceof Response
			? { status: r.status, ...((await r.json()) as { error: { code: string; path: string | null; sentence: string } }) }
			: r;
	};
	it('are parsed or refused with code, path and sentence', async () => {
		const good = { stages: [{ alpha: 1, beta: 2 }], target: 3, confidence: 0.9 };
		expect(await ask(JSON.stringify(good))).toEqual({ ...good, correlation: 0 });
		expect(await ask(JSON.stringify({ ...good, correlation: 0.25 }))).toMatchObject({ correlation: 0.25 });
		for (const correlation of [-0.1, 1, 'much'])
			expect(await ask(JSON.stringify({ ...good, correlation }))).toMatchObject({ status: 400, error: { path: 'correlation' } });
		expect(await ask('{')).toMatchObject({ status: 400, error: { code: 'body.not-json' } });
		expect(await ask(JSON.stringify({ ...good, extra: 1 }))).toMatchObject({ status: 400 });
		expect(await ask(JSON.stringify({ ...good, stages: [{ alpha: Number.MAX_VALUE, beta: 1 }] }))).toMatchObject({
			error: { path: 'stages.0.alpha' }
		});
		expect(await ask(JSON.stringify({ ...good, stages: Array(13).fill({ alpha: 1, beta: 1 }) }))).toMatchObject({
			error: { path: 'stages' }
		});
		expect(await ask(`"${'x'.repeat(70_000)}"`)).toMatchObject({ status: 413 });
		expect(await ask(JSON.stringify({ stages: good.stages, struck: 5_001 }), outcomeRequest)).toMatchObject({
			error: { path: 'struck' }
		});
		expect(await ask(JSON.stringify({ stages: good.stages, struck: 0 }), outcomeRequest)).toMatchObject({ struck: 0 });
	});
});

describe('the ledger as CSV', () => {
	const row = {
		id: '0190',
		happened_on: '2027-07-01',
		recorded_at: new Date('2027-07-01T10:00:00Z'),
		kind: 'batch.checked',
		subject: 'batch',
		subject_id: '1',
		kind_id: 'box',
		line: '322-U Box: 9 alive, "firm"',
		note: 'two lines\nand, a comma; =2+2 مرحبا 🌱',
		undone: false,
		reverses: null,
		data: { alive: 9 }
	};
	it('reads back cell by cell with another reader', () => {
		const parsed = Papa.parse<Record<string, string>>(
			(csvHead() + csvRows([row, { ...row, note: '=HYPERLINK("x")' }])).replace('\uFEFF', ''),
			{ header: true, skipEmptyLines: true }
		);
		expect(parsed.errors).toEqual([]);
		expect(parsed.data).toHaveLength(2);
		expect(parsed.data[0]).toMatchObject({
			day: '2027-07-01',
			line: row.line,
			note: row.note,
			undone: 'no',
			data: '{"alive":9}'
		});
		// A cell that a spreadsheet would run is made text.
		expect(parsed.data[1]!.note).toBe('\'=HYPERLINK("x")');
	});
	it('is filtered by the address, and nonsense in it is left out', () => {
		const f = filterFrom(
			new URLSearchParams('q=box&kind=batch.checked&plant=box&from=2027-01-01&to=never&after=2027-02-01_17'),
			10
		);
		expect(f).toEqual({
			text: 'box',
			kind: 'batch.checked',
			kindId: 'box',
			from: '2027-01-01',
			to: null,
			after: { on: '2027-02-01', seq: 17 },
			limit: 10
		});
		expect(filterFrom(new URLSearchParams("kind=drop'table&after=x_y"), 5)).toMatchObject({ kind: null, after: null });
	});
});

describe('signing in', () => {
	beforeAll(async () => {
		await freshDatabase('sign_in_test');
		process.env.SURCULUS_PASSWORD_HASH = await hashPassword('rake and riddle');
	});
	afterAll(async () => {
		delete process.env.SURCULUS_PASSWORD_HASH;
		await closeDatabase();
	});

	const enter = async (address: string): Promise<string> => {
		const tried = await signIn('rake and riddle', address);
		if (tried.outcome !== 'in') throw new Error(tried.outcome);
		return tried.token;
	};

	it('opens a session that can be closed, and keeps no token in the database', async () => {
		const token = await enter('10.0.0.1');
		expect(await signedIn(token)).toBe(true);
		expect(await signedIn(`${token}x`)).toBe(false);
		expect(await signedIn(undefined)).toBe(false);
		const { rows } = await database().query<{ hash: string }>("SELECT encode(token_hash, 'base64') AS hash FROM session");
		expect(rows.every((r) => r.hash !== token)).toBe(true);
		await signOut(token);
		expect(await signedIn(token)).toBe(false);
	});

	it('ends with its time, and after a week in which nobody used it', async () => {
		const token = await enter('10.0.0.1');
		await database().query("UPDATE session SET used_at = now() - interval '6 days'");
		expect(await signedIn(token)).toBe(true);
		await database().query("UPDATE session SET used_at = now() - interval '8 days'");
		expect(await signedIn(token)).toBe(false);
		const other = await enter('10.0.0.1');
		await database().query("UPDATE session SET expires_at = now() - interval '1 second'");
		expect(await signedIn(other)).toBe(false);
	});

	it('ends on every device when asked, and when the password is another', async () => {
		const [a, b] = [await enter('10.0.0.1'), await enter('10.0.0.4')];
		await signOutEverywhere();
		expect([await signedIn(a), await signedIn(b)]).toEqual([false, false]);
		const first = await keepPassword('rake and riddle');
		const c = await enter('10.0.0.1');
		// The same password after a restart leaves people signed in.
		expect(await keepPassword('rake and riddle')).toBe(first);
		expect(await signedIn(c)).toBe(true);
		expect(await keepPassword('hoe and harrow too')).not.toBe(first);
		expect(await signedIn(c)).toBe(false);
	});

	it('counts a try before it weighs it: of a hundred at once five are weighed, and others are let in meanwhile', async () => {
		const tries = await Promise.all(Array.from({ length: 100 }, () => signIn('guess', '10.0.0.2')));
		expect(tries.filter((t) => t.outcome === 'wrong')).toHaveLength(5);
		expect(tries.filter((t) => t.outcome === 'wait')).toHaveLength(95);
		expect((await signIn('rake and riddle', '10.0.0.2')).outcome).toBe('wait');
		expect((await signIn('rake and riddle', '10.0.0.3')).outcome).toBe('in');
	});

	it('leads only to paths of ours, however an address is disguised', () => {
		expect(safePath('/g/x/round?day=1')).toBe('/g/x/round?day=1');
		for (const to of [
			null,
			'',
			'//host',
			'/\\host',
			'/\t/host',
			'/\n/host',
			'https://host',
			'/\r\n//host',
			'\\\\host',
			'javascript:1'
		])
			expect(safePath(to), JSON.stringify(to)).toBe('/');
	});

	it('does not serve others without a password', () => {
		expect(unsafeBind({})).toContain('password');
		expect(unsafeBind({ HOST: '0.0.0.0' })).toContain('password');
		expect(unsafeBind({ HOST: '127.0.0.1' })).toBeNull();
		expect(unsafeBind({ HOST: '::', SURCULUS_PASSWORD_HASH: 'x' })).toBeNull();
	});

	it('knows loopback from the rest', () => {
		for (const host of ['127.0.0.1', '127.8.8.8', 'localhost', '::1']) expect(isLoopback(host)).toBe(true);
		for (const host of ['0.0.0.0', '192.168.1.4', '::', 'localhost.example', '128.0.0.1']) expect(isLoopback(host)).toBe(false);
	});
});

describe('today', () => {
	it('is the garden’s own, or the one that is pinned', () => {
		process.env.SURCULUS_TODAY = '2027-02-28';
		expect(today('Pacific/Auckland')).toBe('2027-02-28');
		process.env.SURCULUS_TODAY = '2027-02-30';
		expect(today('UTC')).toBe(new Date().toISOString().slice(0, 10));
		delete process.env.SURCULUS_TODAY;
	});
});

describe('a database that is away', () => {
	it('is told from a mistake of ours', () => {
		expect(isDatabaseDown(Object.assign(new Error('x'), { code: 'ECONNREFUSED' }))).toBe(true);
		expect(isDatabaseDown(Object.assign(new Error('x'), { code: '57P01' }))).toBe(true);
		expect(isDatabaseDown(new Error('Connection terminated unexpectedly'))).toBe(true);
		expect(isDatabaseDown(Object.assign(new Error('x'), { code: '42601' }))).toBe(false);
		expect(isDatabaseDown('no error at all')).toBe(false);
	});
});

describe('the register of varieties', () => {
	let server: Server;
	let body = '';
	beforeAll(async () => {
		server = createServer((_, response) => response.end(body)).listen(0, '127.0.0.1');
		await new Promise((r) => server.once('listening', r));
		process.env.SURCULUS_STAND_INS = `other=http://127.0.0.1:9,variety-register=http://127.0.0.1:${(server.address() as { port: number }).port}`;
	});
	afterAll(() => {
		delete process.env.SURCULUS_STAND_INS;
		server.close();
	});

	it('is asked by name; an answer that is no answer, or none, is null', async () => {
		expect([...standIns().keys()]).toEqual(['other', 'variety-register']);
		body = JSON.stringify({
			varieties: [{ variety: 'A', trade: 'B', right: 'patent', number: '1', filed: '2000-05-01', granted: null, woody: false }]
		});
		expect(await lookUpVariety('lantern')).toMatchObject([{ rightName: 'live plant patent', until: '2020-04-30' }]);
		body = body.replace('patent', 'a right nobody knows');
		expect(await lookUpVariety('lantern')).toMatchObject([{ until: null }]);
		body = '<html>';
		expect(await lookUpVariety('lantern')).toBeNull();
		body = JSON.stringify({ varieties: [{ variety: 7 }] });
		expect(await lookUpVariety('lantern')).toBeNull();
		expect(await lookUpVariety('x')).toBeNull();
		process.env.SURCULUS_STAND_INS = 'variety-register=http://127.0.0.1:9';
		expect(await lookUpVariety('lantern')).toBeNull();
	});
});
