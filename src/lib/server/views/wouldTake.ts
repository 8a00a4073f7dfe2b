import { error } from '@sveltejs/kit';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { wouldTake } from '../wantPlan.js';
import { wayLabel } from '../windows.js';
import { isoOf } from '$lib/core/dates.js';
import { dayOfWant, soTall, wantData } from '$lib/core/ledger/kinds/want.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';
import { insteadOf } from '$lib/core/plan/instead.js';
import { withVariety } from '$lib/core/handbook/names.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import { shortMeasure } from '$lib/core/units/index.js';
import type { Ask } from './ask.js';

/** The limits and sentences of a want that is saved. */
const asked = wantData.pick({
	kind_id: true,
	or_kinds: true,
	purpose: true,
	target: true,
	due: true,
	confidence: true,
	least_cm: true
});

/** What a want would take, while it is still being typed: how many, when, how sure; or what can be had instead. */
export async function wouldTakeView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const read = asked.safeParse({
		kind_id: query.get('kind'),
		or_kinds: query.getAll('or').filter((id) => id !== '' && id !== query.get('kind')),
		purpose: query.get('purpose'),
		target: Number(query.get('target')),
		due: query.get('due'),
		confidence: Number(query.get('confidence')) / 100,
		least_cm: shortMeasure(garden.units).read(query.get('least') ?? '')
	});
	if (!read.success) error(400, { message: read.error.issues[0]!.message, code: 'want.unread' });
	const draft = read.data;
	const day = dayOfWant(draft.due, garden.today);
	if (!day.ok) error(400, { message: day.problem.sentence, code: day.problem.code });
	const kinds = await kindsOf(garden);
	const tall = soTall(
		draft,
		kindsOfWant(draft).map((id) => kinds.get(id) ?? null)
	);
	if (!tall.ok) error(400, { message: tall.problem.sentence, code: tall.problem.code });
	const made = await wouldTake(garden, draft);
	const kind = made && kinds.get(made.kindId);
	if (!made || !kind) return { says: 'nothing' as const };
	if (!made.plan) return { says: 'why' as const, why: made.why ?? '', stock: made.choices.length > 0 };
	// Where several kinds would do, it says which one it is of.
	const name = (wayId: string) => {
		const { way, pieces } = nameOf(kind, wayId);
		return { way: draft.or_kinds.length ? `${withVariety(kind)}, ${way}` : way, pieces };
	};
	const best = made.plan.ways.find((w) => w.best)?.best;
	if (best)
		return {
			says: 'plan' as const,
			...name(best.wayId),
			strike: best.strike,
			goes: best.flushes.map((f) => ({ on: isoOf(f.on), pieces: f.pieces })),
			probability: best.probability,
			quantiles: { p05: best.quantiles.p05, p50: best.quantiles.p50, p95: best.quantiles.p95 },
			ready: isoOf(best.ready.usual),
			minutes: best.effort.minutes,
			lastSafe: made.plan.lastSafe === null ? null : isoOf(made.plan.lastSafe),
			buying: made.buying
		};
	const { most, soonest, nearly } = insteadOf(made.plan.ways, draft.confidence);
	return {
		says: 'instead' as const,
		nearly,
		most: most?.fallback && {
			...name(most.wayId),
			strike: most.fallback.strike,
			usually: most.fallback.usually,
			probability: most.fallback.probability
		},
		soonest: soonest?.earliest && {
			...name(soonest.wayId),
			strike: soonest.earliest.strike,
			on: isoOf(soonest.earliest.on),
			ready: isoOf(soonest.earliest.ready)
		},
		buying: made.buying
	};
}

function nameOf(kind: Kind, wayId: string): { way: string; pieces: [string, string] } {
	const profile = kind.ways.find((w) => w.id === wayId)!;
	return { way: wayLabel(kind, profile), pieces: handbook().ways.get(profile.way)!.piece };
}
