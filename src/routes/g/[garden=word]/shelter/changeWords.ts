/** What a change of a shelter is called, and what it does. */
import { sayOdds } from '$lib/core/odds/words.js';
import { sayArea, sayTemperature } from '$lib/core/units/index.js';
import type { UnitChoice } from '$lib/core/units/index.js';
import type { Cover } from '$lib/core/shelter/index.js';
import type { Gain } from '$lib/server/winterChanges.js';

export const COVER_WORDS: Readonly<Record<Cover, string>> = {
	cloth: 'frost cloth',
	film: 'bubble film',
	mat: 'a mat or lid at night',
	mulch: '5 cm of dry mulch'
};

const M2 = 10_000;
const two = (n: number): string => (n >= 10 ? String(Math.round(n)) : String(Math.round(n * 10) / 10));

export function changeNamed({ change: c }: Gain, units: UnitChoice): string {
	switch (c.what) {
		case 'cover':
			return c.cover === 'mulch' ? `5 cm of dry mulch over ${c.place}` : `${capital(COVER_WORDS[c.cover])} at ${c.place}`;
		case 'heater':
			return `A heater of ${c.watts} W at ${c.place}, set to ${sayTemperature(c.setC, units)}`;
		case 'room':
			return `${sayArea(c.cm2 / M2, units)} more room at ${c.place}`;
		case 'minutes':
			return `${c.minutes} minutes more a week`;
	}
}

/** What it gains, in one sentence; what it costs, in another. */
export function changeSaid(g: Gain, units: UnitChoice, money: (n: number) => string): string {
	const c = g.change;
	const gain =
		g.saved.length > 0
			? `${listed(g.saved)} would then probably come through`
			: `Those that gain would go from ${sayOdds(g.before)} to ${sayOdds(g.after)}`;
	const cold =
		'toC' in c
			? ` It falls to ${sayTemperature(c.toC, units)} there in a usual winter instead of ${sayTemperature(c.fromC, units)}.`
			: '';
	const cost =
		c.what === 'heater'
			? c.kWh < 1
				? ' It hardly runs in a usual winter.'
				: ` About ${two(c.kWh)} kWh in a usual winter, about ${money(c.money)}. Follow the maker’s advice on current near water, and on frames and fire.`
			: '';
	return `${gain}.${cold}${cost}`;
}

const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
const MOST_NAMED = 3;
function listed(names: readonly string[]): string {
	const shown = names.slice(0, MOST_NAMED);
	const more = names.length - shown.length;
	const all = more > 0 ? [...shown, `${more} more`] : shown;
	return all.length === 1 ? all[0]! : `${all.slice(0, -1).join('; ')} and ${all.at(-1)}`;
}
