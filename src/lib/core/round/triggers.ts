/**
 * What the weather asks for: bring in, cover, harden, shade, and the days that are good for cutting and
 * planting. Each with its odds, what it touches, and what it costs to be wrong either way.
 */
import { grouped } from '../grouped.js';
import { dayInYear, dayOfYear, daysRound, isoOf, sayDate, yearOf } from '../dates.js';
import { capital, sayThat } from '../odds/words.js';
import type { DayNumber } from '../dates.js';
import type { SkyOf } from './sky.js';
import type { DailyRecord } from '../season/record.js';
import type { Normals } from '../season/scenarios.js';
import { extraterrestrial, hargreaves } from '../season/water.js';
import { ROUND } from './judged.js';

export type TriggerKind = 'shelter' | 'cover' | 'harden' | 'heat' | 'damp-days' | 'rain-ahead';

/** Something that stands outdoors and may have to be moved or minded. */
export interface Outdoors {
	id: string;
	what: 'batch' | 'stock';
	placeId: string | null;
	/** Plants or pieces. */
	count: number;
	/** What they are carried in, and how many of it. */
	vessels: number;
	tray: boolean;
	/** Nights it still bears, °C, and the winter it bears in the ground. */
	limitC: number;
	hardyC: number;
	/** In pots or trays, and so can be carried in. */
	movable: boolean;
	name: string;
}

export interface Trigger {
	key: string;
	kind: TriggerKind;
	from: DayNumber;
	by: DayNumber;
	/** Chance that what is feared or hoped for comes. */
	chance: number;
	placeId: string | null;
	targets: string[];
	count: number;
	/** Of what is carried: pots, and trays. */
	pots?: number;
	trays?: number;
	minutes: number;
	say: string;
	/** What it costs to act and not have needed to; and not to act and need it. */
	ifNeedless: string;
	ifMissed: string;
}

export const ACT_AT = ROUND.actAt.value;
const CARRY = ROUND.carry.value;
const LOOK_AHEAD = ROUND.lookAhead.value;
const MINUTES_A_POT = ROUND.minutesAPot.value;
const TOGETHER = ROUND.together.value;

const plants = (n: number) => `${n} plant${n === 1 ? '' : 's'}`;

/** The first day of [from, until] on which a week ahead holds a night at the limit likelier than we risk; null if none. */
export function bringInBy(
	limitC: number,
	from: DayNumber,
	until: DayNumber,
	sky: SkyOf
): { by: DayNumber; chance: number } | null {
	for (let day = from; day <= until; day++) {
		const tonight = sky.coldNight(day, CARRY, limitC);
		if (tonight >= ACT_AT) return { by: day, chance: sky.coldNight(day, LOOK_AHEAD, limitC) };
	}
	return null;
}

/**
 * The day of the year after midsummer on which it is outdoors as warm as at a place indoors: the days when
 * moving costs fewest leaves. null where the year never cools to it.
 */
export function closestDay(normals: Normals, middle: number, indoorsC: number): number | null {
	for (let n = 0; n < 200; n++) {
		const i = (middle - 1 + n) % 365;
		if ((normals.low[i]! + normals.high[i]!) / 2 <= indoorsC) return i + 1;
	}
	return null;
}

/** Pots that will not bear the nights ahead, by place. `indoorsC` is the usual warmth of where they would go. */
export function bringIn(
	things: readonly Outdoors[],
	from: DayNumber,
	until: DayNumber,
	sky: SkyOf,
	closest: DayNumber | null,
	sayNight: (c: number) => string
): Trigger[] {
	const cold = new Map<number, { by: DayNumber; chance: number } | null>();
	const groups = new Map<string | null, { thing: Outdoors; by: DayNumber; chance: number }[]>();
	for (const thing of things) {
		if (!thing.movable || thing.count === 0) continue;
		if (!cold.has(thing.limitC)) cold.set(thing.limitC, bringInBy(thing.limitC, from, until, sky));
		const when = cold.get(thing.limitC);
		if (when) groups.set(thing.placeId, [...(groups.get(thing.placeId) ?? []), { thing, ...when }]);
	}
	return [...groups].map(([placeId, all]): Trigger => {
		// One walk for a place: what must come in within ten days of the tenderest goes along with it.
		const by = Math.min(...all.map((g) => g.by));
		const list = all.filter((g) => g.by <= by + TOGETHER);
		const chance = Math.max(...list.map((g) => g.chance));
		const limit = Math.max(...list.map((g) => g.thing.limitC));
		const count = list.reduce((s, g) => s + g.thing.count, 0);
		const carried = (tray: boolean) => list.reduce((s, g) => (g.thing.tray === tray ? s + g.thing.vessels : s), 0);
		const [pots, trays] = [carried(false), carried(true)];
		const lost = list.reduce((s, g) => s + g.thing.count * g.chance, 0);
		// The tenderest leads; what else goes on the same walk is named with what it bears.
		const kinds = [...new Map(list.map((g) => [g.thing.name, g.thing.limitC]))].sort((a, b) => b[1] - a[1]);
		const leading = kinds.filter(([, c]) => c === limit).map(([name]) => name);
		const along = kinds.filter(([, c]) => c < limit);
		const told = sky.lastTold !== null && by <= sky.lastTold;
		const ease =
			closest !== null && closest < by && closest >= from - 30
				? ' Inside and out are closest now: moving costs fewest leaves.'
				: '';
		return {
			key: `shelter:${placeId ?? 'none'}:${yearOf(by)}`,
			kind: 'shelter',
			// From when inside and outside are closest, if that comes before the cold.
			from: Math.max(from, Math.min(by - 3, closest !== null && closest < by ? closest : by - 7)),
			by,
			chance,
			placeId,
			targets: list.map((g) => g.thing.id),
			count,
			pots,
			trays,
			minutes: 3 + MINUTES_A_POT * (pots + trays),
			say: `${few(leading)}: ${sayThat(chance, `a night falls to ${sayNight(limit)} within the week`)}${told ? `, by the forecast${firstNight(limit, by, sky)}` : ', going by other years'}.${along.length ? ` On the same walk: ${few(along.map(([name, c]) => `${name} (bears ${sayNight(c)})`))}.` : ''}${ease}`,
			ifNeedless: 'a week or two of less light, and the carrying',
			ifMissed: `${lost > count - 0.1 ? '' : 'about '}${plants(Math.max(1, Math.round(lost)))} set back or lost`
		};
	});
}

const few = (names: readonly string[]): string => `${names.slice(0, 3).join(', ')}${names.length > 3 ? ' and more' : ''}`;

/** ", most likely first in the night to 23 Sep": the first that is likelier than not; blank where none is. */
function firstNight(limitC: number, from: DayNumber, sky: SkyOf): string {
	for (let day = from + 1; day < from + LOOK_AHEAD && day <= sky.lastTold!; day++)
		if (sky.coldNight(day, 1, limitC) >= 0.5) return `, first in the night to ${sayDate(isoOf(day), false)}`;
	return '';
}

/** Tonight's frost against what stands out and cannot be carried, or is only just tender. */
export function coverTonight(
	things: readonly Outdoors[],
	day: DayNumber,
	sky: SkyOf,
	sayNight: (c: number) => string
): Trigger[] {
	if (sky.lastTold === null || day > sky.lastTold) return [];
	const touched = things.filter(
		(t) => t.count > 0 && t.hardyC > sky.on(day + 1).low - 25 && sky.coldNight(day + 1, 1, t.limitC) >= ACT_AT
	);
	const covered = touched.filter((t) => !t.movable || t.limitC >= -8);
	return [...grouped(covered, (t) => t.placeId)].map(([placeId, list]) => {
		const chance = Math.max(...list.map((t) => sky.coldNight(day + 1, 1, t.limitC)));
		const limit = Math.max(...list.map((t) => t.limitC));
		const count = list.reduce((s, t) => s + t.count, 0);
		return {
			key: `cover:${placeId ?? 'none'}:${day}`,
			kind: 'cover' as const,
			from: day,
			by: day,
			chance,
			placeId,
			targets: list.map((t) => t.id),
			count,
			minutes: 4 + 0.05 * count,
			say: `${capital(sayThat(chance, `tonight falls to ${sayNight(limit)}`))}: fleece over ${[...new Set(list.map((t) => t.name))].slice(0, 3).join(', ')}.`,
			ifNeedless: 'the fleece comes off in the morning',
			ifMissed: 'soft tips blackened, the weakest lost'
		};
	});
}

export const HARDEN_DAYS = ROUND.harden.value;

/** Plants under shelter that are to go out: from when to harden them, and nights on which to pause. */
export function hardenOff(
	things: readonly (Outdoors & { plantOn: DayNumber })[],
	day: DayNumber,
	until: DayNumber,
	sky: SkyOf,
	sayNight: (c: number) => string
): Trigger[] {
	const steps = new Map<string, { step: number; on: DayNumber; list: Outdoors[] }>();
	for (const t of things) {
		const start = t.plantOn - HARDEN_DAYS;
		if (start > until || t.plantOn < day || t.count === 0) continue;
		const on = Math.max(start, day);
		const step = Math.min(HARDEN_DAYS, Math.max(1, on - start + 1));
		const key = `harden:${t.placeId ?? 'none'}:${on - step}`;
		const group = steps.get(key) ?? { step, on, list: [] };
		group.list.push(t);
		steps.set(key, group);
	}
	return [...steps].map(([key, { step, on, list }]): Trigger => {
		// The tenderest of a place decides for all that are carried together.
		const limit = Math.max(0, ...list.map((t) => t.limitC)) + 1;
		const pause = sky.coldNight(on + 1, 1, limit);
		const hours =
			step <= 3
				? 'two hours in shade'
				: step <= 6
					? 'half a day, with some sun'
					: step <= 9
						? 'all day, in at night'
						: 'day and night';
		const count = list.reduce((sum, t) => sum + t.count, 0);
		const names = [...new Set(list.map((t) => t.name))];
		return {
			key,
			kind: 'harden',
			from: on,
			by: on,
			chance: 1 - pause,
			placeId: list[0]!.placeId,
			targets: list.map((t) => t.id),
			count,
			minutes: 2 + 0.15 * count,
			say:
				pause > 0.3
					? `Pause: ${sayThat(pause, `that night falls to ${sayNight(limit)}`)}.`
					: `${names.slice(0, 3).join(', ')}${names.length > 3 ? ' and more' : ''}: day ${step} of ${HARDEN_DAYS}, ${hours}.`,
			ifNeedless: 'a few minutes a day',
			ifMissed: 'scorched leaves and a week of standing still'
		};
	});
}

const HOT_C = ROUND.hot.value;
const DRYING_MM = ROUND.drying.value;

export function heatAhead(unrooted: readonly Outdoors[], day: DayNumber, sky: SkyOf, sayDay: (c: number) => string): Trigger[] {
	const standing = unrooted.filter((t) => t.count > 0);
	if (standing.length === 0) return [];
	for (let d = day; d <= day + 2; d++) {
		const chance = sky.share(d, (m) => m.high >= HOT_C);
		const drying = sky.on(d).from !== 'usual' && sky.et0(d) >= DRYING_MM;
		if (chance === null || (chance < 0.5 && !drying)) continue;
		const count = standing.reduce((s, t) => s + t.count, 0);
		return [
			{
				key: `heat:${d}`,
				kind: 'heat',
				from: day,
				by: d,
				chance: Math.max(chance, drying ? 0.6 : 0),
				placeId: standing[0]!.placeId,
				targets: standing.map((t) => t.id),
				count,
				minutes: 6,
				say: `${sayDay(Math.max(HOT_C, Math.round(sky.on(d).high)))} or a drying day: shade what has no roots, mist morning and noon, look at the water twice.`,
				ifNeedless: 'a little light',
				ifMissed: 'wilted tips in an afternoon'
			}
		];
	}
	return [];
}

/** Dull and damp: leaves lose little, so cutting, moving and planting cost least. */
const isDull = (low: number, high: number, rain: number, et0: number) =>
	low > 1 && high < 24 && (rain >= 0.5 || et0 < 1.5) && rain < 12;

/** The best days of the week ahead to cut and to plant, as share of the forecast that is dull and damp. */
export function dampDays(day: DayNumber, sky: SkyOf): { day: DayNumber; share: number }[] {
	const days: { day: DayNumber; share: number }[] = [];
	for (let d = day; d <= day + 6; d++) {
		const share = sky.share(d, (m) => isDull(m.low, m.high, m.rain, sky.et0(d)));
		if (share !== null && share >= 0.6) days.push({ day: d, share });
	}
	return days;
}

/** Days before and after the same day of the year that count as like it. */
const ABOUT = 7;

/** How likely a day is dull and damp: share of the forecast's members, past it the share of such days in the record. */
export function dullShare(day: DayNumber, sky: SkyOf, record: DailyRecord, latitude: number): number {
	const told = sky.share(day, (m) => isDull(m.low, m.high, m.rain, sky.et0(day)));
	if (told !== null) return told;
	let [dull, all] = [0, 0];
	for (let i = 0; i < record.low.length; i++) {
		const doy = dayOfYear(record.first + i);
		if (Math.min(daysRound(doy, dayOfYear(day)), daysRound(dayOfYear(day), doy)) > ABOUT) continue;
		const [low, high, rain] = [record.low[i]!, record.high[i]!, record.rain[i]!];
		if (Number.isNaN(low + high + rain)) continue;
		all++;
		if (isDull(low, high, rain, hargreaves(low, high, extraterrestrial(latitude, doy)))) dull++;
	}
	return all === 0 ? 0 : dull / all;
}

const THAW_C = ROUND.thaw.value;

/** Rain tomorrow: what is struck where it is to grow is struck the day before. */
export function rainTomorrow(day: DayNumber, sky: SkyOf): number | null {
	// What falls in the frost lies as snow and soaks nothing.
	return sky.share(day + 1, (m) => m.rain >= 2 && m.high > THAW_C);
}

/** Is the soil fit to dig: thawed, and not sodden by the rain of the last days? In words, with the reason. */
export function soilFit(day: DayNumber, sky: SkyOf): { fit: boolean; say: string } {
	let rain = 0;
	let mean = 0;
	for (let n = 1; n <= 10; n++) {
		const d = sky.on(day - n);
		if (n <= 3) rain += d.rain - sky.et0(day - n);
		mean += (d.low + d.high) / 20;
	}
	if (mean < -2) return { fit: false, say: 'The soil is frozen.' };
	// Loam drains to field capacity within two or three days of a soaking. Common practice, no source.
	if (rain > 12)
		return { fit: false, say: `Too wet to dig after ${Math.round(rain)} mm more rain than the air took in three days.` };
	return { fit: true, say: 'The soil is fit to dig.' };
}

/** The day of this year or the next on which a day of the year comes, on or after a day. */
export const onOrAfter = (day: DayNumber, doy: number): DayNumber =>
	doy >= dayOfYear(day) ? dayInYear(yearOf(day), doy) : dayInYear(yearOf(day) + 1, doy);
