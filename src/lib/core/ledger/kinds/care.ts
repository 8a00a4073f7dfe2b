import { z } from 'zod';
import { dayNumber, sayDate } from '../../dates.js';
import { ok, refuse } from '../../result.js';
import { CARE_WORDS } from '../../round/words.js';
import { allOf, knownWork } from '../agree.js';
import { because, entryKind } from '../describe.js';
import type { Names } from '../describe.js';
import { isoDate, text, uuid } from '../fields.js';

/** Plants that one tap of the round may be about: all that stand at one place. */
const MOST_TARGETS = 5_000;
const MOST_PUT_OFF_DAYS = 400;

/** Work of the round on some plants at a place: what was asked, and on what. */
const careOf = z.object({
	care: z.string().regex(/^[a-z-]{2,30}$/),
	place_id: uuid.nullable(),
	/** Batches, stocks or, for work on a whole place, the place itself. */
	targets: z.array(uuid).min(1).max(MOST_TARGETS)
});
type Care = z.infer<typeof careOf>;

const workNamed = (d: Care): string => CARE_WORDS[d.care] ?? d.care;
const whereOf = (d: Care, n: Names): string =>
	`${d.place_id ? `, ${n.placeName(d.place_id)}` : ''}${d.targets.length > 1 ? ` (${d.targets.length})` : ''}`;

export const careKinds = {
	'care.done': entryKind({
		words: 'care done',
		data: careOf,
		line: ({ data: d }, n) => `${workNamed(d)}: done${whereOf(d, n)}`,
		check: (e, facts) => knownWork(facts, e.data)
	}),
	'care.skipped': entryKind({
		words: 'care skipped',
		data: careOf.extend({ why: text(200) }),
		line: ({ data: d }, n) => `${workNamed(d)}: skipped${whereOf(d, n)}${because(d.why)}`,
		check: (e, facts) => knownWork(facts, e.data)
	}),
	'care.put-off': entryKind({
		words: 'put off',
		data: careOf.extend({ until: isoDate }),
		line: ({ data: d }, n) => `${workNamed(d)}: put off to ${sayDate(d.until)}${whereOf(d, n)}`,
		check: ({ data: d }, facts) =>
			allOf(
				() => knownWork(facts, d),
				async () =>
					d.until <= facts.today
						? refuse('care.until', 'Put off to a day that is still to come.', 'until')
						: dayNumber(d.until) - dayNumber(facts.today) > MOST_PUT_OFF_DAYS
							? refuse('care.until', 'More than a year ahead: give a nearer day.', 'until')
							: ok(true)
			)
	})
} as const;
