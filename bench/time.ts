/** How long something takes. */
export const median = (of: number[]): number => of.sort((a, b) => a - b)[Math.floor(of.length / 2)]!;

/** Median of some runs, ms. */
export const time = (work: () => void, runs: number): number =>
	median(
		Array.from({ length: runs }, () => {
			const start = performance.now();
			work();
			return performance.now() - start;
		})
	);
