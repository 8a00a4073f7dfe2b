/** Every figure of the handbook with the source it rests on: for telling what is known from what is remembered. */
import type { Kind } from './schema.js';

export interface SourcedFigure {
	src: string;
	/** What it is a figure of: "window", "chance of rooted", "hardiness". */
	what: string;
	/** The way it belongs to; null if it is the kind's. */
	wayId: string | null;
	/** For a chance: how many counted pieces it is taken to be worth. */
	weight: number | null;
}

const plain = (src: string, what: string, wayId: string | null = null): SourcedFigure => ({ src, what, wayId, weight: null });

/** All sourced figures of a kind, in the order of its page. */
export function figuresOf(kind: Kind): SourcedFigure[] {
	return [
		plain(kind.hardiness_c.src, 'hardiness'),
		plain(kind.size.src, 'size and spacing'),
		...(kind.light ? [plain(kind.light.src, 'light')] : []),
		plain(kind.price.src, 'price'),
		plain(kind.protection.src, 'protection'),
		plain(kind.winter.src, 'winter'),
		...kind.hazards.map((h) => plain(h.src, h.what)),
		...kind.plant_out.map((w) => plain(w.src, 'planting out')),
		...(kind.bloom ? [plain(kind.bloom.src, 'bloom')] : []),
		...(kind.shoots ? [plain(kind.shoots.src, 'ripening of shoots')] : []),
		...(kind.seed ? [plain(kind.seed.src, 'seed')] : []),
		...kind.ways.flatMap((w) => [
			plain(w.window.src, 'window', w.id),
			plain(w.piece.src, 'piece', w.id),
			plain(w.gives.src, 'what a plant gives', w.id),
			...w.stages.map((s) => ({ src: s.src, what: `chance and days: ${s.to}`, wayId: w.id, weight: s.weight }))
		])
	];
}
