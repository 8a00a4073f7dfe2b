/** Taking weather records in, and giving them out. */
import { z } from 'zod';
import type { Garden } from './context.js';
import { record } from './ledger.js';
import type { Recorded } from './ledger.js';
import { asResult, refuseWith } from './refusal.js';
import * as weather from './store/weather.js';
import { dayNumber, isoOf } from '$lib/core/dates.js';
import type { Result } from '$lib/core/result.js';
import { isoDate, uuid } from '$lib/core/ledger/index.js';
import { MOST_DAYS, possibleDay } from '$lib/core/season/record.js';
import type { WeatherDay } from '$lib/core/season/record.js';

/** Columns as whole tenths from the first day, null where nothing is known: half the size of days spelt out. */
const tenths = z.array(z.number().int().min(-900).max(19_000).nullable()).max(MOST_DAYS);
export const importSchema = z
	.object({
		id: uuid,
		name: z.string().trim().min(1).max(120),
		format: z.enum(['dly', 'ghcn-csv', 'csv', 'demo']),
		first: isoDate,
		low: tenths,
		high: tenths,
		rain: tenths
	})
	.refine((b) => b.low.length === b.high.length && b.low.length === b.rain.length, 'The columns differ in length.');
export type ImportBody = z.infer<typeof importSchema>;

/** Stores a record whole or not at all, as one entry that can be undone. */
export async function importRecord(
	garden: Pick<Garden, 'id' | 'today'>,
	actor: string,
	body: ImportBody
): Promise<Result<Recorded>> {
	const first = dayNumber(body.first);
	const at = (v: number | null | undefined) => (v === null || v === undefined ? null : v / 10);
	const days: WeatherDay[] = [];
	const read = await asResult(async () => {
		for (let i = 0; i < body.low.length; i++) {
			const d = { day: first + i, low: at(body.low[i]), high: at(body.high[i]), rain: at(body.rain[i]) };
			if (d.low === null && d.high === null && d.rain === null) continue;
			const possible = possibleDay(d);
			if (!possible.ok) refuseWith(possible.problem.code, `${isoOf(d.day)}: ${possible.problem.sentence}`, `day.${i}`);
			if (d.day > dayNumber(garden.today)) refuseWith('weather.future', `${isoOf(d.day)} has not come yet.`, `day.${i}`);
			days.push(d);
		}
		if (days.length === 0) refuseWith('weather.empty', 'There is no day with a figure in it.');
	});
	if (!read.ok) return read;
	return record(
		{ gardenId: garden.id, actor, today: garden.today },
		[
			{
				id: body.id,
				kind: 'weather.imported',
				subjectId: body.id,
				on: garden.today,
				data: { name: body.name, format: body.format, from: isoOf(days[0]!.day), to: isoOf(days.at(-1)!.day), days: days.length }
			}
		],
		async (db) => void (await weather.putImport(db, garden.id, body.id, body.name, days))
	);
}
