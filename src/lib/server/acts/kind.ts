/** A kind as this garden knows it: what was seen of it, and figures of one's own. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';

/** A figure is one subject for ever, whoever sets it first. */
const FIGURES = '6f0a7a52-6d0a-4b1e-9f6e-0d1c5b8f2a11';
const figureOf = (gardenId: string, kindId: string, path: string) => uuidv5(`${gardenId}/${kindId}/${path}`, FIGURES);

/** Seen today (or on another day): the windows that wait for it move at once. */
export const saw = ({ f, frame, params }: Asked<'kind'>): Made => ({
	acts: [{ ...frame, kind: 'sighting.made', subjectId: frame.id, data: { kind_id: params.kind, event: f.text('event') } }],
	said: 'Seen: the windows have moved with it.'
});

export function setFigure({ garden, f, frame, params }: Asked<'kind'>): Made {
	const path = f.text('path');
	const unit = f.text('unit');
	const value =
		unit === '°C' ? f.celsius('value', garden.units) : unit === 'cm' ? f.cm('value', garden.units) : f.number('value');
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'figure.set',
				subjectId: figureOf(garden.id, params.kind, path),
				data: { kind_id: params.kind, path, value: value ?? Number.NaN }
			}
		],
		said: 'Your own figure is used from now on.'
	};
}

export function clearFigure({ garden, f, frame, params }: Asked<'kind'>): Made {
	const path = f.text('path');
	return {
		acts: [
			{
				...frame,
				on: garden.today,
				kind: 'figure.cleared',
				subjectId: figureOf(garden.id, params.kind, path),
				data: { kind_id: params.kind, path }
			}
		],
		said: 'Back to the handbook’s figure.'
	};
}
