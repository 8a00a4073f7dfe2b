import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { viewedDay } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { movesPlanned } from '../movesView.js';
import { bedsShown } from '../groundBeds.js';
import { bedFilled, kindsToSet } from '../groundView.js';
import { whereTo } from '../groundWhere.js';
import { sayNumber } from '$lib/core/numbers.js';
import { paperFonts } from '../fonts.js';
import type { Ask } from './ask.js';
import { sayArea, sayLength } from '$lib/core/units/index.js';
import { bedsGeoJson } from '$lib/formats/bedsGeo.js';
import type { BedSheet } from '$lib/formats/bedSheet.js';

/** So many of a kind at most: past that nobody sets them. */
const MOST = 5_000;

export async function groundView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [kind, typed] = [(query.get('kind') ?? '').slice(0, 60), (query.get('count') ?? '').slice(0, 12)];
	const count = Number(typed);
	const asked = Number.isInteger(count) && count >= 1 && count <= MOST;
	const { day } = viewedDay(garden, query.get('day'));
	const [beds, kinds] = await Promise.all([bedsShown(garden, day), kindsToSet(garden)]);
	return {
		...{ beds, kinds, asked: { kind, count: typed } },
		where: kind && asked ? await whereTo(garden, kind, count, { on: day }) : null,
		wrong:
			typed !== '' && !asked
				? `How many: a whole number from 1 to ${sayNumber(MOST)}.`
				: kind && typed === ''
					? 'How many of them?'
					: null
	};
}

async function filledOf({ params, query }: Ask<'place'>) {
	if (!z.uuid().safeParse(params.place).success)
		error(404, { message: 'There is no such bed in this garden.', code: 'place.unknown' });
	const of = (name: string) => (query.get(name) ?? '').slice(0, 60);
	const asked = {
		kind: of('kind'),
		spacing: of('spacing'),
		margin: of('margin'),
		pattern: of('pattern'),
		turn: of('turn'),
		gaps: of('gaps'),
		beside: of('beside'),
		share: of('share')
	};
	const garden = await gardenOr404(params.garden);
	return { garden, asked, shown: await bedFilled(garden, params.place, asked, viewedDay(garden, query.get('day')).day) };
}

export async function bedView(ask: Ask<'place'>) {
	const { asked, shown } = await filledOf(ask);
	return { ...shown, asked };
}

/** The same on paper, to scale. */
export async function bedSheetView(ask: Ask<'place'>): Promise<BedSheet> {
	const { garden, shown } = await filledOf(ask);
	const { bed, filled } = shown;
	if (!bed.ground)
		error(404, { message: `${bed.name} is not measured yet: there is nothing to draw.`, code: 'ground.unmeasured' });
	return {
		title: bed.name,
		under: filled
			? `${filled.asked.count} × ${filled.kind.name}, ${sayLength(filled.asked.spacingCm, garden.units)} apart, on ${sayArea(bed.ground.areaM2, garden.units)}`
			: sayArea(bed.ground.areaM2, garden.units),
		paper: garden.units.length === 'us' ? 'LETTER' : 'A4',
		...{ outline: bed.ground.outline, holes: bed.ground.holes, points: filled?.points ?? [], stands: bed.stands },
		acrossM: (filled?.asked.spacingCm ?? 0) / 100,
		fonts: paperFonts()
	};
}

/** The measured beds as a map has them. */
export async function bedsGeoView({ params, query }: Ask): Promise<string> {
	const garden = await gardenOr404(params.garden);
	const beds = await bedsShown(garden, viewedDay(garden, query.get('day')).day);
	return bedsGeoJson(
		beds.flatMap(({ id, name, kind, ground, stands }) =>
			ground
				? [
						{
							...{ id, name, kind, areaM2: ground.areaM2, outline: ground.outline, holes: ground.holes, lies: ground.said.lies },
							stands: stands.map((s) => ({ name: s.name, count: s.count }))
						}
					]
				: []
		),
		garden.data
	);
}

/** So many at most: more are moved in several goes. */
const MOST_MOVES = 200;

export const movesView = async ({ params, query }: Ask) => {
	const of = (name: string) => (query.get(name) ?? '').slice(0, 40);
	return movesPlanned(await gardenOr404(params.garden), {
		moves: query.get('m')?.split(',').slice(0, MOST_MOVES) ?? null,
		...{ by: of('by'), weekends: of('weekends'), hold: of('hold'), free: of('free') }
	});
};
