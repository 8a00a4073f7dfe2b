import type { Fields } from './forms.js';
import type { GardenHead } from './context.js';

/** The fields of a stock plant, as both its forms send them. */
export const stockFields = (f: Fields, garden: GardenHead, fromBatch: string | null) => ({
	kind_id: f.text('kind_id'),
	place_id: f.textOrNull('place_id'),
	label: f.text('label'),
	count: f.number('count') ?? Number.NaN,
	size_cm: f.cm('size', garden.units),
	age_years: f.number('age'),
	condition: f.text('condition'),
	protection: { status: f.text('protection'), until: f.number('until') },
	from_batch: fromBatch
});
