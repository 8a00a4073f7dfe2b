/** What the weather screen tells: the record, its frosts, this year against it, the nights ahead. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { seasonOf } from './season.js';
import * as state from './store/state.js';
import * as weather from './store/weather.js';
import { dayInYear, dayNumber, dayOfYear, isoOf, yearOf } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import { firstFrostBy, frostDates, lastFrostBy, quantileOf, shareWith } from '$lib/core/season/frostDates.js';
import { chillHours, CUT_OFF_C, degreeDays, modifiedDegreeDays } from '$lib/core/season/heat.js';
import { anyNight, nightsAhead } from '$lib/core/season/nights.js';
import { dayLength, lightLength } from '$lib/core/season/solar.js';
import { gaps, highOn, lowOn } from '$lib/core/season/record.js';

export const THRESHOLDS = [0, -2.2, 2] as const;
const QS = [0.1, 0.5, 0.9] as const;

export async function weatherShown(garden: Garden, day: DayNumber, extra: number | null) {
	const db = database();
	const [season, imports, readings, places] = await Promise.all([
		seasonOf(garden),
		weather.imports(db, garden.id),
		weather.lastReadings(db, garden.id),
		state.places(db, garden.id)
	]);
	const { record, recordClimate, made, tooShort } = garden.base;
	const now = dayNumber(garden.today);
	const thresholds = [...THRESHOLDS, ...(extra === null || THRESHOLDS.some((t) => t === extra) ? [] : [extra])];
	const frost = thresholds.map((t) => {
		const f = frostDates(record, t, recordClimate.middle);
		const iso = (doy: number | null) => (doy === null ? null : isoOf(dayInYear(yearOf(now), doy)));
		return {
			threshold: t,
			share: shareWith(f.last),
			last: QS.map((q) => ({ q, seen: iso(lastFrostBy(f, q, 'empirical')), fitted: iso(lastFrostBy(f, q, 'fitted')) })),
			first: QS.map((q) => ({ q, seen: iso(firstFrostBy(f, q, 'empirical')), fitted: iso(firstFrostBy(f, q, 'fitted')) })),
			free: f.free.length ? Math.round(quantileOf(f.free, 0.5)) : null,
			years: f.last.years,
			/** Chance that any of the next ten nights falls to it. */
			soon: anyNight(record, season.forecast, (season.forecast?.from ?? now) - 1, day, 10, t)
		};
	});

	// Warmth since the middle of winter, chill since the middle of autumn: this year against the usual.
	const summer = dayInYear(yearOf(day), recordClimate.middle);
	const winter = summer - 183 <= day ? summer - 183 : dayInYear(yearOf(day) - 1, recordClimate.middle) - 183 + 365;
	const since = winter <= day ? winter : winter - 365;
	// The usual is the mean of the same sum in the years of the record: a sum of mean days would miss their spread.
	const sums = (from: DayNumber, of: (low: number, high: number) => number) => {
		let here = 0;
		for (let d = from; d < day; d++) here += of(season.sky.on(d).low, season.sky.on(d).high);
		const others = recordClimate.years
			.map((y) => dayInYear(y, dayOfYear(from)))
			.flatMap((begin) => {
				let sum = 0;
				let known = 0;
				for (let d = begin; d < begin + day - from; d++) {
					const low = lowOn(record, d);
					const high = highOn(record, d);
					if (Number.isNaN(low) || Number.isNaN(high)) continue;
					known++;
					sum += of(low, high);
				}
				return known > 0.9 * (day - from) ? [(sum * (day - from)) / known] : [];
			});
		const usual = others.length ? others.reduce((s, v) => s + v, 0) / others.length : Number.NaN;
		return { here: Math.round(here), usual: Math.round(usual) };
	};
	const autumn = since - 92;
	const warmth = [0, 5, 10].map((base) => ({
		base,
		...sums(since, (l, h) => degreeDays(l, h, base)),
		capped: sums(since, (l, h) => modifiedDegreeDays(l, h, base, CUT_OFF_C)).here
	}));
	const chill = {
		...sums(day - autumn > 365 ? autumn + 365 : autumn, chillHours),
		since: isoOf(day - autumn > 365 ? autumn + 365 : autumn)
	};

	const first = now - 365;
	const days = Array.from({ length: 365 + 46 }, (_, n) => {
		const d = first + n;
		const i = dayOfYear(d) - 1;
		const seen = season.observed.find((o) => o.day === d);
		return {
			day: isoOf(d),
			normalLow: recordClimate.normals.low[i]!,
			normalHigh: recordClimate.normals.high[i]!,
			low: seen?.low ?? null,
			high: seen?.high ?? null
		};
	});
	const fan = (season.forecast?.members[0] ?? []).map((_, n) => {
		const at = (c: 'low' | 'high') => season.forecast!.members.map((m) => m[n]![c]).sort((a, b) => a - b);
		const band = (v: number[]) => ({ p10: quantileOf(v, 0.1), p50: quantileOf(v, 0.5), p90: quantileOf(v, 0.9) });
		const rain = season.forecast!.members.filter((m) => m[n]!.rain >= 1).length / season.forecast!.members.length;
		return { day: isoOf(season.forecast!.from + n), low: band(at('low')), high: band(at('high')), rain };
	});
	const issued = season.forecast?.from ?? now;
	const nights = nightsAhead(record, season.forecast, issued - 1, day, 10, 0).map((n, i) => ({
		on: isoOf(n.day),
		freeze: n.chance,
		hard: nightsAhead(record, season.forecast, issued - 1, day + i, 1, -2.2)[0]!.chance,
		middle: n.middle,
		cold: n.cold,
		et0: season.sky.et0(n.day)
	}));
	const holes = gaps(record);
	return {
		source: {
			made,
			tooShort,
			imports,
			from: isoOf(record.first),
			to: isoOf(record.first + record.low.length - 1),
			years: recordClimate.years.length,
			gapDays: holes.reduce((s, g) => s + g.days, 0),
			frostFrom: made || garden.data.frost_from === 'own' ? ('own' as const) : ('record' as const)
		},
		station: season.station,
		frost,
		coldestC: recordClimate.coldestC,
		warmth,
		since: isoOf(since),
		chill,
		sun: {
			day: dayLength(recordClimate.climate.latitude, recordClimate.climate.longitude, day),
			light: lightLength(recordClimate.climate.latitude, recordClimate.climate.longitude, day)
		},
		days,
		fan,
		nights,
		readings: readings.map((r) => ({
			place: places.find((p) => p.id === r.place_id)?.name ?? '',
			day: r.day,
			low: r.low,
			high: r.high,
			now: r.last_c,
			at: r.last_at.toISOString()
		})),
		rains: recordClimate.rains
			? {
					start: isoOf(dayInYear(yearOf(now), recordClimate.rains.start)),
					end: isoOf(dayInYear(yearOf(now), recordClimate.rains.end))
				}
			: null
	};
}
