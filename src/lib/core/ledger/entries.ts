/** Every kind of entry of the ledger, as data. An entry says what was done or seen; it is never changed. */
import { z } from 'zod';
import { isIsoDate } from '../dates.js';
import { SHELTERS, STAGES } from '../handbook/schema.js';
import { COHORT_STAGES } from './cohorts.js';
import { MOST_CELLS } from './tray.js';
import { checkVessel } from '../mix/vessel.js';
import type { Vessel } from '../mix/vessel.js';
import { SIGHTINGS } from '../season/suitability.js';

export const isoDate = z.string().refine(isIsoDate, 'That is not a date of the calendar (year 1900 to 2199).');
export const uuid = z.uuid('That is not an id.');
const name = (most: number) => z.string().trim().min(1, 'Give it a name.').max(most, `At most ${most} characters.`);
const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const whole = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.int(`${what}: a whole number, please.`)
		.min(least, `${what}: ${least} at least.`)
		.max(most, `${what}: ${most.toLocaleString('en')} at most.`);
const within = (least: number, most: number, what: string) =>
	z
		.number({ error: `${what}: a number, please.` })
		.min(least, `${what}: between ${least} and ${most.toLocaleString('en')}.`)
		.max(most, `${what}: between ${least} and ${most.toLocaleString('en')}.`);

export const MOST_NOTE = 5_000;
export const MOST_PIECES = 5_000;

const frost = z.object({ doy: whole(1, 365, 'Frost date'), sd: within(1, 60, 'Spread') });

export const gardenData = z.object({
	name: name(80),
	place: text(120),
	latitude: within(-90, 90, 'Latitude'),
	longitude: within(-180, 180, 'Longitude'),
	height_m: within(-430, 6000, 'Height'),
	time_zone: z.string().min(1).max(64),
	units: z.enum(['metric', 'us']),
	temperature: z.enum(['C', 'F']),
	currency: z.string().regex(/^[A-Z]{3}$/, 'A currency has three letters, like EUR.'),
	coldest_c: within(-70, 30, 'Coldest night'),
	last_frost: frost.nullable(),
	first_frost: frost.nullable(),
	minutes_per_week: whole(0, 10_000, 'Minutes a week'),
	away: z
		.array(z.object({ from: isoDate, to: isoDate }).refine((a) => a.from <= a.to, 'The first day away comes after the last.'))
		.max(30),
	/** Frost dates and coldest night by the weather record where there is one (unless the person holds to their own). */
	frost_from: z.enum(['record', 'own']).optional(),
	/** Which figures are still the first guess. */
	guessed: z.array(z.string().max(40)).max(20)
});
export type GardenData = z.infer<typeof gardenData>;

export const PLACE_KINDS = ['bed', 'hedge', 'slope', 'nursery_row', 'bench', ...SHELTERS] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];
export const placeData = z
	.object({
		name: name(80),
		kind: z.enum(PLACE_KINDS),
		light: z.enum(['dark', 'shade', 'part', 'bright', 'sun']),
		/** Lowest and highest temperature it sees, °C; unknown outdoors. */
		low_c: within(-60, 50, 'Lowest temperature').nullable(),
		high_c: within(-60, 70, 'Highest temperature').nullable(),
		room_cm2: within(0, 2e8, 'Room').nullable(),
		walk: whole(0, 999, 'Order of the walk')
	})
	.refine((p) => p.low_c === null || p.high_c === null || p.low_c <= p.high_c, {
		message: 'The lowest temperature is above the highest.',
		path: ['low_c']
	});
export type PlaceData = z.infer<typeof placeData>;

const protection = z.object({
	status: z.enum(['free', 'protected', 'unknown']),
	until: whole(1950, 2100, 'Last year of protection').nullable()
});

export const stockData = z.object({
	kind_id: z.string().min(1).max(60),
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

export const wantData = z.object({
	kind_id: z.string().min(1).max(60),
	purpose: z.enum(['plants', 'hedge', 'bed', 'gifts', 'keep']),
	label: text(120),
	place_id: uuid.nullable(),
	target: whole(1, 2_000, 'How many'),
	due: isoDate,
	confidence: within(0.5, 0.99, 'How sure'),
	/** How the target was reckoned, kept so that it can be changed: lengths in m, spacing in cm. */
	shape: z.record(z.string().max(20), z.union([z.number(), z.string().max(20)])).nullable()
});
export type WantData = z.infer<typeof wantData>;

const treatment = z.object({
	medium: text(120),
	hormone: text(120),
	wound: z.boolean(),
	cover: text(120)
});
export const noTreatment = { medium: '', hormone: '', wound: false, cover: '' };

const pieces = (what: string) => whole(0, MOST_PIECES, what);
const cell = z
	.number()
	.int()
	.min(0)
	.max(MOST_CELLS - 1);
const some = (what: string) => whole(1, MOST_PIECES, what);

export const SIGNS = ['none', 'firm', 'new growth', 'resists a tug', 'roots seen', 'wilting', 'rot'] as const;

const tallied = z.object({ passed: z.number(), failed: z.number() });
const epoch = z.object({
	from: isoDate,
	died: z.array(z.object({ after: isoDate, by: isoDate, count: pieces('Died') })).max(1_000),
	rooted: z.array(z.object({ by: isoDate, count: pieces('Rooted') })).max(1_000),
	left: pieces('Left'),
	seen: isoDate,
	counted: z.boolean()
});
const splitHistory = z.object({
	/** The batch that was first struck. */
	family: uuid,
	cohorts: z
		.array(
			z.object({
				stage: z.enum(COHORT_STAGES),
				count: some('Pieces'),
				since: isoDate,
				aliveOn: isoDate,
				lookedOn: isoDate.nullable()
			})
		)
		.max(1_000),
	rooting: z.object({
		epochs: z.array(epoch).max(1_000),
		own: z.number().int().min(0),
		signs: z
			.array(z.object({ on: isoDate, looked: pieces('Looked at'), showing: pieces('Showing it'), sign: z.string() }))
			.max(1_000)
	}),
	seen: z.partialRecord(z.enum(STAGES), tallied),
	stays: z.array(z.object({ placeId: uuid.nullable(), from: isoDate })).max(1_000)
});

/** Entries about a batch: the verbs of the bench. */
export const batchEntries = {
	'batch.planned': z.object({
		code: z.string(),
		kind_id: z.string(),
		way_id: z.string(),
		stock_id: uuid.nullable(),
		want_id: uuid.nullable(),
		place_id: uuid.nullable(),
		count: some('How many'),
		planned_on: isoDate
	}),
	'batch.struck': z.object({
		code: z.string(),
		kind_id: z.string(),
		way_id: z.string(),
		stock_id: uuid.nullable(),
		want_id: uuid.nullable(),
		place_id: uuid.nullable(),
		struck: some('How many struck'),
		treatment,
		container: text(80),
		/** Pieces that were foretold of the plant before it was cut. */
		foretold: some('Foretold').nullish()
	}),
	'batch.split-off': z.object({
		/** The batch that these pieces came from, and how they stood there. */
		from: uuid,
		code: z.string(),
		kind_id: z.string(),
		way_id: z.string(),
		stock_id: uuid.nullable(),
		want_id: uuid.nullable(),
		place_id: uuid.nullable(),
		unrooted: pieces('Unrooted'),
		rooted: pieces('Rooted'),
		potted: pieces('Potted'),
		wintered: z.boolean(),
		struck_on: isoDate,
		treatment,
		container: text(80),
		/** What its pieces lived through before, so that nothing seen is forgotten (missing from the first versions). */
		history: splitHistory.nullish()
	}),
	'batch.checked': z.object({
		alive: pieces('Alive'),
		rooted: pieces('Rooted').nullable(),
		sign: z.enum(SIGNS),
		/** Pieces looked at closely and those that showed the sign, where not all were. */
		looked: some('Looked at').nullish(),
		showing: pieces('Showing it').nullish(),
		/** Cells of the tray, by rows from 0, that are newly rooted or lost. */
		cells: z.object({ rooted: z.array(cell).max(MOST_CELLS), lost: z.array(cell).max(MOST_CELLS) }).nullish()
	}),
	'batch.laid-out': z.object({
		rows: whole(1, 100, 'Rows'),
		columns: whole(1, 100, 'Pieces in a row'),
		groups: z.array(name(40)).max(8, 'At most eight treatments.'),
		of: z.array(whole(-1, 7, 'Treatment')).max(MOST_CELLS, `At most ${MOST_CELLS.toLocaleString('en')} cells.`)
	}),
	'batch.potted': z.object({
		count: some('How many potted'),
		container: text(80),
		place_id: uuid.nullable()
	}),
	'batch.moved': z.object({ place_id: uuid }),
	'batch.split': z.object({ count: some('How many'), to: uuid }),
	'batch.wintered': z.object({ alive: pieces('Alive') }),
	'batch.planted': z.object({ count: some('How many planted'), place_id: uuid.nullable() }),
	'batch.given': z.object({ count: some('How many given'), to: text(80) }),
	'batch.lost': z.object({ count: some('How many lost'), why: text(200), planted: z.boolean() }),
	'batch.kept': z.object({ count: some('How many kept'), stock_id: uuid }),
	'batch.dropped': z.object({ why: text(200) })
} as const;

/** Work of the round on some plants at a place: what was asked, and on what. */
const careOf = z.object({
	care: z.string().regex(/^[a-z-]{2,30}$/),
	place_id: uuid.nullable(),
	/** Batches, stocks or, for work on a whole place, the place itself. */
	targets: z.array(uuid).min(1).max(500)
});

const side = z.number();
const vesselData = z
	.discriminatedUnion('shape', [
		z.object({ shape: z.enum(['round', 'square']), topCm: side, baseCm: side, heightCm: side }),
		z.object({ shape: z.literal('tray'), lengthCm: side, widthCm: side, heightCm: side }),
		z.object({ shape: z.literal('cells'), cells: side, topCm: side, baseCm: side, heightCm: side }),
		z.object({ shape: z.literal('jar'), acrossCm: side, waterCm: side })
	])
	.superRefine((v, c) => {
		const checked = checkVessel(v as Vessel);
		if (!checked.ok) c.addIssue({ code: 'custom', message: checked.problem.sentence, path: [checked.problem.path ?? 'shape'] });
	});

export const entryData = {
	'garden.set': gardenData,
	'place.set': placeData,
	/** Where it comes in the order of the walk; nothing else of it. */
	'place.walked': z.object({ walk: whole(0, 999, 'Order of the walk') }),
	'place.closed': z.object({}),
	'stock.set': stockData,
	'stock.leave': z.object({ basis: z.enum(['licence', 'term-ended']), reference: name(200) }),
	/** Carried to another place; nothing else of it. */
	'stock.moved': z.object({ place_id: uuid }),
	'stock.gone': z.object({ why: text(200) }),
	'want.set': wantData,
	'want.dropped': z.object({ why: text(200) }),
	'figure.set': z.object({ kind_id: z.string().max(60), path: z.string().max(80), value: z.number() }),
	'figure.cleared': z.object({ kind_id: z.string().max(60), path: z.string().max(80) }),
	...batchEntries,
	'weather.imported': z.object({
		name: name(120),
		format: z.enum(['dly', 'ghcn-csv', 'csv', 'demo']),
		from: isoDate,
		to: isoDate,
		days: whole(1, 73_100, 'Days')
	}),
	'care.done': careOf,
	'care.skipped': careOf.extend({ why: text(200) }),
	'care.put-off': careOf.extend({ until: isoDate }),
	'timer.started': z.object({
		say: name(120),
		batch_id: uuid.nullable(),
		started_at: z.iso.datetime({ offset: true }),
		minutes: within(1, 60 * 24 * 30, 'Minutes')
	}),
	'timer.ended': z.object({}),
	'shelf.set': z.object({ material: z.string().min(1).max(60), litres: within(0, 10_000, 'Litres at hand') }),
	'vessel.set': z.object({ name: name(80), vessel: vesselData }),
	'vessel.gone': z.object({}),
	'sighting.made': z.object({ kind_id: z.string().min(1).max(60), event: z.enum(SIGHTINGS) }),
	'entry.reversed': z.object({ reverses: uuid })
} as const;

export type EntryKind = keyof typeof entryData;
export type EntryData<K extends EntryKind> = z.infer<(typeof entryData)[K]>;
export type Subject =
	'garden' | 'place' | 'stock' | 'want' | 'figure' | 'batch' | 'weather' | 'care' | 'sighting' | 'timer' | 'shelf' | 'vessel';

/** What is common to entries, whoever stores them. */
export interface Entry<K extends EntryKind = EntryKind> {
	id: string;
	kind: K;
	subjectId: string;
	on: string;
	data: EntryData<K>;
	note: string;
}

/** An entry of any kind, told apart by `kind`. */
export type AnyEntry = { [K in EntryKind]: Entry<K> }[EntryKind];

export const subjectOf = (kind: EntryKind): Subject | 'entry' => kind.split('.')[0] as Subject | 'entry';

export const ENTRY_WORDS: Record<EntryKind, string> = {
	'garden.set': 'garden settings',
	'place.set': 'place',
	'place.walked': 'order of the walk',
	'place.closed': 'place closed',
	'stock.set': 'stock',
	'stock.leave': 'leave to multiply',
	'stock.moved': 'stock moved',
	'stock.gone': 'stock gone',
	'want.set': 'want',
	'want.dropped': 'want dropped',
	'figure.set': 'own figure',
	'figure.cleared': 'own figure cleared',
	'batch.planned': 'planned',
	'batch.struck': 'struck',
	'batch.split-off': 'split off',
	'batch.checked': 'check',
	'batch.laid-out': 'laid out',
	'batch.potted': 'potted',
	'batch.moved': 'moved',
	'batch.split': 'split',
	'batch.wintered': 'counted after winter',
	'batch.planted': 'planted',
	'batch.given': 'given away',
	'batch.lost': 'lost',
	'batch.kept': 'kept as stock',
	'batch.dropped': 'dropped',
	'weather.imported': 'weather record',
	'care.done': 'care done',
	'care.skipped': 'care skipped',
	'care.put-off': 'put off',
	'timer.started': 'clock started',
	'timer.ended': 'clock ended',
	'shelf.set': 'on the shelf',
	'vessel.set': 'own vessel',
	'vessel.gone': 'vessel gone',
	'sighting.made': 'seen in the garden',
	'entry.reversed': 'undone'
};
