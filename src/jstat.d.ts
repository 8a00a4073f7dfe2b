/** The few functions of jStat that tests hold ours against; the package ships no types. */
declare module 'jstat' {
	export const jStat: {
		combination(n: number, k: number): number;
		betafn(a: number, b: number): number;
		binomial: { pdf(k: number, n: number, p: number): number };
		beta: { pdf(x: number, a: number, b: number): number };
	};
}
