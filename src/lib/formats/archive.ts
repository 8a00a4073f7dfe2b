/**
 * A garden in one file: a zip that is a Frictionless Data Package (datapackage.json with CSV files, RFC 4180). The ledger
 * and the weather in it are all that is needed to have the garden back; stock, wants and batches are there to be read.
 */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { z } from 'zod';
import { refuse, ok } from '../core/result.js';
import type { Result } from '../core/result.js';

/** Raised when an older reader would misread what is written. */
export const ARCHIVE_FORMAT = 1;
const PROFILE = 'data-package';

export interface Table {
	/** File name without its ending. */
	name: string;
	title: string;
	fields: readonly { name: string; type: 'string' | 'integer' | 'number' | 'date' | 'datetime' | 'object' }[];
	rows: readonly (readonly unknown[])[];
}

export interface ArchiveHead {
	garden: { id: string; slug: string; name: string; nextCode: number };
	made: string;
}

const cell = (v: unknown): string | number =>
	v === null || v === undefined
		? ''
		: v instanceof Date
			? v.toISOString()
			: typeof v === 'object'
				? JSON.stringify(v)
				: (v as string | number);

/** Cells are written as they are, formulas too: what is read back must be what was written. */
export function writeArchive(head: ArchiveHead, tables: readonly Table[]): Uint8Array {
	const files: Record<string, Uint8Array> = {
		'datapackage.json': strToU8(
			JSON.stringify(
				{
					profile: PROFILE,
					name: head.garden.slug,
					title: head.garden.name,
					created: head.made,
					surculus: { format: ARCHIVE_FORMAT, garden: head.garden },
					resources: tables.map((t) => ({
						name: t.name,
						title: t.title,
						path: `${t.name}.csv`,
						profile: 'tabular-data-resource',
						format: 'csv',
						mediatype: 'text/csv',
						encoding: 'utf-8',
						schema: { fields: t.fields }
					}))
				},
				null,
				'\t'
			)
		)
	};
	for (const t of tables)
		files[`${t.name}.csv`] = strToU8(
			`${Papa.unparse({ fields: t.fields.map((f) => f.name), data: t.rows.map((r) => r.map(cell)) }, { newline: '\r\n' })}\r\n`
		);
	return zipSync(files, { level: 6 });
}

const headSchema = z.object({
	created: z.string().max(40),
	surculus: z.object({
		format: z.number().int().min(1),
		garden: z.object({
			id: z.uuid(),
			slug: z.string().max(60),
			name: z.string().max(200),
			nextCode: z.number().int().min(0)
		})
	}),
	resources: z.array(z.object({ name: z.string().max(60), path: z.string().max(80) })).max(40)
});

/** Larger than a garden of fifty years; a zip that unfolds to more is not one of ours. */
const MOST_UNPACKED = 400_000_000;
const MOST_FILES = 40;

export interface ReadArchive {
	head: ArchiveHead;
	/** Rows of a file by its name, every cell as text; null when the archive has no such file. */
	rows(name: string): Record<string, string>[] | null;
}

const broken = (sentence: string): Result<never> => refuse('archive.unreadable', sentence, 'file');

/** Opens an archive; says in a sentence what is wrong with one that cannot be taken. */
export function readArchive(bytes: Uint8Array): Result<ReadArchive> {
	let unpacked = 0;
	let count = 0;
	let files: Record<string, Uint8Array>;
	try {
		files = unzipSync(bytes, {
			filter: (f) => {
				unpacked += f.originalSize;
				count++;
				if (unpacked > MOST_UNPACKED || count > MOST_FILES) throw new Error('too much');
				return /^[\w.-]+\.(csv|json)$/.test(f.name);
			}
		});
	} catch {
		return broken('This file is not a zip that can be read, or it is cut off.');
	}
	const told = files['datapackage.json'];
	if (!told) return broken('This zip is not an archive of a garden: it has no datapackage.json.');
	let json: unknown;
	try {
		json = JSON.parse(strFromU8(told));
	} catch {
		return broken('The datapackage.json of this archive is damaged.');
	}
	const head = headSchema.safeParse(json);
	if (!head.success) return broken('This data package is not an archive that Surculus made.');
	if (head.data.surculus.format > ARCHIVE_FORMAT)
		return broken('This archive was made by a newer Surculus: take it in with that one.');
	return ok({
		head: { garden: head.data.surculus.garden, made: head.data.created },
		rows: (name) => {
			const file = files[`${name}.csv`];
			if (!file) return null;
			return Papa.parse<Record<string, string>>(strFromU8(file), { header: true, skipEmptyLines: true }).data;
		}
	});
}
