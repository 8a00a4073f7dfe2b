/**
 * The most plants that stand in an outline on a lattice: every shift of the lattice that can be the best is tried.
 *
 * Where a lattice has p points in a region, so many of the region's copies, each moved by one lattice step, lie over each
 * other at one point. The number changes only across the copies' edges, and they are closed; so it is greatest at a point
 * where two edges meet, at a corner, or at the lowest or highest point of a bow. Only the heights of such points are
 * candidates for the first row; along each, the best place of the rows' first plant is that where most of the rows'
 * stretches begin together.
 */
import { sayNumber } from '../numbers.js';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { areaOf, checkOutline } from './outline.js';
import type { Outline } from './outline.js';
import { boundaryOf, rowsAcross } from './region.js';
import type { Curve, Disk, Point, Region } from './region.js';
import { plantsPerM2 } from './spacing.js';
import type { Pattern } from './spacing.js';

export interface Fill {
	count: number;
	/** Where they stand, row by row, in the outline's own metres. */
	points: Point[];
	/** How far the rows are turned from the x axis, degrees. */
	turnedBy: number;
	/** No shift of these rows holds more. */
	exact: boolean;
}

export interface FillAsked extends Region {
	/** Between neighbours, m; above 0. */
	spacing: number;
	pattern: Pattern;
	/** Rows may run in any direction; else along either side of the outline's box. */
	turn: boolean;
}

/** A point so near an edge stands on it, m. */
const TOUCHES = 1e-7;
/** So far inside another's ground a point is not on its edge, m. */
const COVERED = 1e-6;
/** Stretches of rows that are looked at for one fill, at most; past it every so many heights are tried, not all. */
const MOST_LOOKED_AT = 4_000_000;
/** Meetings of edges that are looked for, at most. */
const MOST_MEETINGS = 3_000_000;

interface Lattice {
	s: number;
	/** Between rows. */
	h: number;
	/** By which every other row is moved along. */
	stagger: number;
}
const latticeOf = (spacing: number, pattern: Pattern): Lattice =>
	pattern === 'square'
		? { s: spacing, h: spacing, stagger: 0 }
		: { s: spacing, h: (spacing * Math.sqrt(3)) / 2, stagger: spacing / 2 };

const mod = (a: number, m: number): number => a - Math.floor(a / m) * m;

/** Points at which two curves meet when the second is moved by (dx, dy). */
function meetings(a: Curve, b: Curve, dx: number, dy: number, each: (x: number, y: number) => void): void {
	if ('r' in a && 'r' in b) {
		const [ex, ey] = [b.x + dx - a.x, b.y + dy - a.y];
		const d = Math.hypot(ex, ey);
		if (d === 0 || d > a.r + b.r || d < Math.abs(a.r - b.r)) return;
		const along = (d * d + a.r * a.r - b.r * b.r) / (2 * d);
		const off = Math.sqrt(Math.max(0, a.r * a.r - along * along));
		for (const side of [off, -off]) each(a.x + (along * ex - side * ey) / d, a.y + (along * ey + side * ex) / d);
	} else if ('r' in a) meetings(b, a, -dx, -dy, (x, y) => each(x + dx, y + dy));
	else if ('r' in b) {
		const [ux, uy] = [a.x2 - a.x1, a.y2 - a.y1];
		const [fx, fy] = [a.x1 - b.x - dx, a.y1 - b.y - dy];
		const [p, q, c] = [ux * ux + uy * uy, fx * ux + fy * uy, fx * fx + fy * fy - b.r * b.r];
		const root = q * q - p * c;
		if (root < 0 || p === 0) return;
		for (const t of [(-q - Math.sqrt(root)) / p, (-q + Math.sqrt(root)) / p])
			if (t >= -1e-9 && t <= 1 + 1e-9) each(a.x1 + t * ux, a.y1 + t * uy);
	} else {
		const [ux, uy, vx, vy] = [a.x2 - a.x1, a.y2 - a.y1, b.x2 - b.x1, b.y2 - b.y1];
		const cross = ux * vy - uy * vx;
		if (Math.abs(cross) < 1e-12) return;
		const [wx, wy] = [b.x1 + dx - a.x1, b.y1 + dy - a.y1];
		const t = (wx * vy - wy * vx) / cross;
		const q = (wx * uy - wy * ux) / cross;
		if (t >= -1e-9 && t <= 1 + 1e-9 && q >= -1e-9 && q <= 1 + 1e-9) each(a.x1 + t * ux, a.y1 + t * uy);
	}
}

interface Side {
	/** Does the region end to the right there; else it begins. */
	ends: boolean;
	/** How far to the right the edge goes for each step up. */
	lean: number;
}

/** What a curve is to the region at a point of it; null where it is none of its edge. */
function sideAt(c: Curve, x: number, y: number): Side | null {
	if (!('r' in c)) return c.y1 === c.y2 ? null : { ends: c.y2 > c.y1, lean: (c.x2 - c.x1) / (c.y2 - c.y1) };
	const [ex, ey] = [x - c.x, y - c.y];
	const beside = ex * c.comes[0] + ey * c.comes[1] < -1e-9 || ex * c.goes[0] + ey * c.goes[1] > 1e-9;
	return beside ? null : { ends: ex < 0, lean: ex === 0 ? -Math.sign(ey) * Infinity : -ey / ex };
}

/**
 * Can the lowest point at which most copies lie over each other be where these two meet? There the one ends to the right
 * and the other begins, and going up they come to overlap.
 */
function opens(a: Side | null, b: Side | null): boolean {
	if (!a || !b || a.ends === b.ends) return false;
	return (a.ends ? a.lean - b.lean : b.lean - a.lean) >= -1e-9;
}

const boxOf = (c: Curve): [number, number, number, number] =>
	'r' in c
		? [c.x - c.r, c.y - c.r, c.x + c.r, c.y + c.r]
		: [Math.min(c.x1, c.x2), Math.min(c.y1, c.y2), Math.max(c.x1, c.x2), Math.max(c.y1, c.y2)];

/** The box of what is left of a disk's edge where others lie over it; null where nothing is. */
function bareBox(d: Disk, others: readonly Disk[]): [number, number, number, number] | null {
	// What others cover of it, as stretches of its turn, 0 … 2π.
	const covered: [number, number][] = [];
	for (const o of others) {
		if (o === d) continue;
		const far = Math.hypot(o.x - d.x, o.y - d.y);
		if (far >= d.r + o.r) continue;
		if (far + d.r <= o.r - COVERED) return null;
		if (far + o.r <= d.r || far === 0) continue;
		const half = Math.acos(Math.min(1, Math.max(-1, (far * far + d.r * d.r - o.r * o.r) / (2 * far * d.r)))) - COVERED;
		if (half <= 0) continue;
		const from = mod(Math.atan2(o.y - d.y, o.x - d.x) - half, 2 * Math.PI);
		if (from + 2 * half > 2 * Math.PI) covered.push([from, 2 * Math.PI], [0, from + 2 * half - 2 * Math.PI]);
		else covered.push([from, from + 2 * half]);
	}
	covered.sort((a, b) => a[0] - b[0]);
	const box: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
	const put = (turn: number) => {
		const [x, y] = [d.x + d.r * Math.cos(turn), d.y + d.r * Math.sin(turn)];
		box[0] = Math.min(box[0], x);
		box[1] = Math.min(box[1], y);
		box[2] = Math.max(box[2], x);
		box[3] = Math.max(box[3], y);
	};
	const open = (from: number, to: number) => {
		if (to < from) return;
		put(from);
		put(to);
		for (let q = 0; q <= 4; q++) if ((q * Math.PI) / 2 >= from && (q * Math.PI) / 2 <= to) put((q * Math.PI) / 2);
	};
	let at = 0;
	for (const [from, to] of covered) {
		open(at, from);
		at = Math.max(at, to);
	}
	open(at, 2 * Math.PI);
	return box[0] === Infinity ? null : box;
}

/** Heights of the first row, 0 … h, of which one is the best; `all` is false where there were too many to look for. */
function heights(curves: readonly Curve[], keepOff: readonly Disk[], { s, h, stagger }: Lattice): { at: number[]; all: boolean } {
	const found = new Set<number>();
	const put = (y: number) => found.add(Math.round((mod(y, h) / h) * 1e9) % 1e9);
	/** Of what stands there only the outer edge counts: what lies well inside another's ground is no edge at all. */
	const bare = (x: number, y: number): boolean => keepOff.every((d) => (x - d.x) ** 2 + (y - d.y) ** 2 > (d.r - COVERED) ** 2);
	put(0);
	for (const c of curves) {
		const [, low, , high] = boxOf(c);
		if (!('r' in c) || bare(c.x, low)) put(low);
		if (!('r' in c) || bare(c.x, high)) put(high);
	}
	// Disks come last among the curves, in their order.
	const boxes = curves.map((c, i) => {
		const d = keepOff[i - (curves.length - keepOff.length)];
		return d ? bareBox(d, keepOff) : boxOf(c);
	});
	let looked = 0;
	for (let i = 0; i < curves.length; i++)
		for (let j = i; j < curves.length; j++) {
			const [one, other] = [curves[i]!, curves[j]!];
			// Two stretches: the same at every point of them.
			if (!('r' in one) && !('r' in other) && !opens(sideAt(one, 0, 0), sideAt(other, 0, 0))) continue;
			const [a, b] = [boxes[i], boxes[j]];
			if (!a || !b) continue;
			for (let k = Math.ceil((a[1] - b[3]) / h - 1e-9); k <= Math.floor((a[3] - b[1]) / h + 1e-9); k++) {
				const lean = mod(k, 2) === 0 ? 0 : stagger;
				const from = Math.ceil((a[0] - b[2] - lean) / s - 1e-9);
				const to = Math.floor((a[2] - b[0] - lean) / s + 1e-9);
				for (let n = from; n <= to; n++) {
					if (++looked > MOST_MEETINGS) return { at: [...found].map((x) => (x / 1e9) * h), all: false };
					const [dx, dy] = [n * s + lean, k * h];
					meetings(one, other, dx, dy, (x, y) => {
						if (opens(sideAt(one, x, y), sideAt(other, x - dx, y - dy)) && bare(x, y) && bare(x - dx, y - dy)) put(y);
					});
				}
			}
		}
	return { at: [...found].map((x) => (x / 1e9) * h), all: true };
}

interface Stretch {
	from: number;
	to: number;
	row: number;
}

/** The best of a first row at a height: how many, and where along it the lattice begins. */
function bestAlong(stretches: readonly Stretch[], { s, stagger }: Lattice): { count: number; begins: number } {
	let base = 0;
	const arcs: { from: number; long: number }[] = [];
	for (const { from, to, row } of stretches) {
		const long = Math.max(0, to - from);
		const whole = Math.floor((long + TOUCHES) / s);
		base += whole;
		arcs.push({ from: mod(from - (row % 2 === 0 ? 0 : stagger), s), long: long - whole * s });
	}
	arcs.sort((a, b) => a.from - b.from);
	// Where an arc begins: those hold it that began before it and have not ended, round the circle of one spacing.
	let [most, begins] = [0, 0];
	const ends = arcs.map((a) => a.from + Math.max(0, a.long) + TOUCHES).sort((a, b) => a - b);
	const wrapped = ends.filter((e) => e > s).map((e) => e - s);
	let [ended, wrapsOver] = [0, 0];
	for (let i = 0, j = 0; i < arcs.length; i++) {
		const u = arcs[i]!.from;
		// Those that begin within a hair of it begin with it.
		while (j < arcs.length && arcs[j]!.from <= u + TOUCHES) j++;
		while (ended < ends.length && ends[ended]! < u) ended++;
		while (wrapsOver < wrapped.length && wrapped[wrapsOver]! < u) wrapsOver++;
		const holds = j - ended + (wrapped.length - wrapsOver);
		if (holds > most) [most, begins] = [holds, u];
	}
	return { count: base + most, begins };
}

interface Best {
	count: number;
	height: number;
	begins: number;
}

type Rows = ReturnType<typeof rowsAcross>;

function stretchesAt(rows: Rows, height: number): Stretch[] {
	const stretches: Stretch[] = [];
	rows(height, (row, from, to) => stretches.push({ from, to, row }));
	return stretches;
}

function bestOf(rows: Rows, lattice: Lattice, candidates: readonly number[]): Best {
	let best: Best = { count: 0, height: 0, begins: 0 };
	for (const height of candidates) {
		const { count, begins } = bestAlong(stretchesAt(rows, height), lattice);
		if (count > best.count) best = { count, height, begins };
	}
	return best;
}

function pointsOf(rows: Rows, lattice: Lattice, { height, begins }: Best): Point[] {
	const { s, h, stagger } = lattice;
	const points: Point[] = [];
	for (const { from, to, row } of stretchesAt(rows, height)) {
		const at = begins + (row % 2 === 0 ? 0 : stagger);
		const [first, last] = [Math.ceil((from - at - TOUCHES) / s), Math.floor((to - at + TOUCHES) / s)];
		// One that lies a hair outside stands on the edge.
		for (let n = first; n <= last; n++) points.push([Math.min(to, Math.max(from, at + n * s)), height + row * h]);
	}
	return points;
}

/** Turned about the origin. */
const turned = ([x, y]: Point, angle: number): Point => [
	x * Math.cos(angle) - y * Math.sin(angle),
	x * Math.sin(angle) + y * Math.cos(angle)
];
function turnedRegion(region: Region, angle: number): Region {
	if (angle === 0) return region;
	const ring = (points: readonly Point[]) => points.map((p) => turned(p, angle));
	const keepOff = (region.keepOff ?? []).map(({ x, y, r }) => {
		const [u, v] = turned([x, y], angle);
		return { x: u, y: v, r };
	});
	return { outline: ring(region.outline), holes: region.holes.map(ring), margin: region.margin, keepOff };
}

/** The best shift of rows that run at an angle, radians. */
function along(asked: FillAsked, angle: number, most: number): { fill: Fill; best: Best } {
	const region = turnedRegion(asked, -angle);
	const lattice = latticeOf(asked.spacing, asked.pattern);
	const rows = rowsAcross(region, lattice.h);
	const { at, all } = heights(boundaryOf(region), region.keepOff ?? [], lattice);
	const fits = Math.max(64, Math.floor(most / Math.max(1, stretchesAt(rows, 0).length)));
	const step = Math.ceil(at.length / fits);
	const best = bestOf(rows, lattice, step > 1 ? at.filter((_, i) => i % step === 0) : at);
	return {
		best,
		fill: {
			count: best.count,
			points: pointsOf(rows, lattice, best).map((p) => (angle === 0 ? p : turned(p, angle))),
			turnedBy: (angle * 180) / Math.PI,
			exact: all && step <= 1
		}
	};
}

/** Directions that are tried besides those of the edges, and how many of all are looked into. */
const DIRECTIONS = 90;
const LOOKED_INTO = 6;

/** Directions worth a look, radians: the best at a few shifts of each first. */
function directions(asked: FillAsked): number[] {
	const period = asked.pattern === 'square' ? Math.PI / 2 : Math.PI / 3;
	const lattice = latticeOf(asked.spacing, asked.pattern);
	const all = Array.from({ length: DIRECTIONS }, (_, i) => (i * period) / DIRECTIONS);
	for (const ring of [asked.outline, ...asked.holes])
		ring.forEach(([x, y], i) => {
			const [u, v] = ring[(i + 1) % ring.length]!;
			all.push(mod(Math.atan2(v - y, u - x), period));
		});
	return all
		.map((angle) => {
			const region = turnedRegion(asked, -angle);
			const corners = [...new Set(region.outline.map((p) => mod(p[1], lattice.h)))].slice(0, 8);
			const spread = Array.from({ length: 8 }, (_, i) => (i * lattice.h) / 8);
			return { angle, count: bestOf(rowsAcross(region, lattice.h), lattice, [...corners, ...spread]).count };
		})
		.sort((a, b) => b.count - a.count)
		.slice(0, LOOKED_INTO)
		.map((d) => d.angle);
}

/** The most plants in an outline. With `turn`, the best of the directions that were tried. */
export function fill(asked: FillAsked): Fill {
	const sides = [0, ...(asked.pattern === 'triangular' ? [Math.PI / 2] : [])];
	const tried = asked.turn ? [...sides, ...directions(asked)] : sides;
	let best: Fill | null = null;
	for (const angle of tried) {
		const { fill: one } = along(asked, angle, MOST_LOOKED_AT / tried.length);
		if (!best || one.count > best.count) best = { ...one, exact: one.exact && !asked.turn };
		else if (!one.exact) best.exact = false;
	}
	return best!;
}

/** Past so many plants nobody sets them by a plan. */
const MOST_PLANTS = 50_000;

/** An outline that has not been looked at yet, and a spacing at which it takes no more than can be set. */
export function fillable<T extends Outline & { spacing: number }>(asked: T, pattern: Pattern): Result<T> {
	const sound = checkOutline(asked);
	if (!sound.ok) return sound;
	const about = areaOf(asked) * plantsPerM2(asked.spacing * 100, pattern);
	if (about > MOST_PLANTS)
		return refuse(
			'ground.many',
			`That is about ${sayNumber(Math.round(about))} plants: ${sayNumber(MOST_PLANTS)} at most.`,
			'spacing'
		);
	return ok(asked);
}

/** The same of an outline that has not been looked at yet. */
export function fillOutline(asked: FillAsked): Result<Fill> {
	const good = fillable(asked, asked.pattern);
	return good.ok ? ok(fill(asked)) : good;
}
