/** What our printed pages share: a document as bytes, our type, and drawings made of the same shapes as on screen. */
import PDFDocument from 'pdfkit';
import { TONES } from '$lib/core/draw/shapes.js';
import type { Drawing } from '$lib/core/draw/shapes.js';

export type Pdf = PDFKit.PDFDocument;
export const INK = TONES.ink;
/** Points in a millimetre. */
export const MM = 72 / 25.4;

export interface Type {
	text: string;
	bold: string;
}

/** Makes a document, lets `write` fill it, and gives its bytes. Without font files the viewer's own Helvetica serves. */
export async function makePdf(
	options: PDFKit.PDFDocumentOptions,
	fonts: Type | null,
	write: (doc: Pdf, type: Type) => void | Promise<void>
): Promise<Buffer> {
	const doc = new PDFDocument(options);
	const pieces: Buffer[] = [];
	doc.on('data', (piece: Buffer) => pieces.push(piece));
	const done = new Promise<Buffer>((resolve, reject) => {
		doc.on('end', () => resolve(Buffer.concat(pieces)));
		doc.on('error', reject);
	});
	const type = { text: 'Helvetica', bold: 'Helvetica-Bold' };
	if (fonts) {
		// Registered by name once: opened by path they would be read again at every change of face.
		doc.registerFont('text', fonts.text);
		doc.registerFont('bold', fonts.bold);
		Object.assign(type, { text: 'text', bold: 'bold' });
	}
	await write(doc, type);
	doc.end();
	return done;
}

/** Draws to fit a frame, in points; returns the height it took. */
export function drawInto(doc: Pdf, type: Type, drawing: Drawing, x: number, y: number, width: number, height: number): number {
	const [bx, by, bw, bh] = drawing.box;
	const scale = Math.min(width / bw, height / bh);
	doc.save();
	doc.translate(x + (width - bw * scale) / 2 - bx * scale, y - by * scale).scale(scale);
	for (const s of drawing.shapes) {
		if (!('path' in s)) continue;
		doc
			.path(s.path)
			.lineJoin('round')
			.lineWidth(s.width ?? 0);
		if (s.dash) doc.dash((s.width ?? 0.1) * 4, { space: (s.width ?? 0.1) * 3 });
		else doc.undash();
		if (s.fill && s.stroke && s.width) doc.fillAndStroke(TONES[s.fill], TONES[s.stroke]);
		else if (s.fill) doc.fill(TONES[s.fill]);
		else if (s.stroke) doc.stroke(TONES[s.stroke]);
	}
	doc.undash();
	doc.restore();
	for (const s of drawing.shapes) {
		if ('path' in s) continue;
		doc
			.font(type.text)
			.fontSize(s.size * scale)
			.fillColor(TONES[s.tone ?? 'ink']);
		const wide = doc.widthOfString(s.text);
		const left =
			x + (width - bw * scale) / 2 + (s.x - bx) * scale - (s.anchor === 'middle' ? wide / 2 : s.anchor === 'end' ? wide : 0);
		doc.text(s.text, left, y + (s.y - by) * scale - s.size * scale * 0.95, { lineBreak: false });
	}
	return bh * scale;
}
