/** A garden out of the house and into another: everything, with its ids. */
import { z } from 'zod';
import { transaction } from './db.js';
import type { Queryable } from './db.js';
import type { GardenHead } from './context.js';
import { freeSlug, rebuildIn, RebuildRefused } from './ledger.js';
import { asResult, orThrow, refuseWith } from './refusal.js';
import * as state from './store/state.js';
import { isIsoDate } from '$lib/core/dates.js';
import { isEntryKind, KINDS } from '$lib/core/ledger/index.js';
import { plainText } from '$lib/core/numbers.js';
import type { Result } from '$lib/core/result.js';
import { readArchive, writeArchive } from '$lib/formats/archive.js';
import type { ReadArchive, Table } from '$lib/formats/archive.js';

const text = (name: string) => ({ name, type: 'string' as const });
const number = (name: string) => ({ name, type: 'number' as const });
const whole = (name: string) => ({ name, type: 'integer' as const });
const date = (name: string) => ({ name, type: 'date' as const });
const moment = (name: string) => ({ name, type: 'datetime' as const });
const object = (name: string) => ({ name, type: 'object' as const });

/** What is needed to have the garden back: files, their columns, where they come from. */
const KEPT = [
	{
		name: 'ledger',
		title: 'Every entry, in the order it was written',
		fields: [
			text('id'),
			text('kind'),
			text('subject'),
			text('subject_id'),
			text('group_id'),
			date('happened_on'),
			moment('recorded_at'),
			text('actor'),
			text('reverses'),
			object('data'),
			text('note'),
			text('line'),
			text('kind_id')
		],
		from: 'entry WHERE garden_id = $1 ORDER BY seq'
	},
	{
		name: 'weather-records',
		title: 'Records of weather that were taken in',
		fields: [text('id'), text('name')],
		from: 'weather_import WHERE garden_id = $1 ORDER BY seq'
	},
	{
		name: 'weather-days',
		title: 'Their days, °C and mm',
		fields: [text('import_id'), date('day'), number('low'), number('high'), number('rain')],
		from: 'weather_day WHERE garden_id = $1 ORDER BY import_id, day'
	},
	{
		name: 'station-days',
		title: 'Days that the weather station told, °C and mm',
		fields: [date('day'), number('low'), number('high'), number('rain')],
		from: 'station_day WHERE garden_id = $1 ORDER BY day'
	},
	{
		name: 'readings',
		title: 'Thermometers of places by day, °C',
		fields: [
			text('place_id'),
			date('day'),
			number('low'),
			number('high'),
			number('last_c'),
			moment('last_at'),
			whole('readings')
		],
		from: 'reading_day WHERE garden_id = $1 ORDER BY place_id, day'
	}
] as const;

/** What follows from the ledger, for people and their spreadsheets. */
const SHOWN = [
	{
		name: 'stock',
		title: 'Plants that can give material (follows from the ledger)',
		fields: [
			text('id'),
			text('kind_id'),
			text('label'),
			whole('count'),
			number('size_cm'),
			text('condition'),
			date('since'),
			date('gone_on')
		],
		from: 'stock WHERE garden_id = $1 ORDER BY since, id'
	},
	{
		name: 'wants',
		title: 'What was wanted (follows from the ledger)',
		fields: [
			text('id'),
			text('kind_id'),
			{ ...text('or_kinds'), is: `array_to_string(or_kinds, ' ')` },
			text('label'),
			text('purpose'),
			whole('target'),
			date('due'),
			number('confidence'),
			whole('enough'),
			whole('late_weeks'),
			whole('may_buy'),
			whole('buying'),
			whole('bought'),
			number('least_cm'),
			text('weighs'),
			date('dropped_on')
		],
		from: 'want WHERE garden_id = $1 ORDER BY due, id'
	},
	{
		name: 'batches',
		title: 'What was struck and what came of it (follows from the ledger)',
		fields: [
			text('code'),
			text('kind_id'),
			text('way_id'),
			text('status'),
			date('struck_on'),
			whole('struck'),
			whole('unrooted'),
			whole('rooted'),
			whole('potted'),
			whole('planted'),
			whole('given'),
			whole('kept'),
			whole('lost')
		],
		from: 'batch WHERE garden_id = $1 ORDER BY struck_on, code'
	}
] as const;

/** The garden as a zip. */
export async function archiveOf(garden: GardenHead, made: string): Promise<Uint8Array> {
	return transaction(async (db) => {
		// One moment of the garden, whatever is written meanwhile.
		await db.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
		const tables: Table[] = [];
		for (const t of [...KEPT, ...SHOWN]) {
			const { rows } = await db.query<Record<string, unknown>>(
				`SELECT ${t.fields.map((f) => ('is' in f ? `${f.is} AS ${f.name}` : f.name)).join(', ')} FROM ${t.from}`,
				[garden.id]
			);
			const fields = t.fields.map(({ name, type }) => ({ name, type }));
			tables.push({ name: t.name, title: t.title, fields, rows: rows.map((r) => t.fields.map((f) => r[f.name])) });
		}
		const { rows } = await db.query<{ next_code: number }>('SELECT next_code FROM garden WHERE id = $1', [garden.id]);
		return writeArchive(
			{ garden: { id: garden.id, slug: garden.slug, name: garden.data.name, nextCode: rows[0]!.next_code }, made },
			tables
		);
	});
}

const isoDay = z.string().refine(isIsoDate);
const maybe = (s: string): string | null => (s === '' ? null : s);
const figure = z
	.string()
	.transform((s) => (s === '' ? null : Number(s)))
	.refine((n) => n === null || Number.isFinite(n));
const entryRow = z.object({
	id: z.uuid(),
	kind: z.string().refine(isEntryKind),
	subject: z.string().max(20),
	subject_id: z.uuid(),
	group_id: z.uuid(),
	happened_on: isoDay,
	recorded_at: z.iso.datetime(),
	actor: z.string().max(80),
	reverses: z.union([z.literal(''), z.uuid()]),
	data: z.string(),
	note: z.string().max(5_000),
	line: z.string().max(10_000),
	kind_id: z.string().max(60)
});
const dayRow = z.object({ day: isoDay, low: figure, high: figure, rain: figure });

/** Rows of a file by a schema; the first that is wrong is named by its line. */
function rowsOf<T>(archive: ReadArchive, file: string, schema: z.ZodType<T>): T[] {
	const rows = archive.rows(file) ?? refuseWith('archive.incomplete', `The archive has no ${file}.csv: it is not whole.`, 'file');
	return rows.map((row, i) => {
		const parsed = schema.safeParse(row);
		if (!parsed.success) {
			const issue = parsed.error.issues[0]!;
			refuseWith(
				'archive.row',
				`${file}.csv, line ${i + 2}: ${issue.path.join('.') || 'the row'} cannot be read. Nothing was taken in.`,
				'file'
			);
		}
		return parsed.data;
	});
}

async function putEntries(db: Queryable, gardenId: string, archive: ReadArchive): Promise<number> {
	const rows = rowsOf(archive, 'ledger', entryRow);
	const data = rows.map((r, i) => {
		let json: unknown;
		try {
			json = JSON.parse(r.data);
		} catch {
			json = null;
		}
		const parsed = KINDS[r.kind].data.safeParse(json);
		if (!parsed.success)
			refuseWith(
				'archive.row',
				`ledger.csv, line ${i + 2}: “${r.line.slice(0, 80)}” cannot be read. Nothing was taken in.`,
				'file'
			);
		return JSON.stringify(json);
	});
	await db.query(
		`INSERT INTO entry (garden_id, id, kind, subject, subject_id, group_id, happened_on, recorded_at, actor, reverses, data, note, line, kind_id)
		 SELECT $1, * FROM unnest($2::uuid[], $3::text[], $4::text[], $5::uuid[], $6::uuid[], $7::date[], $8::timestamptz[], $9::text[],
			$10::uuid[], $11::jsonb[], $12::text[], $13::text[], $14::text[])`,
		[
			gardenId,
			rows.map((r) => r.id),
			rows.map((r) => r.kind),
			rows.map((r) => r.subject),
			rows.map((r) => r.subject_id),
			rows.map((r) => r.group_id),
			rows.map((r) => r.happened_on),
			rows.map((r) => r.recorded_at),
			rows.map((r) => plainText(r.actor)),
			rows.map((r) => maybe(r.reverses)),
			data,
			rows.map((r) => plainText(r.note)),
			rows.map((r) => plainText(r.line)),
			rows.map((r) => maybe(r.kind_id))
		]
	);
	return rows.length;
}

async function putWeather(db: Queryable, gardenId: string, archive: ReadArchive): Promise<void> {
	const records = rowsOf(archive, 'weather-records', z.object({ id: z.uuid(), name: z.string().max(200) }));
	for (const r of records)
		await db.query('INSERT INTO weather_import (garden_id, id, name) VALUES ($1, $2, $3)', [gardenId, r.id, plainText(r.name)]);
	const days = rowsOf(archive, 'weather-days', dayRow.extend({ import_id: z.uuid() }));
	await db.query(
		`INSERT INTO weather_day (garden_id, import_id, day, low, high, rain)
		 SELECT $1, * FROM unnest($2::uuid[], $3::date[], $4::real[], $5::real[], $6::real[])`,
		[
			gardenId,
			days.map((d) => d.import_id),
			days.map((d) => d.day),
			days.map((d) => d.low),
			days.map((d) => d.high),
			days.map((d) => d.rain)
		]
	);
	const told = rowsOf(archive, 'station-days', dayRow);
	await db.query(
		`INSERT INTO station_day (garden_id, day, low, high, rain)
		 SELECT $1, * FROM unnest($2::date[], $3::real[], $4::real[], $5::real[])`,
		[gardenId, told.map((d) => d.day), told.map((d) => d.low), told.map((d) => d.high), told.map((d) => d.rain)]
	);
	const readings = rowsOf(
		archive,
		'readings',
		z.object({
			place_id: z.uuid(),
			day: isoDay,
			low: figure,
			high: figure,
			last_c: figure,
			last_at: z.iso.datetime(),
			readings: z.coerce.number().int().min(1)
		})
	);
	await db.query(
		`INSERT INTO reading_day (garden_id, place_id, day, low, high, last_c, last_at, readings)
		 SELECT $1, * FROM unnest($2::uuid[], $3::date[], $4::real[], $5::real[], $6::real[], $7::timestamptz[], $8::int[])`,
		[
			gardenId,
			readings.map((r) => r.place_id),
			readings.map((r) => r.day),
			readings.map((r) => r.low),
			readings.map((r) => r.high),
			readings.map((r) => r.last_c),
			readings.map((r) => r.last_at),
			readings.map((r) => r.readings)
		]
	);
}

/** Takes an archive into the house, whole or not at all. */
export function takeArchive(bytes: Uint8Array): Promise<Result<{ slug: string; name: string; entries: number }>> {
	return asResult(async () => {
		const archive = orThrow(readArchive(bytes));
		const { garden } = archive.head;
		try {
			return await transaction(async (db) => {
				const there = (await state.gardens(db)).find((g) => g.id === garden.id);
				if (there) refuseWith('archive.there', `${there.data.name} is in this house already: nothing was taken in.`, 'file');
				const slug = await freeSlug(db, garden.id, garden.slug);
				await db.query('UPDATE garden SET next_code = $2 WHERE id = $1', [garden.id, garden.nextCode]);
				await putWeather(db, garden.id, archive);
				const entries = await putEntries(db, garden.id, archive);
				await rebuildIn(db, garden.id);
				return { slug, name: garden.name, entries };
			});
		} catch (error) {
			if (error instanceof RebuildRefused) refuseWith('archive.refused', error.message, 'file');
			// A date, a count or a link that the database does not hold.
			if (/^2[23]/.test((error as { code?: string }).code ?? ''))
				refuseWith(
					'archive.row',
					`The archive holds something that cannot be: ${(error as Error).message}. Nothing was taken in.`,
					'file'
				);
			throw error;
		}
	});
}
