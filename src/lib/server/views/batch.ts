import { snapshotOf } from '../snapshot.js';
import { error } from '@sveltejs/kit';
import { batchViews } from '../bench.js';
import type { BatchView } from '../bench.js';
import { kindsOf, viewedDay, wayIn } from '../context.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { entriesOf } from '../store/entries.js';
import { dayNumber, sayDate } from '$lib/core/dates.js';
import { seasonOf } from '../season.js';
import { stripWindows } from '../windows.js';
import * as state from '../store/state.js';
import { vesselsOf } from '../mixing.js';
import { lineage } from '../lineage.js';
import { tallNow } from '../tall.js';
import { wantViews } from '../wants.js';
import type { Ask } from './ask.js';
import { kindsOfWant } from '$lib/core/ledger/wish.js';

/** The next pot of the ladder: after what they stand in now, else what the handbook pots them in. */
function nextPot(container: string, holds: string | null): string {
	const { containers } = handbook();
	const now = [...containers.values()].find((c) => c.name === container);
	return containers.get(now?.next ?? holds ?? '')?.name ?? container;
}

type Spread = Pick<NonNullable<BatchView['coming']>, 'p05' | 'p50' | 'p95'>;
/** What comes by a day, where that is another number than what comes in the end. */
const laterThan = (ever: Spread | null, then: Spread | undefined): Spread | null =>
	ever && then && (ever.p05 !== then.p05 || ever.p50 !== then.p50 || ever.p95 !== then.p95) ? then : null;

export async function batchView({ params, query }: Ask<'batch'>) {
	const garden = await gardenOr404(params.garden);
	const { day } = viewedDay(garden, query.get('day'));

	const db = database();
	const row = await state.batchById(db, garden.id, params.batch);
	if (!row) error(404, { message: 'There is no such batch.', code: 'batch.unknown' });
	const [batch] = await batchViews(garden, day, [row], { curve: true });
	const kind = (await kindsOf(garden)).get(row.kindId)!;
	const profile = wayIn(kind, row.wayId)!;
	const way = handbook().ways.get(profile.way)!;
	const [{ places, wants }, story, want, stock, parent] = await Promise.all([
		snapshotOf(garden.id),
		entriesOf(db, garden.id, 'batch', row.id),
		row.wantId ? wantViews(garden, row.wantId, { brief: true }).then((w) => w[0] ?? null) : null,
		row.stockId ? state.stockById(db, garden.id, row.stockId) : null,
		row.fromBatch ? state.batchById(db, garden.id, row.fromBatch) : null
	]);
	const potted = profile.stages.find((s) => s.to === 'potted' || s.to === 'ready');
	const pots = await vesselsOf(garden);
	const today = dayNumber(garden.today);
	return {
		stripWindows: stripWindows(await seasonOf(garden), kind, today, row.wayId),
		batch: batch!,
		tall:
			row.struckOn && batch!.inHand > 0
				? tallNow(
						garden,
						kind,
						profile,
						{ struckOn: dayNumber(row.struckOn), planted: batch!.plantedOn && dayNumber(batch!.plantedOn.usual) },
						today,
						pots
					)
				: null,
		way: {
			how: way.how,
			cautions: way.cautions,
			signs: way.signs,
			then: profile.then,
			piece: profile.piece,
			medium: profile.medium,
			cover: profile.cover,
			hormone: profile.hormone,
			container: handbook().containers.get(profile.stages[0]!.holds)?.name ?? '',
			pieces: way.piece,
			days: profile.stages[0]!.days,
			schools: profile.schools.map((id) => handbook().schools.get(id)!)
		},
		potIn: nextPot(row.container, potted?.holds ?? null),
		pots: pots.map((v) => ({ id: v.id, name: v.name, vessel: v.vessel })),
		line: await lineage(garden.id, row),
		hazards: kind.hazards,
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name, kind: p.kind })),
		/** Wants that it could be for. */
		wants: wants
			.filter((w) => kindsOfWant(w).includes(row.kindId) && !w.dropped_on)
			.map((w) => ({ id: w.id, name: `${w.target} by ${sayDate(w.due)}${w.label ? `, ${w.label}` : ''}` })),
		want: want && {
			id: want.id,
			odds: want.odds,
			confidence: want.confidence,
			target: want.target,
			name: `${want.target} ${want.kindName}`,
			due: want.due,
			/** How many of this batch by that day, where some of it comes later. */
			byThen: laterThan(batch!.coming, want.batches.find((b) => b.id === row.id)?.byThen),
			/** It is grown on until it stands so tall. */
			leastCm: want.dropped ? null : want.leastCm,
			placeId: want.placeId
		},
		stock: stock && { id: stock.id, label: stock.label, kind_id: stock.kind_id, placeId: stock.place_id },
		parent: parent && { id: parent.id, code: parent.code },
		story: story
			.filter((e) => e.kind !== 'entry.reversed')
			.reverse()
			.map((e) => ({ id: e.id, on: e.happened_on, line: e.line, note: e.note, undone: e.undone })),
		ask: query.get('do'),
		fresh: query.has('struck')
	};
}
