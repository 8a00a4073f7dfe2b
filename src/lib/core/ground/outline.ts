/** Outlines as people give them: what is wrong with one, in a sentence. */
import { polygonArea, polygonContains } from 'd3-polygon';
import { orient2d } from 'robust-predicates';
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import { edgesOf } from './region.js';
import type { Edge, Point, Region } from './region.js';

export interface Outline {
	/** Corners in order, m; the last joins the first. */
	outline: readonly Point[];
	holes: readonly (readonly Point[])[];
}

export const MOST_CORNERS = 400;
export const MOST_HOLES = 50;
/** m: a garden is no larger, and its corners lie no farther from its own zero. */
export const FARTHEST_M = 10_000;
/** m²: less is no ground. */
const LEAST_M2 = 1e-4;

const side = (a: Edge, x: number, y: number): number => Math.sign(orient2d(a.x1, a.y1, a.x2, a.y2, x, y));

/** Do two stretches cross, each going from one side of the other to its other side? */
const cross = (a: Edge, b: Edge): boolean =>
	side(a, b.x1, b.y1) * side(a, b.x2, b.y2) < 0 && side(b, a.x1, a.y1) * side(b, a.x2, a.y2) < 0;

/** Do two stretches lie over each other for a part of their length? */
function overlap(a: Edge, b: Edge): boolean {
	if (side(a, b.x1, b.y1) !== 0 || side(a, b.x2, b.y2) !== 0) return false;
	const along = Math.abs(a.x2 - a.x1) > Math.abs(a.y2 - a.y1) ? (['x1', 'x2'] as const) : (['y1', 'y2'] as const);
	const [p, q] = [a, b].map((e) => along.map((k) => e[k]).sort((u, v) => u - v));
	return Math.min(p![1]!, q![1]!) > Math.max(p![0]!, q![0]!);
}

const ringArea = (ring: readonly Point[]): number => Math.abs(polygonArea(ring as Point[]));
/** Even–odd; a point on the edge may be either. */
const within = (ring: readonly Point[], p: Point): boolean => polygonContains(ring as Point[], p);

function ringTrouble(ring: readonly Point[], what: string): string | null {
	if (ring.length < 3) return `${what} has three corners at least.`;
	if (ring.length > MOST_CORNERS) return `${what} has ${MOST_CORNERS} corners at most.`;
	if (ring.some((p) => p.some((c) => !Number.isFinite(c) || Math.abs(c) > FARTHEST_M)))
		return `Corners lie within ${FARTHEST_M / 1000} km of the garden’s zero.`;
	const edges = edgesOf([ring]);
	for (let i = 0; i < edges.length; i++)
		for (let j = i + 1; j < edges.length; j++)
			if (cross(edges[i]!, edges[j]!) || overlap(edges[i]!, edges[j]!))
				return `${what} crosses itself between corner ${i + 1} and corner ${j + 1}: look at their order.`;
	return ringArea(ring) < LEAST_M2 ? `${what} has no area: its corners lie on one line.` : null;
}

/**
 * @returns the same outline; refused where it crosses itself, has no area, or a hole is not inside it or meets another
 */
export function checkOutline<T extends Outline>(o: T): Result<T> {
	const bad = ringTrouble(o.outline, 'The outline');
	if (bad) return refuse('ground.outline', bad, 'outline');
	if (o.holes.length > MOST_HOLES) return refuse('ground.holes', `At most ${MOST_HOLES} holes.`, 'holes');
	for (const [n, hole] of o.holes.entries()) {
		const path = `holes.${n}`;
		const trouble = ringTrouble(hole, `Hole ${n + 1}`);
		if (trouble) return refuse('ground.hole', trouble, path);
		const edges = edgesOf([hole]);
		const meets = (ring: readonly Point[]) => edgesOf([ring]).some((e) => edges.some((h) => cross(e, h)));
		// Of a hole that touches the edge some corners are on it: its middle tells.
		if (meets(o.outline) || !hole.some((p) => within(o.outline, p)))
			return refuse('ground.hole', `Hole ${n + 1} is not inside the outline.`, path);
		for (const [k, other] of o.holes.slice(0, n).entries())
			if (meets(other) || other.some((p) => within(hole, p)) || hole.some((p) => within(other, p)))
				return refuse('ground.hole', `Hole ${n + 1} and hole ${k + 1} lie over each other: make one of them.`, path);
	}
	return ok(o);
}

/** How far a point lies from the nearest edge, m. */
function fromEdge({ outline, holes }: Outline, p: Point): number {
	let least = Infinity;
	for (const e of edgesOf([outline, ...holes])) {
		const [ux, uy] = [e.x2 - e.x1, e.y2 - e.y1];
		const t = Math.min(1, Math.max(0, ((p[0] - e.x1) * ux + (p[1] - e.y1) * uy) / (ux * ux + uy * uy)));
		least = Math.min(least, Math.hypot(p[0] - e.x1 - t * ux, p[1] - e.y1 - t * uy));
	}
	return least;
}

/** Does a plant stand in the ground there: in the outline, in no hole, or on an edge? */
export const standsIn = (o: Outline, p: Point): boolean =>
	(within(o.outline, p) && !o.holes.some((h) => within(h, p))) || fromEdge(o, p) <= ON_EDGE_M;

/** May one be set there: inside, as far from every edge as asked, and clear of what stands there? */
export const mayStand = (region: Region, p: Point): boolean =>
	within(region.outline, p) &&
	!region.holes.some((h) => within(h, p)) &&
	(region.keepOff ?? []).every((d) => Math.hypot(p[0] - d.x, p[1] - d.y) >= d.r) &&
	fromEdge(region, p) >= region.margin;
/** Corners and plants are kept to the millimetre. */
const ON_EDGE_M = 0.0015;

/** Area of an outline less its holes, m². */
export const areaOf = ({ outline, holes }: Outline): number => ringArea(outline) - holes.reduce((sum, h) => sum + ringArea(h), 0);
