/** A stem with its cuts, and a clump with the spade's, to scale. */
import type { Division, Clump } from '../material/clump.js';
import type { Stem, StemPlan } from '../material/stem.js';
import { circle, line, polygon } from './shapes.js';
import type { Drawing, Shape } from './shapes.js';

/** The stem lies with its base to the left; pieces are lifted off it, waste lies pale. `say` writes a length. */
export function drawStem(s: Stem, plan: StemPlan, say: (cm: number) => string): Drawing {
	const L = s.lengthCm;
	// Stems are thin: thickness is drawn three times as large as length, and said to be.
	const half = (at: number) => (3 * (s.baseMm + ((s.tipMm - s.baseMm) * at) / L)) / 20;
	const rise = Math.max(1.2, half(0) * 1.2);
	const unit = L / 80;
	const shapes: Shape[] = [];
	const body = (from: number, to: number, y: number, tone: Shape & { path: string }) =>
		shapes.push({
			...tone,
			path: polygon([
				[from, y - half(from)],
				[to, y - half(to)],
				[to, y + half(to)],
				[from, y + half(from)]
			])
		});
	const parts = (from: number, to: number, y: number, waste: boolean) => {
		for (const [a, b, fill] of [
			[0, s.woodyTo, 'woody'],
			[s.woodyTo, s.softFrom, 'firm'],
			[s.softFrom, L, 'soft']
		] as const) {
			const [x1, x2] = [Math.max(a, from), Math.min(b, to)];
			if (x2 > x1 + 1e-6) body(x1, x2, y, { path: '', fill: waste ? 'waste' : fill });
		}
	};
	const nodes = (from: number, to: number, y: number) => {
		for (const at of s.nodes)
			if (at > from - 1e-9 && at < to + 1e-9)
				shapes.push({
					path: line(at, y - half(at) - 0.35 * unit, at, y + half(at) + 0.35 * unit),
					stroke: 'ink',
					width: 0.12 * unit
				});
	};
	parts(0, plan.leftCm, 0, false);
	nodes(0, plan.leftCm, 0);
	for (const w of plan.waste) parts(w.start, w.end, 0, true);
	plan.pieces.forEach((p, i) => {
		const y = -rise * 2;
		parts(p.start, p.end, y, false);
		nodes(p.start, p.end, y);
		for (const at of p.isTip ? [p.start] : [p.start, p.end])
			shapes.push({ path: line(at, y - half(at) - unit, at, half(at) + unit), stroke: 'cut', width: 0.18 * unit, dash: true });
		// Which end is down: a foot at the base.
		shapes.push({
			path: polygon([
				[p.start, y + half(p.start)],
				[p.start + 1.1 * unit, y + half(p.start) + 1.4 * unit],
				[p.start, y + half(p.start) + 1.4 * unit]
			]),
			fill: 'ink'
		});
		shapes.push({
			text: `${i + 1}`,
			x: (p.start + p.end) / 2,
			y: y - half(p.start) - unit * 0.8,
			size: 2.4 * unit,
			anchor: 'middle'
		});
	});
	if (s.flowering) shapes.push({ path: circle(L, -rise * 0, half(L) + 0.8 * unit), stroke: 'cut', width: 0.15 * unit });
	shapes.push({ text: say(0), x: 0, y: half(0) + 4 * unit, size: 1.9 * unit, anchor: 'start', tone: 'faded' });
	shapes.push({ text: say(L), x: L, y: half(0) + 4 * unit, size: 1.9 * unit, anchor: 'end', tone: 'faded' });
	const top = -rise * 2 - half(0) - 4 * unit;
	return {
		box: [-1.5 * unit, top, L + 3 * unit, half(0) + 5 * unit - top],
		shapes,
		say: `A stem of ${say(L)}: ${plan.pieces.length} pieces${plan.pieces.length ? `, from ${plan.pieces.map((p) => `${say(p.start)} to ${say(p.end)}`).join(', ')}` : ''}; ${say(plan.leftCm)} stay on the plant.`
	};
}

/** A clump from above with the spade's cuts; what stays in the ground is left white, the dead middle is crossed. */
export function drawClump(c: Clump, d: Division, say: (cm: number) => string): Drawing {
	const R = c.diameterCm / 2;
	const u = R / 12;
	const at = (r: number, a: number): [number, number] => [r * Math.cos(a - Math.PI / 2), r * Math.sin(a - Math.PI / 2)];
	const shapes: Shape[] = [{ path: circle(0, 0, R), fill: 'paper', stroke: 'faded', width: 0.15 * u, dash: true }];
	d.sectors.forEach((s, i) => {
		const steps = Math.max(2, Math.ceil((s.to - s.from) * 8));
		const arc = (r: number, from: number, to: number) =>
			Array.from({ length: steps + 1 }, (_, k) => at(r, from + ((to - from) * k) / steps));
		shapes.push({
			path: polygon([...arc(s.outer, s.from, s.to), ...arc(s.inner, s.to, s.from)]),
			fill: 'leaf',
			stroke: 'cut',
			width: 0.22 * u
		});
		if (d.count <= 60) {
			const [x, y] = at((s.inner + s.outer) / 2, (s.from + s.to) / 2);
			// A lone wedge that is the whole clump has its number beside the middle.
			shapes.push({ text: `${i + 1}`, x, y: y + 0.7 * u, size: Math.min(2.4, 14 / Math.sqrt(d.count)) * u, anchor: 'middle' });
		}
	});
	const inner = R * Math.sqrt(c.deadShare);
	if (inner > 0.5) {
		shapes.push({ path: circle(0, 0, inner), fill: 'waste', stroke: 'woody', width: 0.15 * u });
		const k = inner * 0.7;
		shapes.push({ path: `${line(-k, -k, k, k)}${line(-k, k, k, -k)}`, stroke: 'woody', width: 0.15 * u });
	}
	shapes.push({ path: line(-R, R + 1.2 * u, R, R + 1.2 * u), stroke: 'ink', width: 0.15 * u });
	shapes.push({ text: say(c.diameterCm), x: 0, y: R + 3.4 * u, size: 2 * u, anchor: 'middle' });
	return {
		box: [-R - u, -R - u, 2 * R + 2 * u, 2 * R + 6 * u],
		shapes,
		say: `A clump ${say(c.diameterCm)} across from above, cut into ${d.count}${c.deadShare > 0 ? ', the dead middle thrown out' : ''}${c.lifted < 1 ? ', the rest left in the ground' : ''}.`
	};
}
