/** On which day each move is made: in its order, in its season, within the minutes of a week. */
import { plainDate } from '../dates.js';
import type { DayNumber } from '../dates.js';
import { GROUND } from './judged.js';

export interface StepToDate {
	/** First day of [day, …] that suits it; null where there is none. What is only taken out of its pot suits any day. */
	opens: (day: DayNumber) => DayNumber | null;
	minutes: number;
	/** Steps of one sitting follow each other, and are made on one day where one suits them all: nothing waits overnight. */
	sitting: number;
}

export interface DatesAsked {
	steps: readonly StepToDate[];
	from: DayNumber;
	/** Minutes a week for it. */
	budget: number;
	/** Only on Saturdays and Sundays. */
	weekends: boolean;
}

/** Minutes of one move of so many, each with a ball of so many litres. */
export const minutesToMove = (count: number, litres: number): number =>
	Math.round(count * (GROUND.moveMinutes.value.each + GROUND.moveMinutes.value.perLitre * litres));

/** Longer nobody plans ahead, days. */
const FARTHEST = 3 * 366;
/** Of the days of the week from Monday, 1, on. */
const SATURDAY = 6;

/**
 * The day of each step; null from the first one on for which there is none. A week's minutes are filled before the next
 * is begun; what takes longer than a week has takes the week by itself.
 */
export function daysOfMoves({ steps, from, budget, weekends }: DatesAsked): (DayNumber | null)[] {
	const spent = new Map<number, number>();
	const weekOf = (day: DayNumber) => Math.floor((day - from) / 7);
	/** The first day from one on that suits all of them and whose week has the minutes; null where there is none. */
	const dayFor = (some: readonly StepToDate[], since: DayNumber): DayNumber | null => {
		const minutes = some.reduce((sum, s) => sum + s.minutes, 0);
		let day = since;
		while (day <= from + FARTHEST) {
			const opens = some.map((s) => s.opens(day));
			if (opens.includes(null)) return null;
			const open = Math.max(...opens.map((d) => d!));
			const weekday = plainDate(open).dayOfWeek;
			if (open > day) day = open;
			else if (weekends && weekday < SATURDAY) day += SATURDAY - weekday;
			else {
				const used = spent.get(weekOf(day)) ?? 0;
				if (used === 0 || used + minutes <= budget) return day;
				day = from + 7 * (weekOf(day) + 1);
			}
		}
		return null;
	};
	const found: (DayNumber | null)[] = [];
	let day: DayNumber | null = from;
	const made = (some: readonly StepToDate[], on: DayNumber) => {
		for (const s of some) {
			spent.set(weekOf(on), (spent.get(weekOf(on)) ?? 0) + s.minutes);
			found.push(on);
		}
		day = on;
	};
	for (let i = 0; i < steps.length;) {
		let end = i + 1;
		while (end < steps.length && steps[end]!.sitting === steps[i]!.sitting) end++;
		const sitting = steps.slice(i, end);
		i = end;
		const together: DayNumber | null = day === null ? null : dayFor(sitting, day);
		if (together !== null) made(sitting, together);
		else
			for (const step of sitting) {
				const on: DayNumber | null = day === null ? null : dayFor([step], day);
				if (on === null) {
					day = null;
					found.push(null);
				} else made([step], on);
			}
	}
	return found;
}
