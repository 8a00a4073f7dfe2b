/** Stock as its screen shows it: what it can give, when it recovers, whether it may be multiplied. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { handbook } from './handbook.js';
import { protectionOf } from '$lib/core/ledger/index.js';
import { stockPlantOf, takingsFrom } from './takings.js';
import { snapshotOf } from './snapshot.js';
import * as state from './store/state.js';
import { isoOf, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { canGive, fullYield, recoversOn } from '$lib/core/material/capacity.js';
import { withVariety } from '$lib/core/handbook/names.js';
import { isBarred, mayMultiply } from '$lib/core/material/protection.js';
import { modelOf } from './model.js';
import { frostOnStock } from './stood.js';
import { sayFrost } from '$lib/core/plan/troubleWords.js';
import { whyNever } from '$lib/core/season/windows.js';
import { wayLabel } from './windows.js';

export interface StockView extends state.StockRow {
	kindName: string;
	placeName: string;
	may: ReturnType<typeof mayMultiply>;
	/** A night that may have killed it since it was last looked over; null if none was a danger. */
	trouble: string | null;
	/** Protected without leave: it gives nothing. */
	barred: boolean;
	measure: 'height' | 'diameter' | 'pot';
	gives: {
		wayId: string;
		wayName: string;
		pieceWord: [string, string];
		now: number;
		full: number;
		then: number | null;
		open: boolean;
		opensOn: string | null;
		/** Null where it is open all the year. */
		closesOn: string | null;
		/** Why there is no such window in this garden in most years; null where there is. */
		never: string | null;
		fullAgainOn: string | null;
	}[];
	taken: { code: string; id: string; on: string; pieces: number; planned: boolean }[];
}

const LIKELY_DEAD = 0.4;

/** @param of one by its id, or some rows; all that stand, if not given */
export async function stockViews(garden: Garden, day: DayNumber, of?: string | readonly state.StockRow[]): Promise<StockView[]> {
	const db = database();
	const [m, { places, stocks: all }] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const { kinds, season } = m;
	const rows = typeof of === 'object' ? of : all.filter((s) => (of ? s.id === of : !s.gone_on));
	const batches = await state.batchesFrom(
		db,
		garden.id,
		rows.map((s) => s.id)
	);
	return rows.flatMap((s): StockView[] => {
		const kind = kinds.get(s.kind_id);
		if (!kind) return [];
		const plant = stockPlantOf(s, kind);
		const takings = takingsFrom(s, kind, batches);
		const barred = isBarred(protectionOf(s), yearOf(day));
		const frost = frostOnStock(m, s);
		// Nothing is taken of what is probably dead until somebody has looked.
		const gives = !barred && !(frost && frost.alive < LIKELY_DEAD);
		return [
			{
				...s,
				kindName: withVariety(kind),
				placeName: places.find((p) => p.id === s.place_id)?.name ?? '',
				may: mayMultiply(protectionOf(s), yearOf(day)),
				barred,
				trouble: frost && `${sayFrost(frost, s.count)}`,
				measure: kind.ways[0]!.gives.measure,
				gives: kind.ways.map((w) => {
					const way = handbook().ways.get(w.way)!;
					const window = season.usualFor(kind).openings(w.window, day, day + 400)[0];
					const allYear = season.allYear(w.window);
					const now = gives ? canGive(plant, w.gives, takings, day) : 0;
					const full = fullYield(plant, w.gives, day);
					const again = now < full && !barred ? recoversOn(plant, w.gives, takings, full, day) : null;
					return {
						wayId: w.id,
						wayName: wayLabel(kind, w),
						pieceWord: way.piece,
						now,
						full,
						open: window !== undefined && window.opens <= day && !barred,
						opensOn: window && window.opens > day ? isoOf(window.opens) : null,
						/** What it can give when its window opens. */
						then: window && window.opens > day && gives ? canGive(plant, w.gives, takings, window.opens) : null,
						closesOn: window && !allYear ? isoOf(window.closes) : null,
						never: window ? null : whyNever(w.window, garden.climate),
						fullAgainOn: again === null ? null : isoOf(again)
					};
				}),
				taken: batches
					.filter((b) => b.stockId === s.id)
					.map((b) => ({
						code: b.code,
						id: b.id,
						on: b.struckOn ?? b.plannedOn!,
						pieces: b.struckOn ? b.struck : b.plannedCount,
						planned: b.status === 'planned'
					}))
					.reverse()
			}
		];
	});
}
