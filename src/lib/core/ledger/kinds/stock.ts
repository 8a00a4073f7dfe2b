import { z } from 'zod';
import { allOf, knownKind, knownStock, openPlace } from '../agree.js';
import { cause, ofCause } from '../causes.js';
import { because, entryKind, stockNamed } from '../describe.js';
import { kindId, name, text, uuid, whole, within } from '../fields.js';

const protection = z.object({
	status: z.enum(['free', 'protected', 'unknown']),
	until: whole(1950, 2100, 'Last year of protection').nullable()
});

export const stockData = z.object({
	kind_id: kindId,
	place_id: uuid.nullable(),
	label: text(80),
	count: whole(1, 10_000, 'How many'),
	size_cm: within(1, 3_000, 'Size').nullable(),
	age_years: within(0, 500, 'Age').nullable(),
	condition: z.enum(['strong', 'fair', 'weak']),
	protection,
	from_batch: uuid.nullable()
});
export type StockData = z.infer<typeof stockData>;

export const stockKinds = {
	'stock.set': entryKind({
		words: 'stock',
		data: stockData,
		line: ({ data: d }, n) =>
			`${n.stock ? 'Looked over' : 'Stock'}: ${d.count} ${n.kindName(d.kind_id)}${d.label ? `, ${d.label}` : ''}, ${d.condition}`,
		check: ({ data: d }, facts) =>
			allOf(
				() => knownKind(facts, d.kind_id),
				() => openPlace(facts, d.place_id)
			)
	}),
	'stock.leave': entryKind({
		words: 'leave to multiply',
		data: z.object({ basis: z.enum(['licence', 'term-ended']), reference: name(200) }),
		line: ({ data: d }, n) => `${stockNamed(n)}: ${d.basis === 'licence' ? 'licence' : 'term ended'} recorded, ${d.reference}`,
		check: (e, facts) => knownStock(facts, e.subjectId)
	}),
	/** Carried to another place; nothing else of it. */
	'stock.moved': entryKind({
		words: 'stock moved',
		data: z.object({ place_id: uuid }),
		line: (e, n) => `${stockNamed(n)}: moved to ${n.placeName(e.data.place_id)}`,
		check: (e, facts) =>
			allOf(
				() => knownStock(facts, e.subjectId),
				() => openPlace(facts, e.data.place_id)
			)
	}),
	'stock.gone': entryKind({
		words: 'stock gone',
		data: z.object({ why: text(200), cause }),
		line: (e, n) => `${stockNamed(n)}: gone${ofCause(e.data.cause)}${because(e.data.why)}`,
		check: (e, facts) => knownStock(facts, e.subjectId)
	})
} as const;
