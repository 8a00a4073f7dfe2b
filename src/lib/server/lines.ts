/** The one line an entry is read and searched by, as things were called when it was written. */
import { sayDate } from '$lib/core/dates.js';
import { handbook } from './handbook.js';
import type { StockRow, WantRow, PlaceRow } from './store/state.js';
import { CARE_WORDS } from '$lib/core/round/words.js';
import { SIGHTING_WORDS } from '$lib/core/season/suitability.js';
import type { AnyEntry, Batch } from '$lib/core/ledger/index.js';

export interface LineNames {
	batch: Batch | null;
	stock: StockRow | null;
	want: WantRow | null;
	place: PlaceRow | null;
	/** Name of any place by id. */
	placeName: (id: string | null) => string;
}

const kindName = (id: string) => handbook().kinds.get(id)?.common ?? id;
const wayName = (kindId: string, wayId: string) => {
	const way = handbook()
		.kinds.get(kindId)
		?.ways.find((w) => w.id === wayId);
	return way ? (handbook().ways.get(way.way)?.name ?? wayId) : wayId;
};

/** Kind the entry is about, for filtering. */
export function kindIdOf(e: AnyEntry, names: LineNames): string | null {
	if ('kind_id' in e.data) return e.data.kind_id;
	return names.batch?.kindId ?? names.stock?.kind_id ?? names.want?.kind_id ?? null;
}

export function lineOf(e: AnyEntry, n: LineNames): string {
	const batch = n.batch ? `${n.batch.code} ${kindName(n.batch.kindId)}` : '';
	const stock = n.stock ? [kindName(n.stock.kind_id), n.stock.label].filter(Boolean).join(', ') : '';
	const at = (id: string | null) => (id ? ` → ${n.placeName(id)}` : '');
	const careAt = (d: { place_id: string | null; targets: string[] }) =>
		`${d.place_id ? `, ${n.placeName(d.place_id)}` : ''}${d.targets.length > 1 ? ` (${d.targets.length})` : ''}`;
	switch (e.kind) {
		case 'garden.set':
			return `Garden settings: ${e.data.name}`;
		case 'place.set':
			return `Place: ${e.data.name}`;
		case 'place.walked':
			return `${n.place?.name ?? 'Place'}: number ${e.data.walk} of the walk`;
		case 'place.closed':
			return `Place closed: ${n.place?.name ?? ''}`;
		case 'stock.set':
			return `${n.stock ? 'Looked over' : 'Stock'}: ${e.data.count} ${kindName(e.data.kind_id)}${e.data.label ? `, ${e.data.label}` : ''}, ${e.data.condition}`;
		case 'stock.leave':
			return `${stock}: ${e.data.basis === 'licence' ? 'licence' : 'term ended'} recorded, ${e.data.reference}`;
		case 'stock.moved':
			return `${stock}: moved to ${n.placeName(e.data.place_id)}`;
		case 'stock.gone':
			return `${stock}: gone${e.data.why ? `, ${e.data.why}` : ''}`;
		case 'want.set':
			return `Want: ${e.data.target} ${kindName(e.data.kind_id)}${e.data.label ? `, ${e.data.label}` : ''}, by ${sayDate(e.data.due)}`;
		case 'want.dropped':
			return `Want dropped: ${n.want ? kindName(n.want.kind_id) : ''}${e.data.why ? `, ${e.data.why}` : ''}`;
		case 'figure.set':
			return `${kindName(e.data.kind_id)}: own figure for ${e.data.path}, ${e.data.value}`;
		case 'figure.cleared':
			return `${kindName(e.data.kind_id)}: back to the handbook's figure for ${e.data.path}`;
		case 'batch.planned':
			return `${e.data.code} ${kindName(e.data.kind_id)}: planned ${e.data.count}, ${wayName(e.data.kind_id, e.data.way_id)}, for ${sayDate(e.data.planned_on)}`;
		case 'batch.struck':
			return `${e.data.code} ${kindName(e.data.kind_id)}: struck ${e.data.struck}, ${wayName(e.data.kind_id, e.data.way_id)}${at(e.data.place_id)}`;
		case 'batch.split-off':
			return `${e.data.code} ${kindName(e.data.kind_id)}: split off ${e.data.unrooted + e.data.rooted + e.data.potted}`;
		case 'batch.checked':
			return `${batch}: ${e.data.alive} alive${e.data.rooted === null ? '' : `, ${e.data.rooted} rooted`}${e.data.sign === 'none' ? '' : `, ${e.data.sign}`}`;
		case 'batch.laid-out':
			return `${batch}: laid out in ${e.data.rows} × ${e.data.columns}${e.data.groups.length > 1 ? `, a trial of ${e.data.groups.join(' / ')}` : ''}`;
		case 'batch.potted':
			return `${batch}: potted ${e.data.count}${e.data.container ? ` in ${e.data.container}` : ''}${at(e.data.place_id)}`;
		case 'batch.moved':
			return `${batch}: moved${at(e.data.place_id)}`;
		case 'batch.split':
			return `${batch}: split ${e.data.count} off`;
		case 'batch.wintered':
			return `${batch}: ${e.data.alive} came through the winter`;
		case 'batch.planted':
			return `${batch}: planted ${e.data.count}${at(e.data.place_id)}`;
		case 'batch.given':
			return `${batch}: gave away ${e.data.count}${e.data.to ? ` to ${e.data.to}` : ''}`;
		case 'batch.lost':
			return `${batch}: lost ${e.data.count}${e.data.planted ? ' after planting' : ''}${e.data.why ? `, ${e.data.why}` : ''}`;
		case 'batch.kept':
			return `${batch}: kept ${e.data.count} as stock`;
		case 'batch.dropped':
			return `${batch}: plan dropped${e.data.why ? `, ${e.data.why}` : ''}`;
		case 'weather.imported':
			return `Weather record: ${e.data.name}, ${e.data.days.toLocaleString('en')} days from ${sayDate(e.data.from)} to ${sayDate(e.data.to)}`;
		case 'care.done':
			return `${CARE_WORDS[e.data.care] ?? e.data.care}: done${careAt(e.data)}`;
		case 'care.skipped':
			return `${CARE_WORDS[e.data.care] ?? e.data.care}: skipped${careAt(e.data)}${e.data.why ? `, ${e.data.why}` : ''}`;
		case 'care.put-off':
			return `${CARE_WORDS[e.data.care] ?? e.data.care}: put off to ${sayDate(e.data.until)}${careAt(e.data)}`;
		case 'timer.started':
			return `Clock: ${e.data.say}, ${e.data.minutes < 180 ? `${e.data.minutes} minutes` : `${Math.round(e.data.minutes / 6) / 10} hours`}`;
		case 'timer.ended':
			return 'Clock ended';
		case 'shelf.set':
			return `On the shelf: ${handbook().materials.get(e.data.material)?.name ?? e.data.material}, ${Math.round(e.data.litres * 10) / 10} L`;
		case 'vessel.set':
			return `Own vessel: ${e.data.name}`;
		case 'vessel.gone':
			return 'Vessel no longer used';
		case 'sighting.made':
			return `${kindName(e.data.kind_id)}: ${SIGHTING_WORDS[e.data.event]}`;
		case 'entry.reversed':
			return 'Undone';
	}
}
