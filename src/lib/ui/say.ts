/** Words and formats shared by the screens. */
import { isoOf, sayDate } from '$lib/core/dates.js';
import type { StageName } from '$lib/core/handbook/schema.js';
import type { ShelterKindName } from '$lib/core/shelter/bodies.js';
import type { Compass, Glass } from '$lib/core/shelter/light.js';
import type { PlaceKind } from '$lib/core/places.js';
import type { Task } from '$lib/core/round/tasks.js';

export const PLACE_WORDS: Record<PlaceKind, string> = {
	bed: 'bed',
	hedge: 'hedge',
	slope: 'slope or bank',
	nursery_row: 'nursery row',
	bench: 'bench outdoors',
	sill: 'window sill',
	lit_shelf: 'shelf under lights',
	frame: 'cold frame',
	garage: 'frost-free garage',
	ground: 'in the ground'
};

/** Sorts of place to choose from, each with what else is of its sort. */
export const SORT_WORDS: Record<PlaceKind, string> = {
	...PLACE_WORDS,
	sill: 'window sill, room or porch',
	frame: 'cold frame, glasshouse or cloche',
	garage: 'garage, shed, cellar or porch',
	ground: 'in the ground, mulched or bare'
};

/** A place as a body of heat. */
export const BODY_WORDS: Record<ShelterKindName, string> = {
	room: 'room of the house',
	sill: 'window sill',
	lit_shelf: 'shelf under lights',
	porch: 'porch, glazed and unheated',
	garage: 'garage against the house',
	cellar: 'cellar under the house',
	shed: 'free-standing shed',
	glasshouse: 'glasshouse, unheated',
	frame: 'cold frame',
	cloche: 'cloche',
	mulch: 'in the ground under mulch',
	ground: 'in bare ground'
};

export const COMPASS_WORDS: Record<Compass, string> = {
	N: 'north',
	NE: 'north-east',
	E: 'east',
	SE: 'south-east',
	S: 'south',
	SW: 'south-west',
	W: 'west',
	NW: 'north-west'
};
export const GLASS_WORDS: Record<Glass, string> = {
	single: 'single',
	double: 'double',
	triple: 'triple',
	plastic: 'film or plastic'
};

export const LIGHT_WORDS = {
	dark: 'dark',
	shade: 'shade',
	part: 'part shade',
	bright: 'bright, no direct sun',
	sun: 'full sun'
} as const;

export const STAGE_WORDS: Record<StageName | 'struck' | 'planned', string> = {
	planned: 'planned',
	struck: 'struck',
	rooted: 'rooted',
	potted: 'potted',
	wintered: 'through the winter',
	ready: 'ready to plant',
	planted: 'planted'
};

/** A stage as a thing that things hang on. */
export const HINGE_WORDS: Record<StageName, string> = {
	rooted: 'the rooting',
	potted: 'the potting on',
	wintered: 'the winter',
	ready: 'the growing on',
	planted: 'the planting out'
};

export const PURPOSE_WORDS = {
	plants: 'plants',
	hedge: 'hedge',
	bed: 'bed or slope',
	gifts: 'pots and gifts',
	keep: 'keep alive through winter'
} as const;

/** "12–20 May 2027", "28 May – 3 Jun 2027". */
export function sayRange(a: string, b: string): string {
	if (a === b) return sayDate(a);
	return `${sayDate(a, a.slice(0, 4) !== b.slice(0, 4))} – ${sayDate(b)}`;
}

export const plural = (n: number, [one, many]: readonly [string, string]): string => `${n} ${n === 1 ? one : many}`;

/** "less than a minute", "20 minutes", "3 hours", "2 days". */
export function sayAge(ms: number): string {
	const minutes = Math.max(0, ms / 60_000);
	if (minutes < 1) return 'less than a minute';
	const unit = (n: number, word: string) => `${Math.round(n)} ${word}${Math.round(n) === 1 ? '' : 's'}`;
	if (minutes < 90) return unit(minutes, 'minute');
	return minutes < 48 * 60 ? unit(minutes / 60, 'hour') : unit(minutes / 1440, 'day');
}

/** When a way can be used in this garden. */
export function sayWindow(w: { open: boolean; opensOn: string | null; closesOn: string | null; never: string | null }): string {
	if (w.never) return `Its window does not open here in most years: ${w.never}.`;
	if (w.open) return w.closesOn ? `Its window is open until ${sayDate(w.closesOn)}.` : 'Open all year.';
	return w.opensOn ? `Its window opens on ${sayDate(w.opensOn)}.` : '';
}

const NEXT: Record<Task['kind'], string> = {
	strike: 'Strike the',
	missed: 'Plan again the',
	look: 'Look at the',
	'winter-look': 'Look over the',
	'winter-count': 'Count the',
	'frost-count': 'See which live of the',
	pot: 'Pot the',
	plant: 'Plant the',
	decide: 'Decide on the'
};
/** "Pot the 12 cuttings by 17 Sep 2026: short roots settle quickest." */
export function sayNext(
	task: Pick<Task, 'kind' | 'count' | 'from' | 'by' | 'why'>,
	pieces: readonly [string, string],
	today: string
): string {
	const when = isoOf(task.from) <= today ? `by ${sayDate(isoOf(task.by))}` : `from ${sayDate(isoOf(task.from))}`;
	const what = task.count === 1 ? `${NEXT[task.kind]} ${pieces[0]}` : `${NEXT[task.kind]} ${task.count} ${pieces[1]}`;
	// An acronym or a degree sign at its head stays as it is.
	return `${what} ${when}: ${task.why.replace(/^[A-Z](?=[a-z’])/, (c) => c.toLowerCase())}`;
}
