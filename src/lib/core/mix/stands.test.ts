/** How many stand in one: facts of the trade (common practice, no source), and one answer for plan, bench, care and mix. */
import { ownContainer } from './own.js';
import { describe, expect, it } from 'vitest';
import { cutOf } from '../handbook/schema.js';
import { leafHalves } from '../material/leaves.js';
import { emptyBatch } from '../../../testing/batches.js';
import { allKinds, book, kind } from '../../../testing/handbook.js';
import { fill, holding, piecesIn, rootingIn, standsIn } from './index.js';

const pot = (id: string) => book.containers.get(id)!;
const rods = cutOf(
	book.ways.get('hardwood')!,
	kind('dogwood').ways.find((w) => w.way === 'hardwood')!
);

describe('pieces to a container', () => {
	it('a dozen rods in one deep pot are one pot', () => {
		expect(piecesIn(pot('pot-4l'), rods, 'rooted')).toBeGreaterThanOrEqual(12);
		expect(piecesIn(pot('pot-4l'), rods, 'potted')).toBe(1);
	});
	it('several cuttings stand round the rim of a pot while they root, one in each from then on', () => {
		const soft = cutOf(
			book.ways.get('soft-tip')!,
			kind('coleus').ways.find((w) => w.way === 'soft-tip')!
		);
		expect(piecesIn(pot('pot-9'), soft, 'rooted')).toBeGreaterThanOrEqual(3);
		expect(piecesIn(pot('pot-13'), soft, 'rooted')).toBeGreaterThan(piecesIn(pot('pot-9'), soft, 'rooted'));
		expect(piecesIn(pot('pot-9'), soft, 'potted')).toBe(1);
		expect(piecesIn(pot('cell-tray'), soft, 'rooted')).toBe(24);
	});
	it('divisions, offsets and suckers stand alone; in the ground and in a row nothing is counted', () => {
		for (const w of ['division', 'offset', 'sucker']) expect(piecesIn(pot('pot-2l'), book.ways.get(w)!.cut, 'rooted')).toBe(1);
		expect(piecesIn(pot('row'), rods, 'rooted')).toBe(1);
	});
	it('halves of a leaf: about four grooves a seed tray, the same number where they are cut and where the tray is filled', () => {
		const k = kind('streptocarpus');
		const way = k.ways.find((w) => w.way === 'leaf')!;
		const cut = cutOf(book.ways.get('leaf')!, way);
		const { vessel } = pot('seed-tray');
		if (vessel?.shape !== 'tray') throw new Error('a seed tray is a tray');
		const at = leafHalves(6, cut.cm![1], vessel, 0.8);
		expect(at.rows).toBe(4);
		expect(rootingIn(vessel, 'across', cut)).toBe(at.rows * at.inRow);
		expect(fill({ id: '', pieces: 12, each: rootingIn(vessel, 'across', cut), vessel, mix: null }).vessels).toBe(at.trays);
	});
	it('the whole book: what the plan takes a batch to stand in is what the bench shows of it', () => {
		for (const k of allKinds())
			for (const way of k.ways) {
				const first = way.stages[0]!;
				const planned = holding(book, way, first);
				const struck = standsIn(emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 20, unrooted: 20 }), way, book);
				expect(struck.each, `${k.id} ${way.id}`).toBe(planned.each);
				expect(struck.container, `${k.id} ${way.id}`).toBe(planned.container);
				expect(struck.count, `${k.id} ${way.id}`).toBe(Math.ceil(20 / planned.each));
			}
	});
	it('a pot that the person named is what it stands in', () => {
		const way = kind('dogwood').ways.find((w) => w.way === 'hardwood')!;
		const b = { ...emptyBatch({ id: 'b', struckOn: '2026-11-20', struck: 12, unrooted: 12 }), container: '4 L pot' };
		expect(standsIn(b, way, book)).toMatchObject({ count: 1, container: { id: 'pot-4l' } });
	});
	it('a vessel of one’s own is read by its measures, like the handbook’s', () => {
		const trough = ownContainer({
			id: 't',
			name: 'stone trough',
			vessel: { shape: 'tray', lengthCm: 60, widthCm: 30, heightCm: 15 }
		});
		const crock = ownContainer({ id: 'c', name: 'clay pot', vessel: { shape: 'round', topCm: 13, baseCm: 9, heightCm: 11.5 } });
		const own = { ...book, containers: new Map([...book.containers, ['t', trough], ['c', crock]]) };
		const way = kind('fuchsia').ways.find((w) => w.id === 'soft-tip')!;
		const b = (container: string, over = {}) => ({
			...emptyBatch({ id: 'b', struckOn: '2026-09-01', struck: 12, unrooted: 12, ...over }),
			container
		});
		const inTrough = standsIn(b('stone trough'), way, own);
		expect(inTrough).toMatchObject({ count: 1, container: { area_cm2: 1800 } });
		expect(inTrough.each).toBeGreaterThan(12);
		// Twelve potted in clay pots are twelve, as in pots of the same measures from the handbook.
		const potted = { unrooted: 0, potted: 12 };
		const printed = standsIn(b('13 cm pot', potted), way, own);
		expect(standsIn(b('clay pot', potted), way, own)).toMatchObject({ each: printed.each, count: 12 });
		const pot = book.containers.get('pot-13')!;
		expect(crock.area_cm2).toBe(pot.area_cm2);
		expect(Math.abs(crock.litres - pot.litres)).toBeLessThan(0.15);
	});
});
