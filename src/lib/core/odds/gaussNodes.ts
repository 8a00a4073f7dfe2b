/**
 * Gauss–Jacobi nodes for a Beta distribution: n points that sum every polynomial up to degree 2n − 1 exactly. From the
 * eigenvalues of the Jacobi matrix (Golub and Welsch 1969, "Calculation of Gauss quadrature rules").
 */
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import type { Beta } from './beta.js';
import type { Node } from './meanNodes.js';

export function gaussNodes({ alpha, beta }: Beta, n: number): Node[] {
	// On [−1, 1] the weight is (1 − t)^a (1 + t)^b, with μ = (1 + t)/2.
	const a = beta - 1;
	const b = alpha - 1;
	const m = Matrix.zeros(n, n);
	for (let k = 0; k < n; k++) {
		const s = 2 * k + a + b;
		m.set(k, k, k === 0 ? (b - a) / (a + b + 2) : (b * b - a * a) / (s * (s + 2)));
		if (k === 0) continue;
		const square =
			k === 1
				? (4 * (1 + a) * (1 + b)) / ((2 + a + b) ** 2 * (3 + a + b))
				: (4 * k * (k + a) * (k + b) * (k + a + b)) / (s * s * (s + 1) * (s - 1));
		m.set(k, k - 1, Math.sqrt(square));
		m.set(k - 1, k, Math.sqrt(square));
	}
	const e = new EigenvalueDecomposition(m, { assumeSymmetric: true });
	const nodes = e.realEigenvalues.map((t, i) => ({ w: e.eigenvectorMatrix.get(0, i) ** 2, mu: (1 + t) / 2 }));
	const all = nodes.reduce((s, x) => s + x.w, 0);
	return nodes.map(({ w, mu }) => ({ w: w / all, mu: Math.min(1 - 1e-9, Math.max(1e-9, mu)) }));
}
