/** Wants: written down, planned, dropped. */
import { v5 as uuidv5 } from 'uuid';
import { z } from 'zod';
import type { Asked, Made } from './doing.js';
import { bookKindsOf } from '../context.js';
import type { GardenHead } from '../context.js';
import { database } from '../db.js';
import { guarded, refused } from '../forms.js';
import type { Fields } from '../forms.js';
import * as state from '../store/state.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import { bedCount, hedgeCount } from '$lib/core/ground/index.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { ok } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';

type Refusing = ReturnType<typeof refused>;

/** How many are wanted: said, or by the length of a hedge, or by the size of a bed. */
function targetOf(
	f: Fields,
	purpose: string,
	kind: Kind | undefined,
	garden: GardenHead
): Result<{ count: number; shape: Record<string, number | string> | null }> {
	const spacingCm = f.cm('spacing', garden.units) ?? kind?.size.spacing_cm ?? Number.NaN;
	const spares = f.number('spares') ?? 0;
	if (purpose === 'hedge') {
		const shape = {
			lengthM: f.metres('length', garden.units) ?? Number.NaN,
			spacingCm,
			rows: f.text('rows') === '2' ? (2 as const) : (1 as const),
			spares
		};
		const count = hedgeCount(shape);
		return count.ok ? ok({ count: count.value, shape }) : count;
	}
	if (purpose === 'bed') {
		const shape = {
			areaM2: f.area('area', garden.units) ?? undefined,
			widthM: f.metres('width', garden.units) ?? undefined,
			lengthM: f.metres('length', garden.units) ?? undefined,
			slopeDeg: f.number('slope') ?? 0,
			spacingCm,
			pattern: f.text('pattern') === 'square' ? ('square' as const) : ('triangular' as const),
			spares
		};
		const bed = bedCount(shape);
		if (!bed.ok) return bed;
		const kept = Object.fromEntries(Object.entries(shape).filter(([, v]) => v !== undefined)) as Record<string, number | string>;
		return ok({ count: bed.value.count, shape: kept });
	}
	return ok({ count: f.number('target') ?? Number.NaN, shape: null });
}

/** How it would do too, where it cannot be met whole. */
const wouldDoOf = (f: Fields) => ({
	enough: f.number('enough'),
	late_weeks: f.number('late_weeks') ?? 0,
	may_buy: f.number('may_buy') ?? 0,
	weighs: f.text('weighs') || 'alike'
});

/** Other kinds that do as well; what was left empty or said twice is none. */
const orKindsOf = (f: Fields): string[] => [
	...new Set(OR_KINDS.map((name) => f.text(name)).filter((id) => id !== '' && id !== f.text('kind_id')))
];
const OR_KINDS = ['or_kind_1', 'or_kind_2', 'or_kind_3', 'or_kind_4'] as const;

export async function writeWant({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const purpose = f.text('purpose');
	const kindId = f.text('kind_id');
	const kinds = await guarded(() => bookKindsOf(garden));
	const target = targetOf(f, purpose, kinds.get(kindId), garden);
	if (!target.ok) return refused(target.problem);
	const data = {
		kind_id: kindId,
		or_kinds: orKindsOf(f),
		purpose,
		label: f.text('label'),
		place_id: f.textOrNull('place_id'),
		target: target.value.count,
		due: f.day('due', garden.today),
		confidence: (f.number('confidence') ?? Number.NaN) / 100,
		shape: target.value.shape,
		least_cm: f.cm('least', garden.units),
		...wouldDoOf(f)
	};
	return {
		acts: [{ ...frame, on: garden.today, kind: 'want.set', subjectId: frame.id, data }],
		said: 'Want written down.',
		next: `/g/${garden.slug}/wants/${frame.id}`
	};
}

/** A want as it stands, for an entry that changes some of it. */
const asItStands = (w: state.WantRow) => ({
	...{
		kind_id: w.kind_id,
		or_kinds: w.or_kinds,
		purpose: w.purpose,
		label: w.label,
		place_id: w.place_id,
		target: w.target,
		due: w.due
	},
	...{ confidence: w.confidence, shape: w.shape, enough: w.enough, late_weeks: w.late_weeks, weighs: w.weighs },
	may_buy: w.may_buy,
	least_cm: w.least_cm,
	waits_for: w.waits_for
});
/** A number that was given otherwise is no longer the one that its measures came to; fewer that would do are fewer than are wanted, and no more may be bought. */
const withTarget = (w: state.WantRow, target: number) => ({
	...{ target, shape: target === w.target ? w.shape : null },
	enough: (w.enough ?? target) < target ? w.enough : null,
	may_buy: Number.isFinite(target) ? Math.min(w.may_buy, target) : w.may_buy
});
const UNKNOWN_WANT = { code: 'want.unknown', sentence: 'There is no such want.' };

/** Another number, day, certainty or place; what it is a want of stays. */
export async function changeWant({ garden, f, frame, params }: Asked<'want'>): Promise<Made | Refusing> {
	const want = await guarded(() => state.wantById(database(), garden.id, params.want));
	if (!want) return refused(UNKNOWN_WANT, 404);
	const data = {
		...asItStands(want),
		...withTarget(want, f.number('target') ?? Number.NaN),
		label: f.text('label'),
		place_id: f.textOrNull('place_id'),
		due: f.day('due', garden.today),
		confidence: (f.number('confidence') ?? Number.NaN) / 100,
		// A form that does not ask after them leaves them as they are.
		...(f.text('weighs') ? wouldDoOf(f) : {}),
		...(f.has('least') ? { least_cm: f.cm('least', garden.units) } : {}),
		...(f.text('or_kinds') ? { or_kinds: orKindsOf(f).filter((id) => id !== want.kind_id) } : {})
	};
	return {
		acts: [{ ...frame, on: garden.today, kind: 'want.set', subjectId: want.id, seen: f.number('seen'), data }],
		said: 'Want changed: its odds and plan follow.'
	};
}

/** What the plan found that would help, in one tap: another number, day or certainty, all else as it stands. */
export async function easeWant({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const id = f.text('want');
	const want = z.uuid().safeParse(id).success ? await guarded(() => state.wantById(database(), garden.id, id)) : null;
	if (!want || want.dropped_on) return refused(UNKNOWN_WANT, 404);
	if (!['target', 'due', 'confidence', 'place'].some((name) => f.text(name)))
		return refused({ code: 'want.same', sentence: 'Nothing of this want would change.' });
	const data = {
		...asItStands(want),
		...(f.text('target') ? withTarget(want, f.number('target') ?? Number.NaN) : {}),
		...(f.text('due') ? { due: f.day('due', garden.today) } : {}),
		...(f.text('place') ? { place_id: f.textOrNull('place') } : {}),
		...(f.text('confidence') ? { confidence: f.number('confidence') ?? Number.NaN } : {})
	};
	return {
		acts: [{ ...frame, on: garden.today, kind: 'want.set', subjectId: want.id, seen: f.number('seen'), data }],
		said: 'Want changed: the plan follows.'
	};
}

/** The stock grown first: so many of the kind are to be alive by the day on which they are taken from, and the want waits for it. */
export async function growFirst({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const id = f.text('want');
	const db = database();
	const want = z.uuid().safeParse(id).success ? await guarded(() => state.wantById(db, garden.id, id)) : null;
	if (!want || want.dropped_on) return refused(UNKNOWN_WANT, 404);
	const stocks = await guarded(() => state.stocks(db, garden.id));
	const kindId = f.text('kind') || want.kind_id;
	if (!kindsOfWant(want).includes(kindId))
		return refused({ code: 'want.other-kind', sentence: 'That want is for another kind.' });
	const parents = stocks.filter((s) => s.kind_id === kindId && !s.gone_on).reduce((n, s) => n + s.count, 0);
	const stock = {
		...asItStands(want),
		...{
			kind_id: kindId,
			or_kinds: [],
			purpose: 'keep',
			label: 'stock to take from',
			target: parents + (f.number('plants') ?? Number.NaN)
		},
		...{
			due: f.day('by', garden.today),
			confidence: STOCK_AS_SURE,
			shape: null,
			enough: null,
			late_weeks: 0,
			may_buy: 0,
			least_cm: null,
			waits_for: null
		}
	};
	const set = { on: garden.today, kind: 'want.set' as const };
	return {
		acts: [
			{ ...frame, ...set, subjectId: frame.id, data: stock },
			{
				...{ id: uuidv5(want.id, frame.id), note: '', ...set, subjectId: want.id, seen: f.number('seen') },
				data: { ...asItStands(want), due: f.day('until', garden.today), waits_for: frame.id }
			}
		],
		said: 'The stock is a want of its own now, and this one waits for it: the plan follows.'
	};
}
/** So many usually come of the first step: what the next one makes of them is what has to be sure. */
const STOCK_AS_SURE = 0.5;

/** Days that a plan can name: 1970 to 2199. */
const FIRST_DAY = 0;
const LAST_DAY = dayNumber('2199-12-31');
const flushesSchema = z
	.array(z.object({ on: z.number().int().min(FIRST_DAY).max(LAST_DAY), pieces: z.number().int().min(1).max(5000) }))
	.min(1)
	.max(6);

export interface PlannedData {
	kind_id: string;
	way_id: string;
	stock_id: string | null;
	want_id: string;
	count: number;
	planned_on: string;
	/** Odds of the want that were told with the plan. */
	promised: number | null;
}

/** Batches to be, written together: the first bears the form's own id and note, and one undo takes all of them back. */
export const plannedActs = (frame: Asked['frame'], today: string, batches: readonly PlannedData[]) =>
	batches.map((data, i) => {
		const id = i === 0 ? frame.id : uuidv5(String(i), frame.id);
		return {
			...{ id, kind: 'batch.planned' as const, subjectId: id, on: today, note: i === 0 ? frame.note : '', takesCode: true },
			data: { ...data, place_id: null }
		};
	});

/** A plan is taken: one batch for each time that its pieces are cut. */
export async function takePlan({ garden, f, frame, params }: Asked<'want'>): Promise<Made | Refusing> {
	const want = await guarded(() => state.wantById(database(), garden.id, params.want));
	if (!want) return refused(UNKNOWN_WANT, 404);
	const read = flushesSchema.safeParse(f.json('flushes'));
	if (!read.success) return refused({ code: 'plan.unreadable', sentence: 'That plan cannot be read: plan again.' });
	const flushes = read.data;
	const stock_id = f.textOrNull('stock_id');
	// It is of the kind that it is taken from; the ledger looks whether the want is met with that.
	const from =
		stock_id && z.uuid().safeParse(stock_id).success
			? await guarded(() => state.stockById(database(), garden.id, stock_id))
			: null;
	const acts = plannedActs(
		frame,
		garden.today,
		flushes.map((x) => ({
			...{ kind_id: from?.kind_id ?? want.kind_id, way_id: f.text('way_id'), stock_id, want_id: want.id },
			...{ count: x.pieces, planned_on: isoOf(x.on), promised: chanceIn(f.number('promised')) }
		}))
	);
	const count = flushes.reduce((n, x) => n + x.pieces, 0);
	return {
		acts,
		said: `Planned: ${count} in ${flushes.length === 1 ? 'one batch' : `${flushes.length} batches`}. It is on the round.`
	};
}

/** A chance that was sent along; what is none is nothing that was promised. */
const chanceIn = (n: number | null): number | null => (n !== null && n >= 0 && n <= 1 ? n : null);

export const dropWant = ({ garden, f, frame, params }: Asked<'want'>): Made => ({
	acts: [{ ...frame, on: garden.today, kind: 'want.dropped', subjectId: params.want, data: { why: f.text('why') } }],
	said: 'Want dropped. Its batches go on.'
});
