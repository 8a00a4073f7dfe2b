/** A list to tick off on paper, under headings: for whoever waters while one is away, for the door of a shelter. */
import { INK, makePdf, MISSED } from './pdf.js';
import type { Face, FontFiles, Pdf, Type } from './pdf.js';
import type { Tags } from './pdfTags.js';

export interface TickRow {
	/** The heading that it stands under: a day, a place. */
	head: string;
	what: string;
	how: string;
}
export interface TickSheet {
	title: string;
	/** A line under the title. */
	under: string;
	rows: TickRow[];
	/** Said where there is nothing to tick. */
	none: string;
	fonts: FontFiles | null;
}

const MARGIN = 48;
const RULE = '#9fb3aa';

/** PDF, A4. Fonts are file paths; without them the page is set in the viewer's own Helvetica. */
export function tickSheetPdf(sheet: TickSheet): Promise<Buffer> {
	const about = { size: 'A4', margin: MARGIN, info: { Title: `${sheet.title}, ${sheet.under}` } };
	return makePdf(about, sheet.fonts, (doc, type, tags) => write(doc, type, tags, sheet));
}

function write(doc: Pdf, type: Type, tags: Tags, sheet: TickSheet): void {
	const width = doc.page.width - 2 * MARGIN;
	const face = (of: Face, text: string) => doc.font(type.of(of, text));
	const [title, under] = [type.set(sheet.title), type.set(sheet.under)];
	tags.say('H1', () => face('bold', title).fillColor(INK).fontSize(22).text(title));
	tags.say('P', () => face('text', under).fontSize(13).text(under).moveDown(0.8));
	let head: string | null = null;
	for (const row of sheet.rows) {
		const how = type.set(row.how);
		const what = type.set(row.what);
		const height =
			face('text', how)
				.fontSize(12)
				.heightOfString(how, { width: width - 30 }) + 50;
		if (doc.y + height > doc.page.height - MARGIN) doc.addPage();
		if (row.head !== head) {
			const said = type.set(row.head);
			doc.moveDown(0.4);
			tags.decoration(() =>
				doc
					.moveTo(MARGIN, doc.y)
					.lineTo(MARGIN + width, doc.y)
					.lineWidth(0.7)
					.strokeColor(RULE)
					.stroke()
			);
			tags.say('H2', () => face('bold', said).moveDown(0.4).fontSize(14).fillColor(INK).text(said, MARGIN));
			head = row.head;
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
	if (sheet.rows.length === 0) tags.say('P', () => face('text', '').fontSize(13).text(type.set(sheet.none)));
	if (type.missed())
		tags.say('P', () =>
			face('text', MISSED)
				.fontSize(10)
				.text(MISSED, MARGIN, doc.y + 14)
		);
}
