/** One page for whoever waters while one is away: when, where, what, how much, and nothing else. */
import { INK, makePdf, MISSED } from './pdf.js';
import type { Face, FontFiles, Pdf, Type } from './pdf.js';
import type { Tags } from './pdfTags.js';

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
	fonts: FontFiles | null;
}

const MARGIN = 48;
const RULE = '#9fb3aa';

/** PDF, A4. Fonts are file paths; without them the page is set in the viewer's own Helvetica. */
export function awaySheetPdf(sheet: AwaySheet): Promise<Buffer> {
	const about = { size: 'A4', margin: MARGIN, info: { Title: `${sheet.garden}, ${sheet.span}` } };
	return makePdf(about, sheet.fonts, (doc, type, tags) => write(doc, type, tags, sheet));
}

function write(doc: Pdf, type: Type, tags: Tags, sheet: AwaySheet): void {
	const width = doc.page.width - 2 * MARGIN;
	const face = (of: Face, text: string) => doc.font(type.of(of, text));
	const [garden, span] = [type.set(sheet.garden), `While we are away: ${type.set(sheet.span)}`];
	tags.say('H1', () => face('bold', garden).fillColor(INK).fontSize(22).text(garden));
	tags.say('P', () => face('text', span).fontSize(13).text(span).moveDown(0.8));
	let day = '';
	for (const row of sheet.rows) {
		const how = type.set(`${row.place}: ${row.how}`);
		const what = type.set(row.what);
		const height =
			face('text', how)
				.fontSize(12)
				.heightOfString(how, { width: width - 30 }) + 50;
		if (doc.y + height > doc.page.height - MARGIN) doc.addPage();
		if (row.day !== day) {
			doc.moveDown(0.4);
			tags.decoration(() =>
				doc
					.moveTo(MARGIN, doc.y)
					.lineTo(MARGIN + width, doc.y)
					.lineWidth(0.7)
					.strokeColor(RULE)
					.stroke()
			);
			tags.say('H2', () => face('bold', row.day).moveDown(0.4).fontSize(14).fillColor(INK).text(row.day, MARGIN));
			day = row.day;
		}
		const y = doc.y + 6;
		tags.decoration(() => doc.rect(MARGIN, y, 12, 12).lineWidth(1).strokeColor(INK).stroke());
		tags.say('P', () =>
			face('bold', what)
				.fontSize(12)
				.fillColor(INK)
				.text(what, MARGIN + 24, y - 1, { width: width - 24 })
		);
		tags.say('P', () =>
			face('text', how)
				.fontSize(12)
				.text(how, MARGIN + 24, doc.y + 1, { width: width - 24 })
		);
	}
	if (sheet.rows.length === 0) tags.say('P', () => face('text', '').fontSize(13).text('Nothing needs doing.'));
	if (type.missed())
		tags.say('P', () =>
			face('text', MISSED)
				.fontSize(10)
				.text(MISSED, MARGIN, doc.y + 14)
		);
}
