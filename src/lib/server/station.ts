/**
 * The weather station (docs/weather-station.md): asked at most once in some minutes, never waited for
 * when something is known already, and believed only as far as its answer makes sense.
 */
import { z } from 'zod';
import { database } from './db.js';
import { log } from './log.js';
import { askOutside, standIns } from './standIns.js';
import * as weather from './store/weather.js';
import { dayNumber, isIsoDate, isoOf } from '$lib/core/dates.js';
import { POSSIBLE, possibleDay } from '$lib/core/season/record.js';
import type { WeatherDay } from '$lib/core/season/record.js';

const TIMEOUT_MS = 4_000;
const ASK_AGAIN_MINUTES = 60;
const NOT_WITHIN_SECONDS = 120;
/** The first look at a garden waits so long for its station at most. */
const FIRST_WAIT_MS = 1_200;
const POLL_MS = 60;
/** Past days kept and asked for: enough for last winter and this year. */
export const STATION_DAYS = 400;

const date = z.string().refine(isIsoDate);
const within = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);
const day = z
	.object({ date, low_c: within(POSSIBLE.low), high_c: within(POSSIBLE.high), rain_mm: within(POSSIBLE.rain) })
	.refine((d) => d.low_c <= d.high_c);
const observed = z.object({ days: z.array(day).max(1000) });
const forecast = z.object({ from: date, members: z.array(z.array(day).min(1).max(16)).min(1).max(100) });
const hours = z.object({ date, hours: z.array(z.number().min(-90).max(60)).max(25) });

const asDay = (d: z.infer<typeof day>): WeatherDay => ({ day: dayNumber(d.date), low: d.low_c, high: d.high_c, rain: d.rain_mm });

export interface StationSite {
	id: string;
	today: string;
	data: { latitude: number; longitude: number; height_m: number };
}

/** Asks the station for what is not known yet, and stores it. Trouble is kept as a sentence, not thrown. */
export async function refreshStation(site: StationSite): Promise<void> {
	const address = standIns().get('weather-station');
	if (!address) return;
	const db = database();
	const now = dayNumber(site.today);
	const at = `latitude=${site.data.latitude}&longitude=${site.data.longitude}&height_m=${site.data.height_m}`;
	const signal = AbortSignal.timeout(TIMEOUT_MS);
	try {
		const [past, ahead, today] = await Promise.all([
			askOutside(`${address}/v1/observed?${at}&from=${isoOf(now - STATION_DAYS)}&to=${isoOf(now - 1)}`, signal).then((a) =>
				observed.parse(a)
			),
			askOutside(`${address}/v1/forecast?${at}&from=${site.today}`, signal).then((a) => forecast.parse(a)),
			askOutside(`${address}/v1/hours?${at}&date=${site.today}`, signal).then((a) => hours.parse(a))
		]);
		if (Math.abs(dayNumber(ahead.from) - now) > 1) throw new Error(`its forecast is for ${ahead.from}, not for today`);
		const consecutive = ahead.members.every((m) => m.every((d, n) => dayNumber(d.date) === dayNumber(ahead.from) + n));
		if (!consecutive) throw new Error('the days of its forecast do not follow each other');
		const days = past.days.map(asDay).filter((d) => d.day < now && possibleDay(d).ok);
		await weather.putStationDays(db, site.id, days);
		await weather.putForecast(
			db,
			site.id,
			ahead.from,
			ahead.members.map((m) => m.map((d) => ({ low: d.low_c, high: d.high_c, rain: d.rain_mm }))),
			today.date === site.today ? today : null
		);
	} catch (error) {
		const why =
			error instanceof z.ZodError || error instanceof SyntaxError
				? 'its answer makes no sense'
				: (error as Error).name === 'TimeoutError'
					? 'it does not answer'
					: (error as Error).message === 'fetch failed'
						? 'it cannot be reached'
						: (error as Error).message;
		log.warn({ err: (error as Error).message }, 'weather station');
		await weather.putTrouble(db, site.id, why).catch(() => undefined);
	}
}

/** Asks in the background when what is known is old. Waits only when nothing is known at all. */
export async function keepFresh(site: StationSite, known: weather.StationState | null): Promise<boolean> {
	if (!standIns().has('weather-station')) return false;
	const old = !known?.ok_at || known.issued_on !== site.today || Date.now() - known.ok_at.getTime() > ASK_AGAIN_MINUTES * 60_000;
	// To read goes on where nothing can be written: a full disk takes no note that it is our turn.
	const turn = old && (await weather.takeTurn(database(), site.id, NOT_WITHIN_SECONDS).catch(() => false));
	if (!turn) return old && !known?.ok_at && (await othersAnswer(site.id));
	const asking = refreshStation(site);
	if (known?.ok_at) {
		void asking;
		return false;
	}
	await Promise.race([asking, new Promise((r) => setTimeout(r, FIRST_WAIT_MS))]);
	return true;
}

/** Another page asks the station for the first time just now: this one waits with it, so that no two tell two things. */
async function othersAnswer(id: string): Promise<boolean> {
	for (const began = Date.now(); Date.now() - began < FIRST_WAIT_MS; await new Promise((r) => setTimeout(r, POLL_MS))) {
		const state = await weather.stationState(database(), id);
		if (state?.ok_at) return true;
		if (!state || state.trouble || Date.now() - state.tried_at.getTime() > FIRST_WAIT_MS) return false;
	}
	return false;
}
