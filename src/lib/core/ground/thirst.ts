/** When what was moved wants water: until its roots leave the ball, it drinks from that alone. */
import type { DayNumber } from '../dates.js';
import { dryOn } from '../round/watering.js';
import type { SkyOf } from '../round/sky.js';
import { liftOfBall } from './lift.js';

/** Of what the ball holds that plants can draw, given back at once: what runs past it is lost. */
const FILL = 0.2;

/**
 * The day on which a ball that was watered on `since` is dry again, and litres to give then; null while rain keeps it
 * damp for two months. The same bucket as a pot's: water drawn by the air over its surface (FAO-56), rain caught.
 *
 * @param acrossCm of the ball
 */
export function wantsWater(
	acrossCm: number,
	since: DayNumber,
	today: DayNumber,
	sky: SkyOf
): { on: DayNumber; litres: number; since: DayNumber } | null {
	const { litres } = liftOfBall(acrossCm);
	const ball = { litres, area: (Math.PI / 4) * acrossCm ** 2, indoors: false, covered: false, unrooted: false, resting: false };
	// What was due and not done is due again from the last two months on: rain since then may have done it.
	let from = Math.max(since, today - 60);
	for (let on = dryOn(ball, from, sky); on !== null && on < today; on = dryOn(ball, from, sky)) {
		const wet = soaked(on, today, sky, litres, ball.area);
		if (wet === null) return { on, litres: Math.ceil(litres * FILL * 2) / 2, since: from };
		from = wet;
	}
	const on = dryOn(ball, from, sky);
	return on === null ? null : { on, litres: Math.ceil(litres * FILL * 2) / 2, since: from };
}

/** The first day after one on which rain alone filled it again, before today; null where none did. */
function soaked(after: DayNumber, today: DayNumber, sky: SkyOf, litres: number, area: number): DayNumber | null {
	const needs = ((litres * 1000 * FILL) / area) * 10;
	let caught = 0;
	for (let day = after + 1; day < today; day++) {
		caught = Math.max(0, caught + sky.on(day).rain - sky.et0(day));
		if (caught >= needs) return day;
	}
	return null;
}
