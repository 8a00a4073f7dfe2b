/** Figures of the shelters: what a thermometer's winter teaches, a thousand winters in a dozen places. */
import { dayNumber } from '../src/lib/core/dates.js';
import { fitGenerator, generate, madeRecord } from '../src/lib/core/season/index.js';
import { climateOfRecord } from '../src/lib/core/season/scenarios.js';
import {
	assignWinter,
	greedyWinter,
	knowShelter,
	oneAlive,
	SHELTER_KINDS,
	SHELTER_NAMES,
	throughShelter,
	usualBody,
	valueOf,
	wintersOf,
	WORTHS
} from '../src/lib/core/shelter/index.js';
import { hoursOf } from '../src/lib/core/shelter/hourly.js';
import type { Body, Weather, WinterAsked, WinterPlan } from '../src/lib/core/shelter/index.js';
import { solver } from '../src/lib/server/solver.js';
import { north } from '../src/testing/climates.js';
import { randomLcg } from 'd3-random';
import { time } from './time.js';

const WINTERS = 1_000;
const DAYS = 220;
const flat = new Float64Array(24).fill(1);

/** The law of cooling written down as it is read, hour after hour: no more than the coldest of each winter. */
function plainly(winters: readonly Weather[], b: Body): number {
	let sum = 0;
	for (const w of winters) {
		let t = w.hours[0]!;
		let coldest = Infinity;
		for (let h = 0; h < w.hours.length; h++) {
			const day = Math.floor(h / 24);
			const sun = b.sunC * w.sun[day]! * w.shape(day)[h % 24]!;
			const even = w.hours[h]! + b.share * (w.anchor[day]! - w.hours[h]!) + sun;
			t = even + (t - even) * Math.exp(-1 / b.tauH);
			coldest = Math.min(coldest, t);
		}
		sum += coldest;
	}
	return sum / winters.length;
}

export async function benchShelter(tell: (line?: string) => void, ms: (n: number) => string): Promise<void> {
	const solve = await solver();
	const record = madeRecord(north, dayNumber('2026-09-05'));
	const { normals, middle } = climateOfRecord(record, north)!;
	const site = { latitude: north.latitude, normals, middle };
	const winters = wintersOf(record, site);
	const place = { name: 'garage' as const, lowC: 4, highC: 15 };
	const days = winters[0]!;
	const read = { days, inside: knowShelter({ ...place, name: 'shed' }, site, winters, null).on(days) };
	const unread = time(() => knowShelter(place, site, winters, null), 7);
	const taught = time(() => knowShelter(place, site, winters, read), 7);

	const uniform = randomLcg(0.5);
	const model = fitGenerator(record);
	const invented = Array.from({ length: WINTERS }, (): Weather => {
		const r = generate(model, uniform, days.first, DAYS);
		return {
			hours: hoursOf(r.low, r.high),
			sun: r.low.map((low, d) => 0.5 * (r.high[d]! - low)),
			...{ shape: () => flat, anchor: new Float64Array(DAYS).fill(18) }
		};
	});
	const bodies = SHELTER_NAMES.map((name) => usualBody(SHELTER_KINDS[name]));
	const ours = time(() => bodies.forEach((b) => void throughShelter(invented, () => b)), 3);
	const plain = time(() => bodies.forEach((b) => void plainly(invented, b)), 3);
	tell();
	tell('## Shelters');
	tell();
	tell('| what | median |');
	tell('| --- | --- |');
	tell(`| a shelter through the record’s ${winters.length} winters, nothing read | ${ms(unread)} |`);
	tell(`| the same, learnt from a winter’s thermometer | ${ms(taught)} |`);
	tell(
		`| ${WINTERS.toLocaleString('en')} invented winters in ${bodies.length} places: coldest and longest spells at 11 marks, and what plants feel | ${ms(ours)} |`
	);
	tell(`| a plain loop on the same winters, the coldest alone | ${ms(plain)}: **${(ours / plain).toFixed(1)} times** |`);

	const asked = house(60, 12);
	let plan = assignWinter(asked, solve);
	const exact = time(() => (plan = assignWinter(asked, solve)), 5);
	let quick = greedyWinter(asked);
	const greedy = time(() => (quick = greedyWinter(asked)), 5);
	const value = (p: WinterPlan) =>
		asked.guests.reduce((sum, g) => sum + valueOf(g.worth, p.at.get(g.id)!.keeps) * p.at.get(g.id)!.chance, 0);
	tell(
		`| 60 plants and batches against 12 places, ${plan.proven ? 'proven best' : 'best found'} | ${ms(exact)}; by gain for room ${ms(greedy)}, ${((1 - value(quick) / value(plan)) * 100).toFixed(1)} % of the worth lost |`
	);
	const copies = asked.guests.map((g) => ({
		...{ count: g.count, alike: 0.1 },
		byWinter: Float64Array.from({ length: 90 }, (_, w) => ((w * 37) % 90) / 90)
	}));
	const moved = time(() => void oneAlive(copies.slice(0, 4), 90), 50);
	tell(`| one kind’s odds after a plant was dragged (four copies, 90 winters) | ${ms(moved)} |`);
}

/** A full house: places of half a square metre for twice as many plants as fit. */
function house(guests: number, rooms: number): WinterAsked {
	const u = randomLcg(0.3);
	const ids = Array.from({ length: rooms }, (_, r) => `room${r}`);
	return {
		rooms: ids.map((id) => ({ id, areaCm2: 3_000 + u() * 4_000 })),
		minutesAWeek: 120,
		guests: Array.from({ length: guests }, (_, i) => {
			const count = 1 + Math.floor(u() * 20);
			const area = 300 + u() * 2_000;
			return {
				...{ id: `g${i}`, group: `k${Math.floor(u() * 30)}`, worth: WORTHS[Math.floor(u() * 3)]!, count },
				...{ area: [area, area, area * (1 + u())], here: null, pinned: null, apart: u() < 0.05 },
				choices: [
					{ place: null, keeps: count, chance: u() * 0.2, minutes: 0 },
					...ids.flatMap((place) => {
						if (u() < 0.4) return [];
						const [chance, minutes] = [0.3 + u() * 0.65, u() * 4];
						return [1, 2, 4].map((part) => ({ place, keeps: Math.ceil(count / part), chance, minutes: minutes / part }));
					})
				]
			};
		})
	};
}
