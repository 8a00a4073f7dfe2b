/** Writing the ledger: the only way anything in a garden changes. */
import { plainly } from '$lib/core/writing.js';
import { sayNumber } from '$lib/core/numbers.js';
import { grouped } from '$lib/core/grouped.js';
import { isDeepStrictEqual } from 'node:util';
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import { checkEntry, checkUnleaned } from './checks.js';
import { database, transaction } from './db.js';
import type { Queryable } from './db.js';
import { factsOf } from './facts.js';
import { inTurn } from './inTurn.js';
import { kindIdOf, lineOf, namesFor, placesNamed } from './lines.js';
import { newestMigration } from './schemaVersion.js';
import { project, projectAdded, putFolded } from './project.js';
import { asResult, orThrow, Refusal, refuseWith } from './refusal.js';
import * as entries from './store/entries.js';
import { clearProjections, gardensToDerive, markDerived, PROJECTIONS, stampVersions, versionOf } from './store/projections.js';
import * as state from './store/state.js';
import { codeOf, effective, KINDS, foldBatch, isoDate, MOST_CODES, MOST_NOTE, subjectOf, uuid } from '$lib/core/ledger/index.js';
import type { AnyEntry, Batch, EntryKind, Subject } from '$lib/core/ledger/index.js';
import type { Result } from '$lib/core/result.js';

/** An entry as it comes in: shape known, content still to be parsed. */
export interface Act {
	id: string;
	kind: EntryKind;
	subjectId: string;
	on: string;
	data: Record<string, unknown>;
	note?: string;
	/** The first entry of a batch takes the garden's next code. */
	takesCode?: boolean;
	/** Version of the subject that the person saw; another means someone was quicker. */
	seen?: number | null;
	/** Its content follows from the state it meets: sent again it is the same act, whatever it would say now. */
	derived?: boolean;
}

const frame = z.object({
	id: uuid,
	subjectId: uuid,
	on: isoDate,
	note: z
		.string()
		.max(MOST_NOTE, { error: () => `A note has at most ${sayNumber(MOST_NOTE)} characters.` })
		// PostgreSQL cannot hold the null character; nobody types it on purpose.
		.transform((s) => s.replaceAll('\u0000', '').trim())
});

/** Parses an act into an entry, or refuses with the first thing that is wrong and where. */
export function parseAct(act: Act): AnyEntry {
	const head = frame.safeParse({ id: act.id, subjectId: act.subjectId, on: act.on, note: act.note ?? '' });
	const body = KINDS[act.kind].data.safeParse(act.data);
	const issue = head.error?.issues[0] ?? body.error?.issues[0];
	if (issue || !head.success || !body.success)
		refuseWith('entry.invalid', issue?.message ?? 'That cannot be read.', issue?.path.join('.') || undefined);
	return { ...head.data, kind: act.kind, data: body.data } as AnyEntry;
}

export interface Recorded {
	/** Entries that stand under these ids, in order. */
	ids: string[];
	/** All of it was there already: the same act sent twice. */
	already: boolean;
	groupId: string;
	/** Code of the batch begun, if one was. */
	code: string | null;
	/** Version at which the first thing stands now, when it was written as it was seen. */
	version: number | null;
}

export interface Writer {
	gardenId: string;
	actor: string;
	today: string;
}

async function sameVersion(db: Queryable, gardenId: string, act: Act, code: string | null): Promise<void> {
	const version = await versionOf(db, gardenId, subjectOf(act.kind) as Subject, act.subjectId);
	if (version === null || version === act.seen) return;
	refuseWith(
		'entry.changed-since',
		code
			? `Someone logged ${code} while you were typing. What you typed is still here: look at the new counts, then send it again.`
			: 'Someone changed this while you were typing. What you typed is still here: look at what is there now, then send it again.'
	);
}

const isUuid = (text: string): boolean => uuid.safeParse(text).success;
const codeIn = (data: unknown): string | null => (data as { code?: string }).code ?? null;

/** The same act sent twice is one. Anything else under its id is told: what was sent now is not what was kept. */
function sameAgain(stored: entries.StoredEntry, act: Act): void {
	if (stored.kind !== act.kind || stored.subject_id !== act.subjectId)
		refuseWith('entry.id-taken', 'Another entry has this id already.', 'id');
	if (stored.undone) refuseWith('entry.sent-undone', `“${stored.line}” was saved and then undone: it is not saved again.`);
	if (act.derived) return;
	const code = codeIn(stored.data);
	const now = parseAct({ ...act, data: act.takesCode && code ? { ...act.data, code } : act.data });
	// As the database gives it back: what is undefined is not there.
	const told = JSON.parse(JSON.stringify(now.data)) as unknown;
	if (!isDeepStrictEqual(stored.data, told) || stored.note !== now.note || stored.happened_on !== now.on)
		refuseWith(
			'entry.sent-otherwise',
			`This was saved already, as “${stored.line}”; what you changed since was not. Undo that entry if it is wrong, or log the rest as a new one.`
		);
}

/** The garden's lock. A copy of the code that another has upgraded past writes nothing more: it does not know the tables. */
async function locked(db: Queryable, gardenId: string): Promise<void> {
	const version = await state.lockGarden(db, gardenId);
	if (version === null) refuseWith('garden.unknown', 'There is no such garden.');
	if (version > schemaKnown())
		refuseWith(
			'app.older',
			'The database was upgraded by a newer Surculus while this one ran. Nothing was saved: start Surculus anew, then send it again.'
		);
}

let known: number | null = null;
const schemaKnown = (): number => (known ??= newestMigration(process.env.SURCULUS_HOME ?? process.cwd()));

/** Records the acts of one doing, all or none, inside an open transaction that holds the garden's lock. */
async function write(db: Queryable, writer: Writer, acts: readonly Act[]): Promise<Recorded> {
	const groupId = acts[0]!.id;
	const { gardenId, today } = writer;
	let code: string | null = null;
	const facts = factsOf(db, gardenId, today);
	const there = await entries.entriesById(
		db,
		gardenId,
		acts.map((a) => a.id)
	);
	for (const act of acts) {
		const before = there.get(act.id);
		if (before) {
			sameAgain(before, act);
			if (act.takesCode) code = codeIn(before.data);
			continue;
		}
		const subject = subjectOf(act.kind) as Subject;
		const batch = subject === 'batch' && isUuid(act.subjectId) ? await facts.batch(act.subjectId) : null;
		if (act.seen !== undefined && act.seen !== null) await sameVersion(db, gardenId, act, batch?.code ?? null);
		let data = act.data;
		if (act.takesCode && !batch) {
			const n = await state.takeCode(db, gardenId);
			if (n >= MOST_CODES) refuseWith('code.none-left', 'This garden has used all its codes.');
			code = codeOf(n);
			data = { ...data, code };
		} else if (act.takesCode && batch) {
			data = { ...data, code: batch.code };
			code = batch.code;
		}
		const entry = parseAct({ ...act, data });
		await checkEntry(entry, facts);
		const names = await namesFor(facts, subject, entry.subjectId, placesNamed(entry));
		await entries.insertEntry(db, {
			gardenId,
			id: entry.id,
			kind: entry.kind,
			subject,
			subjectId: entry.subjectId,
			groupId,
			on: entry.on,
			actor: writer.actor,
			reverses: null,
			data: entry.data,
			note: entry.note,
			line: plainly(() => lineOf(entry, names)),
			kindId: kindIdOf(entry, names)
		});
		await projectAdded(db, gardenId, subject, entry);
		facts.written(subject);
	}
	const first = acts[0]!;
	const asSeen = typeof first.seen === 'number' && !there.has(first.id);
	return {
		ids: acts.map((a) => a.id),
		already: there.size === acts.length,
		groupId: there.get(groupId)?.group_id ?? groupId,
		code,
		version: asSeen ? await versionOf(db, gardenId, subjectOf(first.kind) as Subject, first.subjectId) : null
	};
}

/** Records one doing. Sent twice it is one: ids are the client's. */
export function record(
	writer: Writer,
	acts: readonly Act[],
	/** What must be stored with it, in the same transaction. */
	beforehand?: (db: Queryable) => Promise<void>
): Promise<Result<Recorded>> {
	return asResult(() =>
		inTurn(writer.gardenId, () =>
			transaction(async (db) => {
				await locked(db, writer.gardenId);
				await beforehand?.(db);
				return write(db, writer, acts);
			})
		)
	);
}

async function slugOf(db: Queryable, gardenId: string): Promise<string | null> {
	const { rows } = await db.query<{ slug: string }>('SELECT slug FROM garden WHERE id = $1', [gardenId]);
	return rows[0]?.slug ?? null;
}

/** Makes a garden's row under the first free name of those that look like the wish; of one that is there, its name. */
export async function freeSlug(db: Queryable, gardenId: string, wish: string): Promise<string> {
	const base =
		wish
			.normalize('NFKD')
			.replace(/\p{M}/gu, '')
			.toLowerCase()
			.replace(/[^a-z0-9]+/g, '-')
			.replace(/^-+|-+$/g, '')
			.slice(0, 40) || 'garden';
	for (let n = 1; ; n++) {
		const slug = n === 1 ? base : `${base}-${n}`;
		const made = await db.query('INSERT INTO garden (id, slug) VALUES ($1, $2) ON CONFLICT DO NOTHING', [gardenId, slug]);
		if (made.rowCount === 1) return slug;
		const twin = await slugOf(db, gardenId);
		if (twin) return twin;
	}
}

/** Makes a garden with its first settings and places. */
export function createGarden(
	gardenId: string,
	slugWish: string,
	actor: string,
	today: string,
	acts: readonly Act[]
): Promise<Result<{ slug: string }>> {
	return asResult(() =>
		transaction(async (db) => {
			const existing = await slugOf(db, gardenId);
			if (existing) return { slug: existing };
			const slug = await freeSlug(db, gardenId, slugWish);
			// Sent twice at once: the other was quicker, and its entries are there.
			if (await state.gardenById(db, gardenId)) return { slug };
			await write(db, { gardenId, actor, today }, acts);
			await markDerived(db, gardenId);
			return { slug };
		})
	);
}

/**
 * Undoes an entry and all that was done with it, by entries that reverse them. Refused when what
 * remains makes no sense, with the reason.
 */
export function undo(writer: Writer, entryId: string, undoId: string): Promise<Result<Recorded>> {
	const undoing = () =>
		transaction(async (db) => {
			const { gardenId } = writer;
			if (!z.uuid().safeParse(entryId).success || !z.uuid().safeParse(undoId).success)
				refuseWith('entry.unknown', 'There is no such entry.');
			await locked(db, gardenId);
			const target = await entries.entryById(db, gardenId, entryId);
			if (!target) refuseWith('entry.unknown', 'There is no such entry.');
			const repeated = await entries.entryById(db, gardenId, undoId);
			if (repeated) return { ids: [undoId], already: true, groupId: repeated.group_id, code: null, version: null };
			if (target.undone) refuseWith('entry.undone', 'That was undone already.');
			const group = (await entries.entriesOfGroup(db, gardenId, target.group_id)).filter((e) => !e.undone).reverse();
			const touched = new Map<string, { subject: Subject; id: string }>();
			const ids: string[] = [];
			for (const [i, e] of group.entries()) {
				const id = i === 0 ? undoId : uuidv5(e.id, undoId);
				ids.push(id);
				const turned = await entries.chainEnd(db, gardenId, e.id);
				await entries.insertEntry(db, {
					gardenId,
					id,
					kind: 'entry.reversed',
					subject: e.subject,
					subjectId: e.subject_id,
					groupId: undoId,
					on: writer.today,
					actor: writer.actor,
					reverses: turned,
					data: { reverses: turned },
					note: '',
					line: turnedLine(e.line),
					kindId: e.kind_id
				});
				touched.set(`${e.subject}:${e.subject_id}`, { subject: e.subject, id: e.subject_id });
			}
			for (const { subject, id } of touched.values()) await project(db, gardenId, subject, id);
			for (const { subject, id } of touched.values()) {
				const left = await stands(db, gardenId, subject, id);
				if (!left) await checkUnleaned(db, gardenId, subject, id);
			}
			return { ids, already: false, groupId: undoId, code: null, version: null };
		});
	return asResult(() => inTurn(writer.gardenId, undoing));
}

const UNDONE_AGAIN = /^Done again: /;
/** "Undone: …" of what was done, "Done again: …" of what was undone. */
const turnedLine = (line: string): string =>
	line.startsWith('Undone: ') ? line.replace(/^Undone: /, 'Done again: ') : `Undone: ${line.replace(UNDONE_AGAIN, '')}`;

async function stands(db: Queryable, gardenId: string, subject: Subject, id: string): Promise<boolean> {
	// Only these are leaned on by others.
	if (subject !== 'place' && subject !== 'stock' && subject !== 'want' && subject !== 'kind') return true;
	const { rowCount } = await db.query(`SELECT 1 FROM ${PROJECTIONS[subject]} WHERE garden_id = $1 AND id = $2`, [gardenId, id]);
	return rowCount === 1;
}

/** Derives all state of a garden from its ledger afresh. */
export const rebuild = (gardenId: string): Promise<{ entries: number; subjects: number }> =>
	inTurn(gardenId, () => transaction((db) => rebuildIn(db, gardenId)));

const BATCHES_AT_ONCE = 400;

export async function rebuildIn(db: Queryable, gardenId: string): Promise<{ entries: number; subjects: number }> {
	await locked(db, gardenId);
	await clearProjections(db, gardenId);
	const { rows } = await db.query<entries.StoredEntry>(
		'SELECT id, seq, kind, subject, subject_id, happened_on, data, note, line FROM entry WHERE garden_id = $1 ORDER BY seq',
		[gardenId]
	);
	const bySubject = grouped(rows, (row) => `${row.subject}:${row.subject_id}`);
	// Batches are most of it: written many at once.
	let folded: Batch[] = [];
	const write = async () => {
		if (folded.length) await state.putBatches(db, gardenId, folded);
		folded = [];
	};
	for (const list of bySubject.values()) {
		const { subject, subject_id: id } = list[0]!;
		try {
			if (subject === 'batch') {
				const batch = orThrow(foldBatch(effective(list.map(entries.asEntry))));
				if (batch) folded.push(batch);
				if (folded.length >= BATCHES_AT_ONCE) await write();
			} else await putFolded(db, gardenId, subject, id, list);
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			const bad = firstRefused(list);
			throw new RebuildRefused(
				`The entry “${bad.line}” of ${bad.happened_on} does not go with those before it: ${error.problem.sentence} Nothing was changed.`
			);
		}
	}
	await write();
	await stampVersions(db, gardenId);
	await db.query('SET CONSTRAINTS ALL IMMEDIATE');
	await markDerived(db, gardenId);
	return { entries: rows.length, subjects: bySubject.size };
}

/** A ledger that does not fold: the state stays as it was. */
export class RebuildRefused extends Error {}

/** The entry of a subject at which it no longer folds. */
function firstRefused(list: readonly entries.StoredEntry[]): entries.StoredEntry {
	for (let n = 1; n < list.length; n++) {
		const standing = effective(list.slice(0, n).map(entries.asEntry));
		if (standing[0]?.kind.startsWith('batch.') && !foldBatch(standing).ok) return list[n - 1]!;
	}
	return list.at(-1)!;
}

/** The same for every garden. */
export async function rebuildAll(
	tell: (slug: string, done: { entries: number; subjects: number }) => void = () => {}
): Promise<void> {
	for (const garden of await state.gardens(database())) tell(garden.slug, await rebuild(garden.id));
}

/** Derives afresh what another version of this code derived, or what a kill left undone; how many gardens. */
export async function rebuildStale(): Promise<number> {
	const stale = await gardensToDerive(database());
	for (const id of stale) await rebuild(id);
	return stale.length;
}
