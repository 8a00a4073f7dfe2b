/**
 * The part of an outline in which plants may stand: inside it, not inside its holes, and no nearer to any edge than a
 * margin. Closed: a plant may stand on its edge.
 */

import { polygonArea } from 'd3-polygon';

export type Point = [x: number, y: number];

export interface Region {
	/** Corners in order, m; the last joins the first. Its edges do not cross. */
	outline: readonly Point[];
	/** Stones, trunks, paths. */
	holes: readonly (readonly Point[])[];
	/** m, 0 or more. */
	margin: number;
	/** Round each of these no plant stands nearer than so far: what stands there already. */
	keepOff?: readonly Disk[];
}

export interface Disk {
	x: number;
	y: number;
	/** m, above 0. */
	r: number;
}

export interface Edge {
	x1: number;
	y1: number;
	x2: number;
	y2: number;
}
/** A bow about a corner that stands out into the region, between the edge that comes to it and the one that goes on. */
export interface Bow {
	x: number;
	y: number;
	r: number;
	/** Directions of the two edges. */
	comes: Point;
	goes: Point;
}
/** Where a region ends: a stretch with the region on its left as one goes along it, or a bow. */
export type Curve = Edge | Bow;

/** Does a ring go round against the clock? (Of d3-polygon's sign, which counts y downwards.) */
const againstClock = (ring: readonly Point[]): boolean => polygonArea(ring as Point[]) < 0;

/** A ring that has the region on its left, without corners that are there twice. */
function leftHanded(ring: readonly Point[], hole: boolean): Point[] {
	const apart = ring.filter(([x, y], i) => {
		const [u, v] = ring[(i + 1) % ring.length]!;
		return x !== u || y !== v;
	});
	return againstClock(apart) === hole ? apart.reverse() : apart;
}

/** All rings with the region on their left. */
export const ringsOf = ({ outline, holes }: Region): Point[][] => [
	leftHanded(outline, false),
	...holes.map((h) => leftHanded(h, true))
];

export function edgesOf(rings: readonly (readonly Point[])[]): Edge[] {
	return rings.flatMap((ring) =>
		ring.map(([x1, y1], i) => {
			const [x2, y2] = ring[(i + 1) % ring.length]!;
			return { x1, y1, x2, y2 };
		})
	);
}

/** Curves that hold all of its edge: the outline's edges moved in by the margin, and bows about the corners that stand out into it. */
export function boundaryOf(region: Region): Curve[] {
	const rings = ringsOf(region);
	const m = region.margin;
	const round = (region.keepOff ?? []).map((d): Bow => ({ ...d, comes: [0, 0], goes: [0, 0] }));
	if (m === 0) return [...edgesOf(rings), ...round];
	const curves: Curve[] = edgesOf(rings).map(({ x1, y1, x2, y2 }) => {
		const long = Math.hypot(x2 - x1, y2 - y1);
		const [nx, ny] = [(-(y2 - y1) / long) * m, ((x2 - x1) / long) * m];
		return { x1: x1 + nx, y1: y1 + ny, x2: x2 + nx, y2: y2 + ny };
	});
	for (const ring of rings)
		ring.forEach(([x, y], i) => {
			const [[ax, ay], [bx, by]] = [ring[(i + ring.length - 1) % ring.length]!, ring[(i + 1) % ring.length]!];
			const [comes, goes]: [Point, Point] = [
				[x - ax, y - ay],
				[bx - x, by - y]
			];
			if (comes[0] * goes[1] - comes[1] * goes[0] < 0) curves.push({ x, y, r: m, comes, goes });
		});
	return [...curves, ...round];
}

/** Rows are looked at so much above and below their height, m: an edge that lies along a row belongs to it. */
const HAIR = 1e-9;

/** An edge with what every row asks of it: its direction, of length 1, and its length. */
interface Known extends Edge {
	dx: number;
	dy: number;
	long: number;
}

/**
 * The open stretch of a line at a height that lies nearer to an edge than the margin, or null. It is one stretch: what is
 * near an edge is convex.
 */
function near({ x1, y1, x2, y2, dx, dy, long }: Known, m: number, y: number): Point | null {
	if (Math.min(y1, y2) - m >= y || Math.max(y1, y2) + m <= y) return null;
	let from = Infinity;
	let to = -Infinity;
	const root1 = m * m - (y - y1) ** 2;
	if (root1 > 0) {
		from = x1 - Math.sqrt(root1);
		to = x1 + Math.sqrt(root1);
	}
	const root2 = m * m - (y - y2) ** 2;
	if (root2 > 0) {
		from = Math.min(from, x2 - Math.sqrt(root2));
		to = Math.max(to, x2 + Math.sqrt(root2));
	}
	// The strip along the edge: |dx·(y − y1) − dy·(x − x1)| < m, and 0 < dx·(x − x1) + dy·(y − y1) < its length.
	const up = y - y1;
	let a = -Infinity;
	let b = Infinity;
	if (Math.abs(dy) > 1e-15) {
		const middle = x1 + (dx * up) / dy;
		a = middle - m / Math.abs(dy);
		b = middle + m / Math.abs(dy);
	} else if (Math.abs(up) >= m) b = -Infinity;
	if (Math.abs(dx) > 1e-15) {
		const [u, v] = [x1 - (dy * up) / dx, x1 + (long - dy * up) / dx];
		a = Math.max(a, Math.min(u, v));
		b = Math.min(b, Math.max(u, v));
	} else if (dy * up <= 0 || dy * up >= long) b = -Infinity;
	if (b > a) {
		from = Math.min(from, a);
		to = Math.max(to, b);
	}
	return to > from ? [from, to] : null;
}

/** Where the horizontal line at a height is inside, its ends in pairs: by the edges that it crosses. */
function crossings(edges: readonly Edge[], y: number): number[] {
	const xs: number[] = [];
	for (const { x1, y1, x2, y2 } of edges) if (y1 > y !== y2 > y) xs.push(x1 + ((y - y1) / (y2 - y1)) * (x2 - x1));
	return xs.sort((a, b) => a - b);
}

const pairs = (xs: readonly number[]): Point[] => {
	const out: Point[] = [];
	for (let i = 0; i + 1 < xs.length; i += 2) out.push([xs[i]!, xs[i + 1]!]);
	return out;
};

/** Stretches of a horizontal line that lie inside, closed, in order and apart, by the edges that are near that height. */
function insideAt(edges: readonly Known[], disks: readonly Disk[], margin: number, y: number): Point[] {
	const onCorner = edges.some((e) => Math.abs(e.y1 - y) <= 2 * HAIR || Math.abs(e.y2 - y) <= 2 * HAIR);
	let inside = onCorner
		? joined([...pairs(crossings(edges, y - HAIR)), ...pairs(crossings(edges, y + HAIR))])
		: pairs(crossings(edges, y));
	const without = (gone: Point | null) => {
		if (gone === null) return;
		const left: Point[] = [];
		for (const stretch of inside) {
			const [from, to] = stretch;
			if (gone[1] <= from || gone[0] >= to) left.push(stretch);
			else {
				if (gone[0] >= from) left.push([from, gone[0]]);
				if (gone[1] <= to) left.push([gone[1], to]);
			}
		}
		inside = left;
	};
	for (const d of disks) without(acrossDisk(d, y));
	const m = margin - HAIR;
	if (m > 0) for (const edge of edges) if (inside.length > 0) without(near(edge, m, y));
	return inside;
}

/** The open stretch of a line at a height that lies in a disk, or null. */
function acrossDisk({ x, y: cy, r }: Disk, y: number): Point | null {
	const root = (r - HAIR) ** 2 - (y - cy) ** 2;
	return root > 0 ? [x - Math.sqrt(root), x + Math.sqrt(root)] : null;
}

function joined(stretches: Point[]): Point[] {
	const out: Point[] = [];
	for (const [from, to] of stretches.sort((a, b) => a[0] - b[0] || a[1] - b[1])) {
		const last = out.at(-1);
		if (last && from <= last[1] + HAIR) last[1] = Math.max(last[1], to);
		else out.push([from, to]);
	}
	return out;
}

/**
 * Rows across a region: asked for the height of one, it gives each stretch inside of it and of all that lie `apart` above
 * and below it, with the number of its row.
 */
export function rowsAcross(
	region: Region,
	apart: number
): (height: number, each: (row: number, from: number, to: number) => void) => void {
	const edges = edgesOf(ringsOf(region)).map((e): Known => {
		const long = Math.hypot(e.x2 - e.x1, e.y2 - e.y1);
		return { ...e, dx: (e.x2 - e.x1) / long, dy: (e.y2 - e.y1) / long, long };
	});
	let [low, high] = [Infinity, -Infinity];
	for (const [, y] of region.outline) {
		low = Math.min(low, y);
		high = Math.max(high, y);
	}
	/** Of each band as tall as rows are apart, the edges that reach into it. */
	const bands = new Map<number, Known[]>();
	for (const e of edges) {
		const reach = region.margin + 4 * HAIR;
		const [from, to] = [Math.min(e.y1, e.y2) - reach, Math.max(e.y1, e.y2) + reach];
		for (let band = Math.floor(from / apart); band <= Math.floor(to / apart); band++) {
			const there = bands.get(band);
			if (there) there.push(e);
			else bands.set(band, [e]);
		}
	}
	const diskBands = new Map<number, Disk[]>();
	for (const d of region.keepOff ?? [])
		for (let band = Math.floor((d.y - d.r) / apart); band <= Math.floor((d.y + d.r) / apart); band++) {
			const there = diskBands.get(band);
			if (there) there.push(d);
			else diskBands.set(band, [d]);
		}
	const none: Disk[] = [];
	return (height, each) => {
		const first = Math.ceil((low - height) / apart - 1e-7);
		const last = Math.floor((high - height) / apart + 1e-7);
		for (let row = first; row <= last; row++) {
			// A row that lies a hair outside lies on the edge.
			const y = Math.min(high, Math.max(low, height + row * apart));
			const band = Math.floor(y / apart);
			const there = bands.get(band);
			if (there) for (const [from, to] of insideAt(there, diskBands.get(band) ?? none, region.margin, y)) each(row, from, to);
		}
	};
}
