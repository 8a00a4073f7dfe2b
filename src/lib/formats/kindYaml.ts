/** A kind as an open file: YAML, written as the handbook's own kinds are. */
import { parseDocument, stringify } from 'yaml';
import { expandLike } from '../core/handbook/like.js';
import { OWN_SOURCE, readKind } from '../core/handbook/ownKind.js';
import type { Kind } from '../core/handbook/schema.js';

export const MOST_YAML = 200_000;
const MOST_FAULTS = 6;

export const toKindYaml = (kind: Kind): string =>
	`# A kind for Surculus, written as those of its handbook are.\n${stringify(kind, { lineWidth: 120 })}`;

/**
 * Reads a kind from a file of its own or of the handbook's form, `like: fuchsia` and `like: fuchsia/soft-tip` included.
 *
 * @param id the id that it takes; the file's own is left aside
 * @param others a kind of the handbook, whole
 * @returns the kind, or every fault in a sentence (the first few)
 */
export function readKindYaml(text: string, id: string, others: (id: string) => unknown): { kind: Kind } | { faults: string[] } {
	if (text.length > MOST_YAML) return { faults: [`That is longer than ${MOST_YAML / 1000} kB: one kind takes some 10.`] };
	const document = parseDocument(text, { prettyErrors: true });
	if (document.errors.length)
		return { faults: document.errors.slice(0, MOST_FAULTS).map((e) => `${e.message.split('\n')[0]!.replace(/:$/, '')}.`) };
	let raw: unknown;
	try {
		raw = document.toJS({ maxAliasCount: 50 });
	} catch {
		return { faults: ['It refers to itself more often than a kind needs to.'] };
	}
	if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
		return { faults: ['That is no kind: it begins with lines like “common: Lavender”.'] };
	let whole: unknown;
	try {
		whole = expandLike({ stands_for: 'your own kind, from a file', ...raw, id }, others);
	} catch (error) {
		return { faults: [`${(error as Error).message.replace(`${id} `, 'It ')}.`] };
	}
	const read = readKind(withSources(whole));
	return 'kind' in read ? read : { faults: shortened(read.faults) };
}

const shortened = (faults: readonly string[]): string[] =>
	faults.length > MOST_FAULTS ? [...faults.slice(0, MOST_FAULTS), `And ${faults.length - MOST_FAULTS} more.`] : [...faults];

type Plain = Record<string, unknown>;
const isPlain = (v: unknown): v is Plain => typeof v === 'object' && v !== null && !Array.isArray(v);
/** What of a kind, and of each of its ways, names a source; in lists, each of them. */
const SOURCED = ['hardiness_c', 'size', 'price', 'winter', 'protection', 'plant_out', 'hazards', 'bloom', 'seed', 'shoots'];
const SOURCED_IN_WAY = ['window', 'piece', 'gives', 'stages'];

/** Figures without a source are the person's own. */
function withSources(value: unknown): unknown {
	if (!isPlain(value)) return value;
	const kind = sourced(value, SOURCED);
	return Array.isArray(kind.ways) ? { ...kind, ways: kind.ways.map((w) => (isPlain(w) ? sourced(w, SOURCED_IN_WAY) : w)) } : kind;
}

function sourced(of: Plain, keys: readonly string[]): Plain {
	const own = (v: unknown): unknown => (Array.isArray(v) ? v.map(own) : isPlain(v) ? { src: OWN_SOURCE, ...v } : v);
	return { ...of, ...Object.fromEntries(keys.flatMap((k) => (k in of ? [[k, own(of[k])]] : []))) };
}
