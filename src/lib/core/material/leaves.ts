/** Leaf cuttings: halves in the grooves of a tray, or tips round a pot. */
import { MATERIAL } from './judged.js';

export interface LeafYield {
	pieces: number;
	/** Grooves a tray takes and pieces in each. */
	rows: number;
	inRow: number;
	trays: number;
	/** Plantlets to expect, if each piece that roots gives so many. */
	plantlets: number;
}

const ROW_CM = MATERIAL.row.value;
const EDGE_CM = MATERIAL.trayEdge.value;
const PLANTLETS_EACH = MATERIAL.plantlets.value;

interface Tray {
	lengthCm: number;
	widthCm: number;
}

/** Grooves across a tray, and halves of a leaf of this length, cm, that stand in each. */
export const halvesIn = (tray: Tray, leafCm: number): { rows: number; inRow: number } => ({
	rows: Math.max(0, Math.floor((tray.widthCm - 2 * EDGE_CM) / ROW_CM + 1e-9)),
	inRow: leafCm > 0 ? Math.max(0, Math.floor((tray.lengthCm - 2 * EDGE_CM) / leafCm + 1e-9)) : 0
});

/** Halves of so many leaves of a length; the midrib is cut out, so each leaf gives two. Lengths in cm, chance of a half to root. */
export function leafHalves(leaves: number, leafCm: number, tray: Tray, chance: number): LeafYield {
	const { rows, inRow } = halvesIn(tray, leafCm);
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
