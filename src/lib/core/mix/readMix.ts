/** A medium as it is written ("2 multi-purpose : 1 medium vermiculite") to parts of materials. */
import type { Mix } from './mixing.js';

/** Words that a material goes by, the more particular first. */
const WORDS: readonly (readonly [RegExp, string])[] = [
	[/used/i, 'used'],
	[/peat|substitute|coir|fib(re|er)/i, 'substitute'],
	[/perlite/i, 'perlite'],
	[/vermiculite/i, 'vermiculite'],
	[/grit|sand/i, 'grit'],
	[/hull/i, 'hull'],
	[/manure/i, 'manure'],
	[/leaf ?mou?ld/i, 'leafmould'],
	[/soil|ground/i, 'soil'],
	[/multi|potting|compost|mix/i, 'multi']
];
const FINE = new Set(['used', 'grit', 'soil', 'substitute']);
const COARSE = new Set(['perlite', 'hull', 'multi', 'manure', 'leafmould']);
/** Fines among coarse grains lose this share of the summed volume. From memory. */
const SHRINKAGE = 0.12;

export const materialOf = (text: string): string | null => WORDS.find(([re]) => re.test(text))?.[1] ?? null;

/** Null for water, for the open ground, and for what cannot be read: the person then says it in parts. */
export function readMix(medium: string): Mix | null {
	const text = medium.trim();
	if (!text || /^water\b/i.test(text) || /row|in place|where it is|weed-free|rhizome/i.test(text)) return null;
	const parts: { material: string; parts: number }[] = [];
	for (const piece of text.split(':')) {
		const found = /^\s*(\d+(?:[.,]\d+)?)?\s*(.+)$/.exec(piece);
		const material = found ? materialOf(found[2]!) : null;
		if (!material) return null;
		const share = / with (?:a third of )?(?:grit|sand)/i.test(found![2]!);
		if (share) {
			// "multi-purpose with (a third of) grit": two parts to one.
			const base = materialOf(found![2]!.replace(/ with .*/i, '')) ?? 'multi';
			parts.push({ material: base, parts: 2 }, { material: 'grit', parts: 1 });
		} else parts.push({ material, parts: Number((found![1] ?? '1').replace(',', '.')) });
	}
	const mixed = parts.some((p) => FINE.has(p.material)) && parts.some((p) => COARSE.has(p.material));
	return { parts, shrinkage: parts.length > 1 ? (mixed ? SHRINKAGE : 0.05) : 0.03 };
}
