/** Ground: a bed as it was measured. */
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import type { Asked, Made } from './doing.js';
import { guarded, isId, refused } from '../forms.js';
import type { Act } from '../ledger.js';
import { meantBy, movesId } from '../movesMeant.js';
import { snapshotOf } from '../snapshot.js';
import { isIsoDate, sayDate } from '$lib/core/dates.js';
import { outlineOf, readRows, shapeData, shapeOf } from '$lib/core/ground/index.js';
import { IN_THE_GROUND } from '$lib/core/places.js';
import { longMeasure } from '$lib/core/units/index.js';
import { bedsFromGeoJson } from '$lib/formats/bedsGeo.js';

/** Where in the form a refusal's path is. */
const FIELD: Record<string, string> = {
	'how.length_m': 'length',
	'how.width_m': 'width',
	'how.across_m': 'across',
	'how.apart_m': 'apart'
};
export function fieldOf(path: string | undefined): string {
	if (!path) return 'by';
	if (path.startsWith('holes')) return 'holes';
	if (path.startsWith('how.tapes')) return 'tapes';
	if (path.startsWith('slope')) return 'slope';
	if (path.startsWith('light')) return 'light';
	if (path.startsWith('lies')) return 'east';
	if (path.startsWith('how.line') || path.startsWith('how.corners') || path === 'outline' || path === 'how') return 'corners';
	return FIELD[path] ?? 'by';
}

export function measured({ garden, f, frame, params }: Asked<'place'>): Made | ReturnType<typeof refused> {
	const said = shapeOf((name) => f.text(name), longMeasure(garden.units).read);
	if (!said.ok) return refused(said.problem);
	const read = shapeData.safeParse(said.value);
	if (!read.success) {
		const issue = read.error.issues[0]!;
		return refused({ code: 'entry.invalid', sentence: issue.message, path: fieldOf(issue.path.join('.')) });
	}
	return {
		acts: [{ ...frame, kind: 'place.shaped', subjectId: params.place, seen: f.number('seen'), data: read.data }],
		said: 'Measured.'
	};
}

/** Where each plant of a stock stands in the bed. */
export function set({ garden, f, frame, params }: Asked<'place'>): Made | ReturnType<typeof refused> {
	const stock = f.text('stock');
	if (!isId(stock)) return refused({ code: 'stock.unknown', sentence: 'There is no such plant in this garden.' });
	const at = readRows(f.text('at'), 2, longMeasure(garden.units).read, 'at');
	if (!at.ok) return refused(at.problem);
	return {
		acts: [
			{
				...frame,
				kind: 'stock.placed',
				subjectId: stock,
				seen: f.number('seen'),
				data: { place_id: params.place, at: at.value.map((row) => row.map((m) => Math.round(m * 1000) / 1000)) }
			}
		],
		said: at.value.length === 0 ? 'Taken out of the drawing.' : 'Set.'
	};
}

/** What is meant to move, kept as it was asked; with none, nothing is meant any more. */
export async function movesKept({ garden, f, frame }: Asked): Promise<Made | ReturnType<typeof refused>> {
	const typed = f.text('by');
	const by = typed === '' ? null : f.day('by', garden.today);
	if (by !== null && !isIsoDate(by))
		return refused({
			code: 'moves.by',
			sentence: `That is no day of the calendar: write it like ${sayDate('2027-05-01')}.`,
			path: 'by'
		});
	const s = await guarded(() => snapshotOf(garden.id));
	const asked = f.text('m');
	const meant = meantBy(
		{ moves: asked === '' ? [] : asked.split(','), by: by ?? '', weekends: f.text('weekends'), hold: f.text('hold'), free: '' },
		s
	);
	if (asked !== '' && meant.moves.length === 0)
		return refused({ code: 'moves.none', sentence: 'None of these stands here any more: load the page again.' });
	return {
		acts: [{ ...frame, on: garden.today, kind: 'moves.set', subjectId: movesId(garden.id), seen: f.number('seen'), data: meant }],
		said: meant.moves.length === 0 ? 'No moves in mind any more.' : 'Kept: they come up on the round in their season.'
	};
}

const madeMove = z.object({
	stock: z.uuid(),
	place: z.uuid(),
	at: z.array(z.tuple([z.number(), z.number()])).max(500)
});

/** What was ticked off is logged at its new place, and set there where the place is measured. */
export async function movesMade({ garden, f, frame }: Asked): Promise<Made | ReturnType<typeof refused>> {
	const told = f.all('moved').map((text) => {
		try {
			return madeMove.safeParse(JSON.parse(text));
		} catch {
			return madeMove.safeParse(null);
		}
	});
	if (told.length === 0 || told.some((t) => !t.success))
		return refused({ code: 'moves.none', sentence: 'Tick what you moved, and it is logged at its new place.', path: 'moved' });
	const s = await guarded(() => snapshotOf(garden.id));
	const standing = new Map(s.stocks.filter((x) => !x.gone_on).map((x) => [x.id, x]));
	const acts = told.flatMap(({ data }): Act[] => {
		const stock = standing.get(data!.stock);
		if (!stock) return [];
		const { place, at } = data!;
		const measured = s.places.find((p) => p.id === place)?.shape != null;
		return [
			...(stock.place_id === place ? [] : [{ kind: 'stock.moved' as const, data: { place_id: place } }]),
			...(measured && at.length > 0 ? [{ kind: 'stock.placed' as const, data: { place_id: place, at } }] : [])
		].map((act): Act => ({ ...frame, id: uuidv5(`${stock.id} ${act.kind}`, frame.id), subjectId: stock.id, ...act }));
	});
	const [first, ...rest] = acts;
	if (!first) return refused({ code: 'moves.gone', sentence: 'None of these stands here any more: load the page again.' });
	// The client's id is the first act's; the rest follow from it, so that sent twice it is still once.
	return { acts: [{ ...first, id: frame.id }, ...rest], said: told.length === 1 ? 'Moved.' : `${told.length} moved.` };
}

/** Beds of a map: one that has the name of a bed here is measured anew, others are added. */
export async function broughtFromMap({ garden, f, frame }: Asked): Promise<Made | ReturnType<typeof refused>> {
	const beds = bedsFromGeoJson(f.text('geo'), garden.data);
	if (!beds.ok) return refused({ ...beds.problem, path: 'geo' });
	const s = await guarded(() => snapshotOf(garden.id));
	const open = s.places.filter((p) => !p.closed);
	const here = new Map(open.filter((p) => IN_THE_GROUND.has(p.kind)).map((p) => [p.name, p]));
	let walk = Math.max(0, ...open.map((p) => p.walk));
	let added = 0;
	const acts = beds.value.flatMap(({ name, shape }, i): Act[] => {
		const sound = outlineOf(shape);
		if (!sound.ok) return [];
		const subjectId = here.get(name)?.id ?? uuidv5(`bed ${i}`, frame.id);
		const id = (what: string) => uuidv5(`${what} ${i}`, frame.id);
		const shaped: Act = { ...frame, id: id('shaped'), kind: 'place.shaped', subjectId, data: shape };
		if (here.has(name)) return [shaped];
		added++;
		walk = Math.min(999, walk + 1);
		const place = { name, kind: 'bed' as const, light: 'sun' as const, low_c: null, high_c: null, room_cm2: null, walk };
		return [{ ...frame, id: id('place'), kind: 'place.set', subjectId, data: place }, shaped];
	});
	const [first, ...rest] = acts;
	if (!first)
		return refused({
			code: 'geo.crossed',
			sentence: 'None of its outlines is that of a bed: they cross themselves.',
			path: 'geo'
		});
	const anew = beds.value.length - added;
	return {
		acts: [{ ...first, id: frame.id }, ...rest],
		said: [added ? `${added} ${added === 1 ? 'bed' : 'beds'} added` : '', anew > 0 ? `${anew} measured anew` : '']
			.filter(Boolean)
			.join(', ')
			.concat('.')
	};
}
