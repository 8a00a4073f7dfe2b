/** Tells the sample garden's story into the ledger, entry by entry, as a person would have. */
import { v5 as uuidv5 } from 'uuid';
import { BATCHES, GARDEN, MOVES, PLACED, PLACES, SHAPES, STOCK, WANTS } from './story.js';
import type { BatchStory, Step } from './story.js';
import { today as todayIn } from '../src/lib/server/clock.js';
import { gardenById } from '../src/lib/server/context.js';
import { database } from '../src/lib/server/db.js';
import { createGarden, record, undo } from '../src/lib/server/ledger.js';
import type { Act } from '../src/lib/server/ledger.js';
import { movesId } from '../src/lib/server/movesMeant.js';
import { careId } from '../src/lib/server/roundTasks.js';
import * as state from '../src/lib/server/store/state.js';
import { planWant } from '../src/lib/server/wantPlan.js';
import { importRecord } from '../src/lib/server/weather.js';
import { Sky } from '../stand-ins/weather-station/sky.js';
import { addDays, dayNumber, isoOf } from '../src/lib/core/dates.js';
import { inHand } from '../src/lib/core/ledger/index.js';
import type { Result } from '../src/lib/core/result.js';

const NAMESPACE = '2f1b7f0a-0c0f-4d6b-8a53-5d0f9b7e1c44';
const id = (name: string) => uuidv5(name, NAMESPACE);
export const DEMO_GARDEN = id('garden');

/** Stands for "all that have not rooted". */
const UNROOTED = -1;

interface Told {
	on: string;
	order: number;
	acts: Act[];
	/** Told although the day of writing is later (plans). */
	needs?: string;
}

const must = <T>(result: Result<T>, what: string): T => {
	if (result.ok) return result.value;
	throw new Error(`demo, ${what}: ${result.problem.sentence}`);
};

/** Counts vary from year to year by a fixed pattern, so that the record has a spread to learn from. */
const VARY = [1, 0.9, 1.1];

export async function loadDemoIfEmpty(): Promise<boolean> {
	const { rows } = await database().query<{ n: number }>('SELECT count(*) AS n FROM garden');
	if (rows[0]!.n > 0) return false;
	await loadDemo();
	return true;
}

/** Some thirty years of the same made-up sky that the stand-in station tells of, up to when the story begins. */
async function importWeather(begin: string): Promise<void> {
	const sky = new Sky(GARDEN.latitude, GARDEN.longitude, GARDEN.height_m, 1);
	const first = '1991-01-01';
	const from = dayNumber(first) - sky.truth.first;
	const to = dayNumber(begin) - sky.truth.first;
	const tenths = (column: Float64Array) => [...column.slice(from, to)].map((v) => Math.round(v * 10));
	must(
		await importRecord({ id: DEMO_GARDEN, today: begin }, 'household', {
			id: id('weather'),
			name: 'Three Alders, box in the orchard (made up)',
			format: 'demo',
			first,
			low: tenths(sky.truth.low),
			high: tenths(sky.truth.high),
			rain: tenths(sky.truth.rain)
		}),
		'weather'
	);
}

export async function loadDemo(): Promise<void> {
	const today = todayIn(GARDEN.time_zone);
	const year = Number(today.slice(0, 4));
	const begin = addDays(today, -760);
	const away = { from: addDays(today, 40), to: addDays(today, 54) };
	const writer = (on: string) => ({ gardenId: DEMO_GARDEN, actor: 'household', today: on });

	must(
		await createGarden(DEMO_GARDEN, 'three-alders', 'household', begin, [
			{
				id: DEMO_GARDEN,
				kind: 'garden.set',
				subjectId: DEMO_GARDEN,
				on: begin,
				data: { ...GARDEN, away: [away] }
			},
			...Object.entries(PLACES).map(([name, data]): Act => ({
				id: id(`place ${name}`),
				kind: 'place.set',
				subjectId: id(`place ${name}`),
				on: begin,
				data
			})),
			...Object.entries(SHAPES).map(([name, data]): Act => ({
				id: id(`shape ${name}`),
				kind: 'place.shaped',
				subjectId: id(`place ${name}`),
				on: begin,
				data: { ...data }
			})),
			...Object.entries(STOCK).map(([name, s]): Act => ({
				id: id(`stock ${name}`),
				kind: 'stock.set',
				subjectId: id(`stock ${name}`),
				on: begin,
				data: {
					kind_id: s.kind,
					place_id: id(`place ${s.place}`),
					label: s.label,
					count: s.count,
					size_cm: s.size,
					age_years: s.age,
					condition: s.condition,
					protection: s.protection ?? { status: 'free', until: null },
					from_batch: null
				}
			})),
			...Object.entries(PLACED).map(([name, at]): Act => ({
				id: id(`placed ${name}`),
				kind: 'stock.placed',
				subjectId: id(`stock ${name}`),
				on: begin,
				data: { place_id: id(`place ${STOCK[name]!.place}`), at }
			}))
		]),
		'garden'
	);

	await importWeather(begin);

	// Wants stand since the strike day of the newest batch that serves them, or since a month ago.
	const told: Told[] = [];
	const newest = new Map<string, string>();
	const stories = [2, 1, 0].flatMap((back) =>
		BATCHES.filter((b) => !b.years || b.years.includes(back)).map((b) => ({ b, back }))
	);
	for (const { b, back } of stories) {
		const struck = `${year - back}-${b.struck[0]}`;
		if (b.want && struck <= today && struck > begin) newest.set(b.want, struck);
	}
	for (const [name, w] of Object.entries(WANTS)) {
		let due = `${year}-${w.due[0]}`;
		if (due <= addDays(today, 20)) due = `${year + 1}-${w.due[0]}`;
		due = `${Number(due.slice(0, 4)) + w.due[1]}-${w.due[0]}`;
		const since = addDays(newest.get(name) ?? addDays(today, -30), -10);
		const { target, confidence, shape, purpose, label, kind } = w;
		told.push({
			on: since,
			order: 0,
			acts: [
				{
					id: id(`want ${name}`),
					kind: 'want.set',
					subjectId: id(`want ${name}`),
					on: since,
					data: {
						kind_id: kind,
						or_kinds: w.orKinds ?? [],
						purpose,
						label,
						place_id: w.place && id(`place ${w.place}`),
						target,
						due,
						confidence,
						shape,
						...{ enough: w.enough ?? null, late_weeks: w.lateWeeks ?? 0, weighs: w.weighs ?? 'alike' },
						least_cm: w.leastCm ?? null
					}
				}
			]
		});
	}
	for (const { b, back } of stories) told.push(...tellBatch(b, year - back, back, newest));
	told.sort((x, y) => x.on.localeCompare(y.on) || x.order - y.order);
	const begun = new Set<string>();
	for (const t of told) {
		if (t.on > today || t.on <= begin) continue;
		const subject = t.acts[0]!.subjectId;
		if (t.needs && !begun.has(t.needs)) continue;
		const acts = await withinReach(t.acts);
		if (acts.length > 0) must(await record(writer(t.on), acts), `${acts[0]!.kind} on ${t.on}`);
		begun.add(subject);
	}

	must(
		await record(writer(today), [
			{
				id: id('moves'),
				kind: 'moves.set',
				subjectId: movesId(DEMO_GARDEN),
				on: today,
				data: {
					by_day: null,
					weekends: true,
					hold_id: id('place row'),
					moves: MOVES.map((m) => ({
						stock_id: id(`stock ${m.stock}`),
						place_id: id(`place ${m.to}`),
						at: m.takes ? PLACED[m.takes]!.slice(0, STOCK[m.stock]!.count).map(([x, y]) => [x, y]) : [],
						takes: m.takes ? id(`stock ${m.takes}`) : null
					}))
				}
			}
		]),
		'moves'
	);

	// A slip of the pen, and its undoing.
	const slip = must(
		await record(writer(today), [
			{
				id: id('slip'),
				kind: 'stock.set',
				subjectId: id('stock sage'),
				on: today,
				data: {
					kind_id: 'sage',
					place_id: id('place path'),
					label: '',
					count: 11,
					size_cm: 55,
					age_years: 4,
					condition: 'fair',
					protection: { status: 'free', until: null },
					from_batch: null
				}
			}
		]),
		'slip'
	);
	must(await undo(writer(today), slip.ids[0]!, id('slip undone')), 'undoing the slip');

	const garden = (await gardenById(DEMO_GARDEN))!;
	for (const [name, w] of Object.entries(WANTS)) {
		if (!w.plan) continue;
		const planned = await planWant(garden, id(`want ${name}`), null);
		const best = planned?.plan?.ways.find((x) => x.best)?.best;
		if (!best) continue;
		must(
			await record(
				writer(today),
				best.flushes.map((f, i): Act => ({
					id: id(`plan ${name} ${i}`),
					kind: 'batch.planned',
					subjectId: id(`plan ${name} ${i}`),
					on: today,
					takesCode: true,
					data: {
						kind_id: w.kind,
						way_id: best.wayId,
						stock_id: planned!.stockId,
						want_id: id(`want ${name}`),
						place_id: null,
						count: f.pieces,
						planned_on: isoOf(f.on),
						promised: best.probability
					}
				}))
			),
			`plan for ${name}`
		);
	}
	await careOfTheLastDays(today);
}

/** How many days ago each care was last done, so that the round of a living garden is not all due at once. */
const LAST_CARE: [care: string, daysAgo: number][] = [
	['feed', 5],
	['turn', 3],
	['change-water', 2],
	['water', 1],
	['mist', 1],
	['tap-film', 1],
	['vent', 1]
];

async function careOfTheLastDays(today: string): Promise<void> {
	const batches = (await state.batches(database(), DEMO_GARDEN, ['growing'])).filter((b) => inHand(b) > 0);
	const places = [...new Set(batches.map((b) => b.placeId))];
	for (const [care, daysAgo] of LAST_CARE)
		for (const place of places) {
			const on = addDays(today, -daysAgo);
			const targets = batches.filter((b) => b.placeId === place && (b.struckOn ?? today) < on).map((b) => b.id);
			if (targets.length === 0) continue;
			const entry: Act = {
				id: id(`care ${care} ${place} ${on}`),
				kind: 'care.done',
				subjectId: careId(DEMO_GARDEN, care, place),
				on,
				data: { care, place_id: place, targets }
			};
			must(await record({ gardenId: DEMO_GARDEN, actor: 'household', today: on }, [entry]), `care ${care}`);
		}
}

/** Rounding must not give away the eleventh of ten: counts taken from hand stop at what is there. */
async function withinReach(acts: Act[]): Promise<Act[]> {
	const first = acts[0]!;
	if (!['batch.potted', 'batch.planted', 'batch.given', 'batch.lost'].includes(first.kind) || first.data.planted) return acts;
	const batch = await state.batchById(database(), DEMO_GARDEN, first.subjectId);
	const asked = first.data.count === UNROOTED ? (batch?.unrooted ?? 0) : Number(first.data.count);
	const count = Math.min(asked, batch ? inHand(batch) : 0);
	return count === 0 ? [] : [{ ...first, data: { ...first.data, count } }, ...acts.slice(1)];
}

function tellBatch(b: BatchStory, year: number, back: number, newest: ReadonlyMap<string, string>): Told[] {
	const vary = VARY[back]!;
	const n = (count: number) => Math.max(0, Math.round(count * vary));
	const struckOn = `${year}-${b.struck[0]}`;
	const batchId = id(`batch ${b.stock} ${b.way} ${year}`);
	const stock = STOCK[b.stock]!;
	const wantId = b.want && newest.get(b.want) === struckOn ? id(`want ${b.want}`) : null;
	const told: Told[] = [
		{
			on: struckOn,
			order: 1,
			acts: [
				{
					id: batchId,
					kind: 'batch.struck',
					subjectId: batchId,
					on: struckOn,
					takesCode: true,
					data: {
						kind_id: stock.kind,
						way_id: b.way,
						stock_id: id(`stock ${b.stock}`),
						want_id: wantId,
						place_id: id(`place ${b.place}`),
						struck: n(b.struck[1]),
						treatment: { medium: '', hormone: '', wound: false, cover: '' },
						container: ''
					}
				}
			]
		}
	];
	let at = struckOn;
	b.acts.forEach((step, i) => {
		let on = `${at.slice(0, 4)}-${step[0]}`;
		if (on < at) on = `${Number(at.slice(0, 4)) + 1}-${step[0]}`;
		at = on;
		if (step[1] === 'pot') {
			// What had not rooted by then is thrown out three weeks later.
			const out = addDays(on, 21);
			const data = { count: UNROOTED, why: 'never rooted', planted: false };
			told.push({
				on: out,
				order: 80,
				needs: batchId,
				acts: [{ id: id(`${batchId} laggards ${i}`), kind: 'batch.lost', subjectId: batchId, on: out, data }]
			});
		}
		told.push({
			on,
			order: 2 + i,
			needs: batchId,
			acts: tellStep(step, batchId, `${batchId} ${i}`, on, n, stock.kind)
		});
	});
	// What is left after the story's end did not come to anything.
	const end = addDays(at, 20);
	told.push({
		on: end,
		order: 90,
		needs: batchId,
		acts: [
			{
				id: id(`${batchId} rest`),
				kind: 'batch.lost',
				subjectId: batchId,
				on: end,
				data: { count: 5000, why: 'never came to anything', planted: false }
			}
		]
	});
	return told;
}

function tellStep(step: Step, batchId: string, name: string, on: string, n: (count: number) => number, kindId: string): Act[] {
	const act = (kind: Act['kind'], data: Record<string, unknown>, note = ''): Act => ({
		id: id(name),
		kind,
		subjectId: batchId,
		on,
		data,
		note
	});
	switch (step[1]) {
		case 'check':
			return [act('batch.checked', { alive: n(step[2]), rooted: n(step[3]), sign: step[4] ?? 'none' }, step[5])];
		case 'tray': {
			const pieces = n(step[2]);
			const [columns, groups] = [step[3], step[4]];
			const rows = Math.ceil(pieces / columns);
			// By turns along the row, and turned about from row to row.
			const of = Array.from({ length: rows * columns }, (_, i) =>
				i < pieces ? (i + Math.floor(i / columns)) % groups.length : -1
			);
			return [act('batch.laid-out', { rows, columns, groups, of })];
		}
		case 'pot':
			return [
				act('batch.potted', {
					count: n(step[2]),
					container: step[3],
					place_id: step[4] ? id(`place ${step[4]}`) : null
				})
			];
		case 'move':
			return [act('batch.moved', { place_id: id(`place ${step[2]}`) })];
		case 'winter':
			return [act('batch.wintered', { alive: n(step[2]) }, step[3])];
		case 'plant':
			return [act('batch.planted', { count: n(step[2]), place_id: id(`place ${step[3]}`) })];
		case 'give':
			return [act('batch.given', { count: n(step[2]), to: step[3] })];
		case 'lose':
			return [act('batch.lost', { count: n(step[2]), why: step[3], planted: step[4] ?? false })];
		case 'keep':
			return [
				act('batch.kept', { count: step[2], stock_id: id(`${name} stock`) }),
				{
					id: id(`${name} stock entry`),
					kind: 'stock.set',
					subjectId: id(`${name} stock`),
					on,
					data: {
						kind_id: kindId,
						place_id: id('place sill'),
						label: 'young one, kept',
						count: step[2],
						size_cm: null,
						age_years: 0,
						condition: 'strong',
						protection: { status: 'free', until: null },
						from_batch: batchId
					}
				}
			];
	}
}
