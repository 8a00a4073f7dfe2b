/** The batches of a want as its odds are worked out: which share their chances, and which are one. */
import { kinOf, known, preparedOf } from './model.js';
import type { Known, Model } from './model.js';
import type { DayNumber } from '$lib/core/dates.js';
import { stageOdds } from '$lib/core/evidence/evidence.js';
import type { Tallies } from '$lib/core/evidence/tally.js';
import { grouped } from '$lib/core/grouped.js';
import type { StageName } from '$lib/core/handbook/schema.js';
import { tallied } from '$lib/core/ledger/index.js';
import type { Batch } from '$lib/core/ledger/index.js';
import type { Beta } from '$lib/core/odds/beta.js';
import { forecastFrom } from '$lib/core/plan/forecast.js';
import type { Forecast } from '$lib/core/plan/forecast.js';
import type { FrostSeen } from '$lib/core/plan/frostSeen.js';
import type { Standing } from '$lib/core/plan/timing.js';
import type { WantBatch } from '$lib/core/plan/wantOdds.js';

/** The batches of a want: as its odds are reckoned, and each with its own forecast by the due day. */
export interface WantParts {
	parts: WantBatch[];
	each: { batch: Batch; part: WantBatch; forecast: Forecast }[];
}

/** Counts that are the batches' own: where a part was split off and the rest is not among them, its past as well. */
const countsOfKin = (kin: readonly Batch[]): Tallies[] =>
	kin.flatMap((b) => (kin.some((o) => o.id !== b.id && o.id === b.fromBatch) ? [b.seen] : [b.seen, b.inherited]));

/**
 * Batches of one way share its mean chances, taught by what the garden's other batches showed. Parts of one strike
 * that stand alike share their chances whole: they count as the one batch that they were.
 */
export function wantParts(m: Model, batches: readonly Batch[], due: DayNumber): WantParts {
	const each: WantParts['each'] = [];
	const parts: WantBatch[] = [];
	// Forms whose records are apart have chances of their own; of the rest all go alike.
	const ways = grouped(batches, (b) => {
		const form = m.formOf(b.stockId);
		return `${b.kindId} ${b.wayId} ${m.record.isApart(b.kindId, b.wayId, form) ? form : ''}`;
	});
	for (const [way, kin] of ways) {
		const [first] = kin;
		const form = m.formOf(first!.stockId);
		const others = m.record.of(first!.kindId, first!.wayId, kinOf(kin), form);
		const all = m.record.of(first!.kindId, first!.wayId, [], form);
		const told = kin.flatMap((b) => known(m, b, others) ?? []);
		const families = grouped(told, (k) => `${k.batch.family} ${k.winter?.place ?? ''}`);
		const asPart = (k: Known): WantBatch => {
			const betas = (worth: Tallies): Map<StageName, Beta> => new Map(k.way.stages.map((s) => [s.to, stageOdds(s, worth)]));
			return { way, means: betas(others), likely: betas(all), prepared: preparedOf(m, k, due) };
		};
		for (const family of families.values()) {
			const own = family.map(asPart);
			family.forEach((k, i) => each.push({ batch: k.batch, part: own[i]!, forecast: forecastFrom(own[i]!.prepared) }));
			parts.push(family.length === 1 ? own[0]! : asPart(joined(m, family, others)));
		}
	}
	return { parts, each };
}

/** Parts of one strike as the one batch that they are: all their pieces, all that they showed. */
function joined(m: Model, parts: readonly Known[], others: Tallies): Known {
	const root = parts[0]!;
	const batches = parts.map((k) => k.batch);
	const standing: Standing = {
		cohorts: parts.flatMap((k) => k.standing.cohorts),
		planted: parts.reduce((n, k) => n + k.standing.planted, 0),
		struckOn: root.standing.struckOn
	};
	const whole: Batch = {
		...root.batch,
		seen: tallied(...countsOfKin(batches)),
		inherited: {},
		unrooted: batches.reduce((n, b) => n + b.unrooted, 0),
		rootRecord: joinedRooting(batches)
	};
	// A night that one of the parts has not been counted since is a night that it may have died of.
	const frost = parts.reduce<FrostSeen | null>((a, k) => (a && (!k.frost || a.alive <= k.frost.alive) ? a : k.frost), null);
	return { ...known(m, whole, others)!, standing, frost };
}

/** What the others' pieces went through, then the part with most left to root: its last epoch is the open one. */
function joinedRooting(batches: readonly Batch[]): Batch['rootRecord'] {
	const order = [...batches].sort((a, b) => a.unrooted - b.unrooted);
	const last = order.at(-1)!;
	const rooted = batches.find((b) => b.rootRecord.own === 0);
	// The past of parts is told once: by the batch that stayed, or by the first part if that is not here.
	const past = rooted ? [] : batches[0]!.rootRecord.epochs.slice(0, batches[0]!.rootRecord.own);
	const own = order.flatMap((b) => b.rootRecord.epochs.slice(b.rootRecord.own));
	return { epochs: [...past, ...own], own: 0, signs: last.rootRecord.signs };
}
