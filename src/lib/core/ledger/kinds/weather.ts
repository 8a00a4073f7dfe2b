import { sayNumber } from '../../numbers.js';
import { z } from 'zod';
import { sayDate } from '../../dates.js';
import { entryKind } from '../describe.js';
import { isoDate, name, whole } from '../fields.js';

export const weatherKinds = {
	'weather.imported': entryKind({
		words: 'weather record',
		data: z.object({
			name: name(120),
			format: z.enum(['dly', 'ghcn-csv', 'csv', 'demo']),
			from: isoDate,
			to: isoDate,
			days: whole(1, 73_100, 'Days')
		}),
		line: ({ data: d }) => `Weather record: ${d.name}, ${sayNumber(d.days)} days from ${sayDate(d.from)} to ${sayDate(d.to)}`
	})
} as const;
