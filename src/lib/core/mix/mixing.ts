/** Mixes by parts of volume: what of each, bags to buy, water to wet it. */
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';

export interface Material {
	id: string;
	name: string;
	/** Bags it is sold in, litres and price, rising. */
	bags: readonly { litres: number; price: number }[];
	/** Litres of water that a dry litre takes up. */
	water: number;
	/** Fines that fall between coarse grains. */
	fine: boolean;
}

export interface Mix {
	parts: readonly { material: string; parts: number }[];
	/** Share of the summed volume that is lost when fines fill the gaps between grains. */
	shrinkage: number;
}

export function checkMix(mix: Mix): Result<Mix> {
	if (mix.parts.length === 0) return refuse('mix.empty', 'A mix has one part at least.', 'parts');
	for (const p of mix.parts)
		if (!(p.parts >= 0 && p.parts <= 100)) return refuse('mix.parts', 'Parts are between 0 and 100.', 'parts');
	if (!(mix.parts.reduce((sum, p) => sum + p.parts, 0) > 0))
		return refuse('mix.nothing', 'Nothing to nothing makes no mix: give one of them a part.', 'parts');
	if (!(mix.shrinkage >= 0 && mix.shrinkage <= 0.4)) return refuse('mix.shrinkage', 'It shrinks by 0 to 40 %.', 'shrinkage');
	return ok(mix);
}

/** Litres of each that make so many litres of the mix, shrinkage allowed for. */
export function amounts(mix: Mix, litres: number): Map<string, number> {
	const all = mix.parts.reduce((sum, p) => sum + p.parts, 0);
	const needed = litres / (1 - mix.shrinkage);
	const each = new Map<string, number>();
	for (const p of mix.parts) if (p.parts > 0) each.set(p.material, (each.get(p.material) ?? 0) + (needed * p.parts) / all);
	return each;
}

export interface Bags {
	bags: { litres: number; count: number; price: number }[];
	litres: number;
	cost: number;
}

const STEP = 0.1;
const MOST_LITRES = 5000;

/**
 * Bags that hold at least so much for the least money, of equal prices the least over: an unbounded knapsack
 * over tenths of a litre. What is on the shelf is taken off by the caller.
 */
export function bagsFor(material: Pick<Material, 'bags'>, litres: number): Bags {
	const none = { bags: [], litres: 0, cost: 0 };
	if (!(litres > 1e-9) || material.bags.length === 0) return none;
	const steps = Math.ceil(Math.min(litres, MOST_LITRES) / STEP - 1e-9);
	const size = material.bags.map((b) => Math.max(1, Math.round(b.litres / STEP)));
	interface Cell {
		cost: number;
		held: number;
		bag: number;
		rest: number;
	}
	const best: Cell[] = [{ cost: 0, held: 0, bag: -1, rest: 0 }];
	for (let s = 1; s <= steps; s++) {
		let top: Cell | null = null;
		material.bags.forEach((bag, i) => {
			const rest = Math.max(0, s - size[i]!);
			const cost = best[rest]!.cost + bag.price;
			const held = best[rest]!.held + size[i]!;
			if (!top || cost < top.cost - 1e-9 || (cost < top.cost + 1e-9 && held < top.held)) top = { cost, held, bag: i, rest };
		});
		best[s] = top!;
	}
	const count = new Map<number, number>();
	for (let s = steps; s > 0; s = best[s]!.rest) count.set(best[s]!.bag, (count.get(best[s]!.bag) ?? 0) + 1);
	return {
		bags: [...count].map(([i, n]) => ({ litres: material.bags[i]!.litres, count: n, price: material.bags[i]!.price })),
		litres: best[steps]!.held * STEP,
		cost: best[steps]!.cost
	};
}

/** Water that the materials take up when they are dry, litres. */
export const waterToWet = (each: ReadonlyMap<string, number>, materials: ReadonlyMap<string, Pick<Material, 'water'>>): number =>
	[...each].reduce((sum, [id, litres]) => sum + litres * (materials.get(id)?.water ?? 0), 0);
