/** Figures of the shelters: what a thermometer's winter teaches, a thousand winters in a dozen places. */
import { dayNumber } from '../src/lib/core/dates.js';
import { fitGenerator, generate, madeRecord } from '../src/lib/core/season/index.js';
import { climateOfRecord } from '../src/lib/core/season/scenarios.js';
import {
	knowShelter,
	SHELTER_KINDS,
	SHELTER_NAMES,
	throughShelter,
	usualBody,
	wintersOf
} from '../src/lib/core/shelter/index.js';
import { hoursOf } from '../src/lib/core/shelter/hourly.js';
import type { Body, Weather } from '../src/lib/core/shelter/index.js';
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

export function benchShelter(tell: (line?: string) => void, ms: (n: number) => string): void {
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
		`| ${WINTERS.toLocaleString('en')} invented winters in ${bodies.length} places: coldest and longest spells at 11 marks | ${ms(ours)} |`
	);
	tell(`| a plain loop on the same winters, the coldest alone | ${ms(plain)}: **${(ours / plain).toFixed(1)} times** |`);
}
