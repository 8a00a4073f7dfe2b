/** Where plants that move are set, and who stands in whose way. */
import { mayStand } from './outline.js';
import type { Outline } from './outline.js';
import type { Disk, Point, Region } from './region.js';
import type { Waits } from './turns.js';

export interface SpotsAsked {
	ground: Outline;
	count: number;
	/** Between neighbours, m. */
	apart: number;
	/** Half the width that each has for itself, m: no nearer than so to what stays or has been given its spot. */
	half: number;
	/** What stays, or is given its spot already: where and half as wide as it is. */
	keepOff: readonly Disk[];
	/** What stands there now and goes: ground that is free later, and taken only where there is no other. */
	leaves: readonly Disk[];
	/** About where; together at the front on the left if not said. */
	near?: Point | undefined;
}

const wider = (disks: readonly Disk[], half: number): Disk[] => disks.map((d) => ({ ...d, r: d.r + half }));

/** Shifts of the rows that are tried along each side of a spacing. */
const SHIFTS = 6;

/** Staggered rows at one shift of them, as far as they may be planted. */
function rowsAt(region: Region, apart: number, u: number, v: number): Point[] {
	const xs = region.outline.map((p) => p[0]);
	const ys = region.outline.map((p) => p[1]);
	const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
	const h = (apart * Math.sqrt(3)) / 2;
	const points: Point[] = [];
	for (
		let row = 0, y = low + region.margin + v * h;
		y <= high - region.margin + HAIR;
		row++, y = low + region.margin + (v + row) * h
	)
		for (let x = left + region.margin + (u + (row % 2) / 2) * apart; x <= right - region.margin + HAIR; x += apart)
			if (mayStand(region, [x, y])) points.push([x, y]);
	return points;
}
/** Rounding must not take a row from the very edge, m. */
const HAIR = 1e-9;

/** Spots of staggered rows: at the shift, of some, that has the most, or the first that has enough. */
function roomIn(region: Region, apart: number, enough: number): Point[] {
	let best: Point[] = [];
	for (let i = 0; i < SHIFTS && best.length < enough; i++)
		for (let j = 0; j < SHIFTS && best.length < enough; j++) {
			const points = rowsAt(region, apart, i / SHIFTS, j / SHIFTS);
			if (points.length > best.length) best = points;
		}
	return best;
}

/**
 * Spots for so many, together: on ground that is free now where they fit there, else on what is left by others too.
 * Fewer than asked where no more fit. Spots to plant at, not the most that could be: that is told by fillOutline.
 */
export function spotsFor({ ground, count, apart, half, keepOff, leaves, near }: SpotsAsked): Point[] {
	// Well inside, else leaning over the edge as little as may be.
	const tries = [[...keepOff, ...leaves], keepOff].flatMap((off) =>
		[half, half / 2, half / 4, 0].map((margin) => ({ off, margin }))
	);
	let best: Point[] = [];
	for (const { off, margin } of tries) {
		const region = { outline: ground.outline, holes: ground.holes, margin, keepOff: wider(off, half) };
		const points = together(roomIn(region, apart, count), count, near);
		if (points.length > best.length) best = points;
		if (best.length === count) break;
	}
	return best;
}

/** So many of the points that lie together: those nearest to one of them, or to where they were asked for. */
function together(points: readonly Point[], count: number, near: Point | undefined): Point[] {
	const from = near ?? points.reduce<Point | null>((a, p) => (a === null || p[0] + p[1] < a[0] + a[1] ? p : a), null);
	if (!from) return [];
	const off = ([x, y]: Point) => (x - from[0]) ** 2 + (y - from[1]) ** 2;
	return [...points].sort((a, b) => off(a) - off(b)).slice(0, count);
}

/** One plant or group that moves: what it takes up now, and what it needs, each in its bed. Unknown spots are none. */
export interface Mover {
	now: { bed: string; disks: readonly Disk[] };
	next: { bed: string; disks: readonly Disk[] };
	/** Others, by number, whose spot it takes as a whole, wherever that is drawn. */
	takesFrom: readonly number[];
	pots: number;
}

/** Nearer than so holes do not count as one in the other, m. */
const TOUCHES = 1e-6;
const overlap = (a: Disk, b: Disk): boolean => Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r - TOUCHES;

/** Each waits for the others whose ball lies where its own hole is dug. */
export function waitsOf(movers: readonly Mover[]): Waits {
	return {
		after: movers.map((m, i) =>
			movers.flatMap((other, j) =>
				j !== i &&
				(m.takesFrom.includes(j) ||
					(m.next.bed === other.now.bed && m.next.disks.some((d) => other.now.disks.some((o) => overlap(d, o)))))
					? [j]
					: []
			)
		),
		pots: movers.map((m) => m.pots)
	};
}
