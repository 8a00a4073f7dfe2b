/**
 * Kinds whose practice is another's are written by what differs: `like: fuchsia` takes that kind's winter,
 * planting and protection, `like: fuchsia/soft-tip` one of its ways. What is written over it counts.
 */
type Plain = Record<string, unknown>;
const isPlain = (v: unknown): v is Plain => typeof v === 'object' && v !== null && !Array.isArray(v);

function over(base: unknown, own: unknown): unknown {
	if (!isPlain(base) || !isPlain(own)) return own === undefined ? base : own;
	// A moment of the year is one thing: of another's only its day would make no sense.
	if ('from' in own) return own;
	const merged: Plain = { ...base };
	for (const [key, value] of Object.entries(own)) merged[key] = over(base[key], value);
	return merged;
}

/** Only what does not make a plant itself is taken from another. */
const TAKEN = ['protection', 'plant_out', 'winter', 'shoots'] as const;

/** `others` gives another kind as it is written, which must not be like a third one. */
export function expandLike(raw: unknown, others: (id: string) => unknown): unknown {
	if (!isPlain(raw)) return raw;
	const plainKind = (id: string): Plain => {
		const kind = others(id);
		if (!isPlain(kind)) throw new Error(`${String(raw.id)} is like ${id}, which is not in the handbook`);
		if ('like' in kind) throw new Error(`${String(raw.id)} is like ${id}, which is itself like another`);
		return kind;
	};
	const { like, ways, ...own } = raw;
	let kind: Plain = own;
	if (typeof like === 'string') {
		const base = plainKind(like);
		kind = over(Object.fromEntries(TAKEN.flatMap((key) => (key in base ? [[key, base[key]]] : []))), own) as Plain;
	}
	if (!Array.isArray(ways)) return { ...kind, ...(ways === undefined ? {} : { ways }) };
	return {
		...kind,
		ways: ways.map((w: unknown) => {
			if (!isPlain(w) || typeof w.like !== 'string') return w;
			const [kindId, wayId] = w.like.split('/');
			const base = (plainKind(kindId!).ways as Plain[]).find((b) => b.id === wayId);
			if (!base) throw new Error(`${String(raw.id)} has a way like ${w.like}, which is not in the handbook`);
			const { like: _, stages, ...rest } = w;
			const merged = over(base, rest) as Plain;
			// Another's best days lie in another's window.
			if (isPlain(rest.window) && 'opens' in rest.window && 'closes' in rest.window && !('best' in rest.window))
				merged.window = Object.fromEntries(Object.entries(merged.window as Plain).filter(([key]) => key !== 'best'));
			if (isPlain(stages)) {
				const unknown = Object.keys(stages).filter((to) => !(base.stages as Plain[]).some((s) => s.to === to));
				if (unknown.length) throw new Error(`${String(raw.id)}: ${w.like} has no stage ${unknown.join(', ')}`);
				merged.stages = (base.stages as Plain[]).map((s) => over(s, stages[String(s.to)]));
			}
			return merged;
		})
	};
}
