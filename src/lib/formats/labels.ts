/** Sheets of labels as PDF: name, way, date, number, code and its QR code. */
import QRCode from 'qrcode';
import type { Sheet } from '$lib/core/handbook/benchSchema.js';
import { INK, makePdf, MM } from './pdf.js';
import type { Face, FontFiles, Pdf, Type } from './pdf.js';
import type { Tags } from './pdfTags.js';

export interface Label {
	code: string;
	/** What the QR code says: an address, or the code alone. */
	qr: string;
	name: string;
	/** What tells it from others of its name: the form it is called by, else its botanical name. */
	botanical: string;
	/** Way, number, date in one line. */
	line: string;
}

export interface LabelJob {
	sheet: Sheet;
	labels: readonly Label[];
	/** Places already used on the first sheet, from the top left by rows. */
	skip: number;
	/** What a printer is off by, mm: right and down. */
	shift: readonly [number, number];
	/** Hairlines to cut along. */
	lines: boolean;
	fonts: FontFiles | null;
}

/** The dark squares of a QR code. The same label many times over has it made once. */
export function modulesOf(text: string): { size: number; dark: (row: number, column: number) => boolean } {
	const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
	return { size: modules.size, dark: (row, column) => modules.get(row, column) === 1 };
}

function drawCode(doc: Pdf, text: string, x: number, y: number, side: number, made: Map<string, string>): void {
	// The standard asks for four modules of quiet around it: the label's white is that.
	let path = made.get(text);
	const { size, dark } = modulesOf(text);
	if (path === undefined) {
		path = '';
		for (let r = 0; r < size; r++)
			for (let c = 0; c < size;) {
				let run = 0;
				while (c + run < size && dark(r, c + run)) run++;
				if (run) path += `M${c} ${r}h${run}v1h-${run}z`;
				c += Math.max(1, run);
			}
		made.set(text, path);
	}
	doc.save();
	doc.translate(x, y).scale(side / size);
	doc.path(path).fill('#000000');
	doc.restore();
}

/** Words that fit: smaller down to a least size, then cut with an ellipsis. */
function fitted(
	doc: Pdf,
	face: string,
	text: string,
	width: number,
	size: number,
	least: number
): { text: string; size: number } {
	for (let s = size; s >= least; s -= 0.5) if (doc.font(face).fontSize(s).widthOfString(text) <= width) return { text, size: s };
	doc.font(face).fontSize(least);
	const letters = [...text];
	while (letters.length > 1 && doc.widthOfString(`${letters.join('')}…`) > width) letters.pop();
	return { text: `${letters.join('').trimEnd()}…`, size: least };
}

export function labelsPdf(job: LabelJob): Promise<Buffer> {
	const { sheet: s } = job;
	return makePdf({ size: s.paper, margin: 0, info: { Title: 'Labels' }, autoFirstPage: true }, job.fonts, (doc, type, tags) => {
		const made = new Map<string, string>();
		const perPage = s.across * s.down;
		const skip = Math.max(0, Math.min(perPage - 1, job.skip));
		job.labels.forEach((label, i) => {
			const at = i + skip;
			if (i > 0 && at % perPage === 0) doc.addPage();
			const place = at % perPage;
			const x = (s.left + (place % s.across) * (s.width + s.gap_x) + job.shift[0]) * MM;
			const y = (s.top + Math.floor(place / s.across) * (s.height + s.gap_y) + job.shift[1]) * MM;
			tags.in('Sect', () => one(doc, type, tags, label, x, y, s.width * MM, s.height * MM, job.lines, made));
		});
	});
}

function one(
	doc: Pdf,
	type: Type,
	tags: Tags,
	label: Label,
	x: number,
	y: number,
	width: number,
	height: number,
	lines: boolean,
	made: Map<string, string>
): void {
	if (lines) tags.decoration(() => doc.rect(x, y, width, height).lineWidth(0.3).stroke('#9fb3aa'));
	const pad = Math.min(2.2 * MM, height * 0.1);
	const side = Math.min(height - 2 * pad, width * 0.3);
	tags.figure(`Code that opens ${label.code}`, () => drawCode(doc, label.qr, x + pad, y + (height - side) / 2, side, made));
	const left = x + pad * 2 + side;
	const room = x + width - pad - left;
	const put = (of: Face, said: string, top: number, size: number, least: number) => {
		const text = type.set(said);
		const face = type.of(of, `${text}…`);
		const f = fitted(doc, face, text, room, size, least);
		tags.say('P', () => doc.font(face).fontSize(f.size).fillColor(INK).text(f.text, left, top, { lineBreak: false }));
		return top + f.size * 1.12;
	};
	const big = Math.min(height * 0.26, 15);
	const small = Math.max(5.5, Math.min(height * 0.14, 8.5));
	let top = y + pad;
	top = put('bold', label.code, top, big, 8);
	top = put('bold', label.name, top, big * 0.8, 6);
	if (y + height - top > small * 2.6) top = put('text', label.botanical, top, small, 5);
	if (y + height - top > small * 1.1) put('text', label.line, top, small, 5);
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** One label as a picture (SVG), in mm. Long words are drawn together to fit. */
export function labelSvg(label: Label, sheet: Pick<Sheet, 'width' | 'height'>): string {
	const { width, height } = sheet;
	const pad = Math.min(2.2, height * 0.1);
	const side = Math.min(height - 2 * pad, width * 0.3);
	const { size, dark } = modulesOf(label.qr);
	let squares = '';
	for (let r = 0; r < size; r++) for (let c = 0; c < size; c++) if (dark(r, c)) squares += `M${c} ${r}h1v1h-1z`;
	const left = pad * 2 + side;
	const room = width - pad - left;
	let y = pad;
	const words = [
		[label.code, height * 0.24, 700],
		[label.name, height * 0.19, 700],
		[label.botanical, height * 0.13, 400],
		[label.line, height * 0.13, 400]
	] as const;
	const lines = words.map(([text, tall, weight]) => {
		y += tall * 1.15;
		// About half its height is a letter's width; where that is too long the letters close up.
		const tight = [...text].length * tall * 0.55 > room ? ` textLength="${room}" lengthAdjust="spacingAndGlyphs"` : '';
		return `<text x="${left}" y="${y.toFixed(2)}" font-size="${tall.toFixed(2)}" font-weight="${weight}"${tight}>${escaped(text)}</text>`;
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="Atkinson Hyperlegible, sans-serif"><rect width="${width}" height="${height}" fill="#fff"/><path transform="translate(${pad} ${(height - side) / 2}) scale(${side / size})" d="${squares}"/>${lines.join('')}</svg>`;
}
