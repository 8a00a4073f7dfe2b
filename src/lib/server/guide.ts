/** A kind and way as the cut guide shows them: drawing, steps, the sides of its schools. */
import { wayLabel } from './windows.js';
import { error } from '@sveltejs/kit';
import { kindsOf, wayIn } from './context.js';
import type { Garden } from './context.js';
import { handbook } from './handbook.js';
import { drawGuide, stepsOf, usualChoice } from '$lib/core/draw/index.js';
import type { GuideChoice } from '$lib/core/draw/index.js';
import { botanicalName } from '$lib/core/handbook/names.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import { sayLength, sayLengthRange } from '$lib/core/units/index.js';

const TOGGLES = ['slant', 'wound', 'hormone', 'cover'] as const;

export async function guideOf(garden: Garden, kindId: string, wayId: string, asked: URLSearchParams) {
	const kind = (await kindsOf(garden)).get(kindId);
	const profile = wayIn(kind, wayId);
	if (!kind || !profile) error(404, { message: 'The handbook does not know that way of that kind.', code: 'way.unknown' });
	const way = handbook().ways.get(profile.way)!;
	const cut = cutOf(way, profile);
	const usual = usualChoice(way, profile, cut);
	const choice: GuideChoice = { ...usual };
	for (const t of TOGGLES) if (asked.has(t)) choice[t] = asked.get(t) === '1';
	const length = (cm: number) => sayLength(cm, garden.units);
	const range = (a: number, b: number) => sayLengthRange(a, b, garden.units);
	const stemlike = ['stem', 'rod', 'basal'].includes(cut.draws);
	return {
		kind: { id: kind.id, common: kind.common, botanical: botanicalName(kind) },
		way: { id: wayId, name: wayLabel(kind, profile), piece: way.piece },
		drawing: drawGuide(cut, choice, length),
		steps: stepsOf(way, profile, kind.hazards, cut, choice, length, range),
		protection: kind.protection.status === 'free' ? '' : kind.protection.say,
		schools: TOGGLES.filter((t) => stemlike && !(choice.inWater && t !== 'slant')).map((t) => {
			const school = handbook().schools.get(t)!;
			return { ...school, id: t, on: choice[t], usual: usual[t] };
		}),
		others: profile.schools
			.filter((s) => !TOGGLES.includes(s as (typeof TOGGLES)[number]))
			.flatMap((s) => handbook().schools.get(s) ?? []),
		sources: cut.src
	};
}
