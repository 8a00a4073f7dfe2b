/** Ways that cut lengths from what runs along: canes, roots, shoots bent to the ground, stalks struck where they grow. */
import { MATERIAL } from './judged.js';

export interface CaneYield {
	/** Lengths with two nodes, set upright with one in the soil. */
	upright: number;
	/** Laid flat instead: metres of row, and shoots to expect. */
	rowM: number;
	shoots: number;
}

const SHOOT_SHARE = MATERIAL.laidFlat.value;

/** Mature canes of so many cm with nodes so far apart: two-node lengths upright, or whole and flat. */
export function canes(count: number, lengthCm: number, internodeCm: number): CaneYield {
	const nodes = internodeCm > 0 ? Math.floor(lengthCm / internodeCm + 1e-9) : 0;
	return { upright: count * Math.floor(nodes / 2), rowM: (count * lengthCm) / 100, shoots: count * nodes * SHOOT_SHARE };
}

export interface RootYield {
	pieces: number;
	/** Length of each, cm. */
	cm: number;
	/** Thick ones stand, the end that was nearest the crown on top; thin ones lie. */
	set: 'upright' | 'flat';
	/** Most roots to take from a parent that is to go on. */
	mostRoots: number;
}

const THICK_MM = MATERIAL.thickRoot.value;
const THICK_CM = MATERIAL.thickRootCut.value;
const THIN_CM = MATERIAL.thinRootCut.value;
const ROOT_SHARE = MATERIAL.roots.value;

export function rootPieces(roots: number, lengthCm: number, thickMm: number): RootYield {
	const set = thickMm >= THICK_MM ? 'upright' : 'flat';
	const cm = set === 'upright' ? THICK_CM : THIN_CM;
	const mostRoots = Math.max(0, Math.floor(roots * ROOT_SHARE + 1e-9));
	return { pieces: mostRoots * Math.floor(lengthCm / cm + 1e-9), cm, set, mostRoots };
}

const LAYER_REACH_CM = MATERIAL.layerReach.value;

/** Simple layers: low shoots, of this length and leaving the plant at this height, that can be pegged down. */
export const layers = (shoots: readonly { lengthCm: number; heightCm: number }[]): number =>
	shoots.filter((s) => s.lengthCm >= s.heightCm + LAYER_REACH_CM).length;

/** Stalks to fill a surface at a spacing, in staggered rows, and the metres of stalk that takes. */
export function strikesInPlace(areaM2: number, spacingCm: number, stalkCm: number): { stalks: number; metres: number } {
	// Each stalk of a triangular grid stands for s² √3/2.
	const stalks = Math.ceil((areaM2 * 10_000) / (spacingCm ** 2 * (Math.sqrt(3) / 2)) - 1e-9);
	return { stalks, metres: (stalks * stalkCm) / 100 };
}

/** What a tug says of a sucker, and what follows. Common practice, no source. */
export function sucker(tug: 'resists' | 'gives', distanceCm: number): { take: boolean; say: string } {
	if (tug === 'gives')
		return {
			take: false,
			say: 'It gives: no roots of its own yet. Leave it, cover its foot with mulch and tug again in a season.'
		};
	if (distanceCm < 5)
		return {
			take: false,
			say: 'Rooted, but so near the parent that cutting it free would open the crown: leave it to stand with the plant.'
		};
	return { take: true, say: 'It resists: it has roots. Cut it from the parent, keep its soil on, shorten it to about 15 cm.' };
}
