/** Distribution of the sum of two independent counts. */
export function sumOf(a: Float64Array, b: Float64Array): Float64Array {
	const total = new Float64Array(a.length + b.length - 1);
	for (let i = 0; i < a.length; i++) {
		const weight = a[i]!;
		if (weight === 0) continue;
		for (let j = 0; j < b.length; j++) total[i + j]! += weight * b[j]!;
	}
	return total;
}
