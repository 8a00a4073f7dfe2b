import { wayLabel } from '../windows.js';
import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { kindsOf } from '../context.js';
import { modelOf, takingOn } from '../model.js';
import { database } from '../db.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { stockViews } from '../stock.js';
import * as state from '../store/state.js';
import { dayNumber } from '$lib/core/dates.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { WayProfile } from '$lib/core/handbook/schema.js';
import type { Vessel } from '$lib/core/mix/vessel.js';
import { learntFactor } from '$lib/core/material/foretold.js';
import type { Ask } from './ask.js';

/** The tray that leaves of a way are set in. */
function trayOf(w: WayProfile): { lengthCm: number; widthCm: number } {
	const { containers } = handbook();
	const [own, usual] = [w.stages[0]!.holds, 'seed-tray'].map((id) => containers.get(id)?.vessel);
	return own?.shape === 'tray' ? own : (usual as Extract<Vessel, { shape: 'tray' }>);
}

export async function cutsView({ params }: Ask<'stock'>) {
	const garden = await gardenOr404(params.garden);
	if (!z.uuid().safeParse(params.stock).success) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });

	const [stock] = await stockViews(garden, dayNumber(garden.today), params.stock);
	if (!stock) error(404, { message: 'There is no such stock.', code: 'stock.unknown' });
	const kind = (await kindsOf(garden)).get(stock.kind_id)!;
	const m = await modelOf(garden);
	const taken = (await state.batchesFrom(database(), garden.id, [stock.id])).filter(
		(b) => b.foretold !== null && b.struckOn !== null
	);
	return {
		stock: {
			id: stock.id,
			name: [stock.kindName, stock.label].filter(Boolean).join(', '),
			kindId: kind.id,
			sizeCm: stock.size_cm,
			ageYears: stock.age_years,
			count: stock.count,
			heightCm: kind.size.height_cm,
			spacingCm: kind.size.spacing_cm,
			may: stock.may
		},
		seed: kind.seed ?? null,
		ways: kind.ways.map((w) => {
			const way = handbook().ways.get(w.way)!;
			const past = taken.filter((b) => b.wayId === w.id).map((b) => ({ code: b.code, foretold: b.foretold!, had: b.struck }));
			const gives = stock.gives.find((g) => g.wayId === w.id)!;
			return {
				id: w.id,
				wayId: w.way,
				name: wayLabel(kind, w),
				piece: way.piece,
				cut: cutOf(way, w),
				tray: trayOf(w),
				chance: Math.min(0.97, takingOn(m, kind, w, m.today, stock.label).chance),
				usual: w.gives,
				now: gives.now,
				open: gives.open,
				opensOn: gives.opensOn,
				closesOn: gives.closesOn,
				never: gives.never,
				fullAgainOn: gives.fullAgainOn,
				recoverDays: w.gives.recover_days,
				past,
				factor: learntFactor(past)
			};
		})
	};
}
