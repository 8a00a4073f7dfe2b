/** What a simulation is asked and what it answers. Days, pieces, minutes, shares of seasons. */
import type { DayNumber } from '../dates.js';
import type { StageName } from '../handbook/schema.js';
import type { ThreeDays } from '../odds/durations.js';
import type { Beta } from '../odds/beta.js';
import type { Timetable } from '../plan/timetable.js';

export interface SimStage {
	to: StageName;
	/** Goes on in winter; else in growth only. */
	always: boolean;
	days: ThreeDays;
	/** The way's mean chance; or, where `shares` is null, this batch's own. */
	beta: Beta;
	/** Minutes a piece: once at its beginning, and each week of it. */
	handling: number;
	care: number;
}

export interface SimBatch {
	/** Place among the wants; −1 for none. */
	want: number;
	/** Batches of one name share their way's mean chances; null: its chances are its own. */
	shares: string | null;
	/** In order, from striking to planting. */
	stages: readonly SimStage[];
	/** Pieces by how many timed stages are behind them, and since when. */
	parts: readonly { count: number; reached: StageName | null; since: DayNumber; aliveOn: DayNumber }[];
	/** The years that may come for its kind: the same order for all. */
	years: readonly Timetable[];
	/** Struck again when a look shows too few: so many at most, until that day; none for what lives already. */
	again: { most: number; until: DayNumber; lookOn: DayNumber } | null;
}

export interface SimWant {
	target: number;
	due: DayNumber;
	/** Planted already. */
	planted: number;
	/** Counts from elsewhere: a parent that is kept. */
	others: Float64Array | null;
}

export interface SimRequest {
	today: DayNumber;
	weeks: number;
	batches: readonly SimBatch[];
	wants: readonly SimWant[];
	rho: number;
	minutesPerWeek: number;
	seasons: number;
	seed: number;
}

/** Of all seasons: 1 in 20 are below, half, 19 in 20. */
export interface Fan {
	p05: number;
	p50: number;
	p95: number;
}

export interface SimResult {
	/** Seasons that were drawn: fewer than asked when it was stopped. */
	seasons: number;
	wants: {
		/** Share of seasons with the target by the due day; and where one strikes again once a look shows too few. */
		odds: number;
		again: number;
		stand: Fan;
		/** More than were wanted, usually and in good years. */
		spare: Fan;
		/** Shares of those lost: by what they failed. */
		lostAt: Partial<Record<StageName | 'late', number>>;
		/** Seasons in ten in which it is struck again, and with how many. */
		struckAgain: { share: number; pieces: number };
	}[];
	/** Pieces by what they are on their way to, week by week. */
	stages: { to: StageName; weeks: Fan[] }[];
	minutes: Fan[];
	/** Share of seasons in which a week asks for more minutes than there are. */
	over: number[];
}
