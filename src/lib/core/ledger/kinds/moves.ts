import { z } from 'zod';
import { FARTHEST_M, standsIn } from '../../ground/outline.js';
import { outlineOf } from '../../ground/shape.js';
import { sayNumber } from '../../numbers.js';
import { ok, refuse } from '../../result.js';
import { allOf, knownStock, openPlace } from '../agree.js';
import { entryKind } from '../describe.js';
import { isoDate, uuid, within } from '../fields.js';

const MOST_MOVES = 200;
const MOST_SPOTS = 500;
const along = within(-FARTHEST_M, FARTHEST_M, 'Where it goes');

const move = z.object({
	stock_id: uuid,
	place_id: uuid,
	/** Where each is set, m; empty where that is left to be found. */
	at: z
		.array(z.tuple([along, along]))
		.max(MOST_SPOTS, { error: () => `At most ${sayNumber(MOST_SPOTS)} plants are set one by one.` })
		.default([]),
	/** The stock in whose spot it goes; null where it has one of its own. */
	takes: uuid.nullable().default(null)
});

export const movesData = z.object({
	by_day: isoDate.nullable(),
	weekends: z.boolean(),
	hold_id: uuid.nullable(),
	moves: z.array(move).max(MOST_MOVES, { error: () => `At most ${sayNumber(MOST_MOVES)} moves at once: plan the rest later.` })
});
export type MovesData = z.infer<typeof movesData>;

/** What is meant to move in the ground, whole. One subject a garden. */
export const movesKinds = {
	'moves.set': entryKind({
		words: 'moves planned',
		data: movesData,
		line: ({ data: d }, n) =>
			d.moves.length === 0
				? 'Moves: none in mind'
				: `Moves: ${d.moves.length} in mind, to ${[...new Set(d.moves.map((m) => n.placeName(m.place_id)))].join(', ')}`,
		check: ({ data: d }, facts) =>
			allOf(
				() => openPlace(facts, d.hold_id),
				...d.moves.flatMap((m, i) => [
					() => knownStock(facts, m.stock_id),
					() => openPlace(facts, m.place_id),
					async () => {
						if (m.takes === m.stock_id) return refuse('moves.itself', 'A plant can’t take its own place.', `moves.${i}.takes`);
						if (d.moves.findIndex((o) => o.stock_id === m.stock_id) !== i)
							return refuse('moves.twice', 'Each plant goes to one place.', `moves.${i}`);
						if (m.takes !== null && d.moves.findIndex((o) => o.takes === m.takes) !== i)
							return refuse('moves.one-spot', 'Two of them can’t go to one spot: give one of them another.', `moves.${i}.takes`);
						const place = await facts.place(m.place_id);
						const ground = place?.shape && outlineOf(place.shape);
						if (m.at.length > 0 && ground?.ok) {
							const outside = m.at.findIndex((p) => !standsIn(ground.value, p));
							if (outside >= 0)
								return refuse('ground.outside', `It would stand outside ${place!.name}, or in a stone.`, `moves.${i}.at`);
						}
						return ok(true);
					}
				])
			)
	})
} as const;
