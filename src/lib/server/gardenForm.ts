/** Garden settings as their two forms send them. */
import type { Fields } from './forms.js';
import { bandOf } from '$lib/core/units/index.js';
import type { UnitChoice } from '$lib/core/units/index.js';
import { today } from './clock.js';
import { dayOfYear, dayNumber, isIsoDate } from '$lib/core/dates.js';
import { guessClimate } from '$lib/core/season/climate.js';
import { seaNear } from './sea.js';
import { refuse, ok } from '$lib/core/result.js';
import type { Result } from '$lib/core/result.js';

export function gardenFields(f: Fields): Result<Record<string, unknown>> {
	const units: UnitChoice = {
		length: f.text('units') === 'us' ? 'us' : 'metric',
		temperature: f.text('temperature') === 'F' ? 'F' : 'C'
	};
	// The zone, if given, overrules the temperature: its middle.
	const zoneText = f.text('zone').trim();
	const band = zoneText ? bandOf(zoneText) : null;
	if (zoneText && !band)
		return refuse('zone.unknown', 'A hardiness zone is a number from 1 to 13, with a or b if you know it: 7 or 7b.', 'zone');
	const coldest = band ? (band.lowC + band.highC) / 2 : (f.celsius('coldest', units) ?? Number.NaN);
	const frost = (name: string): Result<{ doy: number; sd: number } | null> => {
		if (f.flag('no_frost')) return ok(null);
		const text = f.day(name, today('UTC'));
		if (!isIsoDate(text)) return refuse('frost.date', 'Give a day of the calendar, or say that frost never comes.', name);
		return ok({ doy: Math.min(365, dayOfYear(dayNumber(text))), sd: f.number(`${name}_sd`) ?? Number.NaN });
	};
	const last = frost('last_frost');
	if (!last.ok) return last;
	const first = frost('first_frost');
	if (!first.ok) return first;
	const froms = f.days('away_from', today('UTC'));
	const tos = f.days('away_to', today('UTC'));
	return ok({
		name: f.text('name'),
		place: f.text('place'),
		latitude: f.number('latitude') ?? Number.NaN,
		longitude: f.number('longitude') ?? Number.NaN,
		height_m: f.metres('height', units) ?? 0,
		units: units.length,
		temperature: units.temperature,
		currency: f.text('currency').toUpperCase(),
		coldest_c: coldest,
		last_frost: last.value,
		first_frost: first.value,
		...(f.text('frost_from') === 'own' || f.text('frost_from') === 'record' ? { frost_from: f.text('frost_from') } : {}),
		minutes_per_week: f.number('minutes') ?? Number.NaN,
		away: froms.map((from, i) => ({ from, to: tos[i] ?? '' })).filter((a) => a.from || a.to),
		guessed: f.all('guessed').filter(Boolean)
	});
}

/**
 * What is still a guess is guessed anew with the sea around, which a quick hand may have been too quick for: frost
 * dates and coldest night of the form as it was sent.
 */
export function withBestGuess(data: Record<string, unknown>): Record<string, unknown> {
	const { latitude, longitude, height_m, coldest_c, guessed } = data as {
		latitude: number;
		longitude: number;
		height_m: number;
		coldest_c: number;
		guessed: string[];
	};
	if (!(Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 && Number.isFinite(height_m))) return data;
	const [cold, frost] = [guessed.includes('coldest'), guessed.includes('frost')];
	if (!cold && !frost) return data;
	const { climate } = guessClimate({
		latitude,
		longitude,
		heightM: height_m,
		coldestC: cold ? undefined : coldest_c,
		sea: seaNear(latitude, longitude)
	});
	return {
		...data,
		...(cold ? { coldest_c: climate.coldestC } : {}),
		...(frost ? { last_frost: climate.lastFrost, first_frost: climate.firstFrost } : {})
	};
}
