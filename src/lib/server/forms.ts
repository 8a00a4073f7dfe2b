/** Reading forms into acts, and answering them: nothing typed is lost, and every refusal says where. */
import { error, fail } from '@sveltejs/kit';
import type { ActionFailure } from '@sveltejs/kit';
import { z } from 'zod';
import { gardenBySlug, gardenHeadBySlug } from './context.js';
import type { Garden, GardenHead } from './context.js';
import { isDatabaseBusy, isDatabaseDown, isDatabaseFull } from './db.js';
import { record } from './ledger.js';
import type { Act } from './ledger.js';
import { log } from './log.js';
import { plainText, readNumber } from '$lib/core/numbers.js';
import { readDay } from '$lib/core/readDay.js';
import { areaMeasure, longMeasure, shortMeasure, warmthMeasure } from '$lib/core/units/index.js';
import type { UnitChoice } from '$lib/core/units/index.js';
import type { Problem, Result } from '$lib/core/result.js';

export interface Done {
	done: { entryId: string; sentence: string; code: string | null; version: number | null };
}
const UNREADABLE = { message: 'That cannot be read: load the page again.', code: 'form.unreadable' };
/** Ids as we write them. */
export const isId = (text: string): boolean => z.uuid().safeParse(text).success && text === text.toLowerCase();

export interface Refused {
	problem: Problem;
}

/** A form's fields, read the forgiving way: blanks are null, numbers may have a comma. */
export class Fields {
	constructor(private readonly form: FormData) {}
	/** Of a request's form; one that cannot be read ends with a sentence. */
	static async of(request: Request): Promise<Fields> {
		try {
			return new Fields(await request.formData());
		} catch {
			error(400, UNREADABLE);
		}
	}
	/** The id that the client gave its entry; without one nothing is written. */
	get entryId(): string {
		const id = this.text('entry_id');
		if (!isId(id)) error(400, UNREADABLE);
		return id;
	}
	text(name: string): string {
		const value = this.form.get(name);
		return typeof value === 'string' ? plainText(value) : '';
	}
	textOrNull(name: string): string | null {
		return this.text(name).trim() || null;
	}
	/** A day as typed; what is none stays as it is (the schema then refuses it). */
	day(name: string, today: string): string {
		const text = this.text(name).trim();
		return readDay(text, today) ?? text;
	}
	days(name: string, today: string): string[] {
		return this.all(name).map((text) => readDay(text, today) ?? text.trim());
	}
	/** null when blank, NaN when it is no number (the schema then refuses it). */
	number(name: string): number | null {
		return readNumber(this.text(name));
	}
	/** null when blank; NaN, which no schema takes, when it is no JSON. */
	json(name: string): unknown {
		const text = this.text(name);
		if (text === '') return null;
		try {
			return JSON.parse(text) as unknown;
		} catch {
			return Number.NaN;
		}
	}
	/** Whether the form asks after it at all, empty or not. */
	has(name: string): boolean {
		return this.form.has(name);
	}
	flag(name: string): boolean {
		return ['on', 'true', '1'].includes(this.text(name));
	}
	all(name: string): string[] {
		return this.form.getAll(name).flatMap((v) => (typeof v === 'string' ? [plainText(v)] : []));
	}
	/** Lengths as typed in the garden's units, to cm. */
	cm(name: string, units: UnitChoice): number | null {
		return shortMeasure(units).read(this.text(name));
	}
	metres(name: string, units: UnitChoice): number | null {
		return longMeasure(units).read(this.text(name));
	}
	/** m². */
	area(name: string, units: UnitChoice): number | null {
		return areaMeasure(units).read(this.text(name));
	}
	celsius(name: string, units: UnitChoice): number | null {
		return warmthMeasure(units).read(this.text(name));
	}
}

/** What every entry form sends along. */
export const frameOf = (f: Fields, garden: GardenHead) => ({
	id: f.entryId,
	on: f.day('on', garden.today) || garden.today,
	note: f.text('note')
});

export const refused = (problem: Problem, status = 400): ActionFailure<Refused> => fail(status, { problem });

const UNKNOWN = { message: 'There is no such garden.', code: 'garden.unknown' };

/** Loads the garden of a route, or ends with 404; a database that is away ends with 503. */
export async function gardenOr404(slug: string): Promise<Garden> {
	return guarded(async () => (await gardenBySlug(slug)) ?? error(404, UNKNOWN));
}

/** The same without its climate: what a form that writes needs, at once. */
export async function gardenHeadOr404(slug: string): Promise<GardenHead> {
	return guarded(async () => (await gardenHeadBySlug(slug)) ?? error(404, UNKNOWN));
}

export const DOWN = {
	message: 'The database does not answer at the moment. Nothing was saved, and what you typed is still here.',
	code: 'database.down'
};

/** The database is there; what was asked had to wait too long for something else. */
export const BUSY = {
	message: 'Surculus is busy with something else and did not get to this. Nothing was saved: try again in a moment.',
	code: 'database.busy'
};

export const FULL = {
	message: 'The disk is full where the data lie. Nothing was saved; what you typed is still here: make room, then send it again.',
	code: 'database.full'
};

export async function guarded<T>(work: () => Promise<T>): Promise<T> {
	try {
		return await work();
	} catch (e) {
		if (isDatabaseFull(e)) error(503, FULL);
		if (isDatabaseBusy(e)) error(503, BUSY);
		if (!isDatabaseDown(e)) throw e;
		log.error({ err: (e as Error).message }, 'database down');
		error(503, DOWN);
	}
}

/** Records acts for a form and answers it. */
export async function recordForm(
	garden: GardenHead,
	actor: string,
	acts: readonly Act[],
	sentence: string | ((code: string | null) => string)
): Promise<Done | ActionFailure<Refused>> {
	const result = await guarded(() => record({ gardenId: garden.id, actor, today: garden.today }, acts));
	if (!result.ok) return refused(result.problem, result.problem.code === 'entry.changed-since' ? 409 : 400);
	const { code, ids, version } = result.value;
	return {
		done: { entryId: ids[0]!, sentence: typeof sentence === 'string' ? sentence : sentence(code), code, version }
	};
}

export const orProblem = <T>(result: Result<T>): T | ActionFailure<Refused> =>
	result.ok ? result.value : refused(result.problem);
