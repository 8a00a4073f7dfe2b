/** What our printed pages share: a document as bytes, our type, and drawings made of the same shapes as on screen. */
import { openSync } from 'fontkit';
import type { Font } from 'fontkit';
import PDFDocument from 'pdfkit';
import { TONES } from '$lib/core/draw/shapes.js';
import type { Drawing } from '$lib/core/draw/shapes.js';
import { Tags } from './pdfTags.js';

export type Pdf = PDFKit.PDFDocument;
export const INK = TONES.ink;
/** Points in a millimetre. */
export const MM = 72 / 25.4;

/** Font files: our type, and one that has nearly every letter people write (Latin, Greek, Cyrillic and more). */
export interface FontFiles {
	text: string;
	bold: string;
	wide: { text: string; bold: string };
}

export type Face = 'text' | 'bold';
export interface Type {
	/** The font that has every letter of a text, by its name in the document. */
	of(face: Face, text: string): string;
	/** The text as it can be set: what no font has stands as a box. */
	set(text: string): string;
	/** Whether anything has been set as a box. */
	missed(): boolean;
}

const BOX = '\u25a1';
const opened = new Map<string, Font>();
/** A file is opened once: it is asked at every word. */
function fontAt(path: string): Font {
	let font = opened.get(path);
	if (!font) opened.set(path, (font = openSync(path) as Font));
	return font;
}
const has = (font: Font, letter: string): boolean => /\s/.test(letter) || font.hasGlyphForCodePoint(letter.codePointAt(0)!);

function typeOf(doc: Pdf, fonts: FontFiles | null): Type {
	if (!fonts)
		return { of: (face) => (face === 'bold' ? 'Helvetica-Bold' : 'Helvetica'), set: (text) => text, missed: () => false };
	// Registered by name once: opened by path they would be read again at every change of face.
	doc.registerFont('text', fonts.text).registerFont('bold', fonts.bold);
	let wide = false;
	let missed = false;
	return {
		of(face, text) {
			if ([...text].every((letter) => has(fontAt(fonts[face]), letter))) return face;
			if (!wide) doc.registerFont('wide-text', fonts.wide.text).registerFont('wide-bold', fonts.wide.bold);
			wide = true;
			return `wide-${face}`;
		},
		set(text) {
			const known = [...text]
				.filter((letter) => !/\p{Variation_Selector}|\u200d/u.test(letter))
				.map((letter) => (has(fontAt(fonts.text), letter) || has(fontAt(fonts.wide.text), letter) ? letter : BOX))
				.join('');
			missed ||= known.includes(BOX) && !text.includes(BOX);
			return known;
		},
		missed: () => missed
	};
}

/** Told at the foot of what was set with boxes. */
export const MISSED = `Where a ${BOX} stands, a sign cannot be printed here.`;

/** Makes a tagged document, lets `write` fill it, and gives its bytes. Without font files the viewer's own Helvetica serves. */
export async function makePdf(
	options: PDFKit.PDFDocumentOptions,
	fonts: FontFiles | null,
	write: (doc: Pdf, type: Type, tags: Tags) => void
): Promise<Buffer> {
	const doc = new PDFDocument({ lang: 'en', displayTitle: true, tagged: true, pdfVersion: '1.7', ...options });
	const pieces: Buffer[] = [];
	doc.on('data', (piece: Buffer) => pieces.push(piece));
	const done = new Promise<Buffer>((resolve, reject) => {
		doc.on('end', () => resolve(Buffer.concat(pieces)));
		doc.on('error', reject);
	});
	const type = typeOf(doc, fonts);
	const tags = new Tags(doc);
	write(doc, type, tags);
	tags.end();
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
			.font(type.of('text', s.text))
			.fontSize(s.size * scale)
			.fillColor(TONES[s.tone ?? 'ink']);
		const wide = doc.widthOfString(s.text);
		const left =
			x + (width - bw * scale) / 2 + (s.x - bx) * scale - (s.anchor === 'middle' ? wide / 2 : s.anchor === 'end' ? wide : 0);
		doc.text(s.text, left, y + (s.y - by) * scale - s.size * scale * 0.95, { lineBreak: false });
	}
	return bh * scale;
}
