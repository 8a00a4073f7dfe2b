/**
 * The one model of a garden's batches, joined from what is stored: every screen that tells a count, a date or a chance
 * of a batch or a want asks here.
 */
import { kindsOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { recordOf } from './record.js';
import type { RecordOf } from './record.js';
import { createHash } from 'node:crypto';
import { database } from './db.js';
import { handOf } from './writing.js';
import { Kept } from './kept.js';
import { clockOf, meansOf, nightsOf, rootingSeenOf, rootingView, ROOTING_DAYS } from './rooting.js';
import type { RootingView } from './rooting.js';
import { seasonOf } from './season.js';
import type { Season } from './season.js';
import { bookOf } from './book.js';
import { handbook } from './handbook.js';
import { endOf } from './asWanted.js';
import type { Wanted } from './asWanted.js';
import { snapshotOf } from './snapshot.js';
import { sheltersOf } from './shelters.js';
import type { ShelterOf } from './shelters.js';
import { frostOn, placeOn, winterAt } from './stood.js';
import type { Snapshot } from './snapshot.js';
import type * as state from './store/state.js';
import { readingsSince } from './store/weather.js';
import { addDays, dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/tally.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import type { Book } from '$lib/core/mix/stands.js';
import { inHand, tallied } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import { meanChance } from '$lib/core/odds/belief.js';
import type { Belief } from '$lib/core/odds/belief.js';
import { meanOf } from '$lib/core/odds/beta.js';
import type { Rooting } from '$lib/core/odds/rooting.js';
import { beliefsOf } from '$lib/core/plan/beliefs.js';
import { calendarClock, growthClock } from '$lib/core/plan/clock.js';
import type { Clock } from '$lib/core/plan/clock.js';
import { wayFor } from '$lib/core/joint/index.js';
import { forecastFrom } from '$lib/core/plan/forecast.js';
import type { Forecast } from '$lib/core/plan/forecast.js';
import { prepare, usualOf } from '$lib/core/plan/timing.js';
import type { ForecastOf, Prepared, Standing } from '$lib/core/plan/timing.js';
import { batchTasks } from '$lib/core/round/tasks.js';
import type { Task } from '$lib/core/round/tasks.js';
import type { FrostSeen } from '$lib/core/plan/frostSeen.js';
import { troubleOf } from '$lib/core/plan/troubleWords.js';
import type { Trouble } from '$lib/core/plan/troubleWords.js';
import { offSeason, timesOdds } from '$lib/core/plan/offSeason.js';
import type { OffSeason } from '$lib/core/plan/offSeason.js';
import { aboutMean, chanceAt } from '$lib/core/plan/winter.js';
import type { WinterAt } from '$lib/core/plan/winter.js';

export interface Model {
	garden: Garden;
	today: DayNumber;
	kinds: Map<string, Kind>;
	places: readonly state.PlaceRow[];
	/** What pieces stand in, the garden's own vessels among it. */
	book: Book;
	/** What people call the form that pieces of a stock plant are: its label. */
	formOf(stockId: string | null): string;
	season: Season;
	record: RecordOf;
	/** Changes whenever the season, the places, their temperatures or the correlation do. */
	state: string;
	/** A place as a shelter; null under the sky. */
	shelter: ShelterOf;
	/** Mean temperature of a day at a place. */
	means: ReturnType<typeof meansOf>;
	/** Wants whose plants end otherwise than the handbook has it (in their pots, or grown on until they are tall), with their days. */
	wanted: ReadonlyMap<string, Wanted & { due: DayNumber }>;
	/** Last day on which one of the living batches was struck from a stock plant. */
	struckFrom: ReadonlyMap<string, DayNumber>;
	/** Lowest and highest of a day that has been at a place; null where nobody knows. */
	nights: ReturnType<typeof nightsOf>;
}

export async function modelOf(garden: Garden): Promise<Model> {
	const db = database();
	const [kinds, snapshot, season, readings, record] = await Promise.all([
		kindsOf(garden),
		snapshotOf(garden.id),
		seasonOf(garden),
		readingsSince(db, garden.id, addDays(garden.today, -ROOTING_DAYS)),
		recordOf(garden)
	]);
	const { places, stocks, living } = snapshot;
	const shelter = sheltersOf(garden.base, places, readings, season.sky, season.forecast);
	const forms = new Map(stocks.map((s) => [s.id, s.label]));
	const told = [...readings].map(([place, days]) => [place, days.size, days.get(dayNumber(garden.today))]);
	return {
		garden,
		today: dayNumber(garden.today),
		kinds,
		places,
		book: bookOf(snapshot),
		formOf: (stockId) => forms.get(stockId ?? '') ?? '',
		season,
		record,
		state: shortOf([
			season.key,
			record.rho,
			places.map((p) => [
				p.id,
				p.kind,
				p.body,
				p.low_c,
				p.high_c,
				p.guard_cover,
				p.heater_w,
				p.heater_c,
				p.guarded_on,
				p.level_of
			]),
			told
		]),
		shelter,
		means: meansOf(places, readings, shelter, season.sky),
		nights: nightsOf(places, readings, shelter, season.sky),
		wanted: wantedOf(garden, snapshot, kinds),
		struckFrom: lastStruck(living)
	};
}

function wantedOf(garden: Garden, s: Snapshot, kinds: Model['kinds']): Model['wanted'] {
	const other = s.wants.filter((w) => w.purpose === 'gifts' || w.least_cm !== null);
	return new Map(other.map((w) => [w.id, { ...endOf(garden, w, kinds), due: dayNumber(w.due) }]));
}

/** The day for which a batch is wanted in its pots; null where it goes into the ground. */
const potsBy = (m: Model, b: Batch): DayNumber | null => {
	const wanted = m.wanted.get(b.wantId ?? '');
	return wanted?.pots ? wanted.due : null;
};

function lastStruck(living: readonly Batch[]): Map<string, DayNumber> {
	const last = new Map<string, DayNumber>();
	for (const b of living)
		if (b.stockId && b.struckOn) last.set(b.stockId, Math.max(last.get(b.stockId) ?? -Infinity, dayNumber(b.struckOn)));
	return last;
}

/** Names all that a screen of a garden is worked out from, but for what it is asked: another after every entry. */
export const stateOf = (m: Model, { last }: Snapshot): string =>
	`${m.garden.id} ${m.garden.version} ${m.state} ${last?.seq} ${last?.at}`;

/** A short name for a state: long ones would weigh on every key that begins with them. */
export const shortOf = (value: unknown): string => createHash('sha1').update(JSON.stringify(value)).digest('base64');

/** Plants of a batch that its want has had: in the ground and alive; of those that it is wanted in pots, given as well. */
export const hadOf = (b: Batch, pots: boolean): number => b.planted - b.lostPlanted + (pots ? b.given : 0);

/** Where the pieces stand. A planned batch stands unstruck on its day, or today if that has gone by. */
export function standingOf(b: Batch, today: DayNumber, pots = false): Standing {
	if (b.status === 'planned') {
		const on = Math.max(today, dayNumber(b.plannedOn!));
		return { cohorts: [{ stage: 'unrooted', count: b.plannedCount, since: on, aliveOn: on }], planted: 0, struckOn: on };
	}
	return {
		cohorts: b.cohorts.map((c) => ({
			stage: c.stage,
			count: c.count,
			since: dayNumber(c.since),
			aliveOn: dayNumber(c.aliveOn)
		})),
		planted: hadOf(b, pots),
		struckOn: dayNumber(b.struckOn!)
	};
}

/** A batch with its kind and way, its odds and its clock: what every question of it starts from. */
export interface Known {
	batch: Batch;
	kind: Kind;
	way: WayProfile;
	odds: Map<StageName, Belief>;
	clock: Clock;
	rooting: Rooting | null;
	standing: Standing;
	winter: WinterAt | null;
	/** Struck, or to be struck, out of season; null in season. */
	off: OffSeason | null;
	/** A cold night since it was last counted; null if none was a danger. */
	frost: FrostSeen | null;
}

/** Batches whose counts are of the same pieces' chances: themselves, and what they were split from. */
export const kinOf = (batches: readonly Batch[]): string[] => [
	...new Set(batches.flatMap((b) => [b.id, b.family, b.fromBatch ?? b.id]))
];

/** Mean temperature of a day where the batch stood on it: a move changes what is to come, not what has been. */
function meanWhereItStood(m: Model, b: Batch): (day: DayNumber) => number {
	const at = placeOn(b);
	return (day) => m.means(at(day))(day);
}

/** What a batch showed itself, with what its pieces showed before they were split off. */
const ownCounts = (b: Batch): Tallies => tallied(b.inherited, b.seen);

/**
 * Null when kind or way is not (any more) in the handbook.
 *
 * @param others what the other batches of the way are worth; without this one, if nothing is said
 */
export function known(m: Model, b: Batch, others?: Tallies): Known | null {
	const kind = m.kinds.get(b.kindId);
	const whole = wayIn(kind, b.wayId);
	if (!kind || !whole) return null;
	const wanted = m.wanted.get(b.wantId ?? '');
	const way = wanted ? wayFor(wanted, kind.id, whole) : whole;
	const worth = others ?? m.record.of(b.kindId, b.wayId, kinOf([b]), m.formOf(b.stockId));
	// Nothing but these moves what is known of a batch: the same batch is asked for by every screen of a visit.
	const key = [
		m.state,
		b.id,
		b.version,
		b.status,
		b.placeId,
		b.unrooted,
		wanted?.pots ? wanted.due : '',
		JSON.stringify(worth),
		figuresOf(kind, way)
	].join(' ');
	return recent.of(key, () => reckoned(m, b, kind, way, worth));
}

/** The handbook's figures that a batch hangs on, as text: written once for each kind as the garden has it. */
function figuresOf(kind: Kind, way: WayProfile): string {
	// By both: ways are shared by gardens whose winters have taught them otherwise.
	let of = figures.get(kind);
	if (!of) figures.set(kind, (of = new WeakMap()));
	let text = of.get(way);
	if (text === undefined)
		of.set(way, (text = JSON.stringify([way.stages, way.window, kind.plant_out, kind.hardiness_c.v, kind.winter.shelters])));
	return text;
}
const figures = new WeakMap<Kind, WeakMap<WayProfile, string>>();

/** With its forecast and its view of the roots a batch takes some 40 kB. */
const recent = new Kept<Known>(320, () => 40_000);

function reckoned(m: Model, b: Batch, kind: Kind, way: WayProfile, worth: Tallies): Known {
	const standing = standingOf(b, m.today, m.wanted.get(b.wantId ?? '')?.pots ?? false);
	const winter = winterAt(m, kind, b, standing);
	const off = offSeasonOf(m, kind, way, standing.struckOn);
	const at = chancesAt(way, winter, off);
	const odds = beliefsOf(way, worth, m.record.rho, ownCounts(b));
	for (const [stage, belief] of odds) odds.set(stage, aboutMean(belief, at(stage, meanOf(belief))));
	const stage = way.stages.find((s) => s.to === 'rooted');
	const clock =
		b.status === 'planned'
			? stage?.grows === 'season'
				? growthClock(standing.struckOn, m.season.usual)
				: calendarClock(standing.struckOn)
			: clockOf(b, way, m.season.usual, meanWhereItStood(m, b));
	const first = odds.get('rooted');
	const rooting = first ? rootingSeenOf(b, way, { ...first, passed: 0, failed: 0 }, clock) : null;
	// Looks tell of the pieces that have rooted and died as well: their counts are not told twice.
	if (rooting) odds.set('rooted', { ...first!, passed: 0, failed: 0 });
	const frost = frostOn(m, kind, b, standing);
	return { batch: b, kind, way, odds, clock, rooting, standing, winter, off, frost };
}

/** How far from its window a way is taken on a day; null in season, and where its window is open all the year. */
export function offSeasonOf(m: Pick<Model, 'season' | 'today'>, kind: Kind, way: WayProfile, on: DayNumber): OffSeason | null {
	const general = handbook().ways.get(way.way);
	if (!general || m.season.allYear(way.window)) return null;
	return offSeason(m.season.usualFor(kind), way.window, cutOf(general, way).draws, on, m.today);
}

/** What a piece struck on a day is up against: how far off its window, and its chance to take. */
export function takingOn(
	m: Model,
	kind: Kind,
	way: WayProfile,
	on: DayNumber,
	form: string
): { off: OffSeason | null; chance: number } {
	const off = offSeasonOf(m, kind, way, on);
	const usual = meanOf(stageOdds(way.stages[0]!, m.record.of(kind.id, way.id, [], form)));
	return { off, chance: off ? timesOdds(usual, off.times) : usual };
}

/** The stages' chances where a batch stands and on the day it is struck, from the way's. */
function chancesAt(way: WayProfile, winter: WinterAt | null, off: OffSeason | null): (stage: StageName, usual: number) => number {
	const first = way.stages[0]?.to;
	return (stage, usual) => {
		if (stage === 'wintered' && winter) return chanceAt(usual, winter);
		return stage === first && off ? timesOdds(usual, off.times) : usual;
	};
}

function asked(m: Model, k: Known, due: DayNumber | null): ForecastOf {
	return {
		kind: k.kind,
		way: k.way,
		standing: k.standing,
		odds: k.odds,
		rooting: k.rooting,
		clock: k.clock,
		today: k.batch.status === 'planned' ? Math.max(m.today, k.standing.struckOn) : m.today,
		due,
		wanted: potsBy(m, k.batch),
		at: chancesAt(k.way, k.winter, k.off),
		frost: k.frost,
		years: m.season.years(k.kind),
		season: m.season.usualFor(k.kind)
	};
}

export const preparedOf = (m: Model, k: Known, due: DayNumber | null): Prepared => prepare(asked(m, k, due));

const forecasts = new WeakMap<Known, Forecast>();
/** What a batch comes to in the end, however late. */
export function forecastOf(m: Model, k: Known): Forecast {
	let f = forecasts.get(k);
	if (!f) forecasts.set(k, (f = forecastFrom(preparedOf(m, k, null))));
	return f;
}

const planted = new WeakMap<Known, { on: DayNumber | null }>();
/** Day on which most of a batch is usually planted: the same as its forecast tells, without the odds. */
export function usuallyPlanted(m: Model, k: Known): DayNumber | null {
	let found = planted.get(k);
	if (!found) planted.set(k, (found = { on: usualOf(asked(m, k, null))?.planted ?? null }));
	return found.on;
}

/** What is wrong with a batch as it stands; null when nothing is. */
export function troubleIn(m: Model, { batch: b, way, odds, off, frost }: Known): Trouble | null {
	const first = odds.get(way.stages[0]!.to);
	return troubleOf({
		status: b.status,
		plannedOn: b.plannedOn ? dayNumber(b.plannedOn) : null,
		today: m.today,
		unrooted: b.unrooted,
		count: b.status === 'planned' ? b.plannedCount : inHand(b),
		off,
		frost,
		chance: first ? meanChance(first) : 1
	});
}

/** With its sentence, as whoever asked last writes dates. */
const views = new WeakMap<Known, { hand: string; view: RootingView }>();
/** Is it rooted yet? Null when nothing is left to root. The curve is for one batch's own page. */
export function rootingViewOf(m: Model, k: Known, withCurve: boolean): RootingView | null {
	if (!k.rooting) return null;
	if (withCurve) return rootingView(m.garden, k.batch, k.clock, k.rooting, true);
	const hand = handOf();
	let kept = views.get(k);
	if (kept?.hand !== hand) views.set(k, (kept = { hand, view: rootingView(m.garden, k.batch, k.clock, k.rooting, false) }));
	return kept.view;
}

const tasks = new WeakMap<Known, Map<string, Task[]>>();
/** What a batch asks for from a day until another, the soonest first: by what is known of it, worked out once for each. */
export function tasksFor(m: Model, k: Known, day: DayNumber, until: DayNumber): readonly Task[] {
	let mine = tasks.get(k);
	if (!mine) tasks.set(k, (mine = new Map()));
	const key = `${day} ${until} ${handOf()}`;
	let found = mine.get(key);
	if (!found) {
		// The mark of the strip is dragged over many days: those of long ago must not pile up.
		if (mine.size > 8) mine.clear();
		const of = {
			batch: k.batch,
			kind: k.kind,
			way: k.way,
			today: day,
			until,
			season: m.season.usualFor(k.kind),
			off: k.off,
			frost: k.frost
		};
		found = batchTasks({ ...of, news: rootingViewOf(m, k, false) }).sort((a, b) => a.from - b.from);
		mine.set(key, found);
	}
	return found;
}
