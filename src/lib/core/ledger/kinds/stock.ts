import { z } from 'zod';
import { outlineOf } from '../../ground/shape.js';
import { FARTHEST_M, standsIn } from '../../ground/outline.js';
import { sayNumber } from '../../numbers.js';
import { ok, refuse } from '../../result.js';
import { allOf, knownKind, knownStock, openPlace } from '../agree.js';
import { ofCause } from '../causes.js';
import { because, entryKind, stockNamed } from '../describe.js';
import { cause, kindId, name, text, uuid, whole, within } from '../fields.js';

const MOST_PLACED = 500;
const along = within(-FARTHEST_M, FARTHEST_M, 'Where it stands');
const corner = z.tuple([along, along]);

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
	/** Where each of it stands in the ground of its place. */
	'stock.placed': entryKind({
		words: 'stock set in its bed',
		data: z.object({
			place_id: uuid,
			at: z.array(corner).max(MOST_PLACED, { error: () => `At most ${sayNumber(MOST_PLACED)} plants are set one by one.` })
		}),
		line: ({ data: d }, n) =>
			d.at.length === 0
				? `${stockNamed(n)}: its places in ${n.placeName(d.place_id)} taken out`
				: `${stockNamed(n)}: ${d.at.length} set in ${n.placeName(d.place_id)}`,
		check: async ({ data: d, subjectId }, facts) => {
			const [stock, place] = [await facts.stock(subjectId), await facts.place(d.place_id)];
			if (!stock) return knownStock(facts, subjectId);
			if (!place || stock.place_id !== d.place_id)
				return refuse('stock.elsewhere', 'It stands in another place by now: look at its page, then try again.');
			if (d.at.length > stock.count)
				return refuse(
					'stock.too-many',
					`There ${stock.count === 1 ? 'is 1 of it' : `are ${sayNumber(stock.count)} of them`}: set no more.`
				);
			const ground = place.shape && outlineOf(place.shape);
			if (!ground?.ok)
				return refuse('ground.unmeasured', `${place.name} is not measured yet: measure it, then set plants in it.`);
			const outside = d.at.findIndex((p) => !standsIn(ground.value, p));
			return outside < 0
				? ok(true)
				: refuse('ground.outside', `Plant ${outside + 1} would stand outside ${place.name}, or in a stone.`, `at.${outside}`);
		}
	}),
	'stock.gone': entryKind({
		words: 'stock gone',
		data: z.object({ why: text(200), cause }),
		line: (e, n) => `${stockNamed(n)}: gone${ofCause(e.data.cause)}${because(e.data.why)}`,
		check: (e, facts) => knownStock(facts, e.subjectId)
	})
} as const;
