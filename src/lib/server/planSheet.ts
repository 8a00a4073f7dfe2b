/** The plan on paper, for the shed door: what to strike when, and what each batch asks for on its way. */
import type { PlanView } from './jointView.js';
import { dayNumber, sayDate } from '$lib/core/dates.js';
import { sayNoMoves } from '$lib/core/joint/words.js';
import type { TickRow, TickSheet } from '$lib/formats/tickSheet.js';
import { paperFonts } from './fonts.js';

const DOES: Record<string, string> = {
	potted: 'Pot',
	wintered: 'Bring through the winter',
	ready: 'Grow on',
	planted: 'Plant'
};

/** Strikes first in order of their days, then what follows them, each under its month. */
export function planRows(plan: PlanView): TickRow[] {
	const bought = plan.moves.flatMap((m) => (m.guide === null ? [{ on: m.on, title: m.says, how: `For ${m.want}.` }] : []));
	const rows = plan.wants.flatMap((w) =>
		w.batches.flatMap((b) =>
			b.stages.flatMap((s, i) => {
				const what = `${s.count} ${s.count === 1 ? b.piece[0] : b.piece[1]} of ${b.kind}`;
				const where = s.place ? `, ${s.place}` : '';
				if (i === 0)
					return [
						{
							on: b.on,
							title: `Strike ${what}`,
							how: `${sayDate(b.on)}${b.last > b.on ? `, ${sayDate(b.last)} at the latest` : ''}. ${b.way}${b.stock ? `, from ${b.stock}` : ''}${where}. For ${w.target}${w.label ? `, ${w.label}` : ''}.`
						}
					];
				const does = DOES[s.to];
				if (!does || s.count === 0) return [];
				return [{ on: s.from, title: `${does}: usually ${s.count} ${b.kind}`, how: `About ${sayDate(s.from)}${where}.` }];
			})
		)
	);
	return [...rows, ...bought]
		.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
		.map((r) => ({ head: monthOf(r.on), what: r.title, how: r.how }));
}

const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });
const monthOf = (iso: string): string => MONTH.format(dayNumber(iso) * 86_400_000);

export const planSheet = (name: string, today: string, plan: PlanView): TickSheet => ({
	title: name,
	under: `The plan as of ${sayDate(today)}. ${plan.says}`,
	rows: planRows(plan),
	none: sayNoMoves(plan.wants),
	fonts: paperFonts()
});
