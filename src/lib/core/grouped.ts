/** A list in parts that share a key, keys and members in the order in which they come (Map.groupBy of later Nodes). */
export function grouped<T>(list: Iterable<T>, keyOf: (each: T) => string): Map<string, T[]> {
	const parts = new Map<string, T[]>();
	for (const each of list) {
		const key = keyOf(each);
		const part = parts.get(key);
		if (part) part.push(each);
		else parts.set(key, [each]);
	}
	return parts;
}
