/** A batch laid out in rows: which piece stands where, what treatment it had, and what became of it. */
import { sayNumber } from '../numbers.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';

/** Marks of a cell: empty, unrooted, rooted, gone on (potted, planted, given), lost. */
export type CellMark = '.' | 'u' | 'r' | 'p' | 'x';

export interface Tray {
	rows: number;
	columns: number;
	/** Names of the treatments; none for a tray without a trial. */
	groups: string[];
	/** For each cell, by rows, the number of its treatment; −1 where it is empty. */
	of: number[];
	/** One mark for each cell, by rows. */
	cells: string;
	/** Marks that were set by count alone, for nobody said which: they are the app's guess. */
	guessed: number;
}

export const MOST_CELLS = 1000;

export function layOut(
	d: { rows: number; columns: number; groups: string[]; of: number[] },
	unrooted: number,
	rooted: number
): Result<Tray> {
	if (d.rows * d.columns > MOST_CELLS) return refuse('tray.size', `A tray has at most ${sayNumber(MOST_CELLS)} cells.`, 'rows');
	if (d.of.length !== d.rows * d.columns)
		return refuse('tray.shape', 'Rows times columns must be the number of cells.', 'columns');
	const most = Math.max(0, d.groups.length - 1);
	if (d.of.some((g) => g > most)) return refuse('tray.group', 'A cell names a treatment that there is not.', 'groups');
	const filled = d.of.filter((g) => g >= 0).length;
	if (filled !== unrooted + rooted)
		return refuse(
			'tray.filled',
			`${unrooted + rooted} pieces stand there, ${filled} cells are filled: they must be the same.`,
			'rows'
		);
	let r = rooted;
	const cells = d.of.map((g) => (g < 0 ? '.' : r-- > 0 ? 'r' : 'u')).join('');
	return ok({ rows: d.rows, columns: d.columns, groups: d.groups, of: d.of, cells, guessed: rooted });
}

/** Marks single cells. What is rooted or lost must have stood there. */
export function markCells(tray: Tray, rooted: readonly number[], lost: readonly number[]): Result<Tray> {
	const cells = [...tray.cells];
	for (const [list, mark, from] of [
		[rooted, 'r', 'u'],
		[lost, 'x', 'ur']
	] as const)
		for (const i of list) {
			if (!from.includes(cells[i] ?? '.'))
				return refuse(
					'tray.cell',
					`Row ${Math.floor(i / tray.columns) + 1}, place ${(i % tray.columns) + 1}: no piece stands there that could be ${mark === 'r' ? 'newly rooted' : 'lost'}.`
				);
			cells[i] = mark;
		}
	return ok({ ...tray, cells: cells.join('') });
}

/**
 * Brings the marks to the batch's counts when pieces went and nobody said which: from the far end those that
 * failed, from the near end those that came on.
 */
export function settle(tray: Tray, unrooted: number, rooted: number, lost: boolean): Tray {
	const cells = [...tray.cells];
	let guessed = tray.guessed;
	const count = (mark: CellMark) => cells.filter((c) => c === mark).length;
	const turn = (from: CellMark, to: CellMark, n: number, fromEnd: boolean) => {
		for (let k = 0; k < n; k++) {
			const i = fromEnd ? cells.lastIndexOf(from) : cells.indexOf(from);
			if (i < 0) return;
			cells[i] = to;
			guessed++;
		}
	};
	const newly = Math.max(0, Math.min(count('u') - unrooted, rooted - count('r')));
	turn('u', 'r', newly, false);
	turn('u', lost ? 'x' : 'p', Math.max(0, count('u') - unrooted), lost);
	turn('r', lost ? 'x' : 'p', Math.max(0, count('r') - rooted), lost);
	return { ...tray, cells: cells.join(''), guessed };
}

export interface GroupResult {
	group: string;
	pieces: number;
	rooted: number;
	lost: number;
	waiting: number;
}

/** What came of each treatment. Gone on means that it had rooted. */
export const byGroup = (tray: Tray): GroupResult[] =>
	(tray.groups.length ? tray.groups : ['all']).map((group, g) => {
		const marks = [...tray.cells].filter((_, i) => tray.of[i] === g);
		const n = (mark: string) => marks.filter((m) => mark.includes(m)).length;
		return { group, pieces: marks.length, rooted: n('rp'), lost: n('x'), waiting: n('u') };
	});

/** By row: an edge that dries shows here. */
export const byRow = (tray: Tray): { row: number; pieces: number; rooted: number; lost: number }[] =>
	Array.from({ length: tray.rows }, (_, row) => {
		const marks = [...tray.cells.slice(row * tray.columns, (row + 1) * tray.columns)];
		const n = (mark: string) => marks.filter((m) => mark.includes(m)).length;
		return { row, pieces: n('urpx'), rooted: n('rp'), lost: n('x') };
	});

/**
 * Treatments dealt out at random in blocks of one of each, so that no treatment has the warm end for itself.
 * `random` gives numbers in [0, 1). A randomised complete block design, as in any text on field trials.
 */
export function dealOut(pieces: number, groups: number, random: () => number): number[] {
	if (groups <= 1) return Array.from({ length: pieces }, () => 0);
	const dealt: number[] = [];
	while (dealt.length < pieces) {
		const block = Array.from({ length: groups }, (_, g) => g);
		for (let i = block.length - 1; i > 0; i--) {
			const j = Math.floor(random() * (i + 1));
			[block[i], block[j]] = [block[j]!, block[i]!];
		}
		dealt.push(...block);
	}
	return dealt.slice(0, pieces);
}
