/** What is at hand for mixing, and vessels of one's own. */
import { v5 as uuidv5 } from 'uuid';
import type { Asked, Made } from './doing.js';
import { handbook } from '../handbook.js';

export function putOnShelf({ garden, f, frame }: Asked): Made {
	const material = f.text('material');
	return {
		acts: [
			{
				...frame,
				kind: 'shelf.set',
				subjectId: uuidv5(`shelf ${material}`, garden.id),
				data: { material, litres: f.number('litres') ?? Number.NaN }
			}
		],
		said: `On the shelf: ${handbook().materials.get(material)?.name ?? material}, ${f.text('litres')} L.`
	};
}

const SIDES: Record<string, readonly string[]> = {
	tray: ['lengthCm', 'widthCm', 'heightCm'],
	jar: ['acrossCm', 'waterCm'],
	cells: ['topCm', 'baseCm', 'heightCm']
};

export function ownVessel({ garden, f, frame }: Asked): Made {
	const shape = f.text('shape');
	const sides = (Object.hasOwn(SIDES, shape) ? SIDES[shape] : undefined) ?? SIDES.cells!;
	const vessel = {
		shape,
		...Object.fromEntries(sides.map((side) => [side, f.cm(side, garden.units) ?? Number.NaN])),
		...(shape === 'cells' ? { cells: f.number('cells') ?? Number.NaN } : {})
	};
	return {
		acts: [{ ...frame, kind: 'vessel.set', subjectId: frame.id, data: { name: f.text('name'), vessel } }],
		said: `Noted: ${f.text('name')}.`
	};
}
