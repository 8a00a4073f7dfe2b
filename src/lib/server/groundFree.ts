/** What of the measured beds is free for a want, from today on: as the Ground screen counts it, with the moves that are kept. */
import { bedsIn, comingTo } from './groundBeds.js';
import { fitsIn } from './groundWhere.js';
import type { Model } from './model.js';
import { keptMoves } from './movesView.js';
import type { Snapshot } from './snapshot.js';
import type { WantRow } from './store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import type { DayNumber } from '$lib/core/dates.js';
import type { Ground } from '$lib/core/joint/index.js';
import { suitsLight } from '$lib/core/ground/index.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';

/** Times at which what is free changes are looked at so many; what changes later counts from the last of them on. */
const MOST_TIMES = 8;

/** The first of each span in which as much is free: today, and each day on which something moves or is planted. */
function timesOf(m: Model, s: Snapshot): readonly DayNumber[] {
	const of = times.get(s);
	const state = `${m.state} ${m.today}`;
	if (of?.state === state) return of.from;
	const moved = keptMoves(m, s)?.steps.flatMap((step) => (step.log && step.on !== null ? [dayNumber(step.on)] : [])) ?? [];
	const days = new Set([...moved, ...comingTo(m, s).map((c) => c.on)].filter((day) => day > m.today));
	const from = [m.today, ...[...days].sort((a, b) => a - b).slice(0, MOST_TIMES - 1)];
	times.set(s, { state, from });
	return from;
}
const times = new WeakMap<Snapshot, { state: string; from: readonly DayNumber[] }>();

/** Apart in the bed, cm: as the widest of its kinds stands. */
const apartOf = (m: Model, w: WantRow): number => Math.max(...kindsOfWant(w).map((id) => m.kinds.get(id)?.size.spacing_cm ?? 0));

/** @param own batches of the want */
function groundIn(m: Model, s: Snapshot, w: WantRow, own: ReadonlySet<string>, bedId: string): Ground | null {
	const kind = m.kinds.get(w.kind_id);
	if (!kind) return null;
	const from = timesOf(m, s);
	const due = dayNumber(w.due);
	const fits: number[] = [];
	// What is free before its day is never asked.
	const asked = from.filter((_, i) => (from[i + 1] ?? Infinity) > due);
	for (const day of asked) {
		const n = fitsIn(m, s, { bedId, kind, spacingCm: apartOf(m, w), day, enough: ROOMY * w.target });
		if (n === null) return null;
		fits.push(n);
	}
	fits.unshift(...Array.from({ length: from.length - fits.length }, () => fits[0]!));
	const last = bedsIn(m, s, from.at(-1)!).find((b) => b.id === bedId)!;
	const there = last.stands.reduce((n, x) => n + (x.what === 'batch' && own.has(x.id) ? x.count : 0), 0);
	return { bedId, from, fits, there };
}

/** Where so many times what is wanted fit, it is not counted to the last plant. */
const ROOMY = 4;

/**
 * The ground of the bed that a want names; null where it names none, or one that is not measured. A hedge and a bed filled
 * by its size have measured their ground themselves, and what is kept alive or given away stands elsewhere.
 */
export function groundFor(m: Model, s: Snapshot, w: WantRow, own: ReadonlySet<string>): Ground | null {
	if (w.place_id === null || w.purpose !== 'plants') return null;
	const of = found.get(s) ?? new Map<string, Ground | null>();
	found.set(s, of);
	const key = [m.state, m.today, w.id, w.place_id, w.due, ...kindsOfWant(w), ...own].join(' ');
	let ground = of.get(key);
	if (ground === undefined) of.set(key, (ground = groundIn(m, s, w, own, w.place_id)));
	return ground;
}
const found = new WeakMap<Snapshot, Map<string, Ground | null>>();

/** Of a want's bed: how many of it fit on its day, those that stand there or are on their way there with them. */
export const fitsOnDay = ({ from, fits, there }: Ground, due: DayNumber): number =>
	there + Math.floor(Math.min(...fits.filter((_, i) => (from[i + 1] ?? Infinity) > due)));

/** The other beds in which it stands as it likes to, the one that takes the most on its day first. */
export function groundElsewhere(m: Model, s: Snapshot, w: WantRow, own: ReadonlySet<string>): Ground[] {
	const kind = m.kinds.get(w.kind_id);
	const due = dayNumber(w.due);
	const onDay = ({ from, fits }: Ground): number => fits[from.findLastIndex((day) => day <= due)] ?? 0;
	return s.places
		.filter((p) => !p.closed && p.id !== w.place_id && kind && suitsLight(kind, p.light).liking < DISLIKED)
		.flatMap((p) => groundIn(m, s, w, own, p.id) ?? [])
		.filter((g) => onDay(g) > 0)
		.sort((a, b) => onDay(b) - onDay(a));
}
/** It stands there, but does poorly (core/ground/where.ts). */
const DISLIKED = 3;
