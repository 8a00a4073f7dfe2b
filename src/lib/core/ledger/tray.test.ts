/** Trays: the marks follow the counts, and the counts the marks. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byGroup, byRow, dealOut, foldBatch, inHand, layOut, markCells, settle } from './index.js';
import type { AnyEntry, EntryData, EntryKind, Tray } from './index.js';

let next = 0;
const entry = <K extends EntryKind>(kind: K, data: EntryData<K>, on = '2027-07-01') =>
	({ id: `e${next++}`, kind, subjectId: 'b', on, data, note: '' }) as unknown as AnyEntry;
const struck = (n: number) =>
	entry('batch.struck', {
		code: '322-U',
		kind_id: 'box',
		way_id: 'semi-ripe',
		stock_id: null,
		want_id: null,
		place_id: null,
		struck: n,
		treatment: { medium: '', hormone: '', wound: false, cover: '' },
		container: ''
	});
const laid = (n: number, columns: number, groups: string[] = []) => {
	const rows = Math.ceil(n / columns);
	return entry('batch.laid-out', {
		rows,
		columns,
		groups,
		of: Array.from({ length: rows * columns }, (_, i) => (i < n ? i % Math.max(1, groups.length) : -1))
	});
};
const looked = (alive: number, rooted: number | null, cells?: { rooted: number[]; lost: number[] }) =>
	entry('batch.checked', { alive, rooted, sign: 'none', cells });
const fold = (...entries: AnyEntry[]) => {
	const r = foldBatch(entries);
	if (!r.ok) throw new Error(r.problem.code);
	return r.value!;
};
const code = (...entries: AnyEntry[]) => {
	const r = foldBatch(entries);
	return r.ok ? 'ok' : r.problem.code;
};
const count = (tray: Tray, mark: string) => [...tray.cells].filter((c) => c === mark).length;

describe('a tray', () => {
	it('is laid out for as many as stand there, a thousand cells at most', () => {
		expect(fold(struck(10), laid(10, 4)).tray!.cells).toBe('uuuuuuuuuu..');
		expect(code(struck(10), laid(9, 4))).toBe('tray.filled');
		expect(layOut({ rows: 100, columns: 100, groups: [], of: [] }, 1, 0)).toMatchObject({ problem: { code: 'tray.size' } });
		expect(layOut({ rows: 2, columns: 3, groups: [], of: [0] }, 1, 0)).toMatchObject({ problem: { code: 'tray.shape' } });
		expect(layOut({ rows: 1, columns: 2, groups: ['a'], of: [0, 1] }, 2, 0)).toMatchObject({ problem: { code: 'tray.group' } });
		expect(layOut({ rows: 25, columns: 40, groups: [], of: Array<number>(1000).fill(0) }, 1000, 0).ok).toBe(true);
	});
	it('takes taps that tell the same as the counts, and no others', () => {
		const b = fold(struck(6), laid(6, 3), looked(5, 2, { rooted: [0, 4], lost: [5] }));
		expect(b.tray!.cells).toBe('ruuurx');
		expect(b.tray!.guessed).toBe(0);
		expect(b).toMatchObject({ unrooted: 3, rooted: 2, lost: 1 });
		expect(code(struck(6), laid(6, 3), looked(6, 2, { rooted: [0, 4], lost: [5] }))).toBe('tray.counts');
		expect(code(struck(6), laid(6, 3), looked(6, 1, { rooted: [0, 4], lost: [] }))).toBe('tray.counts');
		expect(code(struck(6), looked(6, 1, { rooted: [0], lost: [] }))).toBe('tray.none');
		expect(markCells(b.tray!, [0], []).ok).toBe(false);
		expect(markCells(b.tray!, [], [99]).ok).toBe(false);
	});
	it('keeps to the counts whatever is logged without saying which', () => {
		const step = fc.oneof(
			fc.record({ what: fc.constant('look' as const), lost: fc.nat(3), newly: fc.nat(3) }),
			fc.record({ what: fc.constant('pot' as const), n: fc.integer({ min: 1, max: 4 }) }),
			fc.record({ what: fc.constant('lose' as const), n: fc.integer({ min: 1, max: 3 }) }),
			fc.record({ what: fc.constant('give' as const), n: fc.integer({ min: 1, max: 3 }) })
		);
		fc.assert(
			fc.property(fc.integer({ min: 2, max: 30 }), fc.array(step, { maxLength: 8 }), (n, steps) => {
				let entries = [struck(n), laid(n, 5)];
				for (const s of steps) {
					const b = fold(...entries);
					const e =
						s.what === 'look'
							? looked(Math.max(0, inHand(b) - s.lost), Math.max(0, Math.min(inHand(b) - s.lost, b.rooted + b.potted + s.newly)))
							: s.what === 'pot'
								? entry('batch.potted', { count: s.n, container: '', place_id: null })
								: s.what === 'lose'
									? entry('batch.lost', { count: s.n, why: '', planted: false })
									: entry('batch.given', { count: s.n, to: '' });
					if (foldBatch([...entries, e]).ok) entries = [...entries, e];
				}
				const b = fold(...entries);
				expect(count(b.tray!, 'u')).toBe(b.unrooted);
				expect(count(b.tray!, 'r')).toBe(b.rooted);
				expect(count(b.tray!, 'x')).toBe(b.lost - Math.max(0, b.lost - count(b.tray!, 'x')));
			})
		);
	});
	it('sums up by treatment and by row', () => {
		const b = fold(struck(6), laid(6, 3, ['powder', 'none']), looked(5, 2, { rooted: [0, 4], lost: [5] }));
		expect(byGroup(b.tray!)).toEqual([
			{ group: 'powder', pieces: 3, rooted: 2, lost: 0, waiting: 1 },
			{ group: 'none', pieces: 3, rooted: 0, lost: 1, waiting: 2 }
		]);
		expect(byRow(b.tray!).map((r) => r.lost)).toEqual([0, 1]);
		expect(settle(b.tray!, 0, 5, false).cells).toBe('rrrrrx');
	});
	it('deals treatments out in blocks, each as often to within one, in an order that chance makes', () => {
		let seed = 5;
		const random = () => (seed = (1664525 * seed + 1013904223) % 2 ** 32) / 2 ** 32;
		const firsts = new Map<number, number>();
		for (let i = 0; i < 900; i++) {
			const dealt = dealOut(10, 3, random);
			expect(dealt).toHaveLength(10);
			for (let block = 0; block < 9; block += 3) expect(new Set(dealt.slice(block, block + 3)).size).toBe(3);
			firsts.set(dealt[0]!, (firsts.get(dealt[0]!) ?? 0) + 1);
		}
		for (const n of firsts.values()) expect(Math.abs(n - 300)).toBeLessThan(75);
		expect(dealOut(4, 0, random)).toEqual([0, 0, 0, 0]);
	});
	it('looks are kept: what rooted, what died, what sign on how many', () => {
		const b = fold(
			struck(10),
			entry('batch.checked', { alive: 10, rooted: null, sign: 'firm', looked: 4, showing: 3 }),
			looked(8, 5)
		);
		expect(b.looks).toEqual([
			{ on: '2027-07-01', unrooted: 10, newly: null, lost: 0, sign: 'firm', looked: 4, showing: 3 },
			{ on: '2027-07-01', unrooted: 10, newly: 5, lost: 2, sign: 'none', looked: null, showing: null }
		]);
		expect(code(struck(10), entry('batch.checked', { alive: 10, rooted: null, sign: 'firm', looked: 4, showing: 5 }))).toBe(
			'batch.showing'
		);
		expect(code(struck(10), entry('batch.checked', { alive: 10, rooted: null, sign: 'firm', looked: 14, showing: 5 }))).toBe(
			'batch.looked'
		);
		expect(code(struck(10), entry('batch.checked', { alive: 9, rooted: 10, sign: 'none' }))).toBe('batch.more-rooted');
	});
});
