import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber } from '../dates.js';
import { cutOf } from '../handbook/schema.js';
import { seasonOfClimate } from '../season/season.js';
import { ballOf, setHeight, shootOf, tallByYear, tallOn } from './tall.js';
import { potsForBall, sayLift, sayYears } from './tallWords.js';
import { north, south, tropics } from '../../../testing/climates.js';
import { allKinds, book, kind } from '../../../testing/handbook.js';

const temperate = seasonOfClimate(north);
const say = (cm: number) => `${cm} cm`;

const of = (id: string, way: string) => {
	const k = kind(id);
	const profile = k.ways.find((w) => w.id === way)!;
	return { kind: k, cut: cutOf(book.ways.get(profile.way)!, profile) };
};
const pots = [...book.containers.values()].map((c) => ({ id: c.id, name: c.name, vessel: c.vessel }));

describe('height by year', () => {
	it('box cuttings of a pencil’s length stand about 30 cm after two and a half to three years in the row', () => {
		// Common practice, no source: nursery row 2.5–3 years to 30 cm tall.
		const t = { ...of('box', 'semi-ripe-row'), rooted: dayNumber('2027-10-01'), season: temperate };
		expect(tallOn(t, dayNumber('2029-11-15'))!).toBeGreaterThan(25);
		expect(tallOn(t, dayNumber('2030-04-15'))!).toBeLessThan(35);
		expect(Math.round(tallByYear(t, dayNumber('2030-11-15')).length)).toBe(4);
	});

	it('is told only of what grows woody', () => {
		for (const k of allKinds()) expect(shootOf(k) === null, k.id).toBe(!/shrub|tree/.test(k.habit));
	});

	it('stands still while growth rests, in the north and in the south, and grows all year at the equator', () => {
		const privet = of('privet', 'hardwood');
		const at = (season: typeof temperate, day: string) =>
			tallOn({ ...privet, rooted: dayNumber('2026-10-01'), season }, dayNumber(day))!;
		expect(at(temperate, '2027-12-20')).toBeCloseTo(at(temperate, '2028-02-01'), 9);
		const southern = seasonOfClimate(south);
		expect(at(southern, '2028-02-01')).toBeGreaterThan(at(southern, '2027-12-20') + 1);
		const equator = seasonOfClimate(tropics);
		expect(at(equator, '2028-02-01')).toBeGreaterThan(at(equator, '2027-12-20') + 1);
		expect(tallByYear({ ...privet, rooted: dayNumber('2026-10-01'), season: equator }, dayNumber('2029-11-01'))).toHaveLength(3);
	});

	it('never shrinks, never passes the full height, and adds a year’s shoot at most in any year', () => {
		const woody = allKinds().flatMap((k) =>
			k.ways.map((w) => ({ kind: k, cut: cutOf(book.ways.get(w.way)!, w) })).filter((x) => shootOf(k) && setHeight(x.cut))
		);
		expect(woody.length).toBeGreaterThan(60);
		fc.assert(
			fc.property(
				fc.constantFrom(...woody),
				fc.integer({ min: 20_000, max: 22_000 }),
				fc.integer({ min: 0, max: 4000 }),
				(w, rooted, on) => {
					for (const season of [temperate, seasonOfClimate(tropics)]) {
						const t = { ...w, rooted, season };
						const [a, b] = [tallOn(t, rooted + on)!, tallOn(t, rooted + on + 365)!];
						expect(b).toBeGreaterThanOrEqual(a);
						expect(b).toBeLessThanOrEqual(w.kind.size.height_cm + 1e-9);
						// A year without rest holds as much growth as one with it; the leap day and a shifted rest allow for a little.
						expect(b - a).toBeLessThanOrEqual(shootOf(w.kind)! * 1.2);
					}
				}
			),
			{ numRuns: 60 }
		);
	});
});

describe('the ball and its pot', () => {
	it('a taller plant has the wider ball, and pots of three sizes are named, the middle one fitting', () => {
		for (let cm = 10; cm < 180; cm += 5) expect(ballOf(cm + 5)).toBeGreaterThanOrEqual(ballOf(cm));
		// Common practice, no source: have three sizes of pot ready.
		const into = potsForBall(ballOf(30), pots)!;
		expect(into).toEqual({ fits: '4 L pot', beside: ['2 L pot', '10 L pot'] });
		expect(potsForBall(80, pots)).toBeNull();
	});

	it('says it for no year, one, two and many', () => {
		const y = (year: number, cm: number) => ({ on: dayNumber(`${year}-11-05`), cm });
		expect(sayYears([], say)).toBe('');
		expect(sayYears([y(2028, 21.2)], say)).toBe('About 20 cm tall by November 2028.');
		expect(sayYears([y(2028, 14.4), y(2029, 28)], say)).toBe('About 14 cm tall by November 2028 and 30 cm by November 2029.');
		expect(sayYears([y(2028, 14.4), y(2029, 28), y(2030, 41)], say)).toBe(
			'About 14 cm tall by November 2028, 30 cm by November 2029, and 40 cm by November 2030.'
		);
		expect(sayLift(29, dayNumber('2029-11-05'), pots, say)).toBe(
			'Lifted about 5 Nov 2029 at 30 cm, with a ball about 20 cm across, straight into its hole. One that must wait goes into a 4 L pot; have a 2 L pot and a 10 L pot by you too, for balls differ.'
		);
		expect(sayLift(200, dayNumber('2029-11-05'), [], say)).toContain('wrapped in sacking');
	});
});
