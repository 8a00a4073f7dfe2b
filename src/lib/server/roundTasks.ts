/** All work that is due in a garden, gathered from batches, stock, wants, windows, care and weather. */
import { tallSaid } from './asWanted.js';
import { v5 as uuidv5 } from 'uuid';
import { wayIn } from './context.js';
import { waitsFor } from './wants.js';
import { handbook } from './handbook.js';
import { fillingOf, wantedFor } from './mixing.js';
import { Kept } from './kept.js';
import { known, tasksFor } from './model.js';
import { frostLooks, liftings } from './roundFrost.js';
import { groundTasks } from './roundGround.js';
import { task } from './roundTask.js';
import { coldInside, outForGood, stockLooks, waking } from './roundWinter.js';
import type { RoundTask } from './roundTask.js';
import { carriedOf, titleOf, triggersOf } from './roundTriggers.js';
import { HORIZON, SHELTERED, WEEK } from './roundWorld.js';
import type { RoundWorld } from './roundWorld.js';
import { dayNumber, isoOf, sayDate, yearOf } from '$lib/core/dates.js';
import { protectionOf } from '$lib/core/ledger/index.js';
import { isBarred } from '$lib/core/material/protection.js';
import type { DayNumber } from '$lib/core/dates.js';
import { fill } from '$lib/core/mix/prepare.js';
import { standsIn } from '$lib/core/mix/stands.js';
import { atOnePlace, careOf } from '$lib/core/round/care.js';
import type { CareDue, CareTask } from '$lib/core/round/care.js';
import { asksFrom } from '$lib/core/round/marks.js';
import type { Marks } from '$lib/core/round/marks.js';
import { winterLook } from '$lib/core/round/tasks.js';
import type { Task } from '$lib/core/round/tasks.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { anyOf, boughtFor, kindsOfWant, priceOf, wantedName } from '$lib/core/ledger/wish.js';
import { sayCost } from '$lib/core/numbers.js';
import { buyFrom } from '$lib/core/round/buying.js';
import { CARE_WORDS } from '$lib/core/round/words.js';
import { sayVolume } from '$lib/core/units/index.js';

export type { RoundTask } from './roundTask.js';

export const careId = (gardenId: string, work: string, placeId: string | null): string =>
	uuidv5(`${work} ${placeId ?? 'none'}`, gardenId);

export function careDues(w: RoundWorld, day: DayNumber, until: DayNumber, marks: Marks = w.marks): CareDue[] {
	const place = new Map(w.places.map((p) => [p.id, p]));
	const rules = [...handbook().care.values()];
	const { book } = w.model;
	return w.batches.flatMap((batch) => {
		const kind = w.kinds.get(batch.kindId);
		const way = wayIn(kind, batch.wayId);
		if (!kind || !way) return [];
		const placeKind = place.get(batch.placeId ?? '')?.kind ?? null;
		return careOf({ batch, kind, way, placeKind, book, climate: w.garden.climate, sky: w.season.sky, marks }, rules, day, until);
	});
}

/** Work of stages, looks and plantings. */
function stageTasks(w: RoundWorld, day: DayNumber): Task[] {
	const place = new Map(w.places.map((p) => [p.id, p]));
	const stock = new Map(w.stocks.map((s) => [s.id, s]));
	const tasks: Task[] = [];
	for (const b of w.batches) {
		const k = known(w.model, b);
		if (k) tasks.push(...tasksFor(w.model, k, day, day + HORIZON));
		tasks.push(...winterLook(b, SHELTERED.has(place.get(b.placeId ?? '')?.kind ?? ''), day, day + HORIZON, w.season.usual));
	}
	return (
		tasks
			// A planned batch is struck where its stock stands, if it has no place of its own.
			.map((t) => (t.kind === 'strike' && t.stockId ? { ...t, placeId: stock.get(t.stockId)?.place_id ?? t.placeId } : t))
			.map((t) => {
				const from = asksFrom(t.kind, t.from, w.marks(t.kind, t.batchId ?? t.stockId ?? ''));
				return { ...t, from, by: Math.max(t.by, from) };
			})
	);
}

/** Wants for which nothing grows yet, while the window of one of their ways is open. */
function openWindows(w: RoundWorld, day: DayNumber): RoundTask[] {
	return w.wants.flatMap((want): RoundTask[] => {
		const served = w.batches.some((b) => b.wantId === want.id) || boughtFor(want) >= want.target;
		if (want.dropped_on || dayNumber(want.due) < day || served || waitsFor(w.wants, want, day)) return [];
		// Of several kinds that would do, the first that it can be planned of today.
		return kindsOfWant(want)
			.flatMap((id) => w.kinds.get(id) ?? [])
			.flatMap((kind) => openFor(want, kind))
			.slice(0, 1);
	});

	function openFor(want: RoundWorld['wants'][number], kind: Kind): RoundTask[] {
		const standing = w.stocks.filter((s) => s.kind_id === kind.id && !s.gone_on);
		const stock = standing.find((s) => !isBarred(protectionOf(s), yearOf(day)));
		// All there is may not be multiplied: nothing asks to plan from it.
		if (standing.length > 0 && !stock) return [];
		const open = kind.ways
			.map((way) => ({ way, odds: w.season.windows(way.window, kind) }))
			.filter((o) => o.odds.on(day) >= 0.6)
			.map((o) => ({
				...o,
				closes: w.season.allYear(o.way.window)
					? null
					: (w.season.usualFor(kind).openings(o.way.window, day, day)[0]?.closes ?? null)
			}))[0];
		if (!open) return [];
		const way = handbook().ways.get(open.way.way);
		const mark = w.marks('decide', want.id);
		const from = asksFrom('decide', day, mark, 14);
		const by = open.closes ?? day + 14;
		return [
			task({
				key: `decide:${want.id}`,
				work: 'decide',
				title: `Plan ${want.target} ${anyOf(kindsOfWant(want).map((id) => w.kinds.get(id)?.common ?? id))}${want.label ? `, ${want.label}` : ''}`,
				from,
				by: Math.max(by, from),
				late: false,
				placeId: stock?.place_id ?? want.place_id,
				targets: [want.id],
				link: `wants/${want.id}`,
				count: want.target,
				minutes: 3,
				why: `Nothing is struck for it yet, and the time for a ${way?.name ?? 'cutting'}${want.or_kinds.length ? ` of ${withVariety(kind)}` : ''} is now${open.closes ? `, until about ${sayDate(isoOf(open.closes), false)}` : ''}.`
			})
		];
	}
}

/** Plants in their pots whose day comes, to be given or sold. */
const toGive = (w: RoundWorld, day: DayNumber): RoundTask[] =>
	w.wants.flatMap((want): RoundTask[] => {
		const due = dayNumber(want.due);
		if (want.purpose !== 'gifts' || want.dropped_on || due < day) return [];
		const from = asksFrom('give', Math.max(day, due - GIVE_AHEAD), w.marks('give', want.id), 7);
		return w.batches.flatMap((b): RoundTask[] => {
			const kind = w.kinds.get(b.kindId);
			const way = wayIn(kind, b.wayId);
			if (!kind || !way || b.wantId !== want.id) return [];
			const count = way.stages.some((s) => s.to === 'potted') ? b.potted : b.rooted + b.potted;
			if (count === 0) return [];
			return [
				task({
					key: `give:${b.id}`,
					work: 'give',
					title: `Hand over ${count} ${kind.common}${want.label ? `, ${want.label}` : ''}`,
					code: b.code,
					from,
					by: Math.max(due, from),
					late: false,
					placeId: b.placeId,
					targets: [want.id],
					batchId: b.id,
					link: `bench/${b.id}?do=give`,
					count,
					minutes: Math.ceil(count * GIVE_MINUTES),
					why: `Of the ${want.target} that are wanted by ${sayDate(want.due, false)}. Water them the day before, and give each its name.`,
					seen: b.version
				})
			];
		});
	});
/** Days before its day that what is wanted in pots comes on the round. Our own judgement. */
const GIVE_AHEAD = 7;
/** Minutes to look one over, label it and set it out. Common practice, no source. */
const GIVE_MINUTES = 1;

/** What grows may have done well since it was planned. */
const fewerSaid = (few: number, of: number): string =>
	few === of
		? ''
		: few === 0
			? ' With what grows as it stands none is needed any more.'
			: ` With what grows as it stands ${few} would do.`;

/** Plants that are still to be bought towards a want. */
const toBuy = (w: RoundWorld, day: DayNumber): RoundTask[] =>
	w.wants.flatMap((want): RoundTask[] => {
		const due = dayNumber(want.due);
		if (want.dropped_on || want.buying === 0 || due < day) return [];
		const from = asksFrom('buy', buyFrom(due, day), w.marks('buy', want.id), 14);
		const name = wantedName(w.kinds, want);
		const each = priceOf(w.kinds, want);
		return [
			task({
				key: `buy:${want.id}`,
				work: 'buy',
				title: `Buy ${want.buying} ${name}${tallSaid(w.garden, want.least_cm)}${want.label ? `, ${want.label}` : ''}`,
				from,
				by: Math.max(due, from),
				late: false,
				placeId: null,
				targets: [want.id],
				link: `wants/${want.id}#bought`,
				count: want.buying,
				minutes: 0,
				why: `Towards the ${want.target} that you want by ${sayDate(want.due, false)}: ${sayCost(want.buying * each, w.garden.data.currency)}.${fewerSaid(w.wouldBuy.get(want.id) ?? want.buying, want.buying)} Look for roots that hold the soil, and for vine weevil, scale and mildew; let them stand apart for two weeks.`
			})
		];
	});

const VERB: Record<string, string> = {
	strike: 'Strike',
	look: 'Look at',
	'winter-look': 'Look over',
	pot: 'Pot',
	plant: 'Plant'
};
/** A pot is filled and soaked the day before; a tray that has to stand in water, by its clock. */
const FILL_AHEAD = 1;
/** Minutes to fill and firm one. Common practice, no source. */
const FILL_MINUTES = 1;

/** "Fill and soak by": what is struck tomorrow needs its pots today. */
function preparations(w: RoundWorld, day: DayNumber): RoundTask[] {
	return w.batches.flatMap((b): RoundTask[] => {
		const kind = w.kinds.get(b.kindId);
		const profile = wayIn(kind, b.wayId);
		if (!kind || !profile || b.status !== 'planned') return [];
		const way = handbook().ways.get(profile.way)!;
		const f = fillingOf(wantedFor(b, kind.common), kind, profile, w.vessels);
		const filled = fill(f);
		if (filled.vessels === 0) return [];
		const soak = Math.max(0, ...way.timers.filter((t) => t.when === 'before').map((t) => t.minutes)) / 1440;
		const on = dayNumber(b.plannedOn!);
		const from = asksFrom('prepare', on - FILL_AHEAD - Math.ceil(soak), w.marks('prepare', b.id));
		const mark = w.marks('prepare', b.id);
		if (mark?.done !== null && mark?.done !== undefined && mark.done >= on - 30) return [];
		if (on < day - 14) return [];
		return [
			task({
				key: `prepare:${b.id}`,
				work: 'prepare',
				title: `Fill ${filled.vessels} × ${f.vesselName} for ${b.plannedCount} ${kind.common}`,
				code: b.code,
				from,
				by: Math.max(from, on),
				late: on < day,
				placeId: b.placeId,
				targets: [b.id],
				batchId: b.id,
				link: `mix?batch=${b.code}`,
				count: filled.vessels,
				minutes: filled.vessels * FILL_MINUTES,
				why: `About ${sayVolume(filled.litres, w.garden.units)} of ${profile.medium}, by ${sayDate(isoOf(on), false)}.${soak >= 1 ? ' It has to soak a day.' : ''}`,
				log: 'tap'
			})
		];
	});
}

const COUNTED: ReadonlySet<string> = new Set(['look', 'winter-look', 'winter-count', 'frost-count']);

/** All that is due within the horizon. */
export const tasksOf = (w: RoundWorld, day: DayNumber): { due: readonly RoundTask[]; cares: readonly CareTask[] } =>
	tasks.of(`${w.state} ${day}`, () => tasksIn(w, day));

function tasksIn(w: RoundWorld, day: DayNumber): { due: RoundTask[]; cares: CareTask[] } {
	const batchById = new Map(w.batches.map((b) => [b.id, b]));
	const { book } = w.model;
	const { care: rules } = handbook();
	const kindName = (t: Task) => {
		const b = batchById.get(t.batchId ?? '');
		const kind = w.kinds.get(b?.kindId ?? '');
		const form = w.model.formOf(b?.stockId ?? t.stockId);
		return kind ? [withVariety(kind), form].filter(Boolean).join(', ') : '';
	};
	const stage = stageTasks(w, day).map((t): RoundTask => {
		const b = t.batchId ? batchById.get(t.batchId) : undefined;
		return task({
			key: t.key,
			work: t.kind,
			// Stragglers are told in a line that says what is with them.
			title: t.straggling
				? `${t.count} ${kindName(t)}`
				: t.kind === 'winter-count'
					? `Count ${t.count} ${kindName(t)} after winter`
					: t.kind === 'frost-count'
						? `Look which of ${t.count} ${kindName(t)} live`
						: t.kind === 'missed'
							? `Missed: ${t.count} ${kindName(t)} were to be struck`
							: `${VERB[t.kind] ?? t.kind} ${t.count} ${kindName(t)}`,
			code: b?.code ?? null,
			from: t.from,
			by: t.by,
			late: t.by < day,
			placeId: t.placeId,
			targets: [t.batchId ?? t.stockId ?? ''],
			batchId: t.batchId,
			link: t.kind === 'missed' && t.wantId ? `wants/${t.wantId}` : t.batchId ? `bench/${t.batchId}?do=${t.kind}` : 'wants',
			count: t.count,
			minutes: t.minutes,
			why: t.why,
			straggling: t.straggling ?? false,
			seen: b?.version ?? null,
			log: COUNTED.has(t.kind) ? 'count' : 'page'
		});
	});
	const cares = atOnePlace(careDues(w, day, day + WEEK), day);
	const careTasks = cares.map((c): RoundTask => {
		const rule = rules.get(c.care);
		const of = c.batchIds.map((id) => batchById.get(id)!);
		const names = [...new Set(of.map((b) => w.kinds.get(b.kindId)?.common ?? ''))];
		const done = c.batchIds.map((id) => w.marks(c.care, id)?.done ?? null);
		const last = done.some((d) => d === null) ? null : Math.min(...(done as number[]));
		const held =
			rule?.thing ?? thingOf(of.map((b) => standsIn(b, wayIn(w.kinds.get(b.kindId), b.wayId)!, book).container?.name ?? 'pot'));
		return task({
			key: `${c.care}:${c.placeId ?? 'none'}:${c.due}`,
			work: c.care,
			title: `${CARE_WORDS[c.care] ?? c.care}: ${c.containers} ${held[c.containers === 1 ? 0 : 1]}${c.litres ? `, about ${sayVolume(c.litres, w.garden.units)}` : ''}`,
			code: of.length === 1 ? of[0]!.code : null,
			// What comes again and was missed is due now: a misting of last month is not caught up with.
			from: c.due < day ? day : c.due,
			by: Math.max(day, c.due) + Math.max(0, Math.floor((c.every ?? 4) / 2)),
			late: false,
			placeId: c.placeId,
			targets: c.batchIds,
			batchId: of.length === 1 ? of[0]!.id : null,
			link: of.length === 1 ? `bench/${of[0]!.id}` : 'bench',
			count: c.containers,
			minutes: c.minutes,
			why: `${names.slice(0, 4).join(', ')}${names.length > 4 ? ' and more' : ''}. ${c.why}${last === null ? '' : ` Last done ${sayDate(isoOf(last), false)}.`}`,
			every: c.every,
			log: 'tap'
		});
	});
	const triggers = triggersOf(w, day).map((t): RoundTask =>
		task({
			key: t.key,
			work: t.kind,
			title: titleOf(t),
			carried: t.kind === 'shelter' ? carriedOf(w, t.targets) : [],
			from: t.from,
			by: t.by,
			late: t.by < day,
			placeId: t.placeId,
			targets: t.targets,
			link: 'weather',
			count: t.count,
			minutes: t.minutes,
			why: t.say,
			chance: t.chance,
			ifNeedless: t.ifNeedless,
			ifMissed: t.ifMissed,
			log: t.kind === 'shelter' ? 'bring' : 'tap'
		})
	);
	return {
		due: [
			...triggers,
			...preparations(w, day),
			...stage,
			...careTasks,
			...frostLooks(w),
			...liftings(w, day),
			...stockLooks(w, day),
			...coldInside(w, day),
			...waking(w, day),
			...outForGood(w, day),
			...openWindows(w, day),
			...toBuy(w, day),
			...toGive(w, day),
			...groundTasks(w, day)
		],
		cares
	};
}

function thingOf(names: readonly string[]): [string, string] {
	const tray = names.every((n) => /tray/.test(n));
	return tray ? ['tray', 'trays'] : names.some((n) => /tray/.test(n)) ? ['pot and tray', 'pots and trays'] : ['pot', 'pots'];
}

/** A task takes some 900 bytes. */
export const TASK_BYTES = 900;
const tasks = new Kept<{ due: RoundTask[]; cares: CareTask[] }>(96, (t) => 1_000 + t.due.length * TASK_BYTES, true);
