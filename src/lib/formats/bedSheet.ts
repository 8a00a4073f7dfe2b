/** A bed to scale on paper: to peg it out by, with a ruler. */
import { INK, makePdf, MISSED, MM } from './pdf.js';
import type { Face, FontFiles } from './pdf.js';
import { sayNumber } from '$lib/core/numbers.js';

export interface BedSheet {
	title: string;
	/** A line under the title: what it is filled with. */
	under: string;
	paper: 'A4' | 'LETTER';
	/** m */
	outline: readonly (readonly [number, number])[];
	holes: readonly (readonly (readonly [number, number])[])[];
	points: readonly (readonly [number, number])[];
	/** What stands there already, each so wide, m. */
	stands: readonly { name: string; at: readonly (readonly [number, number])[]; acrossM: number }[];
	/** How wide a plant is drawn, m. */
	acrossM: number;
	fonts: FontFiles | null;
}

const MARGIN = 36;
/** For title and text above, and the bar below. */
const [ABOVE, BELOW] = [70, 64];
const SCALES = [5, 10, 20, 50, 100, 200, 500, 1000] as const;
/** The bar by which a printer is checked, mm on paper. */
const BAR_MM = 100;

/** The largest scale of the usual ones at which so many metres fit in so many points, 1 : n. */
export const scaleFor = (wideM: number, tallM: number, wide: number, tall: number): number =>
	SCALES.find((n) => (wideM * 1000 * MM) / n <= wide && (tallM * 1000 * MM) / n <= tall) ?? SCALES.at(-1)!;

/** Between the lines of the grid, m: fine enough to measure from, and no finer than a centimetre on paper. */
export const gridFor = (scale: number): number => [0.1, 0.2, 0.5, 1, 2, 5, 10].find((m) => (m * 1000) / scale >= 10) ?? 10;

export function bedSheetPdf(sheet: BedSheet): Promise<Buffer> {
	const xs = sheet.outline.map((p) => p[0]);
	const ys = sheet.outline.map((p) => p[1]);
	const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
	const [wideM, tallM] = [right - left, high - low];
	const layout = wideM > tallM ? ('landscape' as const) : ('portrait' as const);
	const about = {
		...{ size: sheet.paper, layout, margins: { top: MARGIN, bottom: 10, left: MARGIN, right: MARGIN } },
		info: { Title: `${sheet.title}, to scale` }
	} as const;
	return makePdf(about, sheet.fonts, (doc, type, tags) => {
		const [w, h] = [doc.page.width - 2 * MARGIN, doc.page.height - 2 * MARGIN - ABOVE - BELOW];
		const scale = scaleFor(wideM, tallM, w, h);
		const grid = gridFor(scale);
		const unit = (1000 * MM) / scale;
		const at = ([x, y]: readonly [number, number]): [number, number] => [
			MARGIN + (x - left) * unit,
			MARGIN + ABOVE + (high - y) * unit
		];
		const said = (of: Face, text: string, size: number, y: number) => {
			const set = type.set(text);
			doc.font(type.of(of, set)).fontSize(size).fillColor(INK).text(set, MARGIN, y, { width: w });
		};
		tags.say('H1', () => said('bold', sheet.title, 20, MARGIN));
		tags.say('P', () => said('text', sheet.under, 12, MARGIN + 26));
		tags.say('P', () =>
			said(
				'text',
				`Scale 1 : ${sayNumber(scale)}. Lines of the grid are ${sayNumber(grid, 1)} m apart, from the lower left corner of the bed’s box.`,
				11,
				MARGIN + 44
			)
		);
		const there = sheet.stands.filter((s) => s.at.length > 0);
		const figure = `${sheet.title} from above${sheet.points.length ? `, with ${sayNumber(sheet.points.length)} ${sheet.points.length === 1 ? 'plant' : 'plants'}` : ''}${
			there.length ? `; there already: ${there.map((s) => s.name).join('; ')}` : ''
		}.`;
		tags.figure(figure, () => {
			doc.lineWidth(0.4).strokeColor('#c2cfc8');
			for (let x = 0; x <= wideM + 1e-9; x += grid)
				doc
					.moveTo(...at([left + x, low]))
					.lineTo(...at([left + x, high]))
					.stroke();
			for (let y = 0; y <= tallM + 1e-9; y += grid)
				doc
					.moveTo(...at([left, low + y]))
					.lineTo(...at([right, low + y]))
					.stroke();
			const ring = (points: BedSheet['outline']) => {
				points.forEach((p, i) => (i ? doc.lineTo(...at(p)) : doc.moveTo(...at(p))));
				return doc.closePath();
			};
			ring(sheet.outline).lineWidth(1.2).strokeColor(INK).stroke();
			for (const s of sheet.stands)
				for (const p of s.at) {
					const [x, y] = at(p);
					doc
						.circle(x, y, (s.acrossM / 2) * unit)
						.lineWidth(0.8)
						.strokeColor(INK)
						.stroke();
				}
			for (const p of sheet.points) {
				const [x, y] = at(p);
				doc
					.circle(x, y, (sheet.acrossM / 2) * unit)
					.lineWidth(0.4)
					.strokeColor('#5b8a72')
					.stroke();
				doc.circle(x, y, 1.1).fillColor(INK).fill();
			}
			for (const hole of sheet.holes) ring(hole).lineWidth(0.8).fillAndStroke('#d9e2dc', INK);
		});
		const bar = doc.page.height - MARGIN - 34;
		tags.decoration(() =>
			doc
				.moveTo(MARGIN, bar - 4)
				.lineTo(MARGIN, bar)
				.lineTo(MARGIN + BAR_MM * MM, bar)
				.lineTo(MARGIN + BAR_MM * MM, bar - 4)
				.lineWidth(1)
				.strokeColor(INK)
				.stroke()
		);
		tags.say('P', () =>
			said(
				'text',
				'This bar is 10 cm long on paper. If it is not, the printer has made the sheet to fit: print it at 100 %.',
				10,
				bar + 5
			)
		);
		if (type.missed()) tags.say('P', () => said('text', MISSED, 9, bar + 19));
	});
}
