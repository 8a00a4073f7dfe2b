/**
 * How a clump is divided: how many, how big, when they fill their place, where the spade goes. Two schools:
 * few big divisions make a show next year, many small ones make most plants and take a year more.
 */
import type { Result } from '../result.js';
import { ok, refuse } from '../result.js';
import { MATERIAL } from './judged.js';

export type DivisionAim = 'show' | 'middling' | 'many';

export interface Clump {
	/** Across, cm. */
	diameterCm: number;
	/** Years since it was planted or last divided; null if not known. */
	ageYears: number | null;
	/** Growing points, fans or eyes counted; null if not counted. */
	points: number | null;
	/** Share of its area, in the middle, that is dead or woody. */
	deadShare: number;
	/** Share of the clump that is lifted: 1 the whole, less a slice cut out while the rest stays. */
	lifted: number;
}

export interface DivisionHabit {
	/** Middling divisions of a clump of the usual size. */
	usualCount: number;
	usualCm: number;
	/** Distance at which they are planted: filled when they touch. */
	spacingCm: number;
}

/** Sector of a ring: one division as the spade cuts it, cm and radians. */
export interface Sector {
	inner: number;
	outer: number;
	from: number;
	to: number;
}

export interface Division {
	count: number;
	/** What set the number: the living surface or the growing points. */
	bound: 'surface' | 'points';
	/** Across one division if it were round, cm. */
	eachCm: number;
	/** Growing points on each on average; null if not known. */
	pointsEach: number | null;
	/** Growing seasons until neighbours touch. */
	yearsToFill: number;
	/** What goes out, cm². */
	deadCm2: number;
	sectors: Sector[];
}

/** Growing points that a division keeps at least, and its surface against a middling one. Common practice, no source; surfaces from memory. */
export const AIMS: Record<DivisionAim, { points: number; surface: number }> = {
	show: { points: 5, surface: 2.5 },
	middling: { points: 3, surface: 1 },
	many: { points: 1, surface: 0.5 }
};
const USUAL_AGE = MATERIAL.clumpAge.value;
const MOST_DIVISIONS = 400;

export function checkClump(c: Clump): Result<Clump> {
	if (!(c.diameterCm >= 3 && c.diameterCm <= 300))
		return refuse('clump.size', 'A clump is between 3 cm and 3 m across.', 'diameter');
	if (c.ageYears !== null && !(c.ageYears >= 0 && c.ageYears <= 100))
		return refuse('clump.age', 'Between 0 and 100 years.', 'age');
	if (c.points !== null && !(Number.isInteger(c.points) && c.points >= 1 && c.points <= 5000))
		return refuse('clump.points', 'Growing points: a whole number, 1 at least.', 'points');
	if (!(c.deadShare >= 0 && c.deadShare <= 0.95))
		return refuse('clump.dead', 'The dead middle is between none and 95 % of it.', 'dead');
	if (!(c.lifted > 0 && c.lifted <= 1)) return refuse('clump.lifted', 'Lift the whole or a part of it.', 'lifted');
	return ok(c);
}

const disc = (across: number): number => (Math.PI / 4) * across ** 2;

/** A division, from a checked clump. A clump too small for two is left whole: count 1 at most. */
export function divide(c: Clump, habit: DivisionHabit, aim: DivisionAim): Division {
	const living = disc(c.diameterCm) * (1 - c.deadShare) * c.lifted;
	const each = (disc(habit.usualCm) / habit.usualCount) * AIMS[aim].surface;
	const bySurface = Math.floor(living / each + 1e-9);
	const points = c.points === null ? null : c.points * c.lifted;
	const byPoints = points === null ? Infinity : Math.floor(points / AIMS[aim].points + 1e-9);
	// Where only a piece's worth is there, it is one plant still.
	const count = Math.max(1, Math.min(bySurface, byPoints, MOST_DIVISIONS));
	const got = Math.min(living / count, disc(c.diameterCm));
	const eachCm = 2 * Math.sqrt(got / Math.PI);
	// It went from a small plant to this width in its years; a division goes on at that pace.
	const pace = c.diameterCm / Math.max(1, c.ageYears ?? USUAL_AGE);
	return {
		count,
		bound: byPoints < bySurface ? 'points' : 'surface',
		eachCm,
		pointsEach: points === null ? null : points / count,
		yearsToFill: Math.max(0, (habit.spacingCm - eachCm) / pace),
		deadCm2: disc(c.diameterCm) * c.deadShare * c.lifted,
		sectors: sectorsOf(c, count)
	};
}

/** Cuts of equal surface: as many rings as make the pieces about as deep as wide, each cut into wedges. */
function sectorsOf(c: Clump, count: number): Sector[] {
	const outer = c.diameterCm / 2;
	const inner = outer * Math.sqrt(c.deadShare);
	const sweep = 2 * Math.PI * c.lifted;
	const side = Math.sqrt((sweep / 2 / count) * (outer ** 2 - inner ** 2));
	const rings = Math.max(1, Math.min(count, Math.round((outer - inner) / side)));
	const sectors: Sector[] = [];
	let done = 0;
	for (let ring = 0; ring < rings; ring++) {
		// Rings of equal depth hold surfaces that grow outward; whole pieces are shared out by that.
		const edge = inner + ((outer - inner) * (ring + 1)) / rings;
		const upTo =
			ring === rings - 1 ? count : Math.max(done + 1, Math.round((count * (edge ** 2 - inner ** 2)) / (outer ** 2 - inner ** 2)));
		const here = Math.min(count, upTo) - done;
		if (here <= 0) continue;
		const radius = (share: number) => Math.sqrt(inner ** 2 + share * (outer ** 2 - inner ** 2));
		for (let i = 0; i < here; i++)
			sectors.push({
				inner: radius(done / count),
				outer: radius((done + here) / count),
				from: (sweep * i) / here,
				to: (sweep * (i + 1)) / here
			});
		done += here;
	}
	return sectors;
}

export interface Eyes {
	/** Tubers or offsets, and those with an eye or a good share of root. */
	all: number;
	sound: number;
	eyes: number;
	/** Eyes each division is to keep. */
	each: number;
}

/** Tubers by eyes, fleshy roots by offsets: a piece without an eye on its neck never shoots. Common practice, no source. */
export const byEyes = ({ all, sound, eyes, each }: Eyes): { count: number; thrownOut: number } => {
	const count = Math.max(0, Math.min(sound, Math.floor(eyes / Math.max(1, each))));
	return { count, thrownOut: Math.max(0, all - count) };
};
