import gammaln from '@stdlib/math-base-special-gammaln';

/**
 * The chance for one piece to pass a stage, held as a Beta distribution: the mean is
 * alpha / (alpha + beta), the weight alpha + beta is "as if so many pieces had been counted".
 */
export interface Beta {
	alpha: number;
	beta: number;
}

/** From a mean (0–1, open) and a weight (> 0). */
export const betaOf = (mean: number, weight: number): Beta => ({
	alpha: mean * weight,
	beta: (1 - mean) * weight
});

export const meanOf = (b: Beta): number => b.alpha / (b.alpha + b.beta);

/** Standard deviation of the chance itself. */
export const spreadOf = ({ alpha, beta }: Beta): number => Math.sqrt((alpha * beta) / ((alpha + beta) ** 2 * (alpha + beta + 1)));

/**
 * Bayes for a Beta prior and counted pieces: passes add to alpha, failures to beta.
 * Source: conjugacy of the Beta and binomial distributions, any textbook of Bayesian statistics.
 */
export const learn = (prior: Beta, passed: number, failed: number): Beta => ({
	alpha: prior.alpha + passed,
	beta: prior.beta + failed
});

export const lnBeta = (a: number, b: number): number => gammaln(a) + gammaln(b) - gammaln(a + b);

export const lnChoose = (n: number, k: number): number => gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1);
