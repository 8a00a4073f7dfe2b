/** The season of a garden as it stands today: what was observed, what is told, what people saw, and its windows. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { Kept } from './kept.js';
import { snapshotOf } from './snapshot.js';
import { keepFresh, STATION_DAYS } from './station.js';
import * as weather from './store/weather.js';
import { yearAhead } from './climate.js';
import { addDays, dayInYear, dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { skyOf } from '$lib/core/round/sky.js';
import type { SkyOf } from '$lib/core/round/sky.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { merged } from './store/weather.js';
import type { WeatherDay } from '$lib/core/season/record.js';
import { scenariosOf } from '$lib/core/season/scenarios.js';
import type { Forecast, Scenario } from '$lib/core/season/scenarios.js';
import { chanceSeasons, seasonOfClimate, seasonsOfRecord, usualSeason } from '$lib/core/season/season.js';
import type { Season as UsualSeason } from '$lib/core/season/season.js';
import { yearOfSeason } from '$lib/core/plan/walk.js';
import type { Year } from '$lib/core/plan/walk.js';
import { windowOdds, windowOddsOf } from '$lib/core/season/suitability.js';
import type { Sighting, SightingOf, WindowOdds } from '$lib/core/season/suitability.js';
import { openAllYear } from '$lib/core/season/windows.js';
import type { WindowRule } from '$lib/core/season/windows.js';

export interface StationNews {
	/** Is there a station at all? */
	there: boolean;
	okAt: string | null;
	trouble: string | null;
	issuedOn: string | null;
	hours: { date: string; hours: number[] } | null;
}

export interface Season {
	observed: WeatherDay[];
	forecast: Forecast | null;
	station: StationNews;
	sky: SkyOf;
	sightings: Map<string, Sighting[]>;
	/** Windows of a rule for a kind, sharpened by all that is known. */
	windows(rule: WindowRule, kind: Kind): WindowOdds;
	/** Changes whenever what is known of the season does. */
	key: string;
	/** The usual season of the garden: when growth rests, when frosts come. */
	usual: UsualSeason;
	/** The same with a kind's windows, as the handbook and the round tell them. */
	usualFor(kind: Kind): UsualSeason;
	/** Is a window open all the year here? */
	allYear(rule: WindowRule): boolean;
	/** The years that may come for a kind, as a plan or a forecast walks through them. */
	years(kind: Kind): readonly Year[];
}

interface Known {
	key: string;
	observed: WeatherDay[];
	forecast: Forecast | null;
	sky: SkyOf;
	scenarios: Scenario[] | null;
	odds: Map<string, WindowOdds>;
	years: Map<string, readonly Year[]>;
	usual: Map<string, UsualSeason>;
	/** Bytes that its scenarios will take. */
	room: number;
}
/** Scenarios grow with the first question; counted in from the start. */
const bytesOf = (k: Known): number => 600_000 + k.room;
const kept = new Kept<Known>(192, bytesOf);

export async function seasonOf(garden: Garden): Promise<Season> {
	const db = database();
	let state = await weather.stationState(db, garden.id);
	if (await keepFresh(garden, state)) state = await weather.stationState(db, garden.id);
	const seen = (await snapshotOf(garden.id)).sightings;
	const now = dayNumber(garden.today);
	const key = `${garden.base.key} ${state?.ok_at?.getTime() ?? 0} ${garden.today}`;
	const mine = await kept.waited(`${garden.id} ${key}`, async () => {
		const told = await weather.stationDays(db, garden.id, addDays(garden.today, -STATION_DAYS));
		const observed = merged([...told, ...garden.base.recent]).sort((a, b) => a.day - b.day);
		const forecast: Forecast | null =
			state?.forecast && state.issued_on ? { from: dayNumber(state.issued_on), members: state.forecast } : null;
		return {
			key,
			observed,
			forecast,
			sky: skyOf(garden.base.record, garden.base.recordClimate, observed, forecast, now),
			scenarios: null,
			odds: new Map(),
			years: new Map(),
			usual: new Map(),
			room: 2 * garden.base.ever.reduce((n, s) => n + s.low.byteLength * 3, 0)
		};
	});
	const sightings = new Map<string, Sighting[]>();
	for (const s of seen) {
		const list = sightings.get(s.kind_id) ?? [];
		list.push({ event: s.event as SightingOf, day: dayNumber(s.seen_on) });
		sightings.set(s.kind_id, list);
	}
	const usual = seasonOfClimate(garden.climate);
	/** Windows by the frost dates that the person holds to against a measured record: years by chance about those. */
	const chance = holdsToOwn(garden) ? chanceSeasons(garden.climate) : null;
	const ahead = yearAhead(now);
	const windows = (rule: WindowRule, kind: Kind): WindowOdds => {
		const eyes = sightings.get(kind.id) ?? [];
		const name = JSON.stringify([kind.id, rule, eyes]);
		let odds = mine.odds.get(name);
		if (!odds) {
			// Sightings make new names: what is no longer asked for must not pile up.
			if (mine.odds.size > 2000) mine.odds.clear();
			odds = chance
				? windowOddsOf(chance.map((s) => [...s.openings(rule, dayInYear(ahead - 2, 1), dayInYear(ahead + 2, 1) - 1)]))
				: windowOdds(rule, scenarios(), garden.base.recordClimate, kind, eyes);
			mine.odds.set(name, odds);
		}
		return odds;
	};
	return {
		observed: mine.observed,
		forecast: mine.forecast,
		station: {
			there: state !== null,
			okAt: state?.ok_at?.toISOString() ?? null,
			trouble: state?.trouble ?? null,
			issuedOn: state?.issued_on ?? null,
			hours: state?.hours ?? null
		},
		sky: mine.sky,
		sightings,
		key: `${mine.key} ${JSON.stringify([...sightings])}`,
		usual,
		allYear: (rule) => openAllYear(rule, garden.climate),
		usualFor(kind) {
			const eyes = sightings.get(kind.id) ?? [];
			const name = JSON.stringify([kind.id, kind.ways.map((w) => w.window), kind.plant_out, eyes]);
			let season = mine.usual.get(name);
			if (!season) {
				if (mine.usual.size > 500) mine.usual.clear();
				// Where frost never comes some windows are open all the year: the climate says so.
				const odds = (rule: WindowRule) => (openAllYear(rule, garden.climate) ? null : windows(rule, kind));
				mine.usual.set(name, (season = usualSeason(usual, odds, ahead)));
			}
			return season;
		},
		years(kind) {
			const eyes = sightings.get(kind.id) ?? [];
			const name = JSON.stringify([kind.id, kind.plant_out, eyes]);
			let years = mine.years.get(name);
			if (!years) {
				if (mine.years.size > 500) mine.years.clear();
				mine.years.set(name, (years = yearsOf(garden, kind, scenarios(), eyes, now)));
			}
			return years;
		},
		windows
	};

	function scenarios(): Scenario[] {
		return (mine.scenarios ??= scenariosOf(garden.base.record, garden.base.recordClimate, yearAhead(now), {
			today: now - 1,
			observed: mine.observed,
			forecast: mine.forecast
		}));
	}
}

const holdsToOwn = (garden: Garden): boolean => !garden.base.made && garden.data.frost_from === 'own';

/** Winters behind a batch and the years ahead of it. */
const YEARS_BACK = 3;

/**
 * One year for each of the record; where the person holds to frost dates of their own against a measured record,
 * years by chance about those.
 */
function yearsOf(garden: Garden, kind: Kind, now: readonly Scenario[], eyes: readonly Sighting[], today: DayNumber): Year[] {
	const { recordClimate, ever } = garden.base;
	const seasons = holdsToOwn(garden) ? chanceSeasons(garden.climate) : seasonsOfRecord({ recordClimate, now, ever }, kind, eyes);
	return seasons.map((s) => yearOfSeason(s, kind, today - YEARS_BACK * 366));
}

export interface WindowSpan {
	opens: { p10: DayNumber; p50: DayNumber; p90: DayNumber };
	closes: { p10: DayNumber; p50: DayNumber; p90: DayNumber };
	bestFrom: DayNumber;
	bestTo: DayNumber;
	share: number;
}

/** The openings of a window that touch a span of days, as likely dates. */
export const spansOf = (odds: WindowOdds, from: DayNumber, to: DayNumber): WindowSpan[] =>
	odds.likely.filter((l) => l.closes.p90 >= from && l.opens.p10 <= to);
