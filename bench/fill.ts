/** Fills the demo garden of DATABASE_URL; run by fillGarden.ts. All of it is there at once, or none. */
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { rebuildIn } from '../src/lib/server/ledger.js';
import type { Filled, Filling } from './fillGarden.js';
import { addDays } from '../src/lib/core/dates.js';
import { codeOf } from '../src/lib/core/ledger/index.js';

interface Line {
	kind: string;
	subject: 'batch' | 'care';
	id: string;
	on: string;
	data: unknown;
	line: string;
	kindId: string | null;
}

/** Pots watered in one go. */
const WATERED = 40;
const CHUNK = 5_000;

const subjects = new Map<string, string>();
/** The same work at the same place is one subject. */
const careOf = (place: string): string => {
	let id = subjects.get(place);
	if (!id) subjects.set(place, (id = randomUUID()));
	return id;
};

async function fill(url: string, { entries = 0, growing, today = '2026-09-05' }: Filling): Promise<Filled> {
	const client = new pg.Client({ connectionString: url });
	await client.connect();
	await client.query('BEGIN');
	pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);
	const { rows: gardens } = await client.query<{ id: string; next_code: number }>(
		`SELECT id, next_code FROM garden WHERE slug = 'three-alders'`
	);
	const garden = gardens[0]!.id;
	const { rows: like } = await client.query<{ kind_id: string; way_id: string; place_id: string }>(
		`SELECT kind_id, way_id, place_id FROM batch WHERE garden_id = $1 AND status = 'growing' AND place_id IS NOT NULL ORDER BY code LIMIT 15`,
		[garden]
	);
	const { rows: counts } = await client.query<{ entries: string; growing: string }>(
		`SELECT (SELECT count(*) FROM entry WHERE garden_id = $1) AS entries,
			(SELECT count(*) FROM batch WHERE garden_id = $1 AND status = 'growing') AS growing`,
		[garden]
	);
	const there = counts[0]!;
	const lines: Line[] = [];
	let code = gardens[0]!.next_code;
	const strike = (n: number, on: string) => {
		const of = like[n % like.length]!;
		const id = randomUUID();
		const name = codeOf(code++);
		const add = (kind: string, day: string, data: unknown, words: string) =>
			lines.push({ kind, subject: 'batch', id, on: day, data, line: `${name} ${of.kind_id}: ${words}`, kindId: of.kind_id });
		const treatment = { medium: '', hormone: '', wound: false, cover: '' };
		const data = { ...of, code: name, stock_id: null, want_id: null, struck: 20, treatment, container: '', foretold: null };
		add('batch.struck', on, data, 'struck 20');
		return { id, place: of.place_id, add };
	};
	const plants = Array.from({ length: Math.max(0, growing - Number(there.growing)) }, (_, n) => {
		const on = addDays(today, -(10 + ((n * 7) % 170)));
		const b = strike(n, on);
		if (n % 3 > 0) b.add('batch.checked', addDays(on, 8), { alive: 19, rooted: n % 3 === 1 ? 0 : 4, sign: 'firm' }, '19 alive');
		return b;
	});
	const left = Math.max(0, entries - Number(there.entries) - lines.length);
	const cares = plants.length > 0 ? Math.floor(left / 10) : 0;
	for (let i = 0; i < cares; i++) {
		const from = (i * WATERED) % plants.length;
		const place = plants[from]!.place;
		const targets = plants.slice(from, from + WATERED).map((p) => p.id);
		const data = { care: 'water', place_id: place, targets };
		// One subject for a work at a place: what the round itself writes.
		lines.push({
			kind: 'care.done',
			subject: 'care',
			id: careOf(place),
			on: addDays(today, -Math.floor((cares - i) / 20) - 1),
			data,
			line: 'Water',
			kindId: null
		});
	}
	const ended = Math.floor((left - cares) / 6);
	for (let n = 0; n < ended; n++) {
		const on = addDays('2020-01-01', n % 1700);
		const { add } = strike(n, on);
		add('batch.checked', addDays(on, 30), { alive: 18, rooted: 9, sign: 'firm' }, '18 alive, 9 rooted');
		add('batch.checked', addDays(on, 45), { alive: 17, rooted: 15, sign: 'roots seen' }, '17 alive, 15 rooted');
		add('batch.lost', addDays(on, 49), { count: 2, why: '', planted: false }, 'lost 2');
		add('batch.potted', addDays(on, 50), { count: 15, container: '', place_id: null }, 'potted 15');
		add('batch.planted', addDays(on, 290), { count: 15, place_id: null }, 'planted 15');
	}
	lines.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
	for (let i = 0; i < lines.length; i += CHUNK) {
		const some = lines.slice(i, i + CHUNK);
		await client.query(
			`INSERT INTO entry (garden_id, id, kind, subject, subject_id, group_id, happened_on, data, line, kind_id)
			 SELECT $1, gen_random_uuid(), r.kind, r.subject, r.id, gen_random_uuid(), r.on_day, r.data, r.line, r.kind_id
			 FROM ROWS FROM (unnest($2::text[]), unnest($3::text[]), unnest($4::uuid[]), unnest($5::date[]), unnest($6::jsonb[]), unnest($7::text[]), unnest($8::text[]))
				WITH ORDINALITY AS r (kind, subject, id, on_day, data, line, kind_id, n) ORDER BY r.n`,
			[
				garden,
				some.map((l) => l.kind),
				some.map((l) => l.subject),
				some.map((l) => l.id),
				some.map((l) => l.on),
				some.map((l) => JSON.stringify(l.data)),
				some.map((l) => l.line),
				some.map((l) => l.kindId)
			]
		);
	}
	await client.query('UPDATE garden SET next_code = $2 WHERE id = $1', [garden, code]);
	const began = performance.now();
	await rebuildIn(client, garden);
	await client.query('COMMIT');
	const derivedMs = performance.now() - began;
	await client.query('VACUUM ANALYZE');
	const { rows } = await client.query<{ n: string; batches: string }>(
		'SELECT (SELECT count(*) FROM entry) AS n, (SELECT count(*) FROM batch) AS batches'
	);
	await client.end();
	return { entries: Number(rows[0]!.n), batches: Number(rows[0]!.batches), derivedMs };
}

const told = await fill(process.env.DATABASE_URL!, JSON.parse(process.argv[2] ?? '{}') as Filling);
process.stdout.write(JSON.stringify(told));
