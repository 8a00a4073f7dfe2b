/** How tall a young woody plant stands by a day, and how big the ball is that it is lifted with. */
import { scaleLinear } from 'd3-scale';
import type { DayNumber } from '../dates.js';
import type { Cut } from '../handbook/benchSchema.js';
import type { Kind } from '../handbook/schema.js';
import { growthDays } from '../season/season.js';
import type { Season } from '../season/season.js';
import { PLAN } from './judged.js';

/** Climbers go as high as what they climb on. */
const WOODY = ['evergreen shrub', 'deciduous shrub', 'tree'] as const;
type Woody = (typeof WOODY)[number];
type Growing = Pick<Kind, 'habit' | 'size'>;

const isWoody = (habit: Kind['habit']): habit is Woody => (WOODY as readonly string[]).includes(habit);
const KEY = { 'evergreen shrub': 'evergreen', 'deciduous shrub': 'deciduous', tree: 'tree' } as const;

/** What a young plant adds to its height in a year of growth, cm: the kind's own figure, else a share of its full height. */
export function shootOf(kind: Growing): number | null {
	if (!isWoody(kind.habit)) return null;
	if (kind.size.shoot_cm !== undefined) return kind.size.shoot_cm;
	const key = KEY[kind.habit];
	return Math.min(PLAN.shootShare.value[key] * kind.size.height_cm, PLAN.shootMost.value[key]);
}

/** What of a piece stands above the surface when it is set, cm; null where its length is not told. */
export function setHeight(cut: Pick<Cut, 'cm' | 'deep' | 'draws'>): number | null {
	if (!cut.cm) return null;
	return cut.draws === 'stem' || cut.draws === 'rod' ? cut.cm[1] * (1 - cut.deep) : cut.cm[1];
}

const YEAR = 365.25;

export interface TallOf {
	kind: Growing;
	cut: Pick<Cut, 'cm' | 'deep' | 'draws'>;
	/** Day on which it has rooted: before that it does not grow. */
	rooted: DayNumber;
	season: Pick<Season, 'standstills'>;
}

/**
 * Usual height on a day, cm, left to grow: the year's shoot at first, less as it nears its full height (monomolecular
 * growth, dh/dt = k (H − h)), and none while growth outdoors rests. Null where that is no measure of the plant:
 * clumps, tubers and tender
 * plants reach their size within the year, climbers go where they are led.
 */
export function tallOn({ kind, cut, rooted, season }: TallOf, day: DayNumber): number | null {
	const [shoot, start] = [shootOf(kind), setHeight(cut)];
	if (shoot === null || start === null) return null;
	const full = kind.size.height_cm;
	if (start >= full) return full;
	const ayear = growthDays(season, rooted, rooted + YEAR);
	const years = ayear > 0 ? growthDays(season, rooted, day) / ayear : 0;
	return full - (full - start) * Math.exp((-shoot / full) * years);
}

/**
 * Days of growth outdoors that it takes from rooting to stand so tall, left to grow: the same growth as `tallOn`, the
 * other way round. 0 where it is set so tall, Infinity where it never is, null where height is no measure of the kind.
 */
export function growthUntil(cm: number, { kind, cut, rooted, season }: TallOf): number | null {
	const shoot = shootOf(kind);
	if (shoot === null) return null;
	// A piece whose length nobody tells is counted from the ground up.
	const start = setHeight(cut) ?? 0;
	const full = kind.size.height_cm;
	if (start >= cm) return 0;
	if (cm >= full) return Infinity;
	return (full / shoot) * Math.log((full - start) / (full - cm)) * growthDays(season, rooted, rooted + YEAR);
}

/** Height at the end of each year's growth between rooting and a day, the oldest first; on the day of the year where nothing rests. */
export function tallByYear(t: TallOf, until: DayNumber): { on: DayNumber; cm: number }[] {
	const rests = t.season.standstills(t.rooted, until);
	const ends = rests.length
		? rests.map((r) => r.from)
		: Array.from({ length: Math.floor((until - t.rooted) / YEAR) }, (_, i) => Math.round(t.rooted + (i + 1) * YEAR));
	return ends
		.filter((on) => on > t.rooted && on <= until)
		.flatMap((on) => {
			const cm = tallOn(t, on);
			return cm === null ? [] : [{ on, cm }];
		});
}

const balls = Object.entries(PLAN.ball.value).map(([tall, ball]) => [Number(tall), ball] as const);
const ballFor = scaleLinear(
	balls.map(([tall]) => tall),
	balls.map(([, ball]) => ball)
).clamp(true);

/** Width of the ball that a plant grown in the ground is lifted with, cm, by its height. */
export const ballOf = (tallCm: number): number => ballFor(tallCm);

/** A height as a person would say it: to the centimetre when small, then to five. */
export const roundTall = (cm: number): number => (cm < 15 ? Math.round(cm) : Math.round(cm / 5) * 5);
