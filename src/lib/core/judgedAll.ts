/** Every figure of the computation that is a judgement, by subject. */
import { EVIDENCE } from './evidence/judged.js';
import type { Figure, Judged } from './judgement.js';
import { MATERIAL } from './material/judged.js';
import { GROUND } from './ground/judged.js';
import { MIX } from './mix/judged.js';
import { ODDS } from './odds/judged.js';
import { PLAN } from './plan/judged.js';
import { ROUND } from './round/judged.js';
import { SEASON } from './season/judged.js';
import { JOINT } from './joint/judged.js';
import { SHELTER } from './shelter/judged.js';

export const JUDGED: readonly { subject: string; figures: readonly Judged<Figure>[] }[] = [
	{ subject: 'Chances and times of a batch', figures: Object.values(ODDS) },
	{ subject: 'What a record teaches', figures: Object.values(EVIDENCE) },
	{ subject: 'Plans and winters', figures: Object.values(PLAN) },
	{ subject: 'The plan of all wants', figures: Object.values(JOINT) },
	{ subject: 'The season', figures: Object.values(SEASON) },
	{ subject: 'Stock and cuts', figures: Object.values(MATERIAL) },
	{ subject: 'Mixes and vessels', figures: Object.values(MIX) },
	{ subject: 'Shelters', figures: Object.values(SHELTER) },
	{ subject: 'The ground', figures: Object.values(GROUND) },
	{ subject: 'The round', figures: Object.values(ROUND) }
];
