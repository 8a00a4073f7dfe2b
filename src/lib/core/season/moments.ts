/**
 * Moments of the year: what opens and closes a window. In plain form so many days from a turning point;
 * with a rule, the day on which the season itself has come so far. The plain form then says what to
 * expect where no weather is known.
 */
import { ANCHOR_WORDS, turning } from './anchors.js';
import type { Climate } from './climate.js';
import type { Moment, SeasonRule, ShootStage } from './momentSchema.js';

/** Usual day of the year of a moment in a garden, and its spread. */
export function momentIn(m: Moment, c: Climate): { doy: number; sd: number } {
	if (m.at) return m.at;
	const t = turning(m.from, c);
	return { doy: t.doy, sd: t.sd };
}
/** "3 weeks after the last frost", "when shoots have turned firm". */
export function sayMoment(m: Moment): string {
	if (!m.rule) return sayDays(m.days, ANCHOR_WORDS[m.from]);
	const what = sayRuleAlone(m.rule);
	return m.then ? sayDays(m.then, what) : what;
}

function sayDays(days: number, what: string): string {
	if (days === 0) return what;
	const count = Math.abs(days);
	const span = count % 7 === 0 ? `${count / 7} week${count === 7 ? '' : 's'}` : `${count} day${count === 1 ? '' : 's'}`;
	return `${span} ${days > 0 ? 'after' : 'before'} ${what}`;
}

const SINCE = { midwinter: 'midwinter', bud_break: 'bud break', last_frost: 'the last frost', bloom: 'the first flowers' };
const SHOOTS: Record<ShootStage, string> = {
	soft: 'the first soft shoots',
	'semi-ripe': 'the shoots turning firm (semi-ripe)',
	hard: 'the shoots hardening to wood'
};

export function sayRuleAlone(r: SeasonRule): string {
	switch (r.by) {
		case 'degree_days':
			return `${r.sum} degree days above ${r.base} °C since ${SINCE[r.since]}`;
		case 'day_length':
			return `days ${r.going === 'up' ? 'growing' : 'shrinking'} to ${r.hours} hours`;
		case 'nights_above':
			return `nights of ${r.c} °C and more`;
		case 'nights_below':
			return `the first nights of ${r.c} °C and less`;
		case 'bloom_over':
			return 'the end of its flowers';
		case 'soil_freeze':
			return 'the freezing of the soil';
		case 'frost_chance':
			return r.side === 'spring'
				? `the day after which frost comes in only ${Math.round(r.chance * 100)} years in 100`
				: `the day by which frost has come in ${Math.round(r.chance * 100)} years in 100`;
		case 'shoot':
			return SHOOTS[r.is];
		case 'rains':
			return r.edge === 'start' ? 'the start of the rains' : 'the end of the rains';
	}
}
