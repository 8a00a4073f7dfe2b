/** Shares 0–1 in the same order, at even steps: few points of a lattice lean to one side. */
export const evened = (shares: readonly number[]): number[] =>
	shares.map((x) => (shares.filter((y) => y < x).length + 0.5) / shares.length);
