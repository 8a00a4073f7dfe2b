/** The few functions of jStat that tests hold ours against; the package ships no types. */
declare module 'jstat' {
	export const jStat: {
		combination(n: number, k: number): number;
		betafn(a: number, b: number): number;
		binomial: { pdf(k: number, n: number, p: number): number };
		quantiles(values: number[], at: number[], alphap: number, betap: number): number[];
		normal: { sample(mean: number, sd: number): number; cdf(x: number, mean: number, sd: number): number };
		lognormal: { cdf(x: number, mu: number, sigma: number): number };
		gamma: { sample(shape: number, scale: number): number };
		models: { ols(endog: number[], exog: number[][]): { coef: number[] } };
		beta: { pdf(x: number, a: number, b: number): number; cdf(x: number, a: number, b: number): number };
	};
	const all: { jStat: typeof jStat };
	export default all;
}
