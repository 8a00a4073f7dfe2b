import { kindsOf, viewedDay } from '../context.js';
import { seasonOf } from '../season.js';
import { rowsAsked } from '../rows.js';
import { STEP, wayLabel, windowView } from '../windows.js';
import { gardenOr404 } from '../forms.js';
import { isOwnKind } from '$lib/core/handbook/ownKind.js';
import { allNames, botanicalName } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Ask } from './ask.js';

/** One's own first, then by name. */
const ownFirst = (a: Kind, b: Kind): number =>
	Number(isOwnKind(b.id)) - Number(isOwnKind(a.id)) || a.common.localeCompare(b.common);

/** Longer than any name: what is pasted here by mistake is not searched for. */
const MOST_TEXT = 80;
/** A way is open on a day when at least every second year of the record has it open. */
const OPEN = 0.5;

const named = (k: Kind): string =>
	[...allNames(k), botanicalName(k), k.stands_for, ...k.ways.map((w) => wayLabel(k, w))].join(' ').toLowerCase();

export async function handbookView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));
	const season = await seasonOf(garden);
	const kinds = [...(await kindsOf(garden)).values()];
	const text = (query.get('q') ?? '').trim().slice(0, MOST_TEXT);
	const openOnly = query.get('open') === 'on';
	const found = kinds
		.filter((k) => named(k).includes(text.toLowerCase()))
		.filter((k) => !openOnly || k.ways.some((w) => season.windows(w.window, k).on(day) >= OPEN))
		.sort(ownFirst);
	const rows = rowsAsked(query.get('rows'));
	return {
		from: day - 15,
		day,
		step: STEP,
		text,
		openOnly,
		rows,
		inBook: kinds.length,
		hidden: Math.max(0, found.length - rows),
		kinds: found.slice(0, rows).map((k) => ({
			id: k.id,
			common: k.common,
			botanical: botanicalName(k),
			mine: isOwnKind(k.id),
			ways: k.ways.map((w) => ({
				id: w.id,
				name: wayLabel(k, w),
				window: windowView(season, w.window, k, day)
			}))
		}))
	};
}
