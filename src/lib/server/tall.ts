/** Heights by year and balls, told for a plan and for a batch that grows. */
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import type { DayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import type { PotChoice } from '$lib/core/mix/potOn.js';
import { roundTall, tallByYear, tallOn } from '$lib/core/plan/tall.js';
import type { TallOf } from '$lib/core/plan/tall.js';
import { sayLift, sayYears } from '$lib/core/plan/tallWords.js';
import { sayLength } from '$lib/core/units/index.js';

const tallOf = (garden: Garden, kind: Kind, profile: WayProfile, rooted: DayNumber): TallOf => ({
	kind,
	cut: cutOf(handbook().ways.get(profile.way)!, profile),
	rooted,
	season: seasonOfClimate(garden.climate)
});

/** Whether it is lifted from a row or a bed to be planted, not knocked out of a pot. */
const liftedFrom = (profile: WayProfile): boolean => profile.stages.filter((s) => s.to !== 'planted').at(-1)?.holds === 'row';

/** What a plan's plants grow to, year by year, and how they are moved; null where height is no measure of them. */
export function tallIn(
	garden: Garden,
	kind: Kind,
	profile: WayProfile,
	stages: readonly { to: StageName; from: DayNumber; until: DayNumber }[],
	pots: readonly PotChoice[]
): { years: string; lift: string } | null {
	const rooted = stages.find((s) => s.to === 'rooted')?.until ?? stages[0]?.from;
	const planted = stages.find((s) => s.to === 'planted')?.from;
	// Wanted in its pots it leaves them unplanted.
	const leaves = planted ?? stages.at(-1)?.until;
	if (rooted === undefined || leaves === undefined) return null;
	const t = tallOf(garden, kind, profile, rooted);
	const cm = tallOn(t, leaves);
	if (cm === null) return null;
	const say = (x: number) => sayLength(x, garden.units);
	return {
		years: sayYears(tallByYear(t, Math.max(leaves, rooted)), say),
		lift: liftedFrom(profile)
			? sayLift(cm, leaves, pots, say)
			: `About ${say(roundTall(cm))} tall ${planted === undefined ? 'on their day' : 'when planted'}.`
	};
}

/** Younger than this it has hardly grown. */
const TOLD_AFTER = 120;

/** How tall what grows of a batch stands by now, and will when it is planted; null where that is no measure of it. */
export function tallNow(
	garden: Garden,
	kind: Kind,
	profile: WayProfile,
	batch: { struckOn: DayNumber; planted: DayNumber | null },
	today: DayNumber,
	pots: readonly PotChoice[]
): string | null {
	const first = profile.stages[0]!;
	const rooted = batch.struckOn + (first.to === 'rooted' ? first.days[1] : 0);
	if (today - rooted < TOLD_AFTER) return null;
	const t = tallOf(garden, kind, profile, rooted);
	const now = tallOn(t, today);
	if (now === null) return null;
	const say = (x: number) => sayLength(x, garden.units);
	const planted = batch.planted === null ? null : Math.max(batch.planted, today);
	const lift = planted !== null && liftedFrom(profile) ? ` ${sayLift(tallOn(t, planted)!, planted, pots, say)}` : '';
	return `Left to grow they stand about ${say(roundTall(now))} tall by now.${lift}`;
}
