/** Drawings as data: paths and words in centimetres, y downward, so that a screen and a printed page draw the same. */
export type Tone = 'ink' | 'faded' | 'soft' | 'firm' | 'woody' | 'cut' | 'waste' | 'soil' | 'leaf' | 'powder' | 'paper' | 'water';

export type Shape =
	| { path: string; stroke?: Tone; fill?: Tone; width?: number; dash?: boolean }
	| { text: string; x: number; y: number; size: number; anchor: 'start' | 'middle' | 'end'; tone?: Tone };

export interface Drawing {
	/** Left, top, width and height of what is drawn, cm. */
	box: readonly [number, number, number, number];
	shapes: Shape[];
	/** What it shows, for those who do not see it. */
	say: string;
}

/** Inks for screen and paper alike. */
export const TONES: Record<Tone, string> = {
	ink: '#14261e',
	faded: '#4d6157',
	soft: '#a9c98f',
	firm: '#5d9150',
	woody: '#8a6b4a',
	cut: '#9b2335',
	waste: '#d9d5cb',
	soil: '#cdbfa9',
	leaf: '#7fb069',
	powder: '#f4efe2',
	paper: '#ffffff',
	water: '#cfe3ee'
};

const n = (x: number) => Math.round(x * 1000) / 1000;
export const line = (x1: number, y1: number, x2: number, y2: number): string => `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`;
export const polygon = (points: readonly (readonly [number, number])[]): string =>
	`${points.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`).join('')}Z`;
export const circle = (x: number, y: number, r: number): string =>
	`M${n(x - r)} ${n(y)}A${n(r)} ${n(r)} 0 1 1 ${n(x + r)} ${n(y)}A${n(r)} ${n(r)} 0 1 1 ${n(x - r)} ${n(y)}Z`;

/** A leaf from a point in a direction (radians, 0 to the right, up is negative), so long; cut across to half if asked. */
export function leafPath(x: number, y: number, angle: number, long: number, halved: boolean): string {
	const at = (along: number, across: number): [number, number] => [
		x + along * Math.cos(angle) - across * Math.sin(angle),
		y + along * Math.sin(angle) + across * Math.cos(angle)
	];
	const wide = long * 0.22;
	const [x1, y1] = at(long * 0.25, wide * 1.3);
	const [x2, y2] = at(long * 0.25, -wide * 1.3);
	if (halved) {
		const [a, b] = at(long * 0.55, wide);
		const [c, d] = at(long * 0.55, -wide);
		return `M${n(x)} ${n(y)}Q${n(x1)} ${n(y1)} ${n(a)} ${n(b)}L${n(c)} ${n(d)}Q${n(x2)} ${n(y2)} ${n(x)} ${n(y)}Z`;
	}
	const [tx, ty] = at(long, 0);
	const [x3, y3] = at(long * 0.7, wide * 1.1);
	const [x4, y4] = at(long * 0.7, -wide * 1.1);
	return `M${n(x)} ${n(y)}C${n(x1)} ${n(y1)} ${n(x3)} ${n(y3)} ${n(tx)} ${n(ty)}C${n(x4)} ${n(y4)} ${n(x2)} ${n(y2)} ${n(x)} ${n(y)}Z`;
}

/** Usual advance of a letter of our type, as a share of its size. */
const LETTER = 0.52;

/** From where to where a text reaches, before and after its point. */
export function reachOf(t: { text: string; x: number; size: number; anchor?: 'start' | 'middle' | 'end' }): [number, number] {
	const wide = t.text.length * t.size * LETTER;
	const from = t.anchor === 'end' ? t.x - wide : t.anchor === 'middle' ? t.x - wide / 2 : t.x;
	return [from, from + wide];
}

/** The same drawing in a frame that no word of it is cut off by. */
export function withRoom(d: Drawing): Drawing {
	const [x, y, w, h] = d.box;
	const reaches = d.shapes.flatMap((s) => ('text' in s ? [reachOf(s)] : []));
	const left = Math.min(x, ...reaches.map(([from]) => from));
	const right = Math.max(x + w, ...reaches.map(([, to]) => to));
	return { ...d, box: [left, y, right - left, h] };
}
