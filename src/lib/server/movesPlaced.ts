/** Where all that moves is set, each kept off what stays and what has its spot already. */
import type { BedShown } from './groundBeds.js';
import type { Meant, MeantMove } from './movesMeant.js';
import type { StockRow } from './store/state.js';
import { liftOf, spotsFor, spreadNow } from '$lib/core/ground/index.js';
import type { Disk, Lift, Mover, Point } from '$lib/core/ground/index.js';
import type { Kind } from '$lib/core/handbook/schema.js';

export interface Placed extends Mover {
	stock: StockRow;
	kind: Kind;
	meant: MeantMove;
	/** Where each of it is set; fewer than there are where no more fit, or where the bed is not measured. */
	at: Point[];
	acrossM: number;
	lift: Lift | null;
}

const disks = (points: readonly Point[], acrossM: number): Disk[] => points.map(([x, y]) => ({ x, y, r: acrossM / 2 }));

export function placed(
	meant: Meant,
	beds: readonly BedShown[],
	stocks: ReadonlyMap<string, StockRow>,
	kinds: ReadonlyMap<string, Kind>
): Placed[] {
	const moving = new Set(meant.moves.map((m) => m.stock_id));
	const movers = meant.moves.map((m): Placed => {
		const stock = stocks.get(m.stock_id)!;
		const kind = kinds.get(stock.kind_id)!;
		const lift = liftOf(kind, stock);
		const acrossM = spreadNow(kind, stock) / 100;
		return {
			...{ stock, kind, meant: m, lift, acrossM, at: m.at, pots: stock.count, takesFrom: [] },
			now: { bed: stock.place_id!, disks: disks(stock.stands_at ?? [], holeOf(lift, acrossM)) },
			next: { bed: m.place_id, disks: [] }
		};
	});
	for (const m of movers) {
		const other = m.meant.takes === null ? -1 : movers.findIndex((o) => o.stock.id === m.meant.takes);
		if (other < 0) continue;
		m.takesFrom = [other];
		// The spot as it was planned, while the other still stands in it or not.
		if (m.at.length === 0 && movers[other]!.stock.place_id === m.meant.place_id)
			m.at = (movers[other]!.stock.stands_at ?? []).slice(0, m.stock.count);
	}
	for (const bed of beds) {
		if (!bed.ground) continue;
		const of = (moves: boolean) => bed.stands.filter((s) => moving.has(s.id) === moves).flatMap((s) => disks(s.at, s.acrossM));
		const [stays, leaves] = [of(false), of(true)];
		const here = movers.filter((m) => m.meant.place_id === bed.id);
		const set = (m: Placed) => m.meant.takes !== null || m.at.length >= m.stock.count;
		const given = here.filter(set).flatMap((m) => disks(m.at, m.acrossM));
		for (const m of here.filter((x) => !set(x)).sort((a, b) => b.acrossM - a.acrossM)) {
			const apart = m.kind.size.spacing_cm / 100;
			m.at = spotsFor({
				...{ ground: bed.ground, count: m.stock.count, apart, half: apart / 2, near: m.at[0] },
				...{ keepOff: [...stays, ...given], leaves }
			});
			given.push(...disks(m.at, m.acrossM));
		}
	}
	for (const m of movers) m.next = { ...m.next, disks: disks(m.at, holeOf(m.lift, m.acrossM)) };
	return movers;
}

/** As wide as its hole is dug, m. */
const holeOf = (lift: Lift | null, acrossM: number): number => (lift ? lift.acrossCm / 100 : acrossM);
