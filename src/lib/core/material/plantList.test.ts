import { describe, expect, it } from 'vitest';
import { guessColumns, kindNamed, readRow } from './plantList.js';

const kinds = [
	{ id: 'lavender', names: ['English lavender', 'Lavandula angustifolia'] },
	{ id: 'zonal-pelargonium', names: ['Zonal pelargonium', 'Pelargonium × hortorum', 'Geranium'] },
	{ id: 'ivy-pelargonium', names: ['Ivy-leaved pelargonium', 'Pelargonium peltatum'] }
];

describe('a list of plants', () => {
	it('finds its columns by what people call them, each once', () => {
		expect(guessColumns(['Name', 'Variety', 'Qty', 'Height (cm)', 'Where', 'Notes'])).toEqual({
			plant: 0,
			label: 1,
			count: 2,
			size: 3,
			age: null,
			place: 4,
			condition: null
		});
		expect(guessColumns(['a', 'b']).plant).toBeNull();
	});
	it('takes a name for a kind only if it can mean no other', () => {
		expect(kindNamed('english LAVENDER', kinds)).toBe('lavender');
		expect(kindNamed('Lavandula angustifolia', kinds)).toBe('lavender');
		expect(kindNamed('lavender', kinds)).toBe('lavender');
		expect(kindNamed('geranium', kinds)).toBe('zonal-pelargonium');
		expect(kindNamed('pelargonium', kinds)).toBeNull();
		expect([kindNamed('', kinds), kindNamed('triffid', kinds)]).toEqual([null, null]);
	});
	it('reads numbers as typed, takes what is not told as usual, and keeps what is no number for the refusal', () => {
		const at = guessColumns(['plant', 'count', 'size', 'age', 'condition']);
		expect(readRow(['Box', '3', '40,5', '', 'poor'], at)).toEqual({
			...{ name: 'Box', label: '', count: 3, size: 40.5, age: null, place: '', condition: 'weak' }
		});
		expect(readRow(['Box', '', 'tall'], at)).toMatchObject({ count: 1, size: Number.NaN, condition: 'strong' });
		expect(readRow([], at)).toMatchObject({ name: '', count: 1 });
	});
});
