/** The handbook as it ships, read kind by kind, without the server. */
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { containerSchema, kindSchema } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';

export const kind = (id: string): Kind => kindSchema.parse(parse(readFileSync(`handbook/kinds/${id}.yaml`, 'utf8')));

export const containers = new Map(
	(parse(readFileSync('handbook/containers.yaml', 'utf8')) as unknown[])
		.map((c) => containerSchema.parse(c))
		.map((c) => [c.id, c])
);
