/** The handbook as it ships, read kind by kind, without the server. */
import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { containerSchema, kindSchema, waySchema } from '$lib/core/handbook/schema.js';
import { expandLike } from '$lib/core/handbook/like.js';
import type { Kind } from '$lib/core/handbook/schema.js';

const files = new Map<string, unknown>();
const raw = (id: string): unknown => {
	if (!files.has(id)) files.set(id, parse(readFileSync(`handbook/kinds/${id}.yaml`, 'utf8')));
	return files.get(id);
};
export const kind = (id: string): Kind => kindSchema.parse(expandLike(raw(id), raw));
export const allKinds = (): Kind[] =>
	readdirSync('handbook/kinds')
		.sort()
		.map((f) => kind(f.replace('.yaml', '')));

const list = <T extends { id: string }>(file: string, schema: { parse(v: unknown): T }): Map<string, T> =>
	new Map((parse(readFileSync(`handbook/${file}`, 'utf8')) as unknown[]).map((v) => schema.parse(v)).map((v) => [v.id, v]));
export const containers = list('containers.yaml', containerSchema);
export const book = { containers, ways: list('ways.yaml', waySchema) };
