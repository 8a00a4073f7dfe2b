/** What the season strip shows beside the climate: batches and wants as lanes, weather seen, told and usual. */
import type { Garden } from './context.js';
import { Kept } from './kept.js';
import { known, modelOf, stateOf, usuallyPlanted } from './model.js';
import type { Model } from './model.js';
import { seasonOf } from './season.js';
import { snapshotOf } from './snapshot.js';
import type { Snapshot } from './snapshot.js';

import { dayNumber, dayOfYear } from '$lib/core/dates.js';
import { drawn } from '$lib/core/season/lanes.js';

export interface StripLane {
	code: string;
	label: string;
	from: number;
	to: number;
	kind: 'growing' | 'planned' | 'want';
}
export interface StripWeather {
	/** Usual low and high every seven days from the strip's first day. */
	usual: { day: number; low: number; high: number }[];
	/** Observed, then the middle of the forecast, day by day. */
	seen: { day: number; low: number; high: number }[];
	/** First day of `seen` that is only told. */
	toldFrom: number;
}
const BACK = 92;
const AHEAD = 457;

type DrawnLane = StripLane & { row: number };

export async function stripLanes(garden: Garden): Promise<DrawnLane[]> {
	const [m, snapshot] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	return kept.of(stateOf(m, snapshot), () => ({ lanes: lanesOf(m, snapshot) })).lanes;
}

const kept = new Kept<{ lanes: DrawnLane[] }>(16, ({ lanes }) => 1_000 + lanes.length * 400);

function lanesOf(m: Model, { living: batches, wants }: Snapshot): DrawnLane[] {
	const now = m.today;
	const { kinds } = m;
	const lanes = batches.flatMap((b): StripLane[] => {
		const k = known(m, b);
		if (!k) return [];
		const to = usuallyPlanted(m, k);
		return [
			{
				code: b.code,
				label: `${b.code} ${k.kind.common}`,
				from: dayNumber(b.struckOn ?? b.plannedOn!),
				to: Math.max(to ?? now, now),
				kind: b.status === 'planned' ? 'planned' : 'growing'
			}
		];
	});
	for (const w of wants) {
		if (w.dropped_on || dayNumber(w.due) < now) continue;
		const name = kinds.get(w.kind_id)?.common ?? '';
		lanes.push({
			code: `want ${w.id}`,
			label: `Wanted: ${w.target} ${name}${w.label ? `, ${w.label}` : ''}`,
			from: Math.max(dayNumber(w.since), dayNumber(w.due) - 30),
			to: dayNumber(w.due),
			kind: 'want'
		});
	}
	return drawn(lanes, now - BACK, now + AHEAD);
}

export async function stripWeather(garden: Garden): Promise<StripWeather> {
	const season = await seasonOf(garden);
	const now = dayNumber(garden.today);
	const { normals } = garden.base.recordClimate;
	const tenth = (v: number) => Math.round(v * 10) / 10;
	const usual = [];
	for (let day = now - BACK; day <= now + AHEAD; day += 7) {
		const i = dayOfYear(day) - 1;
		usual.push({ day, low: tenth(normals.low[i]!), high: tenth(normals.high[i]!) });
	}
	const seen = season.observed
		.filter((d) => d.day >= now - BACK && d.day < now && d.low !== null && d.high !== null)
		.map((d) => ({ day: d.day, low: d.low!, high: d.high! }));
	for (let day = now; day <= (season.sky.lastTold ?? now - 1); day++) {
		const d = season.sky.on(day);
		seen.push({ day, low: tenth(d.low), high: tenth(d.high) });
	}
	return { usual, seen, toldFrom: now };
}
