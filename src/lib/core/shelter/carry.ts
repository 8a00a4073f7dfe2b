/** Pots as they are carried. */
import { SHELTER } from './judged.js';

/** Load for one person, kg: the load constant of the revised NIOSH lifting equation (Waters et al. 1993). */
export const ONE_PERSON_KG = 23;

/** Litres of a round pot as tall as it is wide, a little narrower at its foot. */
export const potLitres = (acrossCm: number): number => (SHELTER.potFill.value * acrossCm ** 3) / 1000;
/** Of a pot with its wet mix, kg. */
export const potKg = (acrossCm: number): number => potLitres(acrossCm) * SHELTER.wetMix.value;
export const handsFor = (kg: number): number => Math.max(1, Math.ceil(kg / ONE_PERSON_KG));
