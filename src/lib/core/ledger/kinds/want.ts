import { z } from 'zod';
import { dayNumber, sayDate } from '../../dates.js';
import type { IsoDate } from '../../dates.js';
import type { Kind } from '../../handbook/schema.js';
import { ok, refuse } from '../../result.js';
import type { Result } from '../../result.js';
import { allOf, knownKind, openPlace } from '../agree.js';
import { because, entryKind } from '../describe.js';
import type { Facts, Names } from '../describe.js';
import { CM_PER_INCH } from '../../units/index.js';
import { PLAN } from '../../plan/judged.js';
import { shootOf } from '../../plan/tall.js';
import { anyOf, kindsOfWant, wishWords } from '../wish.js';
import { isoDate, kindId, text, uuid, whole, within } from '../fields.js';

const MOST_AHEAD_DAYS = 366 * 12;

/** Before other wants, like them, after them. */
export const WEIGHS = ['first', 'alike', 'last'] as const;

export const wantData = z.object({
	kind_id: kindId,
	/** Others that do as well: all of them together make up the number. */
	or_kinds: z.array(kindId).max(4, 'Beside the first, four other kinds at most.').default([]),
	purpose: z.enum(['plants', 'hedge', 'bed', 'gifts', 'keep']),
	label: text(120),
	place_id: uuid.nullable(),
	target: whole(1, 2_000, 'How many'),
	due: isoDate,
	confidence: within(0.5, 0.99, 'How sure'),
	/** Fewer that would do as well; null: all or it is not met. */
	enough: whole(1, 2_000, 'Fewer that would do').nullable().default(null),
	/** It may be so late. */
	late_weeks: whole(0, 104, 'Weeks that it may be late').default(0),
	/** So many of them may be bought; 0: all are grown. */
	may_buy: whole(0, 2_000, 'How many may be bought').default(0),
	/** Left to grow they stand at least so tall on their day, cm; null: however tall the handbook has them ready. */
	least_cm: within(5, 500, 'Least height in cm').nullable().default(null),
	/** Against other wants, where not all can be met. */
	weighs: z.enum(WEIGHS).default('alike'),
	/** The want whose plants are the stock that this one is taken from: until they are there it waits. */
	waits_for: uuid.nullable().default(null),
	/** How the target was worked out, kept so that it can be changed: lengths in m, spacing in cm. */
	shape: z.record(z.string().max(20), z.union([z.number(), z.string().max(20)])).nullable()
});
export type WantData = z.infer<typeof wantData>;

/** Whether a want can be for a day: one still to come, and not farther ahead than anybody plans. */
export const dayOfWant = (due: IsoDate, today: IsoDate): Result<true> =>
	due <= today
		? refuse('want.past', `${sayDate(due)} has gone by: give a day that is still to come.`, 'due')
		: dayNumber(due) - dayNumber(today) > MOST_AHEAD_DAYS
			? refuse('want.far', 'More than twelve years ahead: give a nearer day.', 'due')
			: ok(true);

/** Bought plants are of another age than those grown here, and more than all are not bought. */
const mayBeBought = (d: WantData): Result<true> =>
	d.may_buy === 0
		? ok(true)
		: d.purpose === 'hedge'
			? refuse('want.one-age', 'A hedge grows up alike: with some bought and some grown it would not.', 'may_buy')
			: d.may_buy > d.target
				? refuse('want.buy', `How many may be bought: ${d.target} at most, for so many are wanted.`, 'may_buy')
				: ok(true);

const everSoTall = async (facts: Facts, d: WantData): Promise<Result<unknown>> =>
	soTall(d, await Promise.all(kindsOfWant(d).map((id) => facts.kind(id))));

/** Whoever reads it: which unit the garden writes is not known here. */
const both = (cm: number): string => `${cm} cm (${Math.floor(cm / CM_PER_INCH)} in)`;

/** Of what is wanted so tall height is a measure, and it grows taller than that. */
export function soTall(d: Pick<WantData, 'least_cm' | 'purpose'>, kinds: readonly (Kind | null)[]): Result<true> {
	if (d.least_cm === null) return ok(true);
	if (d.purpose === 'keep')
		return refuse('want.height', 'What is kept alive is as tall as it is: leave the least height empty.', 'least_cm');
	for (const kind of kinds) {
		if (!kind) continue;
		if (shootOf(kind) === null)
			return refuse(
				'want.height',
				`How tall ${kind.common} grows from year to year the handbook does not tell: leave the least height empty.`,
				'least_cm'
			);
		if (d.least_cm > kind.size.height_cm * PLAN.tallest.value)
			return refuse(
				'want.height',
				`${kind.common} stands about ${both(kind.size.height_cm)} tall when it is full grown: ask for ${both(Math.floor(kind.size.height_cm * PLAN.tallest.value))} at most.`,
				'least_cm'
			);
	}
	return ok(true);
}

/** What is set by measure, shows its age, or is kept alive is of one kind. */
const kindsOfOne = (d: WantData): Result<true> =>
	d.or_kinds.length === 0
		? ok(true)
		: new Set(kindsOfWant(d)).size < 1 + d.or_kinds.length
			? refuse('want.same-kind', 'A kind is named twice.', 'or_kinds')
			: d.purpose === 'hedge' || d.purpose === 'bed' || d.purpose === 'keep'
				? refuse('want.one-kind', 'A hedge, a bed filled by its size and what is kept alive are of one kind each.', 'or_kinds')
				: ok(true);

/** What the want of an entry is of. */
const namedBy = (n: Names): string => (n.want ? anyOf(kindsOfWant(n.want).map(n.kindName)) : '');

export const wantKinds = {
	'want.set': entryKind({
		words: 'want',
		data: wantData,
		ahead: true,
		line: ({ data: d }, n) =>
			[
				`Want: ${d.target} ${anyOf(kindsOfWant(d).map(n.kindName))}${d.label ? `, ${d.label}` : ''}, by ${sayDate(d.due)}`,
				...wishWords({
					enough: d.enough,
					lateWeeks: d.late_weeks,
					weighs: d.weighs,
					mayBuy: d.may_buy,
					tall: d.least_cm === null ? null : `${Math.round(d.least_cm)} cm`
				})
			].join('; '),
		check: ({ data: d }, facts) =>
			allOf(
				() => knownKind(facts, d.kind_id),
				...d.or_kinds.map((id) => () => knownKind(facts, id, 'or_kinds')),
				async () => kindsOfOne(d),
				async () => mayBeBought(d),
				() => everSoTall(facts, d),
				async () => dayOfWant(d.due, facts.today),
				async () =>
					d.enough !== null && d.enough >= d.target
						? refuse('want.enough', `Fewer that would do: fewer than the ${d.target} that are wanted.`, 'enough')
						: ok(true),
				() => openPlace(facts, d.place_id)
			)
	}),
	/** How many are still to be bought towards it, whatever was said before. */
	'want.buying': entryKind({
		words: 'to be bought',
		data: z.object({ count: whole(0, 2_000, 'To be bought') }),
		line: ({ data: d }, n) => `To be bought: ${d.count === 0 ? 'none' : d.count} ${namedBy(n)}`,
		check: async ({ data: d, subjectId }, facts) => {
			const want = await facts.want(subjectId);
			if (!want || want.dropped_on) return refuse('want.unknown', 'There is no such want in this garden.');
			return d.count > 0 && d.count + want.bought > want.target
				? refuse(
						'want.buy',
						`To be bought: ${Math.max(0, want.target - want.bought)} at most, for so many are wanted still.`,
						'count'
					)
				: ok(true);
		}
	}),
	'want.bought': entryKind({
		words: 'bought',
		data: z.object({ count: whole(1, 2_000, 'Bought') }),
		line: ({ data: d }, n) => `Bought: ${d.count} ${namedBy(n)}`,
		check: async (e, facts) =>
			(await facts.want(e.subjectId)) ? ok(true) : refuse('want.unknown', 'There is no such want in this garden.')
	}),
	'want.dropped': entryKind({
		words: 'want dropped',
		data: z.object({ why: text(200) }),
		line: (e, n) => `Want dropped: ${namedBy(n)}${because(e.data.why)}`,
		check: async (e, facts) =>
			(await facts.want(e.subjectId)) ? ok(true) : refuse('want.unknown', 'There is no such want in this garden.')
	})
} as const;
