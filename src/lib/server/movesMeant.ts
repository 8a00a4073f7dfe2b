/** What is meant to move in a garden's ground: as an address asks it, or as it was kept. */
import { v5 as uuidv5 } from 'uuid';
import type { Garden } from './context.js';
import { whereTo } from './groundWhere.js';
import type { Snapshot } from './snapshot.js';
import type { PlaceRow, StockRow } from './store/state.js';
import type { IsoDate } from '$lib/core/dates.js';
import { isIsoDate } from '$lib/core/dates.js';
import type { Point } from '$lib/core/ground/index.js';
import type { MovesData } from '$lib/core/ledger/index.js';
import { IN_THE_GROUND } from '$lib/core/places.js';

/** The one plan of moves that a garden has. */
export const movesId = (gardenId: string): string => uuidv5('moves', gardenId);

export type Meant = MovesData;
export type MeantMove = MovesData['moves'][number];

export interface MovesQuery {
	/** "stock~bed:place" or "stock~at:stock", with "@x_y;x_y…" where spots are told; null where the kept plan is asked for. */
	moves: readonly string[] | null;
	by: string;
	weekends: string;
	hold: string;
	/** A bed that is to be cleared. */
	free: string;
}

/** Open places in the ground, by id. */
export const bedsOf = (s: Snapshot): Map<string, PlaceRow> =>
	new Map(s.places.filter((p) => !p.closed && IN_THE_GROUND.has(p.kind)).map((p) => [p.id, p]));

const ASKED = /^([0-9a-f-]{36})~(bed|at):([0-9a-f-]{36})(?:@([-\d._;]{3,12000}))?$/;
const SPOT = /^(-?\d{1,5}(?:\.\d{1,3})?)_(-?\d{1,5}(?:\.\d{1,3})?)$/;

const spotsIn = (text: string | undefined): Point[] =>
	(text ?? '').split(';').flatMap((t): Point[] => {
		const [, x, y] = SPOT.exec(t) ?? [];
		return x && y ? [[Number(x), Number(y)]] : [];
	});
/** The same as an address has it, with the spots that were found. */
export const askedAs = (m: MeantMove, at: readonly Point[]): string =>
	`${m.stock_id}~${m.takes ? `at:${m.takes}` : `bed:${m.place_id}`}${
		at.length > 0 ? `@${at.map((p) => p.map((v) => Math.round(v * 1000) / 1000).join('_')).join(';')}` : ''
	}`;

/** What is asked for in an address; anything that is not there is left out. */
export function meantBy(q: MovesQuery, s: Snapshot): Meant {
	const beds = bedsOf(s);
	const stocks = new Map(s.stocks.filter((x) => !x.gone_on && x.place_id).map((x) => [x.id, x]));
	const moves = (q.moves ?? []).flatMap((text): MeantMove[] => {
		const [, stock, how, id, spots] = ASKED.exec(text) ?? [];
		if (!stock || !id || !stocks.has(stock)) return [];
		if (how === 'bed') return beds.has(id) ? [{ stock_id: stock, place_id: id, at: spotsIn(spots), takes: null }] : [];
		const other = stocks.get(id);
		return other && beds.has(other.place_id!) && id !== stock
			? [{ stock_id: stock, place_id: other.place_id!, at: spotsIn(spots), takes: id }]
			: [];
	});
	return {
		by_day: isIsoDate(q.by) ? q.by : null,
		weekends: q.weekends === 'on',
		hold_id: s.places.find((p) => !p.closed && p.id === q.hold)?.id ?? null,
		moves: moves.filter((m, i) => moves.findIndex((o) => o.stock_id === m.stock_id) === i)
	};
}

/** Plants of one bed that are found a place at once, at most. */
const MOST_CLEARED = 30;

/** Each of what stands in a bed into the bed that suits it best and has room for all of it; and what finds none. */
export async function clearing(garden: Garden, bedId: string, s: Snapshot): Promise<{ moves: string[]; nowhere: StockRow[] }> {
	const moves: string[] = [];
	const nowhere: StockRow[] = [];
	for (const stock of s.stocks.filter((x) => x.place_id === bedId && !x.gone_on).slice(0, MOST_CLEARED)) {
		const to = await whereTo(garden, stock.kind_id, stock.count, { not: bedId });
		const best = to?.beds.find((b) => b.takes === stock.count);
		if (best) moves.push(`${stock.id}~bed:${best.id}`);
		else nowhere.push(stock);
	}
	return { moves, nowhere };
}

const near = (a: readonly Point[], b: readonly Point[]): boolean =>
	a.length === b.length && a.every(([x, y], i) => Math.hypot(x - b[i]![0], y - b[i]![1]) < 0.01);

/** It stands where it was to go: told so, or carried there since it was planned. */
export function isDone(s: StockRow, m: MeantMove, setOn: IsoDate): boolean {
	if (s.place_id !== m.place_id) return false;
	if (m.at.length > 0 && near(s.stands_at ?? [], m.at)) return true;
	const [before, last] = s.stays.slice(-2);
	return last !== undefined && last.from >= setOn && before!.placeId !== m.place_id;
}
