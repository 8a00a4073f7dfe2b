/**
 * When a pot wants water: a bucket that the air empties (reference evapotranspiration by FAO-56) and rain
 * fills. Asked for when the top has dried, long before the plant suffers.
 */
import type { DayNumber } from '../dates.js';
import type { SkyOf } from './sky.js';
import { ROUND } from './judged.js';

export interface PotOfWater {
	/** Soil in one container, litres, and its open surface, cm². */
	litres: number;
	area: number;
	indoors: boolean;
	covered: boolean;
	/** Pieces without roots, standing in shade, draw less. */
	unrooted: boolean;
	/** Standing still in winter. */
	resting: boolean;
}

const AVAILABLE = ROUND.available.value;
const TOP_DRY = ROUND.topDry.value;
const ROOM = ROUND.roomAir.value;
const PART = ROUND.leafPart.value;
const CAUGHT = ROUND.rainCaught.value;
const MOST_DAYS = 60;

/** Water a container may lose, mm over its surface, before it is due. */
export const bucketOf = (p: PotOfWater): number => ((p.litres * 1000 * AVAILABLE) / p.area) * 10 * TOP_DRY;

/** The day on which a container watered (or filled) on `since` wants water; null if not within two months. */
export function dryOn(p: PotOfWater, since: DayNumber, sky: SkyOf): DayNumber | null {
	if (p.litres <= 0 || p.area <= 0) return null;
	const bucket = bucketOf(p);
	let lost = 0;
	for (let day = since + 1; day <= since + MOST_DAYS; day++) {
		const draw = p.covered
			? PART.covered * (p.indoors ? ROOM.growing : sky.et0(day))
			: p.indoors
				? p.resting
					? ROOM.resting
					: ROOM.growing
				: sky.et0(day) * (p.unrooted ? PART.unrooted : PART.rooted);
		const rain = p.indoors || p.covered ? 0 : sky.on(day).rain * CAUGHT;
		lost = Math.max(0, lost + draw - rain);
		if (lost >= bucket) return day;
	}
	return null;
}

/** Litres to bring for so many containers, rounded up to a half can. */
export const litresFor = (p: PotOfWater, containers: number): number =>
	Math.max(0.5, Math.ceil(((bucketOf(p) / 10) * p.area * containers) / 1000 / 0.5) * 0.5);
