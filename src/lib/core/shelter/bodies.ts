/** Kinds of shelter as bodies of heat, before anything was measured. */
/** What holds a shelter's warmth besides the air. */
export type Anchor = 'house' | 'earth';

/** What a kind of shelter is before anything was measured: middle, and how far such ones differ. */
export interface ShelterKind {
	anchor: Anchor;
	/** Median, and the spread of its logarithm. */
	tauH: readonly [number, number];
	/** Median, and the spread of its log odds. */
	share: readonly [number, number];
	/** Most usual, and the most that such a place takes. */
	sunC: readonly [number, number];
}

/** By what people call them. From memory; a thermometer soon knows better. */
export const SHELTER_KINDS = {
	room: { anchor: 'house', tauH: [30, 0.5], share: [0.97, 0.5], sunC: [0, 0.05] },
	sill: { anchor: 'house', tauH: [5, 0.5], share: [0.86, 0.5], sunC: [0.1, 0.4] },
	lit_shelf: { anchor: 'house', tauH: [20, 0.5], share: [0.95, 0.6], sunC: [0.02, 0.1] },
	porch: { anchor: 'house', tauH: [6, 0.5], share: [0.35, 0.7], sunC: [0.3, 0.8] },
	garage: { anchor: 'house', tauH: [30, 0.6], share: [0.42, 0.7], sunC: [0.03, 0.15] },
	cellar: { anchor: 'house', tauH: [150, 0.6], share: [0.55, 0.4], sunC: [0, 0.02] },
	shed: { anchor: 'earth', tauH: [8, 0.6], share: [0.15, 0.6], sunC: [0.06, 0.3] },
	glasshouse: { anchor: 'earth', tauH: [3, 0.5], share: [0.15, 0.6], sunC: [0.5, 1.2] },
	frame: { anchor: 'earth', tauH: [5, 0.6], share: [0.25, 0.6], sunC: [0.4, 1] },
	cloche: { anchor: 'earth', tauH: [2, 0.5], share: [0.15, 0.6], sunC: [0.5, 1.2] },
	mulch: { anchor: 'earth', tauH: [120, 0.6], share: [0.45, 0.6], sunC: [0, 0.05] },
	ground: { anchor: 'earth', tauH: [60, 0.6], share: [0.3, 0.6], sunC: [0.03, 0.15] }
} as const satisfies Record<string, ShelterKind>;
export type ShelterKindName = keyof typeof SHELTER_KINDS;
export const SHELTER_NAMES = Object.keys(SHELTER_KINDS) as [ShelterKindName, ...ShelterKindName[]];

/** What a place of a kind may be as a body of heat; the first unless it is said. Under the sky there is none. */
export const BODIES: Readonly<Record<string, readonly ShelterKindName[]>> = {
	sill: ['sill', 'room', 'porch'],
	lit_shelf: ['lit_shelf'],
	garage: ['garage', 'cellar', 'shed', 'porch'],
	frame: ['frame', 'glasshouse', 'cloche'],
	ground: ['mulch', 'ground']
};

/** The body of a place; null under the sky. */
export const bodyOf = (place: { kind: string; body: ShelterKindName | null }): ShelterKindName | null =>
	place.body ?? BODIES[place.kind]?.[0] ?? null;

/** A garage that nobody has said more of is a frost-free one, as the handbook means it. Common practice, no source. */
const FROST_FREE_C = 3;

/** Lowest that a household says a place sees, °C: in figures, or by what it calls it; null where it says nothing. */
export const lowSaid = (place: { kind: string; body: ShelterKindName | null; low_c: number | null }): number | null =>
	place.low_c ?? (place.kind === 'garage' && place.body === null ? FROST_FREE_C : null);
