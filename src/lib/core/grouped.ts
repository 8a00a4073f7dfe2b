/** A list in parts that share a key, keys and members in the order in which they come (Map.groupBy of later Nodes). */
export function grouped<T, K = string>(list: Iterable<T>, keyOf: (each: T) => K): Map<K, T[]> {
	const parts = new Map<K, T[]>();
	for (const each of list) {
		const key = keyOf(each);
		const part = parts.get(key);
		if (part) part.push(each);
		else parts.set(key, [each]);
	}
	return parts;
}
