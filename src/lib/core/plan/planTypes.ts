/** What a plan is asked, and what it answers: in days, pieces, minutes, cm² and money. */
import type { DayNumber } from '../dates.js';
import type { Book } from '../mix/stands.js';
import type { Kind, StageName, WayProfile } from '../handbook/schema.js';
import type { Tallies } from '../evidence/tally.js';
import type { StockPlant, Taking } from '../material/capacity.js';
import type { Quantiles } from '../odds/strike.js';
import type { Season } from '../season/season.js';
import type { Effort, StageNeed } from './effort.js';
import type { Flush } from './flushes.js';
import type { Year } from './walk.js';
import type { WantBatch } from './wantOdds.js';

export interface PlanRequest {
	kind: Kind;
	/** What pieces stand in, and how they are cut. */
	book: Book;
	stock: StockPlant;
	takings: readonly Taking[];
	/** All of one age: struck within a season. */
	oneAge?: boolean;
	/** What this garden's batches of the kind are worth as evidence, by the way's id. */
	record: Readonly<Record<string, Tallies>>;
	/** Correlation within a batch. */
	rho: number;
	target: number;
	/** What grows or is planned for the want already, and counts from elsewhere. */
	growing: readonly WantBatch[];
	others: readonly Float64Array[];
	due: DayNumber;
	confidence: number;
	today: DayNumber;
	/** The usual season, and the years that may come for this kind. */
	season: Season;
	years: readonly Year[];
	/** What the garden has too little of for such a batch, in sentences. */
	carries: (stages: readonly StageNeed[], way: WayProfile) => { code: 'minutes' | 'room'; sentence: string }[];
}

export interface PlanOption {
	wayId: string;
	/** Day of the last strike. */
	on: DayNumber;
	flushes: Flush[];
	strike: number;
	/** Chance that the target stands in the ground by the due day: what the want will show once this is planned. */
	probability: number;
	inTime: number;
	mean: number;
	quantiles: Quantiles;
	ready: { quick: DayNumber; usual: DayNumber; slow: DayNumber };
	stages: StageName[];
	effort: Effort;
	buying: number;
	inBest: boolean;
	/** The figure that its odds hang on most: the stage, its mean, what that is worth in counted pieces, and its source. */
	hinge: { stage: StageName; chance: number; weight: number; src: string } | null;
	/** The same promise were the pieces of a batch twice as alike as they are taken to be: the judgement that it hangs on most. */
	moreAlike: number;
	/** What speaks against it, in sentences. */
	binds: { code: 'minutes' | 'room' | 'flushes' | 'thin'; sentence: string }[];
}

export interface WayOutlook {
	wayId: string;
	/** The best date; null when the way cannot do it in time. */
	best: PlanOption | null;
	/** Last day on which striking still gives what is asked, as sure as asked. */
	lastSafe: DayNumber | null;
	/** How many it takes if struck on that day; null where it can't be as sure as asked. */
	curve: { on: DayNumber; strike: number | null; canGive: number; inTime: number }[];
	/** Why there is no best. */
	why: string | null;
	/** The most that can be had by this way by the due day. */
	fallback: {
		on: DayNumber;
		strike: number;
		/** Each time that it is taken, the last on `on`. */
		flushes: Flush[];
		probability: number;
		/** Plants by the due day on average, with what grows already. */
		usually: number;
	} | null;
	/** When it could be had, as sure as asked, if the due day were given up. */
	earliest: { on: DayNumber; strike: number; ready: DayNumber } | null;
}

export interface Plan {
	ways: WayOutlook[];
	lastSafe: DayNumber | null;
	/** Other ways that would come first were an hour of one's time worth half or twice what is taken; none if it decides nothing. */
	byHour: { worth: number; wayId: string }[];
	hourWorth: number;
}
