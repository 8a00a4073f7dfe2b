/** What people do against a cold night in a shelter: something over it, or a heater; and what that does to its body of heat. */
import type { ShelterKindName } from './bodies.js';
import { SHELTER } from './judged.js';
import type { Body } from './thermal.js';

export const COVERS = ['cloth', 'film', 'mat', 'mulch'] as const;
export type Cover = (typeof COVERS)[number];

/** Share of its loss to the air outside that is left under it. */
const LEFT: Readonly<Record<Cover, number>> = SHELTER.coverLeaves.value;
/** Where each is of use. */
const COVERS_OF: Readonly<Partial<Record<ShelterKindName, readonly Cover[]>>> = {
	porch: ['cloth', 'film'],
	garage: ['cloth'],
	shed: ['cloth'],
	glasshouse: ['cloth', 'film'],
	frame: ['cloth', 'mat'],
	cloche: ['cloth'],
	mulch: ['mulch'],
	ground: ['mulch', 'cloth']
};
export const coversOf = (name: ShelterKindName): readonly Cover[] => COVERS_OF[name] ?? [];

/** Watts that keep such a place one degree warmer than it would be; none where no heater belongs. */
const WATTS_A_DEGREE: Readonly<Partial<Record<ShelterKindName, number>>> = SHELTER.wattsADegree.value;
export const heats = (name: ShelterKindName): boolean => WATTS_A_DEGREE[name] !== undefined;

export interface Guard {
	cover: Cover | null;
	heater: { watts: number; setC: number } | null;
}
export const UNGUARDED: Guard = { cover: null, heater: null };

/** Of a place, as it is stored. */
export const guardOf = (p: { guard_cover: Cover | null; heater_w: number | null; heater_c: number | null }): Guard =>
	p.guard_cover === null && p.heater_w === null
		? UNGUARDED
		: {
				cover: p.guard_cover,
				heater: p.heater_w === null || p.heater_c === null ? null : { watts: p.heater_w, setC: p.heater_c }
			};

/** Heat on a thermostat. */
export interface Heat {
	setC: number;
	/** By how much it lifts the place at most, °C. */
	mostC: number;
}

/**
 * A body under guard. What holds its warmth and what it loses to stand against each other: share = U_anchor / (U_anchor +
 * U_out), τ = C / (U_anchor + U_out); a cover leaves so much of U_out.
 */
export function guarded(b: Body, name: ShelterKindName, { cover, heater }: Guard): Body {
	const left = cover ? LEFT[cover] : 1;
	const whole = b.share + (1 - b.share) * left;
	const watts = WATTS_A_DEGREE[name];
	return {
		tauH: b.tauH / whole,
		share: b.share / whole,
		// The sun comes in by day, when the cover is off.
		sunC: b.sunC,
		...(heater && watts ? { heat: { setC: heater.setC, mostC: heater.watts / (watts * whole) } } : {})
	};
}
