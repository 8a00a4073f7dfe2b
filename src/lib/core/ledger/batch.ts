/** A batch as its entries left it. */
import type { Tallies } from '../evidence/tally.js';
import type { Cohort } from './cohorts.js';
import { emptyRooting } from './rootingRecord.js';
import type { RootingRecord } from './rootingRecord.js';
import type { Tray } from './tray.js';

export type BatchStatus = 'planned' | 'growing' | 'done' | 'dropped';

export interface Batch {
	id: string;
	code: string;
	kindId: string;
	wayId: string;
	stockId: string | null;
	wantId: string | null;
	placeId: string | null;
	fromBatch: string | null;
	status: BatchStatus;
	plannedOn: string | null;
	plannedCount: number;
	struckOn: string | null;
	struck: number;
	/** Pieces in hand by what they have reached. */
	unrooted: number;
	rooted: number;
	potted: number;
	/** Day of the last count after a winter. */
	winteredOn: string | null;
	planted: number;
	given: number;
	kept: number;
	splitOff: number;
	lost: number;
	/** Lost after planting; not part of `lost`. */
	lostPlanted: number;
	/** The pieces in hand by stage and history; their counts are `unrooted`, `rooted` and `potted`. */
	cohorts: Cohort[];
	/** What was counted and seen of pieces that had not rooted. */
	rootRecord: RootingRecord;
	/** Where it has stood, each place from a day on, the oldest first. */
	stays: { placeId: string | null; from: string }[];
	/** The batch that it was first struck as: parts of one strike share their chances. */
	family: string;
	lastOn: string | null;
	lastSign: string | null;
	treatment: { medium: string; hormone: string; wound: boolean; cover: string };
	container: string;
	/** What was counted of its own pieces, stage by stage. */
	seen: Tallies;
	/** The same of the pieces it was split from, up to the split: of its own chances, but no second record. */
	inherited: Tallies;
	/** What each check of pieces that were still rooting saw. */
	looks: LookSeen[];
	tray: Tray | null;
	/** Pieces foretold of its parent before the cut. */
	foretold: number | null;
	/** The ledger’s number of the last entry about it: another whenever anything is logged or undone. 0 as folded. */
	version: number;
}

export interface LookSeen {
	on: string;
	/** Unrooted pieces before it; of these newly counted as rooted (null: not counted) and found dead. */
	unrooted: number;
	newly: number | null;
	lost: number;
	sign: string;
	/** Looked at closely and showing the sign, if that was said. */
	looked: number | null;
	showing: number | null;
}

export const inHand = (b: Pick<Batch, 'unrooted' | 'rooted' | 'potted'>): number => b.unrooted + b.rooted + b.potted;

/** "1 piece", "2 pieces". */
export const num = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;

export const blankBatch = (
	id: string,
	d: {
		code: string;
		kind_id: string;
		way_id: string;
		stock_id: string | null;
		want_id: string | null;
		place_id: string | null;
	}
): Batch => ({
	id,
	code: d.code,
	kindId: d.kind_id,
	wayId: d.way_id,
	stockId: d.stock_id,
	wantId: d.want_id,
	placeId: d.place_id,
	fromBatch: null,
	status: 'planned',
	plannedOn: null,
	plannedCount: 0,
	struckOn: null,
	struck: 0,
	unrooted: 0,
	rooted: 0,
	potted: 0,
	winteredOn: null,
	planted: 0,
	given: 0,
	kept: 0,
	splitOff: 0,
	lost: 0,
	lostPlanted: 0,
	cohorts: [],
	rootRecord: emptyRooting(),
	stays: [],
	family: id,
	lastOn: null,
	lastSign: null,
	treatment: { medium: '', hormone: '', wound: false, cover: '' },
	container: '',
	seen: {},
	inherited: {},
	looks: [],
	tray: null,
	foretold: null,
	version: 0
});
