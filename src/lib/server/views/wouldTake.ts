import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { wouldTake } from '../wants.js';
import { wayLabel } from '../windows.js';
import { dayNumber, isIsoDate, isoOf } from '$lib/core/dates.js';
import { insteadOf } from '$lib/core/plan/instead.js';
import type { Kind } from '$lib/core/handbook/schema.js';
import type { Ask } from './ask.js';

const asked = z.object({
	kind: z.string().max(80),
	purpose: z.enum(['plants', 'hedge', 'bed', 'gifts', 'keep']),
	target: z.coerce.number().int().min(1).max(2_000),
	due: z.string().refine(isIsoDate),
	confidence: z.coerce.number().min(50).max(99)
});

/** What a want would take, while it is still being typed: how many, when, how sure; or what can be had instead. */
export async function wouldTakeView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const read = asked.safeParse(Object.fromEntries(query));
	if (!read.success) error(400, { message: 'Give a kind, how many, a day and how sure.', code: 'want.unread' });
	const { kind: kindId, purpose, target, due, confidence } = read.data;
	const kind = (await kindsOf(garden)).get(kindId);
	const ahead = dayNumber(due) > dayNumber(garden.today);
	if (!kind || !ahead) return { says: 'nothing' as const };
	const made = await wouldTake(garden, { kind_id: kindId, purpose, target, due, confidence: confidence / 100 });
	if (!made) return { says: 'nothing' as const };
	if (!made.plan) return { says: 'why' as const, why: made.why ?? '', stock: made.choices.length > 0 };
	const name = (wayId: string) => nameOf(kind, wayId);
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
	const { most, soonest, nearly } = insteadOf(made.plan.ways, confidence / 100);
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
