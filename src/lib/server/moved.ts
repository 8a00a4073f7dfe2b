/** Whether what is moved lives: by the book and by what this garden has moved before. */
import type { Model } from './model.js';
import { marksOf } from './marksOf.js';
import type { Snapshot } from './snapshot.js';
import type { StockRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { ballThatCan, movedAs, survives } from '$lib/core/ground/index.js';
import type { Lift, Moved, MovedBefore } from '$lib/core/ground/index.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { sayDoes } from '$lib/core/odds/words.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { sayLength } from '$lib/core/units/index.js';

const YEAR = 365;

/** The day on which it was last carried from one place in the ground to another; null where it never was. */
export function movedOn(s: StockRow, kindOfPlace: ReadonlyMap<string, string>): DayNumber | null {
	const inGround = (id: string | null) => IN_THE_GROUND.has(kindOfPlace.get(id ?? '') ?? '');
	const [before, last] = s.stays.slice(-2);
	if (!before || !last || before.placeId === last.placeId || !inGround(before.placeId) || !inGround(last.placeId)) return null;
	return dayNumber(last.from);
}

/** Plants of a sort that were moved, and lived a year or died within it. What is younger than a year tells nothing yet. */
export function movedBefore(m: Model, s: Snapshot, as: Moved): MovedBefore {
	const kindOfPlace = new Map(m.places.map((p) => [p.id, p.kind]));
	const found = { lived: 0, died: 0 };
	for (const stock of s.stocks) {
		const kind = m.kinds.get(stock.kind_id);
		const on = movedOn(stock, kindOfPlace);
		if (!kind || on === null || movedAs(kind) !== as) continue;
		const gone = stock.gone_on === null ? null : dayNumber(stock.gone_on);
		if (gone !== null && gone < on + YEAR) {
			// Given away or sold is no death.
			if (stock.gone_cause !== null) found.died += stock.count;
		} else if ((gone ?? m.today) >= on + YEAR) found.lived += stock.count;
	}
	return found;
}

export interface Fate {
	/** Chance that one lives through the first year, moved on its day; null where no day suits it. */
	lives: number | null;
	/** In sentences: what would make it surer, what would not. */
	compared: string[];
	/** Its roots are cut round, or it would gain by that. */
	cutRound: 'done' | 'gains' | null;
}

/** Roots need a growing season to branch inside the ball, and outgrow it again in two years. Common practice, no source. */
const CUT_ROUND = { from: 90, to: 2 * 366 };
/** Less is not worth a season's wait. */
const WORTH = 0.05;

export function fateOf(m: Model, s: Snapshot, t: { stock: StockRow; kind: Kind; lift: Lift | null }, on: DayNumber | null): Fate {
	const { stock, kind, lift } = t;
	const cut = marksOf(s.cares).get(`cut-round ${stock.id}`)?.done ?? null;
	const isCut = cut !== null && on !== null && on - cut >= CUT_ROUND.from && on - cut <= CUT_ROUND.to;
	const before = movedBefore(m, s, movedAs(kind));
	const odds = (over: Partial<Parameters<typeof survives>[0]>) =>
		survives({
			...{ kind, ageYears: stock.age_years, inSeason: true, before, cutRound: isCut },
			tallCm: kind.ways[0]?.gives.measure === 'height' ? stock.size_cm : null,
			...over
		});
	const say = (p: number) => sayDoes(p, stock.count === 1 ? 'it' : 'each', 'lives', 'on');
	const lives = on === null ? null : odds({});
	const cutFirst = odds({ cutRound: true });
	const gains = lives !== null && !isCut && cutFirst - lives >= WORTH;
	const two = ballThatCan(2);
	const compared = [
		lift && lift.people > 2
			? `With a ball of ${sayLength(two, m.garden.units)}, which two people can carry: ${say(odds({ ball: two / lift.acrossCm }))}.`
			: null,
		gains && cut === null ? `Roots cut round a season before: ${say(cutFirst)}.` : null,
		on !== null && on > m.today ? `Moved today, out of its season: ${say(odds({ inSeason: false }))}.` : null
	].filter((c) => c !== null);
	return { lives, compared, cutRound: cut !== null ? 'done' : gains ? 'gains' : null };
}
