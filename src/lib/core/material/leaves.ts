/** Leaf cuttings: halves in the grooves of a tray, or tips round a pot. */

export interface LeafYield {
	pieces: number;
	/** Grooves a tray takes and pieces in each. */
	rows: number;
	inRow: number;
	trays: number;
	/** Plantlets to expect, if each piece that roots gives so many. */
	plantlets: number;
}

/** Rows across a seed tray: about four, that is one every 5 cm. Common practice, no source. */
const ROW_CM = 5;
const EDGE_CM = 1;
/** Plantlets along the cut edge of a half. From memory. */
const PLANTLETS_EACH = 5;

/** Halves of so many leaves of a length; the midrib is cut out, so each leaf gives two. Lengths in cm, chance of a half to root. */
export function leafHalves(
	leaves: number,
	leafCm: number,
	tray: { lengthCm: number; widthCm: number },
	chance: number
): LeafYield {
	const rows = Math.max(0, Math.floor((tray.widthCm - 2 * EDGE_CM) / ROW_CM + 1e-9));
	const inRow = leafCm > 0 ? Math.max(0, Math.floor((tray.lengthCm - 2 * EDGE_CM) / leafCm + 1e-9)) : 0;
	const pieces = leaves * 2;
	const perTray = rows * inRow;
	return {
		pieces,
		rows,
		inRow,
		trays: perTray > 0 ? Math.ceil(pieces / perTray) : 0,
		plantlets: Math.round(pieces * chance * PLANTLETS_EACH)
	};
}

/** Tips of leaves, three round a 13 cm pot: one every so many cm of its rim. Common practice, no source. */
const TIPS_ON_RIM_CM = (Math.PI * 13) / 3;
export const leafTips = (leaves: number, potCm: number): { perPot: number; pots: number } => {
	const perPot = Math.max(1, Math.floor((Math.PI * potCm) / TIPS_ON_RIM_CM + 1e-9));
	return { perPot, pots: Math.ceil(leaves / perPot) };
};
