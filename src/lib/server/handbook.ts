/** Reads the handbook from its files once, checking every figure on the way. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { z } from 'zod';
import { habitSchema, materialSchema, mixSchema, sheetSchema, termSchema } from '$lib/core/handbook/benchSchema.js';
import { expandLike } from '$lib/core/handbook/like.js';
import { careRuleSchema, containerSchema, kindSchema, schoolSchema, sourceSchema, waySchema } from '$lib/core/handbook/schema.js';
import type { Handbook } from '$lib/core/handbook/schema.js';

export const home = (): string => process.env.SURCULUS_HOME ?? process.cwd();

/** A file that ships with the handbook. */
export const handbookPath = (file: string): string => join(home(), 'handbook', file);

function checked<T>(path: string, schema: z.ZodType<T>, value: unknown): T {
	const parsed = schema.safeParse(value);
	if (!parsed.success) throw new Error(`${path}: ${z.prettifyError(parsed.error)}`);
	return parsed.data;
}
const read = <T>(path: string, schema: z.ZodType<T>): T => checked(path, schema, parse(readFileSync(path, 'utf8')));

const byId = <T extends { id: string }>(rows: readonly T[]): Map<string, T> => new Map(rows.map((r) => [r.id, r]));

export function loadHandbook(folder: string): Handbook {
	const list = <T extends { id: string }>(file: string, schema: z.ZodType<T>) => byId(read(join(folder, file), z.array(schema)));
	const raw = new Map(
		readdirSync(join(folder, 'kinds'))
			.filter((f) => f.endsWith('.yaml'))
			.sort()
			.map((f) => [f.replace('.yaml', ''), parse(readFileSync(join(folder, 'kinds', f), 'utf8')) as unknown])
	);
	const kinds = [...raw].map(([id, kind]) => {
		const read = checked(
			`kinds/${id}.yaml`,
			kindSchema,
			expandLike(kind, (other) => raw.get(other))
		);
		if (read.id !== id) throw new Error(`kinds/${id}.yaml holds ${read.id}: the file is named after the kind`);
		return read;
	});
	const book: Handbook = {
		kinds: byId(kinds.sort((a, b) => a.common.localeCompare(b.common))),
		ways: list('ways.yaml', waySchema),
		containers: list('containers.yaml', containerSchema),
		schools: list('schools.yaml', schoolSchema),
		sources: list('sources.yaml', sourceSchema),
		care: list('care.yaml', careRuleSchema),
		materials: list('materials.yaml', materialSchema),
		mixes: list('mixes.yaml', mixSchema),
		sheets: list('labels.yaml', sheetSchema),
		terms: list('terms.yaml', termSchema),
		habits: list('habits.yaml', habitSchema)
	};
	for (const complaint of inconsistencies(book)) throw new Error(`handbook: ${complaint}`);
	return book;
}

/** What points nowhere: ways, containers, schools and sources that a kind names and the book lacks. */
export function inconsistencies(book: Handbook): string[] {
	const wrong: string[] = [];
	const source = (id: string, src: string) => {
		if (!book.sources.has(src)) wrong.push(`${id} names the unknown source ${src}`);
	};
	for (const kind of book.kinds.values()) {
		for (const s of [kind.hardiness_c.src, kind.size.src, kind.price.src, kind.winter.src, kind.protection.src])
			source(kind.id, s);
		for (const way of kind.ways) {
			const at = `${kind.id}/${way.id}`;
			if (!book.ways.has(way.way)) wrong.push(`${at} is of the unknown way ${way.way}`);
			for (const school of way.schools) if (!book.schools.has(school)) wrong.push(`${at} names the unknown school ${school}`);
			source(at, way.window.src);
			source(at, way.gives.src);
			for (const stage of way.stages) {
				source(at, stage.src);
				if (!book.containers.has(stage.holds)) wrong.push(`${at} stands in the unknown container ${stage.holds}`);
			}
		}
	}
	for (const mix of book.mixes.values())
		for (const part of Object.keys(mix.parts))
			if (!book.materials.has(part)) wrong.push(`mix ${mix.id} names the unknown material ${part}`);
	for (const h of book.habits.values())
		if (!book.kinds.has(h.like)) wrong.push(`habit ${h.id} begins from the unknown kind ${h.like}`);
	for (const t of book.terms.values()) source(`term ${t.id}`, t.src);
	for (const c of book.containers.values())
		if (c.next && !book.containers.has(c.next)) wrong.push(`${c.id} is followed by the unknown container ${c.next}`);
	for (const rule of book.care.values()) {
		source(`care ${rule.id}`, rule.src);
		for (const way of [...(rule.ways ?? []), ...(rule.not_ways ?? [])])
			if (!book.ways.has(way)) wrong.push(`care ${rule.id} names the unknown way ${way}`);
		for (const held of rule.holds ?? [])
			if (!book.containers.has(held)) wrong.push(`care ${rule.id} names the unknown container ${held}`);
	}
	return wrong;
}

let book: Handbook | null = null;
export const handbook = (): Handbook => (book ??= loadHandbook(join(home(), 'handbook')));
