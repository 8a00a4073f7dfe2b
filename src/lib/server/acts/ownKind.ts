/** Kinds of one's own: begun from another, from a file, changed, taken away. */
import type { Asked, Made } from './doing.js';
import { isId, refused } from '../forms.js';
import { handbook } from '../handbook.js';
import { snapshotOf } from '../snapshot.js';
import type { OwnKindRow } from '../store/ownKinds.js';
import { ownKindFrom, ownKindId } from '$lib/core/handbook/ownKind.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { MOST_YAML, readKindYaml } from '$lib/formats/kindYaml.js';

type Refusing = ReturnType<typeof refused>;

/** A name that no other kind of the garden has. */
function freeId(name: string, fallback: string, taken: readonly OwnKindRow[]): string {
	const base = ownKindId(name, fallback);
	for (let n = 1; ; n++) {
		const id = n === 1 ? base : `${base}-${n}`;
		if (!taken.some((r) => r.kind.id === id)) return id;
	}
}

const statusOf = (text: string): Kind['protection']['status'] => (text === 'free' || text === 'protected' ? text : 'unknown');

export async function setOwnKind({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const { ownKinds } = await snapshotOf(garden.id);
	const asked = f.text('subject');
	const before = isId(asked) ? ownKinds.find((r) => r.id === asked) : undefined;
	if (asked && !before) return refused({ code: 'kind.unknown', sentence: 'There is no such kind of your own (any more).' }, 404);
	const book = handbook();
	const named = f.text('like');
	const likeId = book.habits.get(named.replace(/^habit\//, ''))?.like ?? named;
	const like = book.kinds.get(likeId) ?? before?.kind;
	if (!like || (named !== '' && !book.kinds.has(likeId)))
		return refused({ code: 'kind.like', sentence: 'Choose the kind that it behaves like, or its habit.', path: 'like' });
	const common = f.text('common');
	const made = ownKindFrom(
		{
			id: before?.kind.id ?? freeId([common, f.text('cultivar')].join(' '), frame.id, ownKinds),
			common,
			species: f.text('species'),
			cultivar: f.textOrNull('cultivar'),
			trade: f.textOrNull('trade'),
			ways: f.all('way'),
			added: f.all('added').filter(Boolean),
			hardiness_c: f.celsius('hardiness', garden.units),
			limit_c: f.celsius('limit', garden.units),
			height_cm: f.cm('height', garden.units),
			spread_cm: f.cm('spread', garden.units),
			spacing_cm: f.cm('spacing', garden.units),
			price: f.number('price'),
			protection: { status: statusOf(f.text('protection')), until: f.number('until') }
		},
		like,
		(id) => book.kinds.get(id)
	);
	if (!made.ok) return refused(made.problem);
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'kind.set',
				subjectId: before?.id ?? frame.id,
				seen: f.number('seen'),
				data: { like: book.kinds.has(likeId) ? likeId : (before?.like ?? null), kind: made.value }
			}
		],
		said: `${made.value.common} is in your handbook.`,
		next: `/g/${garden.slug}/handbook/${made.value.id}`
	};
}

export async function kindFromFile({ garden, f, frame }: Asked): Promise<Made | Refusing> {
	const { ownKinds } = await snapshotOf(garden.id);
	const book = handbook();
	const text = f.text('yaml');
	if (text.trim() === '') return refused({ code: 'kind.file', sentence: 'Choose a file, or paste what is in it.', path: 'yaml' });
	const named = text.length > MOST_YAML ? '' : (/^common:\s*['"]?(.{1,60}?)['"]?\s*$/m.exec(text)?.[1] ?? '');
	const read = readKindYaml(text, freeId(named, frame.id, ownKinds), (id) => book.kinds.get(id));
	if (!('kind' in read))
		return refused({ code: 'kind.file', sentence: ['Nothing was taken in.', ...read.faults].join('\n'), path: 'yaml' });
	return {
		acts: [{ ...frame, on: garden.today, kind: 'kind.set', subjectId: frame.id, data: { like: null, kind: read.kind } }],
		said: `${read.kind.common} is in your handbook.`,
		next: `/g/${garden.slug}/handbook/${read.kind.id}`
	};
}

export async function takeKindAway({ garden, f, frame, params }: Asked<'kind'>): Promise<Made | Refusing> {
	const row = (await snapshotOf(garden.id)).ownKinds.find((r) => r.kind.id === params.kind);
	if (!row) return refused({ code: 'kind.unknown', sentence: 'There is no such kind of your own.' }, 404);
	return {
		acts: [{ ...frame, on: garden.today, kind: 'kind.gone', subjectId: row.id, data: { why: f.text('why') } }],
		said: `${row.kind.common} was taken away.`,
		next: `/g/${garden.slug}/handbook`
	};
}
