import { describe, expect, it } from 'vitest';
import { coverOf } from './cover.js';
import { allKinds } from '../../../testing/handbook.js';

describe('what covers pieces', () => {
	it('is read from words as people write them', () => {
		const said = {
			none: [
				'',
				' ',
				'none',
				'None: grey leaves rot under cover',
				'none in moist air, else a dome opened daily',
				'never cover',
				'open',
				'uncovered'
			],
			film: ['a bag until the tip grows', 'bag or dome', 'Film or a cold frame', 'covered with a bag', 'polythene'],
			lid: ['dome', 'dome or mist', 'propagator', 'cold frame', 'closed cover, no water for a month']
		};
		for (const [cover, words] of Object.entries(said)) for (const w of words) expect(coverOf(w), w).toBe(cover);
	});

	it('is one thing for every way of the handbook: never both tapped and aired', () => {
		for (const kind of allKinds())
			for (const w of kind.ways) expect(['none', 'film', 'lid'], `${kind.id}/${w.id}`).toContain(coverOf(w.cover));
	});
});
