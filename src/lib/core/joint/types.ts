/** What the joint plan is asked and what it answers: all wants of a garden at once. Days, pieces, minutes, cm², money. */
import type { DayNumber } from '../dates.js';
import type { Tallies } from '../evidence/tally.js';
import type { Kind, WayProfile } from '../handbook/schema.js';
import type { StockPlant, Taking } from '../material/capacity.js';
import type { Book } from '../mix/stands.js';
import type { StageNeed } from '../plan/effort.js';
import { inPots } from '../plan/ends.js';
import { grownOn } from '../plan/grownOn.js';
import type { Year } from '../plan/walk.js';
import type { Span } from '../season/growth.js';
import type { Season } from '../season/season.js';

/** A stock plant that may be multiplied. */
export interface Source {
	id: string;
	kindId: string;
	stock: StockPlant;
	takings: readonly Taking[];
	/** What the garden's batches are worth as evidence, by the way's id. */
	record: Readonly<Record<string, Tallies>>;
	/** By the way's id: batches of one name share their way's mean chances. */
	shares: Readonly<Record<string, string>>;
}

export interface JointWant {
	id: string;
	kindId: string;
	/** Other kinds that do as well: all of them together make up the number. */
	orKinds?: readonly string[];
	target: number;
	due: DayNumber;
	/** Chance asked for, 0–1. */
	confidence: number;
	/** How much a want that is not met weighs against others; 1 the usual. */
	priority: number;
	/** Its plants are sold or given away in their pots: they count once they are ready. */
	pots?: boolean;
	/** Days of growth that it takes by each way (`KIND WAY`) to stand as tall as the want asks; nothing asked if left out. */
	grown?: Readonly<Record<string, number>>;
	/** All that is struck for it by one way within a season, so that it grows up alike: a hedge. */
	oneAge?: boolean;
	/** The stock that it is taken from is grown first: until then nothing is struck for it but what meets it as sure as asked. */
	waits?: boolean;
	/** So many of it may be bought, each at so much of the garden's currency. */
	buys?: { most: number; each: number } | null;
	/** Bought, or to be bought, whatever is planned: `already` counts them. */
	bought?: number;
	/** The bed that it is for, where that is measured. */
	ground?: Ground | null;
	/** Chance for each number that stands on the day by what grows or is planned already. */
	already: Float64Array;
	/** Of a want as it would do too: how many are wanted in truth. */
	whole?: number;
	/** How it may be met where it cannot be met whole: fewer, later, or both. */
	otherwise?: readonly Otherwise[];
}

/** What of a bed is free for a want, beside all that stands there or is on its way there. */
export interface Ground {
	bedId: string;
	/** Days from which what is free changes (something moves away, or is planted), the first of them today; alike for all wants. */
	from: readonly DayNumber[];
	/** From each of those days on: so many more of its plants fit. */
	fits: readonly number[];
	/** Of the want stand there or are on their way there. */
	there: number;
}

/** Every kind that a want may be met with, the one it names first. */
export const kindsFor = (want: Pick<JointWant, 'kindId' | 'orKinds'>): readonly string[] => [
	want.kindId,
	...(want.orKinds ?? [])
];

/** A way as it serves a want: to the ground or to the pots that it is wanted in, grown on until it is as tall as wanted. */
export function wayFor(want: Pick<JointWant, 'pots' | 'grown'>, kindId: string, way: WayProfile): WayProfile {
	const to = want.pots ? inPots(way) : way;
	const days = want.grown?.[`${kindId} ${way.id}`];
	return days === undefined ? to : grownOn(to, days);
}

/** A want as it would do too, with what stands by its day. */
export interface Otherwise extends Pick<JointWant, 'target' | 'due' | 'already'> {
	/** Share of the want's worth that is given up with it, 0–1. */
	given: number;
}

/** A place with room under cover or in a row; null: nobody has said how much. */
export interface Room {
	id: string;
	kind: string;
	cm2: number | null;
	/** Nothing in leaf is kept there. */
	dark?: boolean;
}

/** What of a kind says how it stands a winter. */
export type Wintering = Pick<Kind, 'winter' | 'hardiness_c'>;
/** Chance of a plant in a pot to live through a winter in a room, by its id; under the sky for null. */
export type Lives = (kind: Wintering, roomId: string | null) => number;

/** What grows already and will ask for room and minutes: a stage of a living or planned batch, or a plant in its shelter. */
export interface Busy {
	kindId: string;
	/** The room it stands in, where that is known; else by its stage. */
	roomId: string | null;
	grows: 'always' | 'season';
	/** A strike still to be made: done on its day. */
	struck: boolean;
	need: StageNeed;
	/** The winters of the batch that the stage is of: what falls into them is theirs. */
	winters?: readonly StageNeed[];
}

export interface KindYears {
	kind: Kind;
	/** The usual season of the kind, and the years that may come, in the same order for all kinds. */
	season: Season;
	years: readonly Year[];
}

/** What there is of room and time, and what grows already. */
export interface Garden {
	today: DayNumber;
	/** Of all that grows or may. */
	kinds: ReadonlyMap<string, KindYears>;
	book: Book;
	rooms: readonly Room[];
	/** By what each place is like; as the handbook has its kind of place if left out. */
	lives?: Lives;
	busy: readonly Busy[];
	/** Infinity where nobody has said. */
	minutesPerWeek: number;
	/** Nobody is there to strike or to care. */
	away: readonly Span[];
}

export interface JointRequest extends Garden {
	wants: readonly JointWant[];
	sources: readonly Source[];
	/** Correlation within a batch. */
	rho: number;
	/** Money that an hour is held against, and that a batch more is worth avoiding. */
	weights: Weights;
	/** What the person has ruled out or insists on. */
	rules?: Rules | undefined;
	seed: number;
}

export interface Weights {
	hourWorth: number;
	/** What each batch costs beside its pieces: another date to keep, tools out and away, minutes. */
	setUpMinutes: number;
	/** Added to every confidence: a safer plan. */
	surer: number;
	/** Money counts so many times. */
	money: number;
}

export interface Rules {
	/** Ways, by kind and way id ("lavender semi-ripe"), that are not to be used. */
	notWays?: readonly string[];
	/** Weeks in which nothing is struck. */
	notIn?: readonly Span[];
	/** Places, by id, in which nothing new is to stand. */
	notPlaces?: readonly string[];
	/** All that is new may cost so much, in the garden's currency. */
	spend?: number | undefined;
	/** Batches that are to be: so many of a source by a way on a day. */
	pinned?: readonly (PlannedBatch & { wantId: string })[];
}

export interface PlannedBatch {
	sourceId: string;
	wayId: string;
	on: DayNumber;
	pieces: number;
}

/** Why a number is what it is: what all batches and what already grows ask of a thing in a week. */
export interface Load {
	/** 'minutes', or the ids of the places that share the room. */
	of: 'minutes' | readonly string[];
	/** First day of each week, what is used by what grows already, by the plan, and what there is. */
	weeks: readonly { from: DayNumber; busy: number; plan: number; limit: number }[];
}

export interface PlannedFor {
	wantId: string;
	batches: (PlannedBatch & { inBest: boolean; pinned: boolean; needs: StageNeed[]; rooms: (string | null)[] })[];
	/** Plants to buy. */
	buys: number;
	/** How the plan means to meet it: the want itself, or fewer or later as would do too. */
	as: JointWant;
	/** By the sample, of what it is met as; the exact odds are the want's own (plan/wantOdds.ts). */
	sampled: number;
	/** Odds with nothing new. */
	alone: number;
	minutes: number;
	cost: number;
}

export interface JointPlan {
	wants: PlannedFor[];
	/** In money, with what is short weighed: what the search made least. */
	objective: number;
	/** No plan of the patterns looked at can be better than this. */
	bound: number;
	candidates: number;
	patterns: number;
	loads: Load[];
}
