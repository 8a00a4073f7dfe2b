/** One page for whoever waters while one is away: when, where, what, how much, and nothing else. */
import { INK, makePdf } from './pdf.js';
import type { Pdf, Type } from './pdf.js';

export interface AwayRow {
	day: string;
	place: string;
	what: string;
	how: string;
}
export interface AwaySheet {
	garden: string;
	span: string;
	rows: AwayRow[];
	fonts: Type | null;
}

const MARGIN = 48;
const RULE = '#9fb3aa';

/** PDF, A4. Fonts are file paths; without them the page is set in the viewer's own Helvetica. */
export function awaySheetPdf(sheet: AwaySheet): Promise<Buffer> {
	const about = { size: 'A4', margin: MARGIN, info: { Title: `${sheet.garden}, ${sheet.span}` } };
	return makePdf(about, sheet.fonts, (doc, type) => write(doc, type, sheet));
}

function write(doc: Pdf, { text, bold }: Type, sheet: AwaySheet): void {
	const width = doc.page.width - 2 * MARGIN;
	doc.fillColor(INK).font(bold).fontSize(22).text(sheet.garden);
	doc.font(text).fontSize(13).text(`While we are away: ${sheet.span}`).moveDown(0.8);
	let day = '';
	for (const row of sheet.rows) {
		const how = `${row.place}: ${row.how}`;
		const height =
			doc
				.font(text)
				.fontSize(12)
				.heightOfString(how, { width: width - 30 }) + 50;
		if (doc.y + height > doc.page.height - MARGIN) doc.addPage();
		if (row.day !== day) {
			doc.moveDown(0.4);
			doc
				.moveTo(MARGIN, doc.y)
				.lineTo(MARGIN + width, doc.y)
				.lineWidth(0.7)
				.strokeColor(RULE)
				.stroke();
			doc.moveDown(0.4).font(bold).fontSize(14).fillColor(INK).text(row.day, MARGIN);
			day = row.day;
		}
		const y = doc.y + 6;
		doc.rect(MARGIN, y, 12, 12).lineWidth(1).strokeColor(INK).stroke();
		doc
			.font(bold)
			.fontSize(12)
			.fillColor(INK)
			.text(row.what, MARGIN + 24, y - 1, { width: width - 24 });
		doc
			.font(text)
			.fontSize(12)
			.text(how, MARGIN + 24, doc.y + 1, { width: width - 24 });
	}
	if (sheet.rows.length === 0) doc.font(text).fontSize(13).text('Nothing needs doing.');
}
