/** What a garden has of room and time, and all that grows in it: one reckoning for the plan of all wants and for that of one. */
import { inHand } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { Kept } from './kept.js';
import { forecastOf, known, stateOf } from './model.js';
import type { Model } from './model.js';
import type { Snapshot } from './snapshot.js';
import { solver } from './solver.js';
import { winterIn } from './winterPlan.js';
import type { Winter } from './winterPlan.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withLabel } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { MOST_DAYS, carrying } from '$lib/core/joint/index.js';
import type { Busy, Clash, Garden as Carried, KindYears } from '$lib/core/joint/index.js';
import { sayClash } from '$lib/core/joint/words.js';
import type { ClashSaid } from '$lib/core/joint/words.js';
import { effortOf } from '$lib/core/plan/effort.js';
import type { PlanRequest } from '$lib/core/plan/planTypes.js';
import { livesAt } from '$lib/core/plan/winter.js';
import { wantedName } from '$lib/core/ledger/wish.js';

/** What the garden has of room and time, and all that grows in it: for its plan, and for the plan of a single want. */
export function carriedBy(
	m: Model,
	snapshot: Snapshot,
	solve: Awaited<ReturnType<typeof solver>>,
	wanted: Iterable<string>
): Carried {
	const { garden } = m;
	const winter = winterIn(m, snapshot, solve);
	const busy = [...busyBatches(m, snapshot.living), ...busyStock(m, winter)];
	const of = (kindId: string): KindYears => {
		const kind = m.kinds.get(kindId)!;
		return { kind, season: m.season.usualFor(kind), years: m.season.years(kind) };
	};
	return {
		...{ today: m.today, busy, book: m.book },
		rooms: winter.open.map((p) => ({ id: p.id, kind: p.kind, cm2: p.room_cm2, dark: p.light === 'dark' })),
		lives: (kind, roomId) => {
			const at = winter.cold(roomId);
			// Young plants stand in pots.
			return livesAt({ kind, ...at, place: at.place ?? 'bench' }) ?? 0;
		},
		kinds: new Map([...new Set([...wanted, ...busy.map((b) => b.kindId)])].map((id) => [id, of(id)])),
		// Nobody who keeps plants has no time for them: none means that they have not said.
		minutesPerWeek: garden.data.minutes_per_week || Infinity,
		away: garden.data.away.map((a) => ({ from: dayNumber(a.from), to: dayNumber(a.to) }))
	};
}

/** What a batch more of a kind would find too little of, as sentences: the reckoning of the whole plan. */
export async function carriesFor(m: Model, snapshot: Snapshot, kind: Kind): Promise<PlanRequest['carries']> {
	const key = `${stateOf(m, snapshot)} ${kind.id}`;
	const { over } = await carried.waited(key, async () => ({
		over: carrying(carriedBy(m, snapshot, await solver(), [kind.id]))
	}));
	return (needs, way) =>
		over({
			...{ kind, needs, struck: true, rests: m.season.usualFor(kind).standstills(m.today, m.today + MOST_DAYS) },
			grows: (to) => way.stages.find((s) => s.to === to)?.grows ?? 'season'
		}).map((c) => ({ code: c.of === 'minutes' ? 'minutes' : 'room', sentence: clashSaid(m, snapshot, c) }));
}
const carried = new Kept<{ over: ReturnType<typeof carrying> }>(8, () => 400_000);

/** Where more is asked for than there is, for people. */
export function clashSaid(m: Model, snapshot: Snapshot, c: Clash): string {
	const on = isoOf(c.day);
	const said: ClashSaid =
		c.of === 'minutes'
			? { of: 'minutes', on, over: c.over }
			: c.of === 'age'
				? { of: 'age', want: wantName(m, snapshot, c.wantId) }
				: c.of === 'money'
					? { of: 'money', over: c.over }
					: c.of === 'ground'
						? { of: 'ground', on, place: m.places.find((p) => p.id === c.bedId)?.name ?? '' }
						: c.of === 'stock'
							? { of: 'stock', on, plant: plantName(m, snapshot, c.sourceId) }
							: { of: 'room', on, overCm2: c.over, places: c.of.map((id) => m.places.find((p) => p.id === id)?.name ?? '') };
	return sayClash(said, m.garden.units, m.garden.data.currency);
}

function wantName(m: Model, snapshot: Snapshot, id: string | undefined): string {
	const want = snapshot.wants.find((w) => w.id === id);
	return want ? `${want.target} ${wantedName(m.kinds, want)}` : 'a want';
}

function plantName(m: Model, snapshot: Snapshot, id: string | null): string {
	const stock = snapshot.stocks.find((s) => s.id === id);
	const kind = stock && m.kinds.get(stock.kind_id);
	return stock && kind ? withLabel(kind, stock.label) : 'a plant';
}

/** What living and planned batches will ask for, stage by stage; the present stage where they stand. */
function busyBatches(m: Model, living: readonly Batch[]): Busy[] {
	return living.flatMap((b): Busy[] => {
		const k = known(m, b);
		const usual = k && forecastOf(m, k).usual;
		if (!k || !usual) return [];
		const pieces = b.status === 'planned' ? b.plannedCount : inHand(b);
		const { stages } = effortOf({ walk: usual, odds: k.odds, struck: pieces, way: k.way, book: m.book });
		const winters = stages.filter((s) => s.to === 'wintered');
		return stages.map((need, i) => ({
			...{ kindId: b.kindId, winters },
			struck: i === 0 && b.status === 'planned',
			roomId: i === 0 && b.status === 'growing' ? b.placeId : null,
			grows: k.way.stages.find((s) => s.to === need.to)?.grows ?? 'season',
			need
		}));
	});
}

/** Plants of the stock that stand under a roof in winter, in the winters to come as in the next. */
function busyStock(m: Model, winter: Winter): Busy[] {
	const roofed = new Set(winter.rooms.map((p) => p.id));
	const rests = m.season.usual.standstills(m.today, m.today + MOST_DAYS);
	return winter.things.flatMap((t): Busy[] => {
		const place = winter.plan.at.get(t.id)?.place ?? null;
		if (t.what !== 'stock' || place === null || !roofed.has(place)) return [];
		return rests.map((rest) => ({
			kindId: t.kind.id,
			roomId: place,
			grows: 'season',
			struck: false,
			need: standing(rest.from, rest.to, t.areaCm2, t.count)
		}));
	});
}

const standing = (from: DayNumber, until: DayNumber, areaCm2: number, count: number): Busy['need'] => ({
	...{ to: 'wintered' as const, from, until, entering: count, container: '', open: false, containers: count, areaCm2 },
	...{ litres: 0, minutes: 0, minutesPerWeek: 0, handling: 0 }
});
