/** Work that takes a processor for a while and belongs to no screen: papers, tables, files in and out. */
import { archiveOf, takeArchive } from '../archive.js';
import { parseBody } from '../api.js';
import { gardenHeadOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import type { FillRequest } from '../groundSchema.js';
import type { GrowRequest } from '../growSchema.js';
import { bindsView } from '../bindsView.js';
import type { PlanAsked } from '../jointSolved.js';
import { firstView, handView, planView } from '../jointView.js';
import type { HandAsked } from '../jointView.js';
import type { OutcomeRequest, StrikeRequest } from '../oddsSchema.js';
import { simView } from '../simView.js';
import type { Watched } from '../watched.js';
import { solver } from '../solver.js';
import { importRecord, importSchema } from '../weather.js';
import { fillOutline } from '$lib/core/ground/index.js';
import { grow } from '$lib/core/plan/grow.js';
import { expected, outcome } from '$lib/core/odds/chain.js';
import { quantilesOf, strike } from '$lib/core/odds/strike.js';
import type { BedSheet } from '$lib/formats/bedSheet.js';
import { bedSheetPdf } from '$lib/formats/bedSheet.js';
import type { TickSheet } from '$lib/formats/tickSheet.js';
import { tickSheetPdf } from '$lib/formats/tickSheet.js';
import type { GuidePage } from '$lib/formats/guidePdf.js';
import { guidePdf } from '$lib/formats/guidePdf.js';
import type { LabelJob } from '$lib/formats/labels.js';
import { labelsPdf } from '$lib/formats/labels.js';

/** Longer nobody waits for a number; what is not proven by then is said to be too much. */
const GROW_SECONDS = 20;
/** 200 years of three columns of tenths, written out. */
const MOST_RECORD_BYTES = 1_900_000;

const alike = <S extends object>(stages: readonly S[], rho: number | undefined) => stages.map((s) => ({ ...s, rho }));

export const JOBS = {
	/** What every thread needs before its first garden. */
	awake: async (_: null) => {
		handbook();
		await solver();
	},
	strike: async (r: StrikeRequest) => strike(alike(r.stages, r.correlation), r.target, r.confidence),
	outcome: async (r: OutcomeRequest) => {
		const stages = alike(r.stages, r.correlation);
		const pmf = outcome(stages, r.struck);
		return { mean: expected(stages, r.struck), quantiles: quantilesOf(pmf), pmf: [...pmf] };
	},
	labels: async (job: LabelJob) => new Uint8Array(await labelsPdf(job)),
	grow: async (q: GrowRequest) => grow(q, await solver({ seconds: GROW_SECONDS, gap: 0 })),
	fill: async (q: FillRequest) => fillOutline(q),
	planFirst: async (a: PlanAsked) => firstView(a),
	plan: async (a: PlanAsked & { watch: Watched }) => planView(a),
	planHand: async (a: HandAsked) => handView(a),
	planSim: async (a: PlanAsked & { watch: Watched }) => simView(a),
	planBinds: async (a: PlanAsked & { want: string }) => bindsView(a),
	bedSheet: async (sheet: BedSheet) => new Uint8Array(await bedSheetPdf(sheet)),
	tickSheet: async (sheet: TickSheet) => new Uint8Array(await tickSheetPdf(sheet)),
	guidePage: async (page: GuidePage) => new Uint8Array(await guidePdf(page)),
	archiveOut: async ({ slug, made }: { slug: string; made: string }) => archiveOf(await gardenHeadOr404(slug), made),
	archiveIn: async (bytes: Uint8Array) => takeArchive(bytes),
	weatherIn: async ({ slug, actor, text }: { slug: string; actor: string; text: string }) => {
		const body = parseBody(text, importSchema, MOST_RECORD_BYTES);
		if (!body.ok) return body;
		const done = await importRecord(await gardenHeadOr404(slug), actor, body.value);
		return done.ok ? { ok: true as const, value: { entryId: done.value.ids[0]!, name: body.value.name } } : done;
	}
} as const;
