/** What to fill, wet and buy for some batches together. */
import { amounts, bagsFor, waterToWet } from './mixing.js';
import type { Bags, Material, Mix } from './mixing.js';
import { GAP_CM, holds } from './vessel.js';
import type { Vessel } from './vessel.js';

export interface Filling {
	id: string;
	pieces: number;
	/** Pieces to one vessel. */
	each: number;
	/** Null for the open ground. */
	vessel: Vessel | null;
	/** Null for water and for the open ground. */
	mix: Mix | null;
}

export interface Filled {
	id: string;
	/** Pieces to one vessel, and how many vessels. */
	each: number;
	vessels: number;
	/** Of mix, or of water in jars; all vessels together. */
	litres: number;
}

export interface Preparing {
	fillings: Filled[];
	materials: { id: string; litres: number; shelf: number; buy: Bags; short: number }[];
	/** To wet the dry mix, and to fill jars. */
	water: number;
	cost: number;
}

export function fill(f: Filling): Filled {
	if (!f.vessel) return { id: f.id, each: 1, vessels: 0, litres: 0 };
	const vessels = Math.ceil(f.pieces / f.each);
	return { id: f.id, each: f.each, vessels, litres: vessels * holds(f.vessel, f.vessel.shape === 'jar' ? 0 : GAP_CM) };
}

/** `shelf`: litres at hand by material. What cannot be bought (garden soil) and is short is said. */
export function prepare(
	fillings: readonly Filling[],
	materials: ReadonlyMap<string, Material>,
	shelf: ReadonlyMap<string, number>
): Preparing {
	const filled = fillings.map(fill);
	const each = new Map<string, number>();
	let jars = 0;
	fillings.forEach((f, i) => {
		const litres = filled[i]!.litres;
		if (f.vessel?.shape === 'jar') jars += litres;
		else if (f.mix) for (const [id, n] of amounts(f.mix, litres)) each.set(id, (each.get(id) ?? 0) + n);
	});
	const rows = [...each].map(([id, litres]) => {
		const at = shelf.get(id) ?? 0;
		const short = Math.max(0, litres - at);
		return { id, litres, shelf: at, short, buy: bagsFor(materials.get(id) ?? { bags: [] }, short) };
	});
	return {
		fillings: filled,
		materials: rows.sort((a, b) => b.litres - a.litres),
		water: waterToWet(each, materials) + jars,
		cost: rows.reduce((sum, r) => sum + r.buy.cost, 0)
	};
}
