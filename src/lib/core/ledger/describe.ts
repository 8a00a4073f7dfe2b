/** What a kind of entry is: its data, its words, the line it is read by, what it must agree with, what it does. */
import type { z } from 'zod';
import type { Kind } from '../handbook/schema.js';
import type { Result } from '../result.js';
import type { Batch } from './batch.js';
import type { Place, Stock, Want } from './rows.js';

/** An entry as its own kind sees it. */
export interface Written<D> {
	id: string;
	subjectId: string;
	/** ISO date of what was done or seen. */
	on: string;
	data: D;
	note: string;
}

/** How things are called when an entry is written: the line keeps it. */
export interface Names {
	/** What the entry is about, where it is there already. */
	batch: Batch | null;
	stock: Stock | null;
	want: Want | null;
	place: Place | null;
	placeName(id: string | null): string;
	kindName(id: string): string;
	wayName(kindId: string, wayId: string): string;
	materialName(id: string): string;
}

/** What stands in the garden: asked for only as far as an entry needs it. */
export interface Facts {
	/** ISO date. */
	today: string;
	/** The handbook's or the garden's own, with the garden's own figures. */
	kind(id: string): Promise<Kind | null>;
	/** The garden's own, by the entry's subject. */
	ownKind(subjectId: string): Promise<Kind | null>;
	allKinds(): Promise<Kind[]>;
	/** What a kind names that the handbook lacks, in sentences. */
	missingFromBook(kind: Kind): string[];
	/** What there is of a kind, in a few words each: batches by code, stock, wants. */
	namingKind(kindId: string): Promise<string[]>;
	place(id: string): Promise<Place | null>;
	stock(id: string): Promise<Stock | null>;
	want(id: string): Promise<Want | null>;
	batch(id: string): Promise<Batch | null>;
	clock(id: string): Promise<boolean>;
	/** How many of these are batches, stock or wants of the garden. */
	plants(ids: readonly string[]): Promise<number>;
	/** Codes of growing batches with pieces in hand at a place. */
	standingAt(placeId: string): Promise<string[]>;
}

export interface EntryKindOf<S extends z.ZodType> {
	/** What lists and filters call it. */
	words: string;
	data: S;
	/** May be dated ahead of today: it tells what is meant, not what was done or seen. */
	ahead?: true;
	/** The one line that it is read and searched by. */
	line(e: Written<z.infer<S>>, names: Names): string;
	/** What it must agree with beyond itself. */
	check?(e: Written<z.infer<S>>, facts: Facts): Promise<Result<unknown>>;
	/** Of a batch: begins it; */
	begin?(e: Written<z.infer<S>>): Result<Batch>;
	/** or goes on with it. Not called before it was struck, nor with a day before its last entry's. */
	step?(b: Batch, e: Written<z.infer<S>>): Result<Batch>;
	/** May be of a batch that has not been struck. */
	unstruck?: true;
	/** Pieces may be fewer after it without anyone saying which cell of the tray they stood in. */
	loses?: true;
}

/** Types a description by its own schema. */
export const entryKind = <S extends z.ZodType>(described: EntryKindOf<S>): EntryKindOf<S> => described;

export const batchNamed = (n: Names): string => (n.batch ? `${n.batch.code} ${n.kindName(n.batch.kindId)}` : '');
export const stockNamed = (n: Names): string =>
	n.stock ? [n.kindName(n.stock.kind_id), n.stock.label].filter(Boolean).join(', ') : '';
/** " → Sill", or nothing. */
export const goingTo = (n: Names, placeId: string | null): string => (placeId ? ` → ${n.placeName(placeId)}` : '');
export const because = (why: string): string => (why ? `, ${why}` : '');
