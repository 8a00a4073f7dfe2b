/** Figures of the handbook that a garden may replace by its own, each by a path. */
import { ok, refuse } from '../result.js';
import type { Result } from '../result.js';
import type { Kind } from './schema.js';

export interface EditableFigure {
	path: string;
	label: string;
	value: number;
	unit: string;
	min: number;
	max: number;
	src: string;
	/** Which way it belongs to, if any. */
	way: string | null;
}

interface Handle extends EditableFigure {
	set: (kind: Kind, value: number) => void;
}

const DAY_WORDS = ['quickest (1 in 10)', 'usual', 'slowest (1 in 10)'] as const;

function handles(kind: Kind): Handle[] {
	const list: Handle[] = [
		{
			path: 'hardiness_c',
			label: 'Bears cold down to',
			value: kind.hardiness_c.v,
			unit: '°C',
			min: -60,
			max: 20,
			src: kind.hardiness_c.src,
			way: null,
			set: (k, v) => (k.hardiness_c.v = v)
		},
		{
			path: 'size.spacing_cm',
			label: 'Spacing when planted',
			value: kind.size.spacing_cm,
			unit: 'cm',
			min: 3,
			max: 2000,
			src: kind.size.src,
			way: null,
			set: (k, v) => (k.size.spacing_cm = v)
		},
		{
			path: 'price',
			label: 'Price of one, bought',
			value: kind.price.v,
			unit: 'money',
			min: 0,
			max: 10_000,
			src: kind.price.src,
			way: null,
			set: (k, v) => (k.price.v = v)
		}
	];
	kind.ways.forEach((way, w) => {
		const base = `ways.${way.id}`;
		list.push({
			path: `${base}.gives.n`,
			label: `Pieces from one plant of ${way.gives.at_cm} cm`,
			value: way.gives.n,
			unit: 'pieces',
			min: 0.1,
			max: 2000,
			src: way.gives.src,
			way: way.id,
			set: (k, v) => (k.ways[w]!.gives.n = v)
		});
		way.stages.forEach((stage, s) => {
			const at = `${base}.${stage.to}`;
			list.push({
				path: `${at}.chance`,
				label: `${stage.to}: chance a piece passes`,
				value: stage.chance,
				unit: '0–1',
				min: 0.01,
				max: 0.99,
				src: stage.src,
				way: way.id,
				set: (k, v) => (k.ways[w]!.stages[s]!.chance = v)
			});
			list.push({
				path: `${at}.weight`,
				label: `${stage.to}: known as well as from so many counted`,
				value: stage.weight,
				unit: 'pieces',
				min: 1,
				max: 1000,
				src: stage.src,
				way: way.id,
				set: (k, v) => (k.ways[w]!.stages[s]!.weight = v)
			});
			stage.days.forEach((days, d) => {
				list.push({
					path: `${at}.days.${d}`,
					label: `${stage.to}: ${DAY_WORDS[d]}`,
					value: days,
					unit: 'days',
					min: 0,
					max: 2000,
					src: stage.src,
					way: way.id,
					set: (k, v) => (k.ways[w]!.stages[s]!.days[d as 0 | 1 | 2] = v)
				});
			});
		});
	});
	return list;
}

export const editableFigures = (kind: Kind): EditableFigure[] => handles(kind).map(({ set: _, ...figure }) => figure);

/** Checks one figure a person gives: it exists, is in bounds, and keeps the days in their order. */
export function checkFigure(kind: Kind, path: string, value: number): Result<number> {
	const figure = handles(kind).find((h) => h.path === path);
	if (!figure) return refuse('figure.unknown', 'The handbook has no such figure for this kind.', 'path');
	if (!(value >= figure.min && value <= figure.max))
		return refuse('figure.range', `${figure.label}: between ${figure.min} and ${figure.max}.`, 'value');
	const tried = withFigures(kind, { [path]: value });
	for (const way of tried.ways)
		for (const { days } of way.stages)
			if (days[0] > days[1] || days[1] > days[2])
				return refuse('figure.order', 'The quickest must not be longer than the usual, nor the usual than the slowest.', 'value');
	return ok(value);
}

/** The kind as this garden knows it. Unknown paths are left out: the handbook may have changed since. */
export function withFigures(kind: Kind, figures: Readonly<Record<string, number>>): Kind {
	const own = structuredClone(kind);
	for (const handle of handles(kind)) {
		const value = figures[handle.path];
		if (value !== undefined) handle.set(own, value);
	}
	return own;
}
