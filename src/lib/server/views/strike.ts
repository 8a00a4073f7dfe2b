import { snapshotOf } from '../snapshot.js';
import { kindsOf } from '../context.js';
import { gardenOr404 } from '../forms.js';
import { handbook } from '../handbook.js';
import { modelOf, takingOn } from '../model.js';
import { stockViews } from '../stock.js';
import { dayNumber } from '$lib/core/dates.js';
import type { Ask } from './ask.js';

const whole = (text: string | null): number | null => (text && /^[1-9]\d{0,3}$/.test(text) ? Number(text) : null);

export async function strikeView({ params, query }: Ask) {
	const garden = await gardenOr404(params.garden);
	const [m, stocks, { places }, kinds] = await Promise.all([
		modelOf(garden),
		stockViews(garden, dayNumber(garden.today)),
		snapshotOf(garden.id),
		kindsOf(garden)
	]);
	return {
		stocks: stocks.map((s) => ({
			id: s.id,
			kindId: s.kind_id,
			name: [s.kindName, s.label].filter(Boolean).join(', '),
			refused: s.barred,
			sentence: s.may.may === 'yes' ? '' : s.may.sentence,
			ways: s.gives.map((g) => {
				const profile = kinds.get(s.kind_id)!.ways.find((w) => w.id === g.wayId)!;
				return {
					id: g.wayId,
					name: g.wayName,
					gives: g.now,
					open: g.open,
					...takingOn(m, kinds.get(s.kind_id)!, profile, m.today, s.label),
					medium: profile.medium,
					hormone: profile.hormone,
					cover: profile.cover,
					container: handbook().containers.get(profile.stages[0]!.holds)?.name ?? ''
				};
			})
		})),
		places: places.filter((p) => !p.closed).map((p) => ({ id: p.id, name: p.name })),
		stock: query.get('stock') ?? '',
		way: query.get('way') ?? '',
		count: whole(query.get('count')),
		foretold: whole(query.get('foretold'))
	};
}
