/** Work that frost leaves behind: stock to be looked at, tubers to be lifted. */
import { task } from './roundTask.js';
import type { RoundTask } from './roundTask.js';
import { carriedOf, liftedAfterFrost } from './roundTriggers.js';
import type { RoundWorld } from './roundWorld.js';
import { frostOnStock } from './stood.js';
import { dayInYear, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withLabel } from '$lib/core/handbook/names.js';
import { sayFrost } from '$lib/core/plan/troubleWords.js';
import { ROUND } from '$lib/core/round/judged.js';
import { asksFrom } from '$lib/core/round/marks.js';

/** Stock that a night may have killed since it was last looked over. */
export function frostLooks(w: RoundWorld): RoundTask[] {
	return w.stocks.flatMap((s): RoundTask[] => {
		const frost = frostOnStock(w.model, s);
		const kind = w.kinds.get(s.kind_id);
		if (!kind || !frost || frost.alive >= ROUND.askBelow.value) return [];
		const from = asksFrom('frost-look', frost.on + 1, w.marks('frost-look', s.id), 7);
		return [
			task({
				key: `frost-look:${s.id}:${frost.on}`,
				work: 'frost-look',
				title: `Look whether ${s.count === 1 ? '' : `${s.count} `}${withLabel(kind, s.label)} ${s.count === 1 ? 'lives' : 'live'}`,
				from,
				by: Math.max(from, frost.on + 4),
				late: false,
				placeId: s.place_id,
				targets: [s.id],
				link: `stock/${s.id}`,
				count: s.count,
				minutes: 2,
				why: `${sayFrost(frost, s.count)} Green under the bark where you scratch it is alive.`
			})
		];
	});
}

/** A frost that blackens tops, °C in the air, and how long after it tubers may stay in the ground. */
const BLACKENS_C = -1;
const LIFT_WITHIN = 14;
/** So far back a first frost is looked for. */
const LOOKED_BACK = 60;

/** Tubers that come out when the first frost has been: by what was observed, else by its usual day. */
export function liftings(w: RoundWorld, day: DayNumber): RoundTask[] {
	return w.stocks.flatMap((s): RoundTask[] => {
		const kind = w.kinds.get(s.kind_id);
		if (!kind || s.gone_on || !liftedAfterFrost(w, s)) return [];
		const frost = firstFrostBy(w, day);
		if (frost === null) return [];
		const from = asksFrom('lift', frost, w.marks('lift', s.id), 7);
		return [
			task({
				key: `lift:${s.id}:${yearOf(frost)}`,
				work: 'lift',
				title: `Lift ${s.count} ${withLabel(kind, s.label)}`,
				from,
				by: Math.max(from, frost + LIFT_WITHIN),
				late: false,
				placeId: s.place_id,
				targets: [s.id],
				link: `stock/${s.id}`,
				count: s.count,
				minutes: 5 * s.count,
				why: `The first frost has blackened the tops: cut them down, lift before the ground freezes. ${kind.winter.say}`,
				carried: carriedOf(w, [s.id]),
				log: 'bring'
			})
		];
	});
}

/** The autumn's first blackening frost up to a day; the usual day of the first frost where nobody measured. */
function firstFrostBy(w: RoundWorld, day: DayNumber): DayNumber | null {
	const { climate } = w.garden;
	if (!climate.firstFrost) return null;
	const usual = [-1, 0].map((n) => dayInYear(yearOf(day) + n, climate.firstFrost!.doy)).findLast((d) => d - LOOKED_BACK <= day);
	if (usual === undefined || day > usual + LOOKED_BACK) return null;
	for (let d = usual - LOOKED_BACK; d < Math.min(day, usual + LOOKED_BACK); d++) {
		const { low, from } = w.season.sky.on(d);
		if (from === 'observed' && low <= BLACKENS_C) return d + 1;
	}
	const seen = w.season.sky.on(day - 1).from === 'observed';
	return !seen && day >= usual ? usual : null;
}
