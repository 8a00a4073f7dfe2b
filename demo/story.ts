/**
 * The sample garden as data: made up from end to end. What is done in a year is told by month and
 * day, and told again for each year with other counts, so that the garden is two years old whatever
 * the day it is loaded on.
 */

import type { ShapeSaid } from '../src/lib/core/ground/shape.js';

export const GARDEN = {
	name: 'Three Alders',
	place: 'a valley in the foothills',
	latitude: 49.62,
	longitude: 20.69,
	height_m: 250,
	time_zone: 'Europe/Warsaw',
	units: 'metric',
	temperature: 'C',
	currency: 'EUR',
	coldest_c: -21,
	last_frost: { doy: 123, sd: 11 },
	first_frost: { doy: 270, sd: 10 },
	minutes_per_week: 240,
	away: [] as { from: string; to: string }[],
	guessed: [] as string[]
};

export const PLACES = {
	sill: {
		name: 'Kitchen sill',
		kind: 'sill',
		light: 'bright',
		faces: 'SE',
		glass: 'double',
		low_c: 15,
		high_c: 24,
		room_cm2: 4_000,
		walk: 1
	},
	shelf: {
		name: 'Cellar shelf',
		kind: 'lit_shelf',
		light: 'bright',
		lamp_umol: 120,
		lamp_hours: 14,
		low_c: 14,
		high_c: 22,
		room_cm2: 9_000,
		walk: 2
	},
	garage: { name: 'Garage', kind: 'garage', light: 'dark', low_c: 4, high_c: 12, room_cm2: 30_000, walk: 3 },
	frame: {
		name: 'Cold frame',
		kind: 'frame',
		light: 'bright',
		low_c: -6,
		high_c: 34,
		room_cm2: 18_000,
		walk: 4
	},
	bench: {
		name: 'Shade bench',
		kind: 'bench',
		light: 'part',
		low_c: null,
		high_c: null,
		room_cm2: 24_000,
		walk: 5
	},
	row: {
		name: 'Nursery row',
		kind: 'nursery_row',
		light: 'sun',
		low_c: null,
		high_c: null,
		room_cm2: 120_000,
		walk: 6
	},
	path: { name: 'Path edge', kind: 'bed', light: 'sun', low_c: null, high_c: null, room_cm2: null, walk: 7 },
	border: {
		name: 'Long border',
		kind: 'bed',
		light: 'sun',
		low_c: null,
		high_c: null,
		room_cm2: null,
		walk: 8
	},
	cutting: {
		name: 'Cutting bed',
		kind: 'bed',
		light: 'sun',
		low_c: null,
		high_c: null,
		room_cm2: null,
		walk: 9
	},
	bank: {
		name: 'Bank above the stream',
		kind: 'slope',
		light: 'part',
		low_c: null,
		high_c: null,
		room_cm2: null,
		walk: 10
	},
	windbreak: {
		name: 'Windbreak, west side',
		kind: 'hedge',
		light: 'sun',
		low_c: null,
		high_c: null,
		room_cm2: null,
		walk: 11
	}
} as const;
export type PlaceName = keyof typeof PLACES;

/** Ground as the household measured it, m; the windbreak is not yet. */
export const SHAPES: Partial<Record<PlaceName, ShapeSaid>> = {
	path: { how: { by: 'sides', length_m: 9, width_m: 0.7 } },
	cutting: { how: { by: 'sides', length_m: 4, width_m: 1.2 } },
	row: { how: { by: 'sides', length_m: 6, width_m: 2 } },
	border: {
		how: {
			by: 'tape',
			apart_m: 8,
			tapes: [
				[1.2, 7.1],
				[7.1, 1.2],
				[8.3, 2.6],
				[6.4, 3.6],
				[4.7, 5.2],
				[2.9, 7.4]
			]
		}
	},
	bank: {
		how: {
			by: 'corners',
			corners: [
				[0, 0],
				[5.5, 0.4],
				[7.2, 1.8],
				[6.8, 3.6],
				[3.9, 3.1],
				[1.1, 3.8],
				[-0.4, 2]
			]
		},
		holes: [
			{ across_m: 0.9, x_m: 1.6, y_m: 1.5 },
			{ across_m: 0.6, x_m: 4.8, y_m: 2.1 }
		]
	}
};

interface StockStory {
	kind: string;
	label: string;
	place: PlaceName;
	count: number;
	size: number | null;
	age: number;
	condition: 'strong' | 'fair' | 'weak';
	protection?: { status: 'free' | 'protected' | 'unknown'; until: number | null };
}

export const STOCK: Record<string, StockStory> = {
	lavender: {
		kind: 'lavender',
		label: 'dark blue, by the gate',
		place: 'path',
		count: 3,
		size: 55,
		age: 4,
		condition: 'strong'
	},
	hydrangea: {
		kind: 'hydrangea',
		label: 'grandmother’s, old blue',
		place: 'border',
		count: 2,
		size: 130,
		age: 15,
		condition: 'strong',
		protection: { status: 'free', until: null }
	},
	lantern: {
		kind: 'hydrangea',
		label: 'Surhyd01, sold as Chalk Lantern',
		place: 'border',
		count: 1,
		size: 80,
		age: 3,
		condition: 'strong',
		protection: { status: 'protected', until: 2039 }
	},
	fuchsia: {
		kind: 'fuchsia',
		label: 'white with red, unnamed',
		place: 'garage',
		count: 2,
		size: 55,
		age: 5,
		condition: 'strong',
		protection: { status: 'free', until: null }
	},
	marguerite: {
		kind: 'marguerite',
		label: 'single white',
		place: 'garage',
		count: 2,
		size: 60,
		age: 2,
		condition: 'fair',
		protection: { status: 'unknown', until: null }
	},
	penstemon: {
		kind: 'penstemon',
		label: 'plum',
		place: 'cutting',
		count: 3,
		size: 75,
		age: 3,
		condition: 'strong'
	},
	phlox: {
		kind: 'phlox',
		label: 'pale pink, tall',
		place: 'border',
		count: 2,
		size: 40,
		age: 6,
		condition: 'strong'
	},
	daylily: {
		kind: 'daylily',
		label: 'lemon, early',
		place: 'border',
		count: 2,
		size: 45,
		age: 7,
		condition: 'strong',
		protection: { status: 'free', until: null }
	},
	iris: {
		kind: 'iris',
		label: 'smoke violet',
		place: 'border',
		count: 2,
		size: 45,
		age: 5,
		condition: 'fair',
		protection: { status: 'free', until: null }
	},
	dogwood: {
		kind: 'dogwood',
		label: 'red stems',
		place: 'windbreak',
		count: 2,
		size: 180,
		age: 8,
		condition: 'strong'
	},
	willow: {
		kind: 'willow',
		label: 'basket rods',
		place: 'bank',
		count: 1,
		size: 300,
		age: 9,
		condition: 'strong'
	},
	currant: {
		kind: 'currant',
		label: 'from the neighbour',
		place: 'row',
		count: 3,
		size: 140,
		age: 6,
		condition: 'strong',
		protection: { status: 'free', until: null }
	},
	catmint: { kind: 'catmint', label: '', place: 'path', count: 3, size: 35, age: 4, condition: 'strong' },
	cranesbill: {
		kind: 'cranesbill',
		label: 'magenta',
		place: 'border',
		count: 2,
		size: 35,
		age: 5,
		condition: 'strong'
	},
	sage: { kind: 'sage', label: '', place: 'path', count: 1, size: 55, age: 4, condition: 'fair' },
	pelargonium: {
		kind: 'ivy-pelargonium',
		label: 'pink, trailing',
		place: 'sill',
		count: 3,
		size: 60,
		age: 3,
		condition: 'strong',
		protection: { status: 'free', until: null }
	},
	holly: {
		kind: 'holly',
		label: 'at the yard',
		place: 'windbreak',
		count: 1,
		size: 260,
		age: 30,
		condition: 'strong'
	},
	stonecrop: { kind: 'stonecrop', label: '', place: 'bank', count: 4, size: 45, age: 4, condition: 'strong' }
};

/** One batch of a year: when and how many, and then what was seen. Dates are MM-DD; a later one that is smaller lies in the next year. */
export interface BatchStory {
	stock: keyof typeof STOCK;
	way: string;
	struck: [day: string, count: number];
	place: PlaceName;
	want?: string;
	acts: Step[];
	/** Told only for these years back (0 is this year). */
	years?: number[];
}
export type Step =
	| [day: string, verb: 'check', alive: number, rooted: number, sign?: string, note?: string]
	| [day: string, verb: 'pot', count: number, container: string, place?: PlaceName]
	| [day: string, verb: 'move', place: PlaceName]
	| [day: string, verb: 'winter', alive: number, note?: string]
	| [day: string, verb: 'plant', count: number, place: PlaceName]
	| [day: string, verb: 'give', count: number, to: string]
	| [day: string, verb: 'lose', count: number, why: string, planted?: boolean]
	| [day: string, verb: 'keep', count: number]
	/** Laid out in rows of so many, treatments dealt out by turns. */
	| [day: string, verb: 'tray', count: number, columns: number, groups: string[]];

export const BATCHES: BatchStory[] = [
	{
		stock: 'catmint',
		way: 'division',
		struck: ['04-18', 10],
		place: 'bench',
		acts: [
			['05-10', 'check', 10, 9, 'new growth'],
			['06-08', 'plant', 9, 'path']
		]
	},
	{
		stock: 'cranesbill',
		way: 'division',
		struck: ['04-21', 8],
		place: 'bench',
		acts: [
			['05-12', 'check', 8, 8, 'new growth'],
			['06-10', 'plant', 6, 'border'],
			['06-12', 'give', 2, 'the school']
		]
	},
	{
		stock: 'stonecrop',
		way: 'in-place',
		struck: ['05-27', 40],
		place: 'bank',
		acts: [
			['06-30', 'check', 33, 31, 'resists a tug', 'Heavy rain washed some out at the foot.'],
			['07-10', 'plant', 31, 'bank']
		]
	},
	{
		stock: 'lavender',
		way: 'soft-tip',
		struck: ['05-30', 10],
		place: 'sill',
		years: [2],
		acts: [
			['06-24', 'check', 6, 3, 'wilting', 'Too warm under the bag.'],
			['07-08', 'check', 4, 4, 'roots seen'],
			['07-12', 'pot', 4, '9 cm pot', 'bench'],
			['04-24', 'winter', 3],
			['05-06', 'plant', 3, 'path']
		]
	},
	{
		stock: 'hydrangea',
		way: 'soft-tip',
		struck: ['06-14', 12],
		place: 'bench',
		acts: [
			['07-05', 'check', 11, 8, 'resists a tug'],
			['07-14', 'check', 10, 10, 'roots seen'],
			['07-15', 'pot', 10, '13 cm pot'],
			['10-06', 'move', 'frame'],
			['04-24', 'winter', 8],
			['05-14', 'plant', 6, 'border'],
			['05-15', 'give', 2, 'the fête']
		]
	},
	{
		stock: 'lavender',
		way: 'semi-ripe',
		struck: ['07-12', 28],
		place: 'frame',
		want: 'lavender',
		acts: [
			['08-14', 'check', 25, 15, 'new growth'],
			['08-26', 'check', 23, 20, 'resists a tug'],
			['09-03', 'pot', 20, '9 cm pot'],
			['04-22', 'winter', 17],
			['05-05', 'plant', 15, 'path'],
			['05-30', 'lose', 2, 'dog lay on them', true]
		]
	},
	{
		stock: 'sage',
		way: 'semi-ripe',
		struck: ['07-18', 8],
		place: 'frame',
		acts: [
			['08-18', 'check', 7, 6, 'firm'],
			['08-30', 'pot', 6, '9 cm pot'],
			['04-22', 'winter', 6],
			['05-08', 'plant', 4, 'path'],
			['05-10', 'give', 2, 'neighbours']
		]
	},
	{
		stock: 'iris',
		way: 'division',
		struck: ['07-26', 12],
		place: 'border',
		acts: [
			['08-26', 'check', 12, 11, 'new growth'],
			['08-28', 'plant', 11, 'border']
		]
	},
	{
		stock: 'penstemon',
		way: 'soft-tip',
		struck: ['08-10', 16],
		place: 'frame',
		want: 'penstemon',
		acts: [
			['09-03', 'check', 15, 12, 'new growth'],
			['09-14', 'pot', 13, '9 cm pot'],
			['04-22', 'winter', 9, 'Wet spring, some rotted.'],
			['05-12', 'plant', 9, 'cutting']
		]
	},
	{
		stock: 'pelargonium',
		way: 'soft-tip',
		struck: ['08-18', 20],
		place: 'bench',
		acts: [
			['09-06', 'check', 18, 16, 'firm'],
			['09-14', 'pot', 16, '9 cm pot'],
			['09-27', 'move', 'sill'],
			['04-18', 'winter', 13],
			['05-24', 'plant', 12, 'path'],
			['05-25', 'keep', 1]
		]
	},
	{
		stock: 'fuchsia',
		way: 'soft-tip',
		struck: ['08-20', 18],
		place: 'shelf',
		want: 'fuchsia',
		acts: [
			['09-08', 'check', 17, 14, 'resists a tug'],
			['09-15', 'pot', 15, '9 cm pot'],
			['10-01', 'move', 'garage'],
			['04-18', 'winter', 11],
			['05-26', 'plant', 11, 'border']
		]
	},
	{
		stock: 'marguerite',
		way: 'soft-tip',
		struck: ['08-24', 24],
		place: 'bench',
		want: 'fete',
		acts: [
			['08-24', 'tray', 24, 6, ['powder', 'none']],
			['09-10', 'check', 21, 17, 'new growth'],
			['09-17', 'pot', 18, '9 cm pot'],
			['09-28', 'move', 'shelf'],
			['11-20', 'check', 16, 16, 'none', 'Two with mildew thrown out.'],
			['04-18', 'winter', 12],
			['05-22', 'plant', 12, 'border']
		]
	},
	{
		stock: 'daylily',
		way: 'division',
		struck: ['08-28', 10],
		place: 'bench',
		acts: [
			['09-20', 'check', 10, 10, 'new growth'],
			['04-20', 'winter', 10],
			['05-06', 'plant', 9, 'border']
		]
	},
	{
		stock: 'holly',
		way: 'semi-ripe',
		struck: ['09-12', 24],
		place: 'frame',
		acts: [
			['02-02', 'check', 20, 4, 'firm'],
			['04-12', 'check', 17, 12, 'resists a tug'],
			['04-24', 'winter', 16],
			['05-12', 'pot', 12, '9 cm pot', 'bench'],
			['04-26', 'winter', 11]
		]
	},
	{
		stock: 'phlox',
		way: 'root',
		struck: ['11-08', 30],
		place: 'frame',
		acts: [
			['05-02', 'check', 22, 17, 'new growth'],
			['05-22', 'pot', 18, '9 cm pot', 'bench'],
			['09-20', 'plant', 16, 'border']
		]
	},
	{
		stock: 'dogwood',
		way: 'hardwood',
		struck: ['11-14', 26],
		place: 'row',
		want: 'windbreak',
		acts: [
			['06-20', 'check', 22, 20, 'resists a tug'],
			['10-30', 'plant', 19, 'windbreak']
		]
	},
	{
		stock: 'currant',
		way: 'hardwood',
		struck: ['11-16', 10],
		place: 'row',
		acts: [
			['06-22', 'check', 9, 8, 'resists a tug'],
			['11-02', 'give', 4, 'the fête'],
			['11-03', 'plant', 4, 'row']
		]
	},
	{
		stock: 'willow',
		way: 'hardwood',
		struck: ['11-20', 40],
		place: 'bank',
		acts: [
			['05-30', 'check', 37, 34, 'new growth'],
			['06-30', 'plant', 34, 'bank']
		]
	}
];

/** Wants: written down so many days before today, due on the next such day of the year, some years on. */
export interface WantStory {
	kind: string;
	purpose: 'plants' | 'hedge' | 'bed' | 'gifts' | 'keep';
	label: string;
	place: PlaceName | null;
	target: number;
	/** MM-DD, and how many years after the next such day. */
	due: [day: string, years: number];
	confidence: number;
	shape: Record<string, number | string> | null;
	/** Take the best plan on the day of loading. */
	plan?: boolean;
	/** How it would do too where it cannot be met whole. */
	enough?: number;
	lateWeeks?: number;
	weighs?: 'first' | 'last';
	/** How tall its plants must stand. */
	leastCm?: number;
	/** Other kinds that would do as well. */
	orKinds?: string[];
}

/** Where those stand that the household has set in the drawing of their bed, m. */
export const PLACED: Partial<Record<keyof typeof STOCK, readonly [number, number][]>> = {
	lavender: [
		[0.35, 0.35],
		[0.95, 0.35],
		[1.55, 0.35]
	],
	catmint: [
		[4.2, 0.3],
		[4.75, 0.4],
		[5.3, 0.3]
	],
	sage: [[8.5, 0.35]],
	daylily: [
		[1.5, 1.15],
		[2.1, 1.1]
	],
	iris: [
		[2.7, 1],
		[3.2, 1]
	],
	cranesbill: [
		[3.8, 1],
		[4.3, 1]
	],
	phlox: [
		[5.6, 1.3],
		[6.1, 1.3]
	],
	lantern: [[6.9, 1.9]],
	penstemon: [
		[0.5, 0.6],
		[1, 0.6],
		[1.5, 0.6]
	],
	currant: [
		[0.8, 1],
		[2.2, 1],
		[3.6, 1]
	],
	stonecrop: [
		[2.6, 0.7],
		[3, 0.7],
		[3.4, 0.8],
		[3.8, 0.8]
	]
};

/** Nine moves that the household has in mind: two knots (a swap and a ring of three) and four to free spots. */
export const MOVES: readonly { stock: keyof typeof STOCK; to: PlaceName; takes?: keyof typeof STOCK }[] = [
	{ stock: 'catmint', to: 'border', takes: 'daylily' },
	{ stock: 'daylily', to: 'path', takes: 'catmint' },
	{ stock: 'phlox', to: 'border', takes: 'iris' },
	{ stock: 'iris', to: 'border', takes: 'cranesbill' },
	{ stock: 'cranesbill', to: 'border', takes: 'phlox' },
	{ stock: 'penstemon', to: 'border' },
	{ stock: 'sage', to: 'bank' },
	{ stock: 'currant', to: 'cutting' },
	{ stock: 'lantern', to: 'row' }
];

export const WANTS: Record<string, WantStory> = {
	lavender: {
		kind: 'lavender',
		purpose: 'hedge',
		label: 'low hedge along the path',
		place: 'path',
		target: 15,
		due: ['05-31', 0],
		confidence: 0.8,
		shape: { lengthM: 4.6, spacingCm: 35, rows: 1, spares: 1 },
		enough: 10
	},
	fete: {
		kind: 'marguerite',
		purpose: 'gifts',
		label: 'for the school fête',
		place: null,
		target: 12,
		due: ['06-14', 0],
		confidence: 0.8,
		shape: null
	},
	penstemon: {
		kind: 'penstemon',
		purpose: 'plants',
		label: 'to fill the cutting bed',
		place: 'cutting',
		target: 14,
		due: ['05-31', 0],
		confidence: 0.9,
		shape: null
	},
	fuchsia: {
		kind: 'fuchsia',
		purpose: 'keep',
		label: 'the white one must not be lost',
		place: null,
		target: 2,
		due: ['05-22', 0],
		confidence: 0.95,
		shape: null
	},
	windbreak: {
		kind: 'dogwood',
		purpose: 'hedge',
		label: 'windbreak',
		place: 'windbreak',
		target: 41,
		due: ['11-20', 2],
		confidence: 0.9,
		shape: { lengthM: 18, spacingCm: 90, rows: 2, spares: 0 },
		leastCm: 40
	},
	bank: {
		kind: 'stonecrop',
		purpose: 'bed',
		label: 'cover the upper bank',
		place: 'bank',
		target: 90,
		due: ['09-15', 0],
		confidence: 0.9,
		shape: { widthM: 1.5, lengthM: 2, slopeDeg: 28, spacingCm: 20, pattern: 'triangular', spares: 0 }
	},
	lantern: {
		kind: 'hydrangea',
		purpose: 'gifts',
		label: 'three for my sister',
		place: null,
		target: 3,
		due: ['06-01', 1],
		confidence: 0.9,
		shape: null,
		weighs: 'first'
	},
	move: {
		kind: 'daylily',
		purpose: 'plants',
		label: 'to take along when we move house',
		place: null,
		target: 8,
		due: ['04-30', 1],
		confidence: 0.95,
		shape: null,
		plan: true
	},
	pots: {
		kind: 'ivy-pelargonium',
		purpose: 'gifts',
		label: 'pots for the summer fête',
		place: null,
		target: 200,
		due: ['07-10', 1],
		confidence: 0.9,
		shape: null,
		enough: 50
	},
	edging: {
		kind: 'catmint',
		purpose: 'plants',
		label: 'both sides of the new path',
		place: null,
		target: 24,
		due: ['09-20', 1],
		confidence: 0.9,
		shape: null,
		lateWeeks: 8
	},
	fruit: {
		kind: 'currant',
		purpose: 'plants',
		label: 'a row for jam',
		place: null,
		target: 6,
		due: ['11-15', 1],
		confidence: 0.9,
		shape: null
	},
	shade: {
		kind: 'cranesbill',
		purpose: 'plants',
		label: 'under the alders',
		place: null,
		target: 14,
		due: ['10-15', 1],
		confidence: 0.85,
		shape: null
	},
	herbs: {
		kind: 'sage',
		purpose: 'gifts',
		label: 'one for each neighbour',
		place: null,
		target: 9,
		due: ['05-25', 1],
		confidence: 0.8,
		shape: null,
		orKinds: ['lavender', 'catmint']
	}
};
