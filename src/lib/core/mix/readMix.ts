/** A medium as it is written ("2 multi-purpose : 1 medium vermiculite") to parts of materials. */
import type { Mix } from './mixing.js';
import { MIX } from './judged.js';

/** Words that a material goes by. */
const MATERIALS: Record<string, readonly string[]> = {
	substitute: ['peat', 'substitute', 'coir', 'fibre', 'fiber'],
	perlite: ['perlite'],
	vermiculite: ['vermiculite'],
	grit: ['grit', 'sand'],
	hull: ['hull', 'hulls'],
	manure: ['manure'],
	leafmould: ['leafmould', 'leafmold', 'leaf-mould'],
	soil: ['soil', 'ground', 'loam'],
	multi: ['multi-purpose', 'multipurpose', 'potting', 'compost', 'mix']
};
const MATERIAL = new Map(Object.entries(MATERIALS).flatMap(([id, words]) => words.map((w) => [w, id] as const)));
/** Words that tell of a material, or join, and name none. */
const TELLING = new Set(
	'a an of and the with or plain medium sharp coarse fine garden growing rice well rotted well-rotted old new sieved moist drained third half covered cm at surface 1'.split(
		' '
	)
);
/** Media that are no mix: what stands in water, and what is set where it is to grow. */
const WATER = new Set(['water', 'rain water', 'tap water']);
const GROUND = new Set([
	'ground',
	'where it is to grow',
	'in place',
	'nursery row',
	'nursery row or deep pot',
	'straight into weed-free ground',
	'weed-free ground',
	'drained soil, rhizome at the surface'
]);

const FINE = new Set(['used', 'grit', 'soil', 'substitute']);
const COARSE = new Set(['perlite', 'hull', 'multi', 'manure', 'leafmould']);
const SHRINKAGE = MIX.shrinkage.value;

export interface Medium {
	is: 'water' | 'ground' | 'mix' | 'unread';
	mix: Mix | null;
	/** Words that were not understood: to be told, not guessed at. */
	unread: string[];
}

interface Part {
	material: string;
	parts: number;
}

const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}-]+/gu) ?? [];

/** The one material that a phrase names: "used" before "multi-purpose" makes it the used one. */
function named(words: readonly string[]): string | null {
	const found = words.flatMap((w) => MATERIAL.get(w) ?? []);
	if (words.includes('used') && (found.length === 0 || found.includes('multi'))) return 'used';
	// "Peat substitute" is one material in two words, "potting mix" too; of different ones the more particular counts.
	return found.find((m) => m !== 'multi' && m !== 'soil') ?? found[0] ?? null;
}

/** The material that a text names; null when it names none. */
export const materialOf = (text: string): string | null => named(wordsOf(text));

const strange = (words: readonly string[]): string[] => words.filter((w) => w !== 'used' && !MATERIAL.has(w) && !TELLING.has(w));

/** Reads a medium once, and says what of it was not understood. */
export function readMedium(medium: string): Medium {
	const text = medium.trim().toLowerCase().replace(/\s+/g, ' ');
	if (WATER.has(text)) return { is: 'water', mix: null, unread: [] };
	if (text === '' || GROUND.has(text)) return { is: 'ground', mix: null, unread: [] };
	const parts: Part[] = [];
	const unread: string[] = [];
	for (const piece of text.split(':')) {
		const [base, ...more] = piece.split(' with ');
		const count = /^\s*(\d+(?:[.,]\d+)?)/.exec(base!)?.[1];
		const material = materialOf(base!);
		unread.push(...strange(wordsOf(piece)));
		if (!material) return { is: 'unread', mix: null, unread: unread.length ? unread : [piece.trim()] };
		const added = more.length ? materialOf(more.join(' ')) : null;
		// "Multi-purpose with (a third of) grit": two parts to one.
		if (added) parts.push({ material, parts: 2 }, { material: added, parts: 1 });
		else parts.push({ material, parts: Number((count ?? '1').replace(',', '.')) });
	}
	const mixed = parts.some((p) => FINE.has(p.material)) && parts.some((p) => COARSE.has(p.material));
	const mix = { parts, shrinkage: parts.length > 1 ? (mixed ? SHRINKAGE : 0.05) : 0.03 };
	return { is: 'mix', mix, unread };
}

/** Null for water, for the open ground, and for what cannot be read: the person then says it in parts. */
export const readMix = (medium: string): Mix | null => readMedium(medium).mix;
