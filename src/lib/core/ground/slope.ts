/** How steep: in degrees, as rise over run, or by a level and a stick. */
import { readNumber } from '../numbers.js';

/**
 * Degrees of what was typed: "28", "28°", "1 in 3", "1:3", "40/100" (a stick of 40 under the end of a level of 100).
 * A level lies flat: its length is the run. NaN where it is none of these.
 */
export function readSlope(typed: string): number {
	const text = typed.trim().replace(/°$/, '');
	const [, rise, run] = /^(.+?)\s*(?:in|:|\/)\s*(.+)$/i.exec(text) ?? [];
	if (rise === undefined) return readNumber(text) ?? Number.NaN;
	const [up, along] = [readNumber(rise) ?? Number.NaN, readNumber(run!) ?? Number.NaN];
	if (!(up >= 0 && along > 0)) return Number.NaN;
	return (Math.atan2(up, along) * 180) / Math.PI;
}
