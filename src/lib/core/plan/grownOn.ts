/**
 * A way whose plants are grown on until they stand so tall: the last of its stages in which they grow lasts as long as
 * that takes. Winters on the way are crossed, stood and cared for as in any stage.
 */
import type { Stage, WayProfile } from '../handbook/schema.js';
import { PLAN } from './judged.js';

/** Nothing is grown on for longer: what never stands so tall is never there. */
const MOST_DAYS = 40 * 366;

const made = new WeakMap<WayProfile, Map<number, WayProfile>>();

/**
 * @param days of growth outdoors after rooting (tall.ts: growthUntil)
 * @returns the same way where its own time is long enough
 */
export function grownOn(way: WayProfile, days: number): WayProfile {
	const need = Math.ceil(Math.min(days, MOST_DAYS));
	let of = made.get(way);
	if (!of) made.set(way, (of = new Map()));
	let as = of.get(need);
	if (!as) of.set(need, (as = longer(way, need)));
	return as;
}

function longer(way: WayProfile, need: number): WayProfile {
	const at = way.stages.findLastIndex((s) => s.to !== 'planted' && s.to !== 'wintered');
	const last = way.stages[at]!;
	// Growth before the last stage counts where it goes on outdoors: under cover in winter nothing gets taller.
	const before = way.stages.slice(0, at).reduce((n, s) => n + (s.to !== 'rooted' && s.grows === 'season' ? s.days[1] : 0), 0);
	const own = last.to === 'rooted' || last.grows === 'always' ? 0 : last.days[1];
	const more = need - before - own;
	if (more <= 0) return way;
	const { quick, slow } = PLAN.tallPace.value;
	const drawn = (days: Stage['days']): Stage['days'] => [
		Math.round(days[0] + more * quick),
		Math.round(days[1] + more),
		Math.round(days[2] + more * slow)
	];
	// What roots where it is to stand has no stage of growing on yet.
	if (last.to === 'rooted') {
		const growing: Stage = { ...last, to: 'ready', grows: 'season', days: drawn([0, 0, 0]), minutes: 0, ...PLAN.growsOn.value };
		return { ...way, stages: way.stages.toSpliced(at + 1, 0, growing) };
	}
	const of = last.grows === 'always' ? ([0, 0, 0] as const) : last.days;
	const days = drawn([...of]).map((d, i) => Math.max(d, last.days[i]!)) as Stage['days'];
	return { ...way, stages: way.stages.with(at, { ...last, grows: 'season', days }) };
}
