/**
 * What a garden's batches have taught: summed over all that were ever struck, so read whole only once. After an entry
 * only the batches that it was about are read again.
 */
import { wayIn } from './context.js';
import type { Garden } from './context.js';
import { database } from './db.js';
import type { Queryable } from './db.js';
import { handbook } from './handbook.js';
import { Kept } from './kept.js';
import { lastEntry, touchedSince } from './store/entries.js';
import type { LastEntry } from './store/entries.js';
import { dayNumber } from '$lib/core/dates.js';
import { learnCorrelation, MOST_COUNTS } from '$lib/core/evidence/correlation.js';
import type { CountGroup } from '$lib/core/evidence/correlation.js';
import { countSoFar, without, worthOf } from '$lib/core/evidence/evidence.js';
import { forForm, formsOf, isEnough } from '$lib/core/evidence/byForm.js';
import type { FormRecord } from '$lib/core/evidence/byForm.js';
import { grouped } from '$lib/core/grouped.js';
import type { Tallies, Tally } from '$lib/core/evidence/tally.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, StageName, WayProfile } from '$lib/core/handbook/schema.js';
import { tallied } from '$lib/core/ledger/index.js';
import type { Subject } from '$lib/core/ledger/index.js';
import { offSeason } from '$lib/core/plan/offSeason.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import type { Season } from '$lib/core/season/season.js';
import { betaOf } from '$lib/core/odds/beta.js';
import { durationOf, shareBy } from '$lib/core/odds/durations.js';

export interface RecordOf {
	/**
	 * What all batches of a kind and way are worth as evidence, but for some, named by their ids; for a form of the
	 * kind, by its name, where it has been counted often enough.
	 */
	of(kindId: string, wayId: string, but?: readonly (string | null)[], form?: string): Tallies;
	/** Pieces that all batches of a kind and way showed, as they were counted. */
	counts(kindId: string, wayId: string): Tallies;
	/** Whether a form of the kind has been counted often enough to go by. */
	isApart(kindId: string, wayId: string, form: string): boolean;
	/** Forms that have been counted often enough to go by, with their own counts by stage. */
	forms(kindId: string, wayId: string): { form: string; counts: Tallies }[];
	/** How alike the pieces of one batch fare here. */
	rho: number;
}

interface CountedRow {
	id: string;
	kind_id: string;
	way_id: string;
	struck_on: string | null;
	unrooted: number;
	seen: Tallies;
	looked_on: string | null;
	/** What people call the form that it is of; blank where they do not. */
	form: string;
}
interface Counted extends CountedRow {
	/** What it counts as. */
	tallies: Tallies;
}
interface Summed {
	last: LastEntry;
	/** By kind and way, the newest batch first. */
	groups: ReadonlyMap<string, readonly Counted[]>;
	rho: number;
	worth: ReadonlyMap<string, Tallies>;
	forms: ReadonlyMap<string, ReadonlyMap<string, FormRecord>>;
	each: ReadonlyMap<string, Counted>;
}
/** A batch takes some 700 bytes. */
const summed = new Kept<Summed>(64, (s) => 4_000 + s.each.size * 700);

type Of = Pick<Garden, 'id' | 'base'>;

async function counted(db: Queryable, garden: Of, ids: readonly string[] | null): Promise<Counted[]> {
	const { rows } = await db.query<CountedRow>(
		`SELECT id, kind_id, way_id, struck_on, unrooted, seen,
			(SELECT max(c->>'lookedOn') FROM jsonb_array_elements(cohorts) AS c) AS looked_on,
			coalesce((SELECT label FROM stock s WHERE s.garden_id = batch.garden_id AND s.id = batch.stock_id), '') AS form
		 FROM batch WHERE garden_id = $1 AND seen <> '{}' AND ($2::uuid[] IS NULL OR id = ANY ($2))`,
		[garden.id, ids]
	);
	const season = seasonOfClimate(garden.base.recordClimate.climate);
	// Many are struck on one day of one way: each day is looked up once.
	const known = new Map<string, boolean>();
	return rows.map((r) => {
		const kind = garden.base.kinds.get(r.kind_id);
		const tallies = talliesOf(kind, r);
		const key = `${groupOf(r)} ${r.struck_on}`;
		let rightly = known.get(key);
		if (rightly === undefined) known.set(key, (rightly = inSeason(season, kind, r)));
		return { ...r, tallies: rightly ? tallies : withoutFirst(wayIn(kind, r.way_id), tallies) };
	});
}

/** Some days are the weather's: only what was clearly off its window is left out. */
const CLEARLY_OFF = 0.25;
/** What was struck out of season tells little of how a way fares in it. */
function inSeason(season: Season, kind: Kind | undefined, r: CountedRow): boolean {
	const way = wayIn(kind, r.way_id);
	const general = way && handbook().ways.get(way.way);
	if (!way || !general || !r.struck_on) return true;
	const on = dayNumber(r.struck_on);
	return (offSeason(season, way.window, cutOf(general, way).draws, on, on)?.times ?? 1) > CLEARLY_OFF;
}

function withoutFirst(way: WayProfile | undefined, tallies: Tallies): Tallies {
	const first = way?.stages[0]?.to;
	return Object.fromEntries(Object.entries(tallies).filter(([stage]) => stage !== first));
}

/** What a batch has shown; one that is still rooting by what it shows so far. */
function talliesOf(kind: Kind | undefined, r: CountedRow): Tallies {
	const stage = wayIn(kind, r.way_id)?.stages.find((s) => s.to === 'rooted');
	const rooted = r.seen.rooted;
	if (!stage || !rooted || r.unrooted === 0) return r.seen;
	const days = r.struck_on && r.looked_on ? dayNumber(r.looked_on) - dayNumber(r.struck_on) : 0;
	return { ...r.seen, rooted: countSoFar(rooted, r.unrooted, shareBy(durationOf(stage.days), days, 0), stage.chance) };
}

const groupOf = (r: Pick<CountedRow, 'kind_id' | 'way_id'>): string => `${r.kind_id} ${r.way_id}`;
/** The newest first; the ids settle what is of one day, so that the order is the same however it was come by. */
const newestFirst = (a: Counted, b: Counted): number =>
	(b.struck_on ?? '').localeCompare(a.struck_on ?? '') || (a.id < b.id ? -1 : 1);

async function sumUp(garden: Of): Promise<Summed> {
	const db = database();
	const last = await lastEntry(db, garden.id);
	const name = `${garden.id} ${garden.base.key}`;
	const before = summed.get(name);
	if (before && sameEntry(before.last, last)) return before;
	// Those who ask at once each sum up what the same entries changed: it is little.
	const touched = before && (await touchedSince(db, garden.id, before.last));
	const about = (subject: Subject) => touched?.filter((t) => t.subject === subject).map((t) => t.subject_id) ?? [];
	// A stock plant under another name is another form: what was struck from it moves with it.
	const ids = !touched ? null : [...new Set([...about('batch'), ...(await struckFromAny(db, garden.id, about('stock')))])];
	const rows = ids?.length === 0 ? [] : await counted(db, garden, ids);
	return summed.set(name, summing(garden, last, rows, ids && before ? { before, ids } : null));
}

async function struckFromAny(db: Queryable, gardenId: string, stocks: readonly string[]): Promise<string[]> {
	if (stocks.length === 0) return [];
	const { rows } = await db.query<{ id: string }>('SELECT id FROM batch WHERE garden_id = $1 AND stock_id = ANY ($2)', [
		gardenId,
		stocks
	]);
	return rows.map((r) => r.id);
}

const sameEntry = (a: LastEntry, b: LastEntry): boolean => a?.seq === b?.seq && a?.at === b?.at;

function summing(
	garden: Of,
	last: LastEntry,
	rows: readonly Counted[],
	of: { before: Summed; ids: readonly string[] } | null
): Summed {
	if (of && of.ids.length === 0) return { ...of.before, last };
	const each = new Map(of?.before.each);
	const changed = new Set<string>();
	for (const id of of?.ids ?? []) {
		const old = each.get(id);
		if (old) changed.add(groupOf(old));
		each.delete(id);
	}
	for (const r of rows) {
		each.set(r.id, r);
		changed.add(groupOf(r));
	}
	const regrouped = new Map<string, Counted[]>([...changed].map((name) => [name, []]));
	for (const r of each.values()) regrouped.get(groupOf(r))?.push(r);
	const groups = new Map<string, readonly Counted[]>(of?.before.groups);
	for (const [name, list] of regrouped) {
		if (list.length) groups.set(name, list.sort(newestFirst));
		else groups.delete(name);
	}
	// To a hundredth: the garden knows it no better, and each entry would move it by a hair.
	const rho = Math.round(correlationOf(garden, groups) * 100) / 100;
	const kept = of?.before.rho === rho ? of.before.worth : null;
	const worth = new Map(
		[...groups].map(([name, list]) => {
			const same = changed.has(name) ? undefined : kept?.get(name);
			return [
				name,
				same ??
					worthOf(
						list.map((r) => r.tallies),
						rho
					)
			] as const;
		})
	);
	const forms = new Map(
		[...groups].map(([name, list]) => {
			const same = changed.has(name) || of?.before.rho !== rho ? undefined : of.before.forms.get(name);
			return [name, same ?? formsIn(list, rho)] as const;
		})
	);
	return { last, groups, rho, worth, forms, each };
}

const formsIn = (list: readonly Counted[], rho: number): ReadonlyMap<string, FormRecord> =>
	formsOf(
		list.filter((r) => r.form !== '').map((r) => ({ form: sameForm(r.form), tallies: r.tallies })),
		(t) => worthOf(t, rho)
	);

/** A kind's way in parts: each form that goes by its own record, and the rest. */
function apartIn(list: readonly Counted[]): Counted[][] {
	const forms = formsIn(list, 0);
	const isApart = (form: string) => Object.values(forms.get(form)?.counted ?? {}).some(isEnough);
	return [...grouped(list, (r) => (isApart(sameForm(r.form)) ? sameForm(r.form) : '')).values()];
}

/** A name however it was typed. */
const sameForm = (label: string): string => label.trim().toLocaleLowerCase('en');

/** ρ from batches of one kind and way at one stage, the newest of the garden first. */
function correlationOf(garden: Of, groups: ReadonlyMap<string, readonly Counted[]>): number {
	let left = MOST_COUNTS;
	const telling: CountGroup[] = [];
	// Forms that differ would pass for batches that do.
	const newest = [...groups.values()].flatMap(apartIn).sort((a, b) => newestFirst(a[0]!, b[0]!));
	for (const list of newest) {
		const { kind_id, way_id } = list[0]!;
		for (const stage of wayIn(garden.base.kinds.get(kind_id), way_id)?.stages ?? []) {
			const batches: CountGroup['batches'][number][] = [];
			for (const { tallies } of list) {
				if (batches.length >= left) break;
				const t = tallies[stage.to];
				if (t) batches.push(t);
			}
			left -= batches.length;
			telling.push({ prior: betaOf(stage.chance, stage.weight), batches });
		}
	}
	return learnCorrelation(telling);
}

/** What this garden's batches have taught, as of the ledger's last entry. */
export async function recordOf(garden: Of): Promise<RecordOf> {
	const { worth, rho, each, forms, groups } = await sumUp(garden);
	const nameOf = (kind_id: string, way_id: string) => groupOf({ kind_id, way_id });
	return {
		rho,
		of: (kindId, wayId, but, form = '') => {
			const name = nameOf(kindId, wayId);
			const out = (but ?? []).flatMap((id) => (id === null ? [] : (each.get(id) ?? [])));
			const less = (t: Tallies, of: readonly Counted[]) =>
				of.length
					? without(
							t,
							of.map((r) => r.tallies),
							rho
						)
					: t;
			const all = less(worth.get(name) ?? {}, out);
			const own = form === '' ? undefined : forms.get(name)?.get(sameForm(form));
			if (!own) return all;
			const mine = out.filter((r) => sameForm(r.form) === sameForm(form));
			return forForm(all, { worth: less(own.worth, mine), counted: lessCounted(own.counted, mine) });
		},
		counts: (kindId, wayId) => tallied(...(groups.get(nameOf(kindId, wayId)) ?? []).map((r) => r.tallies)),
		isApart: (kindId, wayId, form) =>
			form !== '' && Object.values(forms.get(nameOf(kindId, wayId))?.get(sameForm(form))?.counted ?? {}).some(isEnough),
		forms: (kindId, wayId) =>
			[...(forms.get(nameOf(kindId, wayId)) ?? [])].flatMap(([form, own]) => {
				if (!Object.values(own.counted).some(isEnough)) return [];
				const mine = [...each.values()].filter((r) => r.kind_id === kindId && r.way_id === wayId && sameForm(r.form) === form);
				return [{ form: mine[0]!.form, counts: tallied(...mine.map((r) => r.tallies)) }];
			})
	};
}

/** Counted without some of the batches. */
function lessCounted(counted: FormRecord['counted'], but: readonly Counted[]): FormRecord['counted'] {
	const left = Object.fromEntries(Object.entries(counted).map(([stage, c]) => [stage, { ...c }])) as FormRecord['counted'];
	for (const { tallies } of but)
		for (const [stage, t] of Object.entries(tallies) as [StageName, Tally][]) {
			const c = left[stage];
			if (!c || t.passed + t.failed <= 0) continue;
			c.pieces -= t.passed + t.failed;
			c.batches -= 1;
		}
	return left;
}
