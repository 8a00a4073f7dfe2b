/** The cut guide on one page: the drawing, the steps, nothing else. */
import type { Drawing } from '$lib/core/draw/shapes.js';
import type { Step } from '$lib/core/draw/steps.js';
import { drawInto, INK, makePdf } from './pdf.js';
import type { FontFiles } from './pdf.js';

const MARGIN = 44;
const LEAST_SIZE = 7;

export interface GuidePage {
	title: string;
	botanical: string;
	garden: string;
	drawing: Drawing;
	steps: Step[];
	paper: 'A4' | 'LETTER';
	fonts: FontFiles | null;
}

export function guidePdf(g: GuidePage): Promise<Buffer> {
	return makePdf({ size: g.paper, margin: MARGIN, info: { Title: g.title } }, g.fonts, (doc, type, tags) => {
		const width = doc.page.width - 2 * MARGIN;
		const title = type.set(g.title);
		tags.say('H1', () => doc.font(type.of('bold', title)).fontSize(20).fillColor(INK).text(title, MARGIN, MARGIN, { width }));
		const under = type.set(`${g.botanical} · ${g.garden}`);
		tags.say('P', () => doc.font(type.of('text', under)).fontSize(11).text(under).moveDown(0.6));
		const top = doc.y;
		let height = 0;
		tags.figure(g.drawing.say, () => (height = drawInto(doc, type, g.drawing, MARGIN, top, width, 270)));
		const room = doc.page.height - MARGIN - (top + height + 14);
		// However long the words are, they stay on the one page: smaller rather than cut off.
		let size = 11.5;
		const tall = () =>
			g.steps.reduce(
				(sum, s, i) =>
					sum +
					doc
						.font(type.of('text', s.say))
						.fontSize(size)
						.heightOfString(`${i + 1}  ${s.title}. ${s.say}`, { width }) +
					size * 0.4,
				0
			);
		while (size > LEAST_SIZE && tall() > room) size -= 0.5;
		let y = top + height + 14;
		for (const [i, s] of g.steps.entries()) {
			tags.say('P', () => {
				doc
					.font(type.of('bold', s.title))
					.fontSize(size)
					.fillColor(s.caution ? '#9b2335' : INK)
					.text(`${i + 1}  ${s.title}. `, MARGIN, y, { width, continued: true });
				doc.font(type.of('text', s.say)).fillColor(INK).text(s.say);
			});
			y = doc.y + size * 0.4;
		}
	});
}
