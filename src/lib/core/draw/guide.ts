/** A piece as it is made and set, to scale, from the handbook's figures and the school chosen. */
import type { Cut } from '../handbook/benchSchema.js';
import { circle, leafPath, line, polygon, withRoom } from './shapes.js';
import type { Drawing, Shape } from './shapes.js';

export interface GuideChoice {
	slant: boolean;
	wound: boolean;
	hormone: boolean;
	cover: boolean;
	inWater: boolean;
}

/** How deep a stem goes under, cm, to half a centimetre: nobody measures closer. */
export const underOf = (cut: Cut): number => Math.max(1, Math.round(2 * (cut.cm?.[1] ?? 12) * cut.deep) / 2);

/** Surface, and how deep the ground is drawn. */
const soil = (left: number, right: number, deep: number, water: boolean): Shape[] => [
	{
		path: polygon([
			[left, 0],
			[right, 0],
			[right, deep],
			[left, deep]
		]),
		fill: water ? 'water' : 'soil'
	},
	{ path: line(left, 0, right, 0), stroke: 'ink', width: 0.06 }
];
const measure = (x: number, from: number, to: number, text: string, side: 1 | -1): Shape[] => [
	{
		path: `${line(x, from, x, to)}${line(x - 0.25, from, x + 0.25, from)}${line(x - 0.25, to, x + 0.25, to)}`,
		stroke: 'faded',
		width: 0.05
	},
	{ text, x: x + 0.4 * side, y: (from + to) / 2 + 0.2, size: 0.62, anchor: side > 0 ? 'start' : 'end', tone: 'ink' }
];

export const drawGuide = (cut: Cut, choice: GuideChoice, say: (cm: number) => string): Drawing =>
	withRoom(drawn(cut, choice, say));

function drawn(cut: Cut, choice: GuideChoice, say: (cm: number) => string): Drawing {
	switch (cut.draws) {
		case 'clump':
		case 'tuber':
			return crown(cut, say);
		case 'leaf':
			return leaf(cut, say);
		case 'root':
			return roots(cut, say);
		case 'sucker':
			return sucker(cut, say);
		case 'layer':
			return layer(cut, say);
		default:
			return upright(cut, choice, say);
	}
}

/** Stems, rods and basal shoots: as they stand in the mix or the water. */
function upright(cut: Cut, choice: GuideChoice, say: (cm: number) => string): Drawing {
	const [, long] = cut.cm ?? [8, 12, 15];
	const under = underOf(cut);
	const above = long - under;
	// Twice its thickness, so that it is seen.
	const half = ((cut.mm ?? 4) / 10) * 1;
	const nodeCount = Math.max(cut.nodes?.[0] ?? 2, Math.min(cut.nodes?.[1] ?? 6, (cut.under ?? 1) + (cut.leaves ?? 0) + 1));
	const unit = Math.max(0.5, long / 14);
	const spread = Math.max(3, cut.spread_cm);
	const [left, right] = [-spread * 0.9 - 5.5 * unit, spread * 1.6 + 5.5 * unit];
	const shapes: Shape[] = soil(left, right, under + 1.6 * unit, choice.inWater);
	const stem = (x: number, ghost: boolean) => {
		const fill = cut.wood?.[0] === 'soft' ? 'soft' : cut.draws === 'rod' ? 'woody' : 'firm';
		const tipOn = cut.tip !== 'never' && cut.draws !== 'rod';
		const foot: [number, number][] = choice.slant
			? [
					[x + half, under - half * 2.2],
					[x - half, under]
				]
			: [
					[x + half, under],
					[x - half, under]
				];
		const nodeY = (k: number) => under - 0.3 * unit - (k * (long - 0.6 * unit)) / Math.max(1, nodeCount - 1 || 1);
		shapes.push({
			path: polygon([[x - half, -above], [x + half * (tipOn ? 0.6 : 1), -above], ...foot]),
			fill: ghost ? 'waste' : fill,
			stroke: 'ink',
			width: 0.05
		});
		for (let k = 0; k < nodeCount; k++) {
			const y = nodeY(k);
			shapes.push({ path: line(x - half - 0.18, y, x + half + 0.18, y), stroke: 'ink', width: 0.09 });
			const kept = y < -0.2 && k >= nodeCount - (cut.leaves ?? 0);
			if (kept && !ghost) {
				shapes.push({
					path: leafPath(x + half, y, -0.55, spread * 0.62, cut.halve ?? false),
					fill: 'leaf',
					stroke: 'ink',
					width: 0.05
				});
				shapes.push({
					path: leafPath(x - half, y, Math.PI + 0.55, spread * 0.62, cut.halve ?? false),
					fill: 'leaf',
					stroke: 'ink',
					width: 0.05
				});
			} else if (!ghost && cut.draws !== 'rod')
				// Stripped: only the scars of leaves.
				shapes.push({
					path: `${line(x + half + 0.1, y - 0.15, x + half + 0.5, y - 0.45)}${line(x - half - 0.1, y - 0.15, x - half - 0.5, y - 0.45)}`,
					stroke: 'cut',
					width: 0.08
				});
		}
		if (tipOn && !ghost && (cut.leaves ?? 0) > 0)
			shapes.push({ path: leafPath(x, -above, -Math.PI / 2, spread * 0.4, false), fill: 'leaf', stroke: 'ink', width: 0.05 });
		if (ghost) return;
		if (choice.wound)
			shapes.push({
				path: line(x + half * 0.55, under - 0.4, x + half * 0.55, under - Math.min(2.5, under * 0.6)),
				stroke: 'powder',
				width: 0.25
			});
		if (choice.hormone)
			for (let i = 0; i < 9; i++)
				shapes.push({
					path: circle(x + half * 1.4 * Math.cos(i * 2.4), under - 0.2 - (i % 5) * 0.25, 0.09),
					fill: 'powder',
					stroke: 'ink',
					width: 0.03
				});
	};
	stem(0, false);
	stem(spread, true);
	shapes.push({
		path: `${line(0, 0.9, spread, 0.9)}${line(0, 0.65, 0, 1.15)}${line(spread, 0.65, spread, 1.15)}`,
		stroke: 'faded',
		width: 0.05
	});
	shapes.push({ text: say(spread), x: spread / 2, y: 0.75, size: 0.8 * unit, anchor: 'middle' });
	for (const m of measure(left + 4.4 * unit, -above, under, say(long), -1))
		shapes.push('text' in m ? { ...m, size: 0.9 * unit } : m);
	for (const m of measure(right - 4.8 * unit, 0, under, say(under), 1)) shapes.push('text' in m ? { ...m, size: 0.9 * unit } : m);
	if (choice.cover) {
		const w = spread * 1.25 + half;
		shapes.push({
			path: `M${-w} 0C${-w} ${-above * 1.75} ${w + spread * 0.3} ${-above * 1.75} ${w + spread * 0.3} 0`,
			stroke: 'faded',
			width: 0.08,
			dash: true
		});
	}
	const top = -above * (choice.cover ? 1.4 : 1) - spread * 0.45;
	return {
		box: [left, top, right - left, under + 1.6 * unit - top],
		shapes,
		say: `A ${cut.draws === 'rod' ? 'rod' : 'piece'} of ${say(long)}, ${say(under)} of it ${choice.inWater ? 'under water' : 'in the mix'}, ${cut.leaves ?? 0} leaves kept${cut.halve ? ' and halved' : ''}, base cut ${choice.slant ? 'at a slant' : 'straight'}; the next one ${say(spread)} away.`
	};
}

const r3 = (x: number): number => Math.round(x * 1000) / 1000;

/** Crown at soil level; a tuber by its neck. */
function crown(cut: Cut, say: (cm: number) => string): Drawing {
	const w = Math.max(4, cut.spread_cm / 2);
	const tuber = cut.draws === 'tuber';
	const shapes: Shape[] = soil(-w * 2, w * 2, w * 1.9, false);
	if (tuber) {
		for (const dx of [-0.75, 0, 0.75]) {
			// A neck at the crown, thick in the middle, running to a point.
			const [x, y, fat] = [dx * w, w * 1.55, w * 0.26];
			const [nx, ny] = [-y / Math.hypot(x, y), x / Math.hypot(x, y)];
			const at = (along: number, across: number) => `${r3(x * along - nx * across)} ${r3(0.3 + y * along - ny * across)}`;
			shapes.push({
				path: `M${at(0, 0.2)}C${at(0.25, fat)} ${at(0.75, fat)} ${at(1, 0)}C${at(0.75, -fat)} ${at(0.25, -fat)} ${at(0, -0.2)}Z`,
				fill: 'woody',
				stroke: 'ink',
				width: 0.06
			});
		}
		shapes.push({ path: circle(0.2, 0.2, 0.35), fill: 'soft', stroke: 'cut', width: 0.08 });
		shapes.push({ text: 'eye on the neck', x: 0.9, y: -0.4, size: w * 0.17, anchor: 'start' });
	} else {
		for (let i = -3; i <= 3; i++) {
			shapes.push({
				path: leafPath(i * 0.35, 0, -Math.PI / 2 + i * 0.18, w * (1.2 - Math.abs(i) * 0.1), false),
				fill: 'leaf',
				stroke: 'ink',
				width: 0.05
			});
			shapes.push({
				path: `M${i * 0.3} 0.1Q${i * 0.9} ${w * 0.6} ${i * 1.1} ${w * (1.3 - Math.abs(i) * 0.12)}`,
				stroke: 'powder',
				width: 0.16
			});
		}
		shapes.push({ text: 'crown level with the soil', x: w * 0.55, y: -0.35, size: w * 0.17, anchor: 'start' });
		shapes.push({ text: 'pale roots are alive', x: w * 0.75, y: w * 1.1, size: w * 0.17, anchor: 'start' });
	}
	return {
		box: [-w * 2, -w * 1.35, w * 4, w * 3.3],
		shapes,
		say: tuber
			? `A tuber with an eye on its neck, the next ${say(cut.spread_cm)} away.`
			: `A division with living tops and pale roots, its crown level with the soil; the next ${say(cut.spread_cm)} away.`
	};
}

/** A leaf laid open, and its halves edge down in grooves. */
function leaf(cut: Cut, say: (cm: number) => string): Drawing {
	const [, long] = cut.cm ?? [8, 12, 20];
	const deep = cut.depth_cm ?? 1.3;
	const rows = 3;
	const gap = cut.spread_cm;
	const shapes: Shape[] = [{ path: leafPath(0, long * 0.35 + 2, 0, long, false), fill: 'leaf', stroke: 'ink', width: 0.06 }];
	const y0 = long * 0.35 + 2;
	shapes.push({ path: line(0, y0 - 0.15, long, y0 - 0.15), stroke: 'cut', width: 0.1, dash: true });
	shapes.push({ path: line(0, y0 + 0.15, long, y0 + 0.15), stroke: 'cut', width: 0.1, dash: true });
	shapes.push({ text: 'midrib out', x: long / 2, y: y0 - long * 0.3, size: long * 0.085, anchor: 'middle' });
	const x0 = long + 3;
	const wide = gap * (rows - 1) + 4;
	const ground = y0 + 1;
	shapes.push({
		path: polygon([
			[x0, ground],
			[x0 + wide, ground],
			[x0 + wide, ground + deep + 2.5],
			[x0, ground + deep + 2.5]
		]),
		fill: 'soil'
	});
	shapes.push({ path: line(x0, ground, x0 + wide, ground), stroke: 'ink', width: 0.06 });
	for (let r = 0; r < rows; r++) {
		const x = x0 + 2 + r * gap;
		shapes.push({
			path: polygon([
				[x - 0.18, ground + deep],
				[x + 0.18, ground + deep],
				[x + 0.9, ground - long * 0.3],
				[x + 0.5, ground - long * 0.33]
			]),
			fill: 'leaf',
			stroke: 'ink',
			width: 0.06
		});
	}
	shapes.push({ path: line(x0 + 2, ground - 0.6, x0 + 2 + gap, ground - 0.6), stroke: 'faded', width: 0.06 });
	shapes.push({ text: say(gap), x: x0 + 2 + gap / 2, y: ground - 0.9, size: long * 0.085, anchor: 'middle' });
	shapes.push({ text: `${say(deep)} deep`, x: x0 + wide - 0.2, y: ground + deep + 1.6, size: long * 0.085, anchor: 'end' });
	return {
		box: [-0.5, y0 - long * 0.42, long + wide + 4.5, long * 0.42 + deep + 4.5],
		shapes,
		say: `A leaf with its midrib cut out; the halves stand edge down in grooves ${say(deep)} deep, rows ${say(gap)} apart.`
	};
}

/** Root pieces: thick ones upright, the crown's end on top; thin ones laid flat. */
function roots(cut: Cut, say: (cm: number) => string): Drawing {
	const [short, usual, long] = cut.cm ?? [5, 5, 7.5];
	const over = cut.depth_cm ?? 1;
	const w = 2 * cut.spread_cm + long + 4;
	const shapes: Shape[] = soil(0, w, over + usual + 2, false);
	for (const x of [2, 2 + cut.spread_cm]) {
		// Square on top, slant below: which end is which stays plain.
		shapes.push({
			path: polygon([
				[x - 0.35, over],
				[x + 0.35, over],
				[x + 0.25, over + usual - 0.6],
				[x - 0.25, over + usual]
			]),
			fill: 'woody',
			stroke: 'ink',
			width: 0.06
		});
	}
	shapes.push({
		path: polygon([
			[w - long - 1, over],
			[w - 1, over + 0.1],
			[w - 1, over + 0.4],
			[w - long - 1, over + 0.35]
		]),
		fill: 'woody',
		stroke: 'ink',
		width: 0.06
	});
	shapes.push({ text: 'thick: upright, crown end on top', x: 0.4, y: -1.5, size: 0.6, anchor: 'start' });
	shapes.push({ text: 'thin: flat', x: w - 0.4, y: -0.5, size: 0.6, anchor: 'end' });
	shapes.push({ text: say(short), x: 2 + cut.spread_cm + 0.6, y: over + usual / 2, size: 0.6, anchor: 'start' });
	shapes.push({ text: `${say(over)} of cover`, x: w - 0.4, y: over + 1.6, size: 0.6, anchor: 'end' });
	return {
		box: [0, -2.4, w, over + usual + 4.4],
		shapes,
		say: `Root pieces of ${say(short)} upright or ${say(long)} flat, covered by ${say(over)}.`
	};
}

/** A sucker beside its parent, and where it is cut. */
function sucker(cut: Cut, say: (cm: number) => string): Drawing {
	const back = cut.cm?.[1] ?? 15;
	const u = back / 10;
	const shapes: Shape[] = soil(-12 * u, 12 * u, 7 * u, false);
	shapes.push({
		path: polygon([
			[-8 * u, -12 * u],
			[-7.2 * u, -12 * u],
			[-7 * u, 3 * u],
			[-8.2 * u, 3 * u]
		]),
		fill: 'woody',
		stroke: 'ink',
		width: 0.05 * u
	});
	shapes.push({
		path: `M${-7 * u} ${2 * u}C${-3 * u} ${3.4 * u} ${1 * u} ${2.6 * u} ${4 * u} ${0.5 * u}`,
		stroke: 'woody',
		width: 0.5 * u
	});
	shapes.push({
		path: polygon([
			[3.7 * u, 0.6 * u],
			[4.4 * u, 0.4 * u],
			[4.3 * u, -10 * u],
			[3.8 * u, -10 * u]
		]),
		fill: 'firm',
		stroke: 'ink',
		width: 0.05 * u
	});
	for (const [dx, dy] of [
		[-1.5, 4],
		[0, 4.6],
		[1.6, 3.8],
		[2.8, 3]
	] as const)
		shapes.push({
			path: `M${4 * u} ${0.6 * u}Q${(4 + dx * 0.5) * u} ${2.4 * u} ${(4 + dx) * u} ${dy * u}`,
			stroke: 'powder',
			width: 0.18 * u
		});
	shapes.push({ path: line(-2 * u, 1.4 * u, -2 * u, 4.6 * u), stroke: 'cut', width: 0.2 * u, dash: true });
	shapes.push({ path: line(3 * u, -10 * u, 5.2 * u, -10 * u), stroke: 'cut', width: 0.2 * u, dash: true });
	shapes.push({ text: 'cut from the parent', x: -2 * u, y: 6 * u, size: 0.85 * u, anchor: 'middle' });
	shapes.push({ text: `shorten to ${say(back)}`, x: 5.6 * u, y: -9.6 * u, size: 0.85 * u, anchor: 'start' });
	shapes.push({ text: 'soil stays on', x: 6.6 * u, y: 3.4 * u, size: 0.85 * u, anchor: 'start' });
	return {
		box: [-12 * u, -13 * u, 24 * u, 20 * u],
		shapes,
		say: `A rooted sucker cut from its parent with its soil on and shortened to ${say(back)}.`
	};
}

/** A shoot bent down, pegged, and up again. */
function layer(cut: Cut, say: (cm: number) => string): Drawing {
	const deep = cut.depth_cm ?? 8;
	const u = deep / 4;
	const shapes: Shape[] = soil(-14 * u, 14 * u, 8 * u, false);
	shapes.push({
		path: polygon([
			[-11 * u, -13 * u],
			[-10.2 * u, -13 * u],
			[-10 * u, 4 * u],
			[-11.2 * u, 4 * u]
		]),
		fill: 'woody',
		stroke: 'ink',
		width: 0.05 * u
	});
	shapes.push({
		path: `M${-10.4 * u} ${-3 * u}C${-5 * u} ${-4 * u} ${-4 * u} ${4 * u} ${0.5 * u} ${4 * u}C${4 * u} ${4 * u} ${4.4 * u} ${-2 * u} ${4.6 * u} ${-9 * u}`,
		stroke: 'firm',
		width: 0.55 * u
	});
	// The nick on the underside, the peg over it, the cane at the tip.
	shapes.push({ path: line(-0.4 * u, 4.5 * u, 1 * u, 3.8 * u), stroke: 'cut', width: 0.2 * u });
	shapes.push({
		path: `M${-0.6 * u} ${6.6 * u}L${-0.6 * u} ${3.2 * u}Q${0.4 * u} ${2.2 * u} ${1.4 * u} ${3.2 * u}L${1.4 * u} ${6.6 * u}`,
		stroke: 'ink',
		width: 0.2 * u
	});
	shapes.push({ path: line(5.2 * u, 5 * u, 5.2 * u, -10 * u), stroke: 'woody', width: 0.25 * u });
	for (const [y, a] of [
		[-8.6, -0.6],
		[-6, Math.PI + 0.5],
		[-4, -0.4]
	] as const)
		shapes.push({ path: leafPath(4.6 * u, y * u, a, 3 * u, false), fill: 'leaf', stroke: 'ink', width: 0.05 * u });
	shapes.push({ path: line(-4.5 * u, -1.5 * u, -3.2 * u, 1 * u), stroke: 'cut', width: 0.2 * u, dash: true });
	shapes.push({ text: 'cut here when it resists', x: -3.6 * u, y: -2.4 * u, size: 0.9 * u, anchor: 'middle' });
	shapes.push({ text: `${say(deep)} deep, pegged`, x: 2.2 * u, y: 6.6 * u, size: 0.9 * u, anchor: 'start' });
	return {
		box: [-14 * u, -14 * u, 28 * u, 22 * u],
		shapes,
		say: `A low shoot bent to the ground, nicked, pegged ${say(deep)} deep, its tip tied up to a cane.`
	};
}
