/** Winter on the round: the weekly look at stock that was brought in, shelters on their way to a limit, and out again. */
import { task } from './roundTask.js';
import type { RoundTask } from './roundTask.js';
import { HORIZON, WEEK } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import type { Carried } from './roundTriggers.js';
import type { StockRow } from './store/state.js';
import { LIKELIEST, named } from './winterWords.js';
import { dayNumber, isoOf, sayDate } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { withLabel, withVariety } from '$lib/core/handbook/names.js';
import { capital, sayThat } from '$lib/core/odds/words.js';
import { asksFrom } from '$lib/core/round/marks.js';
import { bodyOf, daysToDry, fallsTo, outOn } from '$lib/core/shelter/index.js';
import { SHELTER } from '$lib/core/shelter/judged.js';
import { bearsByNow } from './stood.js';
import { potAcrossOf } from './winterPlan.js';
import { HARDEN_DAYS } from '$lib/core/round/triggers.js';
import type { Outdoors } from '$lib/core/round/triggers.js';
import { sayTemperature } from '$lib/core/units/index.js';

/** Stock under a roof that would not stand the winter outside, by place. */
export function wintering(w: RoundWorld): Map<string, StockRow[]> {
	const roofed = new Map(w.places.filter((p) => !p.closed && bodyOf(p) !== null).map((p) => [p.id, p]));
	const by = new Map<string, StockRow[]>();
	for (const s of w.stocks) {
		const kind = w.kinds.get(s.kind_id);
		if (!kind || s.gone_on || !s.place_id || !roofed.has(s.place_id)) continue;
		if (kind.hardiness_c.v <= w.garden.climate.coldestC) continue;
		by.set(s.place_id, [...(by.get(s.place_id) ?? []), s]);
	}
	return by;
}

const LOOK_DAYS = 7;
/** What rests in the dark, dry or nearly so, is looked over once a month. Common practice, no source. */
const STORED_DAYS = 28;

/** What was brought in is looked over: once a week in the light, once a month in the dark. */
export function stockLooks(w: RoundWorld, day: DayNumber): RoundTask[] {
	const rest = w.season.usual.standstills(day, day + HORIZON)[0];
	if (!rest || rest.from > day + WEEK) return [];
	return [...wintering(w)].flatMap(([placeId, stocks]): RoundTask[] => {
		const place = w.places.find((p) => p.id === placeId)!;
		const dark = place.light === 'dark';
		const every = dark ? STORED_DAYS : LOOK_DAYS;
		const due = stocks
			.map((s) => {
				const last = w.marks('winter-look', s.id)?.done ?? dayNumber(s.stays.at(-1)?.from ?? s.told_on);
				return { s, on: asksFrom('winter-look', Math.max(rest.from, last + every), w.marks('winter-look', s.id), every) };
			})
			.filter((d) => d.on <= day + WEEK && d.on < rest.to);
		if (due.length === 0) return [];
		const on = Math.max(day, Math.min(...due.map((d) => d.on)));
		const shelter = w.model.shelter(placeId)!;
		const { low, high } = shelter.day(on);
		const waits = due.map(({ s }) => daysToDry(potAcrossOf(s), (low + high) / 2)).filter((d) => d > 0);
		const [least, most] = [Math.min(...waits), Math.max(...waits)].map((d) => Math.max(1, Math.round(d / 7)));
		const weeks = least === most ? (least === 1 ? 'every week' : `every ${least} weeks`) : `every ${least} to ${most} weeks`;
		const pots = due.reduce((n, { s }) => n + s.count, 0);
		return [
			task({
				key: `winter-look:${placeId}:${on}`,
				work: 'winter-look',
				title: `Look over ${pots === 1 ? 'the plant' : `${pots} plants`} kept for the winter`,
				from: on,
				by: on + 6,
				late: false,
				placeId,
				targets: due.map(({ s }) => s.id),
				link: 'shelter',
				count: pots,
				minutes: 2 + pots,
				why: `${named(due.map(({ s }) => withVariety(w.kinds.get(s.kind_id)!)))}. Water only what is dry a finger deep: about ${weeks} in there. No feed. ${
					dark
						? 'Out with what is soft or mouldy; nothing should shoot yet.'
						: 'Off with yellow leaves; look under the rest for mites and whitefly.'
				}`,
				every,
				log: 'tap'
			})
		];
	});
}

/** Shelters that the nights ahead bring to what stands in them bears, while there is time to do something. */
export function coldInside(w: RoundWorld, day: DayNumber): RoundTask[] {
	const roofed = w.places.filter((p) => !p.closed && bodyOf(p) !== null);
	if (roofed.length === 0) return [];
	return roofed.flatMap((place): RoundTask[] => {
		const ahead = w.model.shelter(place.id)?.ahead();
		// Warmer than any plant minds: nobody need be asked what stands there.
		if (!ahead || ahead.coldest[0]! > SHELTER.mindsNone.value) return [];
		const things = w.winter().things.filter((t) => t.placeId === place.id);
		const bears = new Map(things.map((t) => [t.id, bearsByNow(w.model, t.kind, place.id)]));
		const endangered = things.filter((t) => fallsTo(ahead, bears.get(t.id)!) >= SHELTER.alarm.value);
		if (endangered.length === 0) return [];
		const limit = Math.max(...endangered.map((t) => bears.get(t.id)!));
		const chance = fallsTo(ahead, limit);
		const night = ahead.nights.findIndex(([cold]) => cold <= limit);
		const on = ahead.first + Math.max(0, night);
		const mark = endangered.map((t) => w.marks('cold-inside', t.id)?.done ?? -Infinity);
		const from = asksFrom('cold-inside', Math.max(day, Math.min(...mark) + LIKELIEST), w.marks('cold-inside', endangered[0]!.id));
		if (from > day + WEEK) return [];
		const say = (c: number) => sayTemperature(c, w.garden.units);
		const warmer = roofed
			.filter((p) => p.id !== place.id)
			.map((p) => ({ p, low: w.model.shelter(p.id)!.ahead()?.nights[Math.max(0, night)]?.[0] ?? -Infinity }))
			.filter((x) => x.low > limit + 2)
			.sort((a, b) => b.low - a.low)[0];
		const tonight = on <= day + 1;
		return [
			task({
				key: `cold-inside:${place.id}:${on}`,
				work: 'cold-inside',
				title: `${place.name} is getting too cold for ${named(endangered.map((t) => t.name))}`,
				from: Math.max(day, Math.min(from, on)),
				by: Math.max(day, on - 1),
				late: false,
				placeId: place.id,
				targets: endangered.map((t) => t.id),
				link: 'shelter',
				count: endangered.reduce((n, t) => n + t.vessels, 0),
				minutes: 5 + endangered.length,
				chance,
				why: `${capital(sayThat(chance, `it falls to the ${say(limit)} that ${endangered.length === 1 ? 'it bears' : 'they bear'} in there by now`))}, ${
					tonight ? 'tonight perhaps' : `the first time perhaps on the night to ${sayDate(isoOf(on), false)}`
				}. Shut what is open first, then fleece down to the floor.${warmer ? ` Warmest for the tenderest: ${warmer.p.name}, about ${say(warmer.low)} at its coldest then.` : ''}`,
				ifNeedless: 'a few minutes and some fleece',
				ifMissed: 'what is tender in there',
				log: 'tap'
			})
		];
	});
}

/** What is still in so many days after the rest is asked about no more: it lives there. */
const LEFT_IN = 120;
/** Stock that was brought in, with the day on which it may go out for good: hardened off by degrees before. */
export function goingOut(w: RoundWorld, day: DayNumber): (Outdoors & { plantOn: DayNumber })[] {
	const rest = w.season.usual.standstills(day - LEFT_IN, day + HORIZON)[0];
	// In autumn nothing goes out: only from the last weeks of the rest on.
	if (!rest || day < rest.to - HORIZON) return [];
	const days = new Map<number, DayNumber | null>();
	return [...wintering(w)].flatMap(([placeId, stocks]) =>
		stocks.flatMap((s): (Outdoors & { plantOn: DayNumber })[] => {
			const kind = w.kinds.get(s.kind_id)!;
			const limit = kind.winter.limit_c;
			if (!days.has(limit)) days.set(limit, outOn(limit, Math.max(day, rest.to - HORIZON), HORIZON * 2, w.season.sky));
			const plantOn = days.get(limit);
			if (plantOn === null || plantOn === undefined) return [];
			return [
				{
					...{ id: s.id, what: 'stock' as const, placeId, count: s.count, vessels: s.count, tray: false, movable: true },
					...{ limitC: limit, hardyC: kind.hardiness_c.v, name: kind.common, plantOn }
				}
			];
		})
	);
}

/** Weeks before it goes out that what rested is woken. Common practice, no source. */
const WAKE_DAYS = 49;

/** Late winter: cut, divide, wake by warmth and water, pinch. */
export function waking(w: RoundWorld, day: DayNumber): RoundTask[] {
	const due = goingOut(w, day).filter((o) => o.plantOn - WAKE_DAYS <= day + WEEK && o.plantOn - HARDEN_DAYS > day);
	const by = new Map<string, typeof due>();
	for (const o of due) if (w.marks('wake', o.id)?.done == null || w.marks('wake', o.id)!.done! < day - 200) by.set(o.placeId!, [...(by.get(o.placeId!) ?? []), o]); // prettier-ignore
	return [...by].map(([placeId, all]) => {
		const place = w.places.find((p) => p.id === placeId)!;
		const on = Math.min(...all.map((o) => o.plantOn)) - WAKE_DAYS;
		const from = asksFrom('wake', Math.max(day, on), w.marks('wake', all[0]!.id));
		const pots = all.reduce((n, o) => n + o.count, 0);
		return task({
			key: `wake:${placeId}:${on}`,
			work: 'wake',
			title: `Wake ${named(all.map((o) => o.name))}`,
			from,
			by: from + 14,
			late: false,
			placeId,
			targets: all.map((o) => o.id),
			link: 'shelter',
			count: pots,
			minutes: 6 * pots,
			why: `They go out in about ${Math.max(1, Math.round((all[0]!.plantOn - day) / 7))} weeks. Cut back to sound wood, divide what fills its pot, ${
				place.light === 'dark'
					? `bring them to light and about ${sayTemperature(13, w.garden.units)}`
					: 'give them the best light there is'
			}, water a little more each week, and pinch what shoots at three pairs of leaves. The trimmings root.`,
			log: 'tap'
		});
	});
}

/** To where it stood last under the sky. */
function carriedOut(w: RoundWorld, id: string): Carried {
	const s = w.stocks.find((x) => x.id === id)!;
	const kind = w.kinds.get(s.kind_id)!;
	const outside = new Set(w.places.filter((p) => !p.closed && bodyOf(p) === null).map((p) => p.id));
	return {
		...{ id, full: null, limitC: kind.winter.limit_c, bears: sayTemperature(kind.winter.limit_c, w.garden.units) },
		name: withLabel(kind, s.label),
		to: s.stays.findLast((stay) => outside.has(stay.placeId ?? ''))?.placeId ?? null
	};
}

/** Out for good: carried where it spends the summer. */
export function outForGood(w: RoundWorld, day: DayNumber): RoundTask[] {
	const out = goingOut(w, day).filter((o) => o.plantOn <= day + WEEK);
	const by = new Map<string, typeof out>();
	for (const o of out) by.set(o.placeId!, [...(by.get(o.placeId!) ?? []), o]);
	return [...by].map(([placeId, all]) => {
		const on = Math.max(...all.map((o) => o.plantOn));
		const from = asksFrom('take-out', Math.max(day, on), w.marks('take-out', all[0]!.id));
		return task({
			key: `take-out:${placeId}:${on}`,
			work: 'take-out',
			title: `Take ${named(all.map((o) => o.name))} out for the summer`,
			from,
			by: from + 10,
			late: false,
			placeId,
			targets: all.map((o) => o.id),
			link: 'shelter',
			count: all.reduce((n, o) => n + o.count, 0),
			minutes: 3 * all.length,
			why: 'Hardened off by degrees before, and no night ahead is likely to be too cold for them. Look under the leaves, water, and keep fleece by for a late one.',
			log: 'out' as const,
			carried: all.map((o) => carriedOut(w, o.id))
		});
	});
}
