/** What the page of the plan says that hangs on choices. */
import { sayMoney } from '$lib/core/numbers.js';
import { sayMinutes } from '$lib/core/units/index.js';
import type { BindView } from '$lib/server/bindsView.js';
import type { BatchPlanned, Totals } from '$lib/server/jointView.js';

export const AIM_WORDS: Record<string, string> = {
	usual: 'The usual plan',
	safest: 'The safest',
	work: 'The least work',
	money: 'The cheapest',
	few: 'The fewest batches'
};

/** What would help, by want: each comes when it is worked out. */
export type Help = Record<string, { bind: BindView | null } | { sorry: string }>;

/** How far the plan is: none yet; the first; stopped before the best; the best; none to be had. */
export type Stage = 'looking' | 'first' | 'stopped' | 'told' | 'sorry';

/** A stage as what its pieces do in it. */
export const STAGE_WORDS: Record<string, string> = {
	rooted: 'Rooting',
	potted: 'Settling in pots',
	wintered: 'Through the winter',
	ready: 'Growing on',
	planted: 'Planted'
};

/** What the address asks of the plan. */
export interface Choice {
	aim: string;
	anew: boolean;
	/** Ways that are ruled out. */
	not: readonly string[];
	/** Days between which nothing is struck: "2027-05-01~2027-05-14". */
	off: readonly string[];
	/** Places that are kept free, by id. */
	free: readonly string[];
	/** What it may cost. */
	spend: number | null;
	/** As if there were so many minutes a week. */
	minutes: number | null;
	/** As if places had more room: "id~cm²". */
	room: readonly string[];
	/** Wants, by id, that are left out. */
	without: readonly string[];
}
/** The choice as the address has it: name and value of each. */
export const choicePairs = ({ aim, anew, not, off, free, spend, minutes, room, without }: Choice): [string, string][] => [
	...(aim === 'usual' ? [] : [['aim', aim] as [string, string]]),
	...(anew ? [['anew', '1'] as [string, string]] : []),
	...not.map((way): [string, string] => ['not', way]),
	...off.map((span): [string, string] => ['off', span]),
	...free.map((place): [string, string] => ['free', place]),
	...(spend === null ? [] : [['spend', String(spend)] as [string, string]]),
	...(minutes === null ? [] : [['minutes', String(minutes)] as [string, string]]),
	...room.map((more): [string, string] => ['room', more]),
	...without.map((want): [string, string] => ['without', want])
];
export const aimQuery = (choice: Choice): string => {
	const text = new URLSearchParams(choicePairs(choice)).toString();
	return text && `?${text}`;
};
export const aimAddress = (base: string, choice: Choice): string => `${base}/plan${aimQuery(choice)}`;

/** "Against the usual plan: 2 batches fewer, 40 minutes less, €6 more; one want fewer is met." */
export function comparedTo(here: Totals, usual: Totals, currency: string): string {
	const parts: string[] = [];
	const batches = here.batches - usual.batches;
	if (batches)
		parts.push(`${Math.abs(batches)} ${Math.abs(batches) === 1 ? 'batch' : 'batches'} ${batches > 0 ? 'more' : 'fewer'}`);
	const buys = here.buys - usual.buys;
	if (buys) parts.push(`${Math.abs(buys)} ${buys > 0 ? 'more' : 'fewer'} bought`);
	const minutes = Math.round((here.minutes - usual.minutes) / 5) * 5;
	if (minutes) parts.push(`${sayMinutes(Math.abs(minutes))} ${minutes > 0 ? 'more' : 'less'}`);
	const cost = Math.round(here.cost - usual.cost);
	if (cost) parts.push(`${sayMoney(Math.abs(cost), currency)} ${cost > 0 ? 'more' : 'less'}`);
	const met = here.met - usual.met;
	if (met) parts.push(`${Math.abs(met)} ${Math.abs(met) === 1 ? 'want' : 'wants'} ${met > 0 ? 'more' : 'fewer'} met`);
	return parts.length ? `Against the usual plan: ${parts.join(', ')}.` : 'It is the same as the usual plan.';
}

/** Names a batch of a plan for as long as it is looked at. */
export const keyOf = (b: Pick<BatchPlanned, 'on' | 'wayId' | 'stockId'>): string => `${b.on} ${b.wayId} ${b.stockId}`;
