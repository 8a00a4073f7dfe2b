/** Which pot a root ball goes into next. */
import type { Vessel } from './vessel.js';
import { MIX } from './judged.js';

const ROOM_CM = MIX.fresh.value;
const MOST_CM = 6;

export interface PotChoice {
	id: string;
	name: string;
	vessel: Vessel | null;
}

export interface PotOn {
	pot: PotChoice | null;
	say: string;
}

const topOf = (v: Vessel | null): number | null => (v && (v.shape === 'round' || v.shape === 'square') ? v.topCm : null);

/** The smallest pot that leaves room all round a ball so wide; said so when none is there or only one far too big. */
export function potFor(ballCm: number, pots: readonly PotChoice[]): PotOn {
	if (!(ballCm > 0 && ballCm <= 200)) return { pot: null, say: 'A root ball is between 1 cm and 2 m across.' };
	const fits = pots
		.flatMap((p) => {
			const top = topOf(p.vessel);
			return top !== null && top >= ballCm + ROOM_CM ? [{ p, top }] : [];
		})
		.sort((a, b) => a.top - b.top || a.p.name.localeCompare(b.p.name))[0];
	if (!fits)
		return { pot: null, say: 'No pot here is big enough: plant it out, or trim the outer roots by a fifth and keep the size.' };
	return {
		pot: fits.p,
		say:
			fits.top > ballCm + MOST_CM
				? `${fits.p.name}: a good deal bigger than the ball, so water little until roots reach the wall.`
				: `${fits.p.name}: about a finger of fresh mix all round.`
	};
}
