import { bookKindsOf } from '../context.js';
import { gardenHeadOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import type { Ask } from './ask.js';
import { figuresOf } from '$lib/core/handbook/bySource.js';
import { JUDGED } from '$lib/core/judgedAll.js';
import { sayFigure } from '$lib/core/judgement.js';

/** The handbook's figures by what they rest on. */
export async function sourcesView({ params }: Ask) {
	const garden = await gardenHeadOr404(params.garden);
	const all = [...(await bookKindsOf(garden)).values()].flatMap((kind) => figuresOf(kind).map((f) => ({ ...f, kind })));
	const sources = [...handbook().sources.values()].map((source) => {
		const mine = all.filter((f) => f.src === source.id);
		const weights = mine.flatMap((f) => f.weight ?? []).sort((a, b) => a - b);
		const kinds = new Map<string, { id: string; common: string; figures: string[] }>();
		for (const f of mine) {
			const k = kinds.get(f.kind.id) ?? { id: f.kind.id, common: f.kind.common, figures: [] };
			const what = f.wayId === null ? f.what : `${f.wayId.replaceAll('-', ' ')}, ${f.what}`;
			if (!k.figures.includes(what)) k.figures.push(what);
			kinds.set(f.kind.id, k);
		}
		return {
			id: source.id,
			name: source.name,
			note: source.note ?? null,
			count: mine.length,
			chances: weights.length,
			weight: weights.length ? weights[Math.floor(weights.length / 2)]! : null,
			kinds: [...kinds.values()]
		};
	});
	const judgements = JUDGED.map(({ subject, figures }) => ({
		subject,
		figures: figures.map((f) => ({ what: f.what, figure: `${sayFigure(f.value)} ${f.unit}`, source: f.source }))
	}));
	return { sources: sources.sort((a, b) => b.count - a.count), total: all.length, judgements };
}
