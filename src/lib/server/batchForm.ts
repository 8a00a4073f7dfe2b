import type { Fields } from './forms.js';

/** What a strike form tells beside kind, way and stock. */
export const strikeFields = (f: Fields) => ({
	place_id: f.textOrNull('place_id'),
	struck: f.number('struck') ?? Number.NaN,
	treatment: {
		medium: f.text('medium'),
		hormone: f.text('hormone'),
		wound: f.flag('wound'),
		cover: f.text('cover')
	},
	container: f.text('container'),
	foretold: f.number('foretold')
});
