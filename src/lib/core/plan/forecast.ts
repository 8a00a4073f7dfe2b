/** What a batch, living or planned, will come to: its counts, its days and the stages ahead. */
import type { StageName } from '../handbook/schema.js';
import { summaryOf } from '../odds/belief.js';
import type { Beta } from '../odds/beta.js';
import type { RootingLeft } from '../odds/rooting.js';
import type { Walk } from './walk.js';
import { countsOf, noWinters } from './counts.js';
import { prepare } from './timing.js';
import type { Dates, ForecastOf, Prepared } from './timing.js';

export interface Forecast {
	/** Chance for each number in the ground in the end, or by the due day if one was given. */
	pmf: Float64Array;
	/** Chance that a piece of the largest part is in time. */
	inTime: number;
	/** Stages ahead, with the batch's own odds told as one Beta each. */
	ahead: { stage: StageName; odds: Beta }[];
	/** The usual way of the largest part from here on. */
	usual: Walk | null;
	planted: Dates | null;
}

export function forecast(f: ForecastOf): Forecast {
	return forecastFrom(prepare(f));
}

export function forecastFrom(p: Prepared): Forecast {
	const { standing, odds, rooting } = p.of;
	const stages = new Set<StageName>();
	for (const c of standing.cohorts) {
		if (c.stage === 'unrooted') stages.add('rooted');
		if (c.stage !== 'potted') stages.add('potted');
		for (const s of ['ready', 'planted'] as const) stages.add(s);
	}
	if (!noWinters(p)) stages.add('wintered');
	const told = (stage: StageName): Beta =>
		stage === 'rooted' && rooting ? asBeta(rooting.of(null)) : summaryOf(odds.get(stage)!);
	return {
		pmf: countsOf(p, odds, rooting?.of(null) ?? null),
		inTime: p.inTime,
		ahead: p.of.way.stages.filter((s) => stages.has(s.to) && odds.has(s.to)).map((s) => ({ stage: s.to, odds: told(s.to) })),
		usual: p.usual(),
		planted: p.dates()
	};
}

/** What those left come to, as one Beta of the same mean and spread. */
function asBeta(left: RootingLeft): Beta {
	let mean = 0;
	let square = 0;
	left.atoms.forEach((atoms, j) =>
		atoms.forEach(({ w, q }) => {
			mean += left.lucks[j]! * w * q;
			square += left.lucks[j]! * w * q * q;
		})
	);
	const m = Math.min(0.9999, Math.max(0.0001, mean));
	const weight = Math.max(0.01, (m * (1 - m)) / Math.max(1e-9, square - mean * mean) - 1);
	return { alpha: m * weight, beta: (1 - m) * weight };
}
