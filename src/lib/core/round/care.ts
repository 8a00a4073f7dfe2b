/** Care that falls due: by the handbook's rhythm, by the water balance, by what was last done. */
import { grouped } from '../grouped.js';
import { dayNumber } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { coverOf } from '../handbook/cover.js';
import type { CareRule, Container, Kind, WayProfile } from '../handbook/schema.js';
import { inHand } from '../ledger/batch.js';
import type { Batch } from '../ledger/batch.js';
import type { Climate } from '../season/climate.js';
import { nextStandstill } from '../season/growth.js';
import { standsIn } from '../mix/stands.js';
import type { Book } from '../mix/stands.js';
import { ROOFED } from '../places.js';
import { ROUND } from './judged.js';
import { asksFrom } from './marks.js';
import type { Marks } from './marks.js';
import type { SkyOf } from './sky.js';
import { dryOn, litresFor } from './watering.js';
import type { PotOfWater } from './watering.js';

export interface CareDue {
	care: string;
	batchId: string;
	placeId: string | null;
	due: DayNumber;
	/** Days between, for what comes again. */
	every: number | null;
	containers: number;
	minutes: number;
	/** Water to bring, litres. */
	litres: number;
	why: string;
}

export interface CareSetting {
	batch: Batch;
	kind: Kind;
	way: WayProfile;
	placeKind: string | null;
	book: Book;
	climate: Climate;
	sky: SkyOf;
	marks: Marks;
}

const stateOf = (b: Batch): 'unrooted' | 'rooted' | 'potted' =>
	b.unrooted > 0 ? 'unrooted' : b.rooted > 0 ? 'rooted' : 'potted';

/** The day since which the batch is in its present state. */
function since(b: Batch): DayNumber {
	const at = b.cohorts.filter((c) => c.stage === stateOf(b)).map((c) => dayNumber(c.since));
	return at.length ? Math.max(...at) : dayNumber(b.struckOn!);
}

function applies(rule: CareRule, s: CareSetting, cover: string, container: Container | null, day: DayNumber): boolean {
	if (!rule.while.includes(stateOf(s.batch))) return false;
	if (rule.holds && !(container && rule.holds.includes(container.id))) return false;
	if (rule.ways && !rule.ways.includes(s.way.way)) return false;
	if (rule.places && !(s.placeKind && rule.places.includes(s.placeKind))) return false;
	if (rule.not_ways?.includes(s.way.way)) return false;
	if (rule.cover && coverOf(cover) !== rule.cover) return false;
	const rest = rule.season ? nextStandstill(day, s.climate) : null;
	if (rest) {
		const winter = day >= rest.from && day <= rest.to;
		const sheltered = s.placeKind !== null && (ROOFED.has(s.placeKind) || s.placeKind === 'frame');
		// Under shelter plants rest too, in the light of winter: nothing is fed or pinched.
		if ((rule.season === 'winter') !== winter) return false;
		if (rule.season === 'winter' && sheltered) return false;
	}
	return true;
}

/** Trays of fine mix are wetted from below: a can washes pieces out. */
const FROM_BELOW: ReadonlySet<string> = new Set(['tray', 'cells']);
/** Covered leaf pieces want no water for a month. Common practice, no source. */
const UNDER_COVER = 30;

/** Frozen through: nothing soaks in, and a wet pot bursts. */
function frozenOn(day: DayNumber, sky: SkyOf): boolean {
	const means = [0, 1, 2].map((n) => (sky.on(day - n).low + sky.on(day - n).high) / 2);
	return means.reduce((a, b) => a + b, 0) / means.length < FROZEN_BELOW;
}
const FROZEN_BELOW = ROUND.thaw.value;

/** The first day from which a pot that is dry can take water; null if it stays frozen as far as one looks. */
function thawedFrom(dry: DayNumber, day: DayNumber, until: DayNumber, p: PotOfWater, sky: SkyOf): DayNumber | null {
	if (p.indoors) return dry;
	for (let on = Math.max(dry, day); on <= until; on++) if (!frozenOn(on, sky)) return on === Math.max(dry, day) ? dry : on;
	return dry > until ? dry : null;
}

/** All care that a batch asks for from `day` to `until`, next of each kind only. */
export function careOf(s: CareSetting, rules: readonly CareRule[], day: DayNumber, until: DayNumber): CareDue[] {
	const { batch, sky } = s;
	const pieces = inHand(batch);
	if (batch.status !== 'growing' || pieces === 0) return [];
	const { container, count } = standsIn(batch, s.way, s.book);
	const cover = batch.treatment.cover || (stateOf(batch) === 'unrooted' ? s.way.cover : 'none');
	const begun = since(batch);
	const due: CareDue[] = [];
	const add = (care: string, on: DayNumber, every: number | null, minutes: number, litres: number, why: string, how = '') => {
		if (on <= until)
			due.push({
				care,
				batchId: batch.id,
				placeId: batch.placeId,
				due: on,
				every,
				containers: count,
				minutes,
				litres,
				why: why + how
			});
	};
	for (const rule of rules) {
		if (!applies(rule, s, cover, container, day)) continue;
		const mark = s.marks(rule.id, batch.id);
		if (rule.once && mark?.done != null && mark.done >= begun) continue;
		let on = Math.max(begun + (rule.from_day ?? rule.every), (mark?.done ?? -Infinity) + rule.every);
		if (rule.dry_air) {
			// Rain and still, damp air do the misting outdoors.
			const outdoors = !(s.placeKind && ROOFED.has(s.placeKind));
			let first = Math.max(on, day);
			while (outdoors && first <= until && (sky.on(first).rain >= 2 || sky.et0(first) < 1.2)) first++;
			on = Math.max(on, first === day ? on : first);
		}
		if (rule.after_frost) {
			const frost = [1, 2, 3, 4, 5, 6, 7].some((n) => sky.on(day - n).low < -2 && sky.on(day - n).from === 'observed');
			if (!frost || sky.on(day).high < 1) continue;
			on = Math.max(on, day);
		}
		add(rule.id, asksFrom(rule.id, on, mark, rule.every), rule.once ? null : rule.every, rule.minutes * count, 0, rule.why);
	}
	const water = waterOf(s, container, cover);
	if (water) {
		const mark = s.marks('water', batch.id);
		const filled = Math.max(begun, mark?.done ?? -Infinity);
		const dried = dryOn(water, filled, sky);
		const leaves = s.way.way === 'leaf' && water.covered ? begun + UNDER_COVER : -Infinity;
		const dry = dried === null ? null : thawedFrom(Math.max(dried, leaves), day, until, water, sky);
		const next = dry === null ? null : dryOn(water, dry, sky);
		if (dry !== null)
			add(
				'water',
				asksFrom('water', dry, mark, 2),
				next === null ? null : next - dry,
				1 + 0.2 * count,
				litresFor(water, count),
				water.indoors
					? 'By now the top should have dried: feel it first.'
					: 'By the weather since it was last watered the top has dried: feel it first.',
				container && FROM_BELOW.has(container.vessel?.shape ?? '')
					? ' From below: stand it in a dish with 1 to 2 L until the top is dark.'
					: ''
			);
	}
	return due;
}

function waterOf(s: CareSetting, container: Container | null, cover: string): PotOfWater | null {
	if (!container || container.litres <= 0) return null;
	const indoors = s.placeKind !== null && ROOFED.has(s.placeKind);
	const rest = nextStandstill(s.sky.today, s.climate);
	return {
		litres: container.litres,
		area: container.area_cm2,
		indoors: indoors || s.placeKind === 'frame',
		covered: stateOf(s.batch) === 'unrooted' && coverOf(cover) !== 'none',
		unrooted: stateOf(s.batch) === 'unrooted',
		resting: rest !== null && s.sky.today >= rest.from && s.sky.today <= rest.to
	};
}

export interface CareTask {
	care: string;
	placeId: string | null;
	batchIds: string[];
	due: DayNumber;
	every: number | null;
	containers: number;
	minutes: number;
	litres: number;
	why: string;
}

/** One task for a work at a place: twelve jars on a sill are one tap. What is due within two days of the first goes along. */
export function atOnePlace(dues: readonly CareDue[], today: DayNumber): CareTask[] {
	return [...grouped(dues, (d) => `${d.care} ${d.placeId}`).values()].map((list) => {
		list.sort((a, b) => a.due - b.due);
		const first = list[0]!;
		const together = list.filter((d) => d.due <= Math.max(first.due, today) + Math.min(2, (d.every ?? 3) / 2));
		const every = together.map((d) => d.every).filter((e): e is number => e !== null);
		const sum = (of: (d: CareDue) => number) => together.reduce((t, d) => t + of(d), 0);
		return {
			care: first.care,
			placeId: first.placeId,
			batchIds: together.map((d) => d.batchId),
			due: first.due,
			every: every.length ? Math.min(...every) : null,
			containers: sum((d) => d.containers),
			minutes: 1 + sum((d) => d.minutes),
			litres: Math.ceil(sum((d) => d.litres) * 2) / 2,
			why: first.why
		};
	});
}
