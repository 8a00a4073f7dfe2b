/** Leaving a garden: what is taken of each stock by when, what that weighs, and what the new garden's winter does to it. */
import type { Garden } from './context.js';
import { database } from './db.js';
import { lastDig } from './digging.js';
import { modelOf } from './model.js';
import { fateOf } from './moved.js';
import { seaNear } from './sea.js';
import { snapshotOf } from './snapshot.js';
import { stockViews } from './stock.js';
import { findTowns } from './towns.js';
import { potAcrossOf } from './winterPlan.js';
import { dayNumber, isIsoDate, isoOf } from '$lib/core/dates.js';
import type { IsoDate } from '$lib/core/dates.js';
import { ENOUGH_PIECES, liftOf, loadOf, takingOf } from '$lib/core/ground/index.js';
import type { Pieces, WholePlant } from '$lib/core/ground/index.js';
import { withLabel } from '$lib/core/handbook/names.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { sayHardiness } from '$lib/core/plan/hardy.js';
import { guessClimate } from '$lib/core/season/climate.js';
import { handsFor, potKg, potLitres } from '$lib/core/shelter/index.js';
import { sayTemperature } from '$lib/core/units/index.js';

export interface Leaving {
	id: string;
	name: string;
	count: number;
	place: string;
	how: 'whole' | 'pieces' | 'none';
	/** Taken along: plants, or pieces. */
	takes: number;
	from: IsoDate | null;
	until: IsoDate | null;
	wayName: string;
	pieceWord: [string, string];
	lives: number | null;
	kg: number;
	people: number;
	/** Told of it: why it must not be multiplied, that the new winter kills it, hazards. */
	cautions: string[];
}

/** Days that pieces are struck before leaving at least: rooted, they bear the road. Common practice, no source. */
const ROOTED_DAYS = 45;
const FARTHEST_DAYS = 3 * 366;

export async function leavingShown(garden: Garden, q: { on: string; to: string }) {
	const [m, s] = await Promise.all([modelOf(garden), snapshotOf(garden.id)]);
	const say = (c: number) => sayTemperature(c, garden.units);
	const [town] = q.to.trim().length >= 2 ? await findTowns(database(), q.to) : [];
	const there = town ? guessClimate({ ...town, sea: seaNear(town.latitude, town.longitude) }).climate : null;
	const asked = { on: q.on, to: q.to };
	const wrongTown = q.to.trim() !== '' && !town ? `No town is found under “${q.to.trim().slice(0, 40)}”.` : null;
	const none = {
		...{ asked, town: town ? { name: town.name, coldest: say(there!.coldestC) } : null },
		plants: [] as Leaving[],
		load: { kg: 0, litres: 0, pots: 0 },
		wrong: wrongTown
	};
	if (q.on === '') return none;
	const on = isIsoDate(q.on) ? dayNumber(q.on) : null;
	if (on === null || on < m.today || on > m.today + FARTHEST_DAYS)
		return { ...none, wrong: 'Give the day of leaving: today or a day within three years.' };
	const places = new Map(m.places.map((p) => [p.id, p]));
	const views = await stockViews(garden, m.today);
	const plants = views.map((v) => {
		const kind = m.kinds.get(v.kind_id)!;
		const inPot = !IN_THE_GROUND.has(places.get(v.place_id ?? '')?.kind ?? '');
		const lift = liftOf(kind, v);
		const across = potAcrossOf(v);
		const day = inPot ? on : lastDig(m, kind, m.today, on);
		const whole: WholePlant | null =
			inPot || lift
				? {
						on: day,
						lives: inPot ? 1 : (fateOf(m, s, { stock: v, kind, lift }, day).lives ?? 0),
						kgEach: inPot ? potKg(across) : lift!.kg,
						litresEach: inPot ? potLitres(across) : lift!.litres,
						people: inPot ? handsFor(potKg(across)) : lift!.people,
						inPot
					}
				: null;
		const pieces = v.barred
			? []
			: v.gives.map((g): Pieces => {
					const opens = g.open ? m.today : g.opensOn ? dayNumber(g.opensOn) : Infinity;
					const shuts = g.open && g.closesOn === null ? Infinity : g.closesOn ? dayNumber(g.closesOn) : opens + 30;
					return { wayId: g.wayId, from: opens, until: Math.min(shuts, on - ROOTED_DAYS), gives: g.open ? g.now : (g.then ?? 0) };
				});
		const taking = takingOf(whole, pieces);
		const way = taking.how === 'pieces' ? v.gives.find((g) => g.wayId === taking.pieces.wayId)! : null;
		const takes = taking.how === 'whole' ? v.count : taking.how === 'pieces' ? Math.min(ENOUGH_PIECES, taking.pieces.gives) : 0;
		const hardy = there ? sayHardiness(kind, there.coldestC, say)?.replace('winter here is', 'winter there is') : null;
		const shown: Leaving = {
			...{ id: v.id, name: withLabel(kind, v.label), count: v.count, place: v.placeName, how: taking.how, takes },
			from: taking.how === 'pieces' ? isoOf(taking.pieces.from) : taking.how === 'whole' ? isoOf(taking.plant.on!) : null,
			until: taking.how === 'pieces' ? isoOf(taking.pieces.until) : null,
			wayName: way?.wayName ?? '',
			pieceWord: way?.pieceWord ?? ['plant', 'plants'],
			lives: taking.how === 'whole' && !taking.plant.inPot ? taking.plant.lives : null,
			kg: taking.how === 'whole' ? taking.plant.kgEach : 0,
			people: taking.how === 'whole' ? taking.plant.people : 1,
			cautions: [
				v.barred ? v.may.sentence : null,
				hardy,
				...kind.hazards.filter((h) => /invasive|spread/i.test(h.what)).map((h) => h.say)
			].filter((c): c is string => Boolean(c))
		};
		return { shown, taking, pieces: takes };
	});
	const order = (p: Leaving) => (p.how === 'none' ? '9' : p.from!);
	return {
		...none,
		plants: plants.map((p) => p.shown).sort((a, b) => order(a).localeCompare(order(b)) || a.name.localeCompare(b.name)),
		load: loadOf(plants.map((p) => ({ taking: p.taking, count: p.shown.count, pieces: p.pieces })))
	};
}
