/** The handbook as it ships, read kind by kind, without the server. */
import { readdirSync, readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { containerSchema, kindSchema } from '$lib/core/handbook/schema.js';
import { expandLike } from '$lib/core/handbook/like.js';
import type { Kind } from '$lib/core/handbook/schema.js';

const raw = (id: string): unknown => parse(readFileSync(`handbook/kinds/${id}.yaml`, 'utf8'));
export const kind = (id: string): Kind => kindSchema.parse(expandLike(raw(id), raw));
export const allKinds = (): Kind[] =>
	readdirSync('handbook/kinds')
		.sort()
		.map((f) => kind(f.replace('.yaml', '')));

export const containers = new Map(
	(parse(readFileSync('handbook/containers.yaml', 'utf8')) as unknown[])
		.map((c) => containerSchema.parse(c))
		.map((c) => [c.id, c])
);
