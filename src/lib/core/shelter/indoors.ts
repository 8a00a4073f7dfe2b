/** A pot that rests indoors: how long its water lasts, and on what day it may go out again. */
import type { DayNumber } from '../dates.js';
import { bucketOf } from '../round/watering.js';
import { ROUND } from '../round/judged.js';
import type { SkyOf } from '../round/sky.js';
import { saturation } from '../season/water.js';
import { potLitres } from './carry.js';
import { SHELTER } from './judged.js';

const RESTING_MM = ROUND.roomAir.value.resting;
const ROOM_C = SHELTER.house.value;

/**
 * Days between two waterings of a resting pot: the draw of a room's air, less where it is colder, for cold air takes up
 * less (in proportion to the vapour it could hold, FAO-56 eq. 11).
 */
export function daysToDry(acrossCm: number, meanC: number): number {
	const area = Math.PI * (acrossCm / 2) ** 2;
	const litres = potLitres(acrossCm);
	if (!(litres > 0)) return 0;
	const mm = RESTING_MM * (saturation(meanC) / saturation(ROOM_C));
	return bucketOf({ litres, area, indoors: true, covered: false, unrooted: false, resting: true }) / mm;
}

/** Out for good when no night of so many days ahead is likelier than this to fall to what it bears in growth. */
const OUT_RISK = SHELTER.outRisk.value;
const OUT_DAYS = 40;

/** The first day from `from` on which a plant in growth may go out for good; null where there is none within `most` days. */
export function outOn(limitC: number, from: DayNumber, most: number, sky: Pick<SkyOf, 'coldNight'>): DayNumber | null {
	for (let day = from; day <= from + most; day++) if (sky.coldNight(day, OUT_DAYS, limitC) <= OUT_RISK) return day;
	return null;
}
