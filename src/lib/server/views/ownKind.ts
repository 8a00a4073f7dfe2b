import { error } from '@sveltejs/kit';
import { bookKindsOf } from '../context.js';
import { gardenHeadOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { snapshotOf } from '../snapshot.js';
import { wayLabel } from '../windows.js';
import type { Ask } from './ask.js';
import { allNames, botanicalName } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { toKindYaml } from '$lib/formats/kindYaml.js';

/** Of a kind what another may be begun from. */
const start = (k: Kind) => ({
	id: k.id,
	common: k.common,
	botanical: botanicalName(k),
	names: allNames(k).join(' '),
	ways: k.ways.map((w) => ({ id: w.id, name: wayLabel(k, w) })),
	hardinessC: k.hardiness_c.v,
	limitC: k.winter.limit_c,
	heightCm: k.size.height_cm,
	spreadCm: k.size.spread_cm,
	spacingCm: k.size.spacing_cm,
	price: k.price.v
});

/** The form of a kind of one's own: new, or one that is there. */
export async function ownKindView({ params, query }: Ask) {
	const garden = await gardenHeadOr404(params.garden);
	const { ownKinds } = await snapshotOf(garden.id);
	const asked = query.get('kind');
	const row = asked === null ? null : ownKinds.find((r) => r.kind.id === asked);
	if (row === undefined) error(404, { message: 'There is no such kind of your own.', code: 'kind.unknown' });
	const book = handbook();
	return {
		kinds: [...book.kinds.values()].map(start),
		habits: [...book.habits.values()].map(({ id, name, like }) => ({ id, name, like })),
		likeAsked: query.get('like') ?? '',
		mine: row && {
			...start(row.kind),
			subject: row.id,
			version: row.version,
			species: row.kind.species,
			cultivar: row.kind.cultivar ?? '',
			trade: row.kind.trade ?? '',
			protection: row.kind.protection.status,
			until: row.kind.protection.until
		}
	};
}

/** A kind as a file, with this garden's own figures. */
export async function kindFileView({ params }: Ask<'kind'>): Promise<string> {
	const garden = await gardenHeadOr404(params.garden);
	const kind = (await bookKindsOf(garden)).get(params.kind);
	if (!kind) error(404, { message: 'The handbook does not know that kind.', code: 'kind.unknown' });
	return toKindYaml(kind);
}
