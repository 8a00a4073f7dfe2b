/** The ground on the round: moves whose day comes, roots to be cut round before, and looks and water after. */
import { movedOn } from './moved.js';
import type { MovesOrdered, Step } from './movesView.js';
import { task } from './roundTask.js';
import type { RoundTask } from './roundTask.js';
import { WEEK } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import type { StockRow } from './store/state.js';
import { named } from './winterWords.js';
import { dayNumber, isoOf, sayDate } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { liftOf, spreadNow, wantsWater } from '$lib/core/ground/index.js';
import { withLabel } from '$lib/core/handbook/names.js';
import { asksFrom } from '$lib/core/round/marks.js';
import { soilFit } from '$lib/core/round/triggers.js';
import { sayVolume } from '$lib/core/units/index.js';

/** All steps of one day at one place are one piece of work. */
function movesDue(w: RoundWorld, order: MovesOrdered, day: DayNumber): RoundTask[] {
	const groups = new Map<string, { on: DayNumber; steps: Step[] }>();
	for (const s of order.steps) {
		if (s.on === null) continue;
		const on = Math.max(day, dayNumber(s.on));
		const key = `${on} ${s.from}`;
		const group = groups.get(key);
		if (group) group.steps.push(s);
		else groups.set(key, { on, steps: [s] });
	}
	return [...groups.values()].flatMap(({ on, steps }): RoundTask[] => {
		const stocks = [...new Set(steps.map((s) => s.stock))];
		const id = stocks[0]!;
		const from = asksFrom('move', on, w.marks('move', id));
		const count = steps.reduce((n, s) => (s.does === 'out' ? n : n + s.count), 0);
		const dry = day === on ? soilFit(day, w.season.sky) : null;
		return [
			task({
				key: `move:${id}:${on}`,
				work: 'move',
				title: `Move ${count === 1 ? 'a plant' : count > 1 ? `${count} plants` : 'what waits'} from ${steps[0]!.from}`,
				from,
				by: Math.max(from, on + 6),
				late: false,
				placeId: w.stocks.find((s) => s.id === id)?.place_id ?? null,
				targets: stocks,
				link: 'ground/moves',
				count: Math.max(1, count),
				minutes: steps.reduce((n, s) => n + s.minutes, 0),
				why: `${named(stocks.map((x) => steps.find((s) => s.stock === x)!.name))}, to ${named([...new Set(steps.map((s) => s.to))])}. The hole first; straight there.${dry && !dry.fit ? ` ${dry.say} Put it off.` : ''}`
			})
		];
	});
}

/** Who would gain by it is cut round while a growing season still lies before its move. */
function cutRounds(w: RoundWorld, order: MovesOrdered, day: DayNumber): RoundTask[] {
	return order.fates.flatMap((f): RoundTask[] => {
		if (f.cutRound !== 'gains') return [];
		const step = order.steps.find((s) => s.stock === f.stock);
		const stock = w.stocks.find((s) => s.id === f.stock);
		if (!step?.on || !stock || dayNumber(step.on) - day < CUT_AHEAD) return [];
		const from = asksFrom('cut-round', day, w.marks('cut-round', f.stock), 30);
		return [
			task({
				key: `cut-round:${f.stock}`,
				work: 'cut-round',
				title: `Cut round the roots of ${f.name}`,
				from,
				by: Math.max(from, dayNumber(step.on) - CUT_AHEAD),
				late: false,
				placeId: stock.place_id,
				targets: [f.stock],
				link: 'ground/moves',
				count: stock.count,
				minutes: 15 * stock.count,
				why: `It moves about ${sayDate(step.on, false)}: roots that are cut now with a sharp spade, all round where the ball will be, branch inside it. Water it well after.`,
				log: 'tap'
			})
		];
	});
}
/** Days before the move at least. Common practice, no source. */
const CUT_AHEAD = 90;

/** After how many days what was moved is looked at: in 4 weeks, in half a year, after a year. Common practice, no source. */
const LOOKS = [28, 180, 365] as const;

/** What was moved within the last year, with its day. */
function moved(w: RoundWorld): { s: StockRow; on: DayNumber }[] {
	const kindOf = new Map(w.places.map((p) => [p.id, p.kind]));
	return w.stocks.flatMap((s) => {
		const on = s.gone_on ? null : movedOn(s, kindOf);
		return on === null ? [] : [{ s, on }];
	});
}

const nameOf = (w: RoundWorld, s: StockRow): string => withLabel(w.kinds.get(s.kind_id)!, s.label);

function looksAfter(w: RoundWorld, day: DayNumber): RoundTask[] {
	return moved(w).flatMap(({ s, on }): RoundTask[] => {
		const done = Math.max(w.marks('moved-look', s.id)?.done ?? -Infinity, dayNumber(s.told_on));
		// The last look that should have been by now, else the next one to come.
		const next = LOOKS.map((d) => on + d).filter((d) => d > done && (d >= day - 60 || d === on + LOOKS.at(-1)!))[0];
		if (next === undefined || next > day + WEEK || next < day - 400) return [];
		const from = asksFrom('moved-look', next, w.marks('moved-look', s.id), 14);
		const name = nameOf(w, s);
		return [
			task({
				key: `moved-look:${s.id}:${next}`,
				work: 'moved-look',
				title: `See whether ${s.count === 1 ? 'the' : `${s.count}`} ${name} took after the move`,
				from,
				by: from + 14,
				late: false,
				placeId: s.place_id,
				targets: [s.id],
				link: `stock/${s.id}`,
				count: s.count,
				minutes: 2,
				why: `Moved ${sayDate(isoOf(on), false)}. Firm in what the frost or the wind has lifted. One tap if it lives; if it died, say so on its page: later moves are told by it.`,
				log: 'tap'
			})
		];
	});
}

/** Its first season, what was moved drinks from its own ball alone. */
function waterAfter(w: RoundWorld, day: DayNumber): RoundTask[] {
	const thirsty = moved(w).flatMap(({ s, on }) => {
		if (day > on + 365) return [];
		const kind = w.kinds.get(s.kind_id)!;
		const lift = liftOf(kind, s);
		const ballCm = lift?.acrossCm ?? Math.min(60, spreadNow(kind, s));
		const since = Math.max(on, w.marks('water-moved', s.id)?.done ?? -Infinity);
		if (w.season.usual.standstills(day, day).length > 0) return [];
		const wants = wantsWater(ballCm, since, day, w.season.sky);
		return wants && wants.on <= day + WEEK ? [{ s, ...wants }] : [];
	});
	const places = new Map<string, typeof thirsty>();
	for (const t of thirsty) places.set(t.s.place_id!, [...(places.get(t.s.place_id!) ?? []), t]);
	return [...places].map(([placeId, all]): RoundTask => {
		const on = Math.max(day, Math.min(...all.map((t) => t.on)));
		const from = asksFrom('water-moved', on, w.marks('water-moved', all[0]!.s.id), 3);
		const litres = all.reduce((n, t) => n + t.litres * t.s.count, 0);
		const count = all.reduce((n, t) => n + t.s.count, 0);
		return task({
			key: `water-moved:${placeId}:${on}`,
			work: 'water-moved',
			title: `Water ${count === 1 ? 'the plant that was' : `${count} plants that were`} moved, about ${sayVolume(litres, w.garden.units)}`,
			from,
			by: from + 2,
			late: false,
			placeId,
			targets: all.map((t) => t.s.id),
			link: `ground/${placeId}`,
			count,
			minutes: Math.max(3, Math.ceil(litres / 5)),
			why: `${named(all.map((t) => nameOf(w, t.s)))}: by the rain and the heat since ${sayDate(isoOf(Math.min(...all.map((t) => t.since))), false)}, the ball is dry. Slowly, at the stem.`,
			log: 'tap'
		});
	});
}

export function groundTasks(w: RoundWorld, day: DayNumber): RoundTask[] {
	const order = w.moves();
	return [
		...(order ? [...movesDue(w, order, day), ...cutRounds(w, order, day)] : []),
		...looksAfter(w, day),
		...waterAfter(w, day)
	];
}
