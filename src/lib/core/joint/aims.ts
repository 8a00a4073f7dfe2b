/** What a plan may be made for, and what each weighs otherwise. */
import { PLAN } from '../plan/judged.js';
import { JOINT } from './judged.js';
import type { Weights } from './types.js';

export const AIMS = ['usual', 'safest', 'work', 'money', 'few'] as const;
export type Aim = (typeof AIMS)[number];

const USUAL: Weights = { hourWorth: PLAN.hourWorth.value, setUpMinutes: JOINT.setUp.value, surer: 0, money: 1 };

export const weightsOf = (aim: Aim): Weights =>
	({
		usual: USUAL,
		safest: { ...USUAL, surer: 0.05 },
		work: { ...USUAL, hourWorth: USUAL.hourWorth * 5 },
		money: { ...USUAL, hourWorth: USUAL.hourWorth / 10, money: 3 },
		few: { ...USUAL, setUpMinutes: USUAL.setUpMinutes * 12 }
	})[aim];
