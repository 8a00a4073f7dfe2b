/** For the door of a shelter: who stands there by the winter's plan, what each bears, and how often it wants water. */
import type { Garden } from './context.js';
import { coldestAhead, inByOf, winterOf } from './winterPlan.js';
import { sayDate } from '$lib/core/dates.js';
import { coldestIn, daysToDry } from '$lib/core/shelter/index.js';
import { sayTemperature } from '$lib/core/units/index.js';
import type { TickRow } from '$lib/formats/tickSheet.js';

/** @param at one place alone; null for all */
export async function sheetRows(garden: Garden, at: string | null): Promise<TickRow[]> {
	const { m, winter } = await winterOf(garden);
	const say = (c: number) => sayTemperature(c, garden.units);
	return winter.rooms
		.filter((p) => at === null || p.id === at)
		.flatMap((p): TickRow[] => {
			const shelter = m.shelter(p.id)!;
			const head = `${p.name}: falls to ${say(coldestIn(shelter.inside, 1))} in a usual winter, to ${say(coldestIn(shelter.inside, 20))} in one of twenty`;
			const { low, high } = shelter.day(coldestAhead(m));
			return winter.things
				.filter((t) => winter.plan.at.get(t.id)!.place === p.id)
				.sort((a, b) => b.kind.hardiness_c.v - a.kind.hardiness_c.v || a.name.localeCompare(b.name, 'en'))
				.map((t): TickRow => {
					const { keeps } = winter.plan.at.get(t.id)!;
					const many = keeps < t.count ? `, ${keeps} of ${t.count}` : t.count > 1 ? `, ${t.count}` : '';
					const by = t.placeId === p.id ? null : inByOf(m, t.kind.winter.limit_c);
					const weeks = Math.max(1, Math.round(daysToDry(Math.sqrt(t.areaCm2 / Math.max(1, t.vessels)), (low + high) / 2) / 7));
					return {
						head,
						what: `${t.code ? `${t.code} ` : ''}${t.name}${many}`,
						how: [
							`Bears ${say(t.kind.hardiness_c.v)}.`,
							t.placeId === p.id ? '' : by ? `Carry it in by ${sayDate(by)}.` : 'Carry it in.',
							`Water when a finger deep is dry, about every ${weeks === 1 ? 'week' : `${weeks} weeks`}; no feed.`
						]
							.filter(Boolean)
							.join(' ')
					};
				});
		});
}
