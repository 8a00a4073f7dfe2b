/** What pieces stand in, and how many of them to one: the one place that says so. */
import type { Cut } from '../handbook/benchSchema.js';
import { cutOf } from '../handbook/schema.js';
import type { Container, Handbook, StageName, WayProfile } from '../handbook/schema.js';
import { inHand } from '../ledger/batch.js';
import type { Batch } from '../ledger/batch.js';
import { halvesIn } from '../material/leaves.js';
import { MIX } from './judged.js';
import { takes } from './vessel.js';
import type { Vessel } from './vessel.js';

export type Book = Pick<Handbook, 'containers' | 'ways'>;

export interface Standing {
	container: Container | null;
	/** Pieces to one, and how many of it. */
	each: number;
	count: number;
}

/** How pieces are set to root where a vessel takes several: at the rim, over the whole of it, or each by itself. */
const SET: Record<Cut['set'], 'rim' | 'across' | 'alone'> = {
	rim: 'rim',
	jar: 'rim',
	row: 'rim',
	tray: 'across',
	alone: 'alone',
	place: 'alone'
};

/** What of a cut says how pieces stand. */
type Setting = Pick<Cut, 'draws' | 'spread_cm' | 'set' | 'halve' | 'cm'>;

/** How far apart pieces stand in a vessel, cm: leafless rods as close as a hand can firm them, the rest by their leaves. */
export const apartIn = (cut: Pick<Cut, 'draws' | 'spread_cm'>): number =>
	cut.draws === 'rod' ? MIX.rodsApart.value : cut.spread_cm;

/** Pieces that one vessel takes while they root. */
export function rootingIn(vessel: Vessel, how: Container['how'], cut: Setting): number {
	if (vessel.shape === 'tray' && cut.draws === 'leaf' && cut.halve && cut.cm) {
		const { rows, inRow } = halvesIn(vessel, cut.cm[1]);
		return Math.max(1, rows * inRow);
	}
	if (vessel.shape === 'cells') return Math.max(1, takes(vessel, apartIn(cut), 'across'));
	const set = how === 'alone' ? SET[cut.set] : how;
	return set === 'alone' ? 1 : Math.max(1, takes(vessel, apartIn(cut), set));
}

/** Pieces to one container at a stage: many while they root, one each in pots from then on. */
export function piecesIn(c: Container | undefined, cut: Setting, to: StageName): number {
	if (!c?.vessel) return 1;
	if (to === 'rooted') return rootingIn(c.vessel, c.how, cut);
	return c.how === 'alone' ? 1 : rootingIn(c.vessel, c.how, cut);
}

const cutIn = (book: Book, way: WayProfile): Cut | null => {
	const general = book.ways.get(way.way);
	return general ? cutOf(general, way) : null;
};

/** The same by a kind's way: `holds` and `to` of one of its stages. */
export function holding(book: Book, way: WayProfile, stage: { to: StageName; holds: string }): Omit<Standing, 'count'> {
	const container = book.containers.get(stage.holds) ?? null;
	const cut = cutIn(book, way);
	return { container, each: container && cut ? piecesIn(container, cut, stage.to) : 1 };
}

/** What a batch stands in now: what the person named, else the handbook's for the stage that most of it has reached. */
export function standsIn(b: Batch, way: WayProfile, book: Book): Standing {
	const inPots = b.potted > 0 && b.unrooted + b.rooted === 0;
	const stage = (inPots ? way.stages.find((s) => s.to === 'potted' || s.to === 'ready') : null) ?? way.stages[0]!;
	const named = [...book.containers.values()].find((c) => c.name === b.container);
	const { container, each } = holding(book, way, named ? { to: stage.to, holds: named.id } : stage);
	const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
	return { container, each, count: container?.vessel === null ? pieces : Math.ceil(pieces / each) };
}
