/** In what order do things move? What stands in the ground, where each is to go, and the moves that get it there. */
import type { Garden } from './context.js';
import { kindsOf } from './context.js';
import { modelOf } from './model.js';
import { snapshotOf } from './snapshot.js';
import type { PlaceRow, StockRow } from './store/state.js';
import { isoOf } from '$lib/core/dates.js';
import type { DayNumber, IsoDate } from '$lib/core/dates.js';
import { HOLD, liftOf, orderMoves } from '$lib/core/ground/index.js';
import { withLabel } from '$lib/core/handbook/schema.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { plantingDay } from '$lib/core/plan/walk.js';

/** Where one is to go: to a free spot of a bed, or to where another stands. */
export interface Going {
	stock: string;
	to: { bed: string } | { at: string };
}

export interface Step {
	stock: string;
	name: string;
	count: number;
	from: string;
	to: string;
	/** It waits in the holding ground; it comes out of it. */
	holds: boolean;
	held: boolean;
	/** Who stood there. */
	after: string | null;
	/** The bed where it ends by this step, to be logged; null where it waits, or stays in its bed. */
	place: string | null;
	lift: { acrossCm: number; kg: number; people: number } | null;
	/** The first day that suits it. */
	from_day: IsoDate | null;
}

const nameOf = (s: StockRow, kinds: ReadonlyMap<string, Kind>) => withLabel(kinds.get(s.kind_id)!, s.label);

/** The first day that suits all of them, from a day on; null where there is none within a year and a half. */
function dayForAll(kinds: readonly Kind[], from: DayNumber, season: Parameters<typeof plantingDay>[2]): DayNumber | null {
	let day = from;
	while (day <= from + 550) {
		const opens = kinds.map((k) => plantingDay(k, day, season));
		if (opens.includes(null)) return null;
		const last = opens.reduce<number>((a, b) => Math.max(a, b!), day);
		if (last === day) return day;
		day = last;
	}
	return null;
}

/** "stock~bed:place" or "stock~at:stock" of those that are there; anything else is left out. */
function goingOf(asked: readonly string[], stocks: ReadonlyMap<string, StockRow>, beds: ReadonlyMap<string, PlaceRow>): Going[] {
	return asked.flatMap((text): Going[] => {
		const [, stock, how, id] = /^([0-9a-f-]{36})~(bed|at):([0-9a-f-]{36})$/.exec(text) ?? [];
		if (!stock || !id || !stocks.has(stock)) return [];
		if (how === 'bed') return beds.has(id) ? [{ stock, to: { bed: id } }] : [];
		return stocks.has(id) && id !== stock ? [{ stock, to: { at: id } }] : [];
	});
}

export async function movesPlanned(garden: Garden, asked: readonly string[]) {
	const [{ places, stocks }, kinds, m] = await Promise.all([snapshotOf(garden.id), kindsOf(garden), modelOf(garden)]);
	const beds = new Map(places.filter((p) => !p.closed && IN_THE_GROUND.has(p.kind)).map((p) => [p.id, p]));
	const standing = new Map(stocks.filter((s) => !s.gone_on && s.place_id && beds.has(s.place_id)).map((s) => [s.id, s]));
	const going = goingOf(asked, standing, beds);
	const bedOf = (id: string) => beds.get(standing.get(id)!.place_id!)!;
	const shown = {
		stocks: [...standing.values()].map((s) => ({ id: s.id, name: nameOf(s, kinds), count: s.count, bed: bedOf(s.id).name })),
		beds: [...beds.values()].map((p) => ({ id: p.id, name: p.name })),
		asked: Object.fromEntries(going.map((g) => [g.stock, 'bed' in g.to ? `bed:${g.to.bed}` : `at:${g.to.at}`]))
	};
	const none = { ...shown, steps: [] as Step[], mostHeld: 0, day: null as IsoDate | null, wrong: null as string | null };
	if (going.length === 0) return none;
	const moves = new Map(going.map((g) => [g.stock, g]));
	const stays = going.find((g) => 'at' in g.to && !moves.has(g.to.at));
	if (stays && 'at' in stays.to)
		return {
			...none,
			wrong: `${nameOf(standing.get(stays.stock)!, kinds)} goes where ${nameOf(standing.get(stays.to.at)!, kinds)} stands: say where that goes.`
		};
	// A spot is where one stands now, or a free one of a bed, for whoever goes to it.
	const spotOf = (g: Going) => ('at' in g.to ? `s ${g.to.at}` : `f ${g.stock}`);
	const order = orderMoves({
		beds: [...going.map((g) => `s ${g.stock}`), ...going.filter((g) => 'bed' in g.to).map(spotOf)],
		start: Object.fromEntries(going.map((g) => [g.stock, `s ${g.stock}`])),
		target: Object.fromEntries(going.map((g) => [g.stock, spotOf(g)])),
		parking: 'holding'
	});
	if (!order.ok) return { ...none, wrong: 'Two of them can’t go to one spot: give one of them another.' };
	const season = m.season.usual;
	const steps = order.value.moves.map(({ plant, from, to }): Step => {
		const s = standing.get(plant)!;
		const kind = kinds.get(s.kind_id)!;
		const goal = moves.get(plant)!.to;
		const at = 'at' in goal ? standing.get(goal.at)! : null;
		const bed = at ? bedOf(at.id) : beds.get((goal as { bed: string }).bed)!;
		const holds = to === HOLD;
		const opens = plantingDay(kind, m.today, season);
		return {
			...{ stock: plant, name: nameOf(s, kinds), count: s.count },
			from: bedOf(plant).name,
			to: bed.name,
			...{ holds, held: from === HOLD },
			after: at && !holds ? nameOf(at, kinds) : null,
			place: holds || bed.id === s.place_id ? null : bed.id,
			lift: liftOf(kind, s),
			from_day: opens === null ? null : isoOf(opens)
		};
	});
	const day = dayForAll(
		going.map((g) => kinds.get(standing.get(g.stock)!.kind_id)!),
		m.today,
		season
	);
	let [held, mostHeld] = [0, 0];
	for (const s of steps) {
		held += s.holds ? s.count : s.held ? -s.count : 0;
		mostHeld = Math.max(mostHeld, held);
	}
	return { ...none, steps, mostHeld, day: day === null ? null : isoOf(day) };
}
