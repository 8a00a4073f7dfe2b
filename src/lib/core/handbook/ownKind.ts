/**
 * Kinds of one's own: begun from a kind of the handbook that behaves like it, then changed. An own kind is written
 * whole, with every figure that plans and odds need, so that nothing of it moves when the handbook does.
 */
import { sayNumber } from '../numbers.js';
import { z } from 'zod';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { kindSchema } from './schema.js';
import type { Handbook, Kind } from './schema.js';

export const OWN_PREFIX = 'own-';
/** Where an own kind's figures come from, beside those that it took over. */
export const OWN_SOURCE = 'own';
const MOST_TEXT = 500;
const MOST_WAYS = 12;
/** A kind with a dozen ways takes some 15 kB. */
const MOST_LETTERS = 60_000;

export const isOwnKind = (id: string): boolean => id.startsWith(OWN_PREFIX);

/** "own-lavender-lady" of "Lavender Lady"; what has no such letters is named by the fallback. */
export function ownKindId(name: string, fallback: string): string {
	const plain = name
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-+|-+$/g, '')
		.slice(0, 40)
		.replace(/-+$/, '');
	return `${OWN_PREFIX}${plain || fallback.slice(0, 8)}`;
}

/** Every text in a value, however deep. */
function* textsIn(value: unknown): Generator<string> {
	if (typeof value === 'string') yield value;
	else if (Array.isArray(value)) for (const v of value) yield* textsIn(v);
	else if (typeof value === 'object' && value !== null) for (const v of Object.values(value)) yield* textsIn(v);
}

const within = (what: string, value: number, least: number, most: number): string | null =>
	value >= least && value <= most ? null : `${what}: between ${least} and ${sayNumber(most)}.`;

/** What is wrong with the figures of a kind, beyond what its form allows; null if nothing. */
export function faultOf(kind: Kind): { sentence: string; path: string } | null {
	const name = kind.common.trim();
	if (name === '' || name.length > 60) return { sentence: 'Give it a name of 60 characters at most.', path: 'common' };
	if (kind.species.trim() === '') return { sentence: 'Say what species it is, or what you call it.', path: 'species' };
	if (kind.ways.length > MOST_WAYS) return { sentence: `At most ${MOST_WAYS} ways.`, path: 'ways' };
	if (new Set(kind.ways.map((w) => w.id)).size < kind.ways.length)
		return { sentence: 'Two of its ways have the same name.', path: 'ways' };
	if ([...textsIn(kind)].some((t) => t.length > MOST_TEXT))
		return { sentence: `A text in it is longer than ${MOST_TEXT} characters.`, path: 'kind' };
	if (JSON.stringify(kind).length > MOST_LETTERS) return { sentence: 'That is more than one kind of plant needs.', path: 'kind' };
	const figures: [string, string | null][] = [
		['hardiness_c', within('Bears cold down to, °C', kind.hardiness_c.v, -60, 20)],
		['limit_c', within('Nights it bears in growth, °C', kind.winter.limit_c, -60, 20)],
		['height_cm', within('Height, cm', kind.size.height_cm, 1, 5_000)],
		['spread_cm', within('Width, cm', kind.size.spread_cm, 1, 3_000)],
		['spacing_cm', within('Spacing, cm', kind.size.spacing_cm, 3, 2_000)],
		['price', within('Price', kind.price.v, 0, 10_000)]
	];
	if (kind.winter.limit_c < kind.hardiness_c.v)
		return { sentence: 'In growth a plant bears no more cold than at rest: look at the two figures again.', path: 'limit_c' };
	const wrong = figures.find(([, sentence]) => sentence !== null);
	return wrong ? { path: wrong[0], sentence: wrong[1]! } : null;
}

/** An own kind's data as the ledger keeps it: a whole kind, with its limits and a sentence for each. */
export const ownKindSchema = kindSchema.superRefine((kind, c) => {
	const fault = faultOf(kind);
	if (fault) c.addIssue({ code: 'custom', message: fault.sentence, path: [fault.path] });
	if (!isOwnKind(kind.id)) c.addIssue({ code: 'custom', message: 'A kind of one’s own begins with “own-”.', path: ['id'] });
});

/** What a form says of an own kind; what is null stays as the kind that it is like has it. */
export interface OwnKindForm {
	id: string;
	common: string;
	species: string;
	cultivar: string | null;
	trade: string | null;
	/** Ids of the ways kept, of the kind that it is like. */
	ways: readonly string[];
	/** Ways taken from other kinds, as "fuchsia/soft-tip". */
	added: readonly string[];
	hardiness_c: number | null;
	limit_c: number | null;
	height_cm: number | null;
	spread_cm: number | null;
	spacing_cm: number | null;
	price: number | null;
	protection: { status: Kind['protection']['status']; until: number | null };
}

const PROTECTION_SAYS: Record<Kind['protection']['status'], string> = {
	free: 'You noted that it is not protected: its label has the last word.',
	protected: 'You noted that it is protected: it may not be multiplied without its holder’s leave.',
	unknown: 'Look at its label: a patent number or “applied for” means that it may not be multiplied without leave.'
};

const own = <T extends { src: string }>(figure: T, value: Partial<Omit<T, 'src'>>): T => {
	const given = Object.entries(value).filter(([, v]) => v !== null && v !== undefined);
	return given.length ? { ...figure, ...Object.fromEntries(given), src: OWN_SOURCE } : figure;
};

/** The kind that a form describes: that of `like` with what is said otherwise. */
export function ownKindFrom(form: OwnKindForm, like: Kind, others: (id: string) => Kind | undefined): Result<Kind> {
	const kept = like.ways.filter((w) => form.ways.includes(w.id));
	const ways = [...kept];
	for (const name of form.added) {
		const [kindId = '', wayId] = name.split('/');
		const way = others(kindId)?.ways.find((w) => w.id === wayId);
		if (!way) return refuse('kind.way', 'There is no such way to add.', 'added');
		if (ways.some((w) => w.id === way.id))
			return refuse('kind.way-twice', 'It is multiplied that way already: leave the one out, then add the other.', 'added');
		ways.push(way);
	}
	if (ways.length === 0)
		return refuse('kind.no-way', 'Keep one way at least, or add one: without it nothing can be planned.', 'ways');
	// In growth a plant bears no more cold than at rest.
	const hardy = form.hardiness_c ?? like.hardiness_c.v;
	const kind: Kind = {
		...structuredClone(like),
		id: form.id,
		common: form.common.trim(),
		also: [],
		species: form.species.trim(),
		cultivar: form.cultivar,
		trade: form.trade,
		stands_for: `your own kind, which behaves like ${like.common.toLowerCase()}`,
		hardiness_c: own(like.hardiness_c, { v: form.hardiness_c ?? undefined }),
		size: own(like.size, {
			height_cm: form.height_cm ?? undefined,
			spread_cm: form.spread_cm ?? undefined,
			spacing_cm: form.spacing_cm ?? undefined
		}),
		price: own(like.price, { v: form.price ?? undefined }),
		winter:
			form.limit_c === null && like.winter.limit_c >= hardy
				? like.winter
				: { ...like.winter, limit_c: form.limit_c ?? hardy, src: OWN_SOURCE },
		protection: { ...form.protection, say: PROTECTION_SAYS[form.protection.status], src: OWN_SOURCE },
		ways: structuredClone(ways)
	};
	const fault = faultOf(kind);
	return fault ? refuse('kind.figure', fault.sentence, fault.path) : ok(kind);
}

/** What a kind names that the book lacks: ways, containers, schools, sources. Sentences, none if all is there. */
export function missingFrom(book: Pick<Handbook, 'ways' | 'containers' | 'schools' | 'sources'>, kind: Kind): string[] {
	const wrong: string[] = [];
	const source = (src: string) => {
		if (!book.sources.has(src)) wrong.push(`The source “${src}” is not in the handbook: write “own” for figures of your own.`);
	};
	for (const src of [
		kind.hardiness_c.src,
		kind.size.src,
		kind.price.src,
		kind.winter.src,
		kind.protection.src,
		kind.light?.src ?? OWN_SOURCE
	])
		source(src);
	for (const way of kind.ways) {
		if (!book.ways.has(way.way)) wrong.push(`The way “${way.way}” is not in the handbook.`);
		for (const school of way.schools) if (!book.schools.has(school)) wrong.push(`The school “${school}” is not in the handbook.`);
		source(way.window.src);
		source(way.gives.src);
		source(way.piece.src);
		for (const stage of way.stages) {
			source(stage.src);
			if (!book.containers.has(stage.holds)) wrong.push(`“${stage.holds}” is no container of the handbook.`);
		}
	}
	return [...new Set(wrong)];
}

/** A fault of a file in words: where, and what. */
export const sayFault = (path: readonly PropertyKey[], message: string): string =>
	path.length ? `${path.map(String).join(', ')}: ${message}` : message;

export const readKind = (value: unknown): { kind: Kind } | { faults: string[] } => {
	const read: z.ZodSafeParseResult<Kind> = ownKindSchema.safeParse(value);
	return read.success ? { kind: read.data } : { faults: read.error.issues.map((i) => sayFault(i.path, i.message)) };
};
