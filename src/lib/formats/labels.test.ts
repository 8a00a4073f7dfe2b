/** Labels are read back by a decoder that is not ours, off the page as it is printed. */
import { createCanvas } from '@napi-rs/canvas';
import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { describe, expect, it } from 'vitest';
import { sheetSchema } from '$lib/core/handbook/benchSchema.js';
import { labelSvg, labelsPdf, modulesOf } from './labels.js';
import type { Label } from './labels.js';
import { guidePdf } from './guidePdf.js';
import { drawGuide, stepsOf, usualChoice } from '$lib/core/draw/index.js';
import { cutOf, waySchema } from '$lib/core/handbook/schema.js';
import { kind } from '../../testing/handbook.js';

const sheets = (parse(readFileSync('handbook/labels.yaml', 'utf8')) as unknown[]).map((s) => sheetSchema.parse(s));
const label = (over: Partial<Label> = {}): Label => ({
	code: '32T-V',
	qr: 'http://192.168.1.20:4180/g/three-alders/c/32T-V',
	name: 'Border penstemon',
	botanical: 'Penstemon hartwegii hybrids',
	line: 'soft tip cutting · 24 · 5 Sep 2026',
	...over
});
const MM = 72 / 25.4;

/** A page of a PDF as dots. */
async function rasterise(pdf: Buffer, page: number, scale: number) {
	const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0, isEvalSupported: false }).promise;
	const p = await doc.getPage(page);
	const viewport = p.getViewport({ scale });
	const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
	const context = canvas.getContext('2d');
	context.fillStyle = '#ffffff';
	context.fillRect(0, 0, canvas.width, canvas.height);
	await p.render({ canvasContext: context as unknown as CanvasRenderingContext2D, viewport }).promise;
	const text = (await p.getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ');
	return { context, pages: doc.numPages, text, width: viewport.width / scale, height: viewport.height / scale };
}

describe('sheets of labels', () => {
	it.each(sheets)('$id: every label on the page reads back', async (sheet) => {
		const perPage = sheet.across * sheet.down;
		const skip = 1;
		const labels = Array.from({ length: perPage }, (_, i) => label({ qr: `http://10.0.0.2:4180/g/g/c/${i}` }));
		const pdf = await labelsPdf({ sheet, labels, skip, shift: [0.5, -0.5], lines: true, fonts: null });
		const scale = 4;
		const shot = await rasterise(pdf, 1, scale);
		expect(shot.pages).toBe(2);
		expect(shot.text).toContain('Border penstemon');
		for (let i = 0; i < perPage - skip; i++) {
			const at = i + skip;
			const x = (sheet.left + (at % sheet.across) * (sheet.width + sheet.gap_x) + 0.5) * MM;
			const y = (sheet.top + Math.floor(at / sheet.across) * (sheet.height + sheet.gap_y) - 0.5) * MM;
			// All of it on the paper.
			expect(x + sheet.width * MM).toBeLessThanOrEqual(shot.width + 0.6 * MM);
			expect(y + sheet.height * MM).toBeLessThanOrEqual(shot.height + 0.6 * MM);
			if (i % 5 !== 0 && i !== perPage - skip - 1) continue;
			const image = shot.context.getImageData(
				Math.floor(x * scale),
				Math.floor(y * scale),
				Math.ceil(sheet.width * 0.45 * MM * scale),
				Math.ceil(sheet.height * MM * scale)
			);
			const read = jsQR(new Uint8ClampedArray(image.data), image.width, image.height);
			expect(read?.data, `${sheet.id} label ${i}`).toBe(`http://10.0.0.2:4180/g/g/c/${i}`);
		}
	});

	it('text that does not fit is made smaller, then cut, and never runs over', async () => {
		const sheet = sheets.find((s) => s.id === 'sticker')!;
		const pdf = await labelsPdf({
			sheet,
			labels: [label({ name: 'Ivy-leaved pelargonium with an endless name that nobody could fit on any stick at all' })],
			skip: 0,
			shift: [0, 0],
			lines: false,
			fonts: null
		});
		const shot = await rasterise(pdf, 1, 4);
		expect(shot.text).toContain('…');
		// Right of the label the paper is white.
		const right = Math.ceil((sheet.left + sheet.width) * MM * 4) + 1;
		const data = shot.context.getImageData(right, 0, 40, Math.ceil((sheet.top + sheet.height) * MM * 4)).data;
		expect(data.every((v) => v === 255)).toBe(true);
	});

	it('the picture’s squares are the code’s', () => {
		const { size, dark } = modulesOf(label().qr);
		const scale = 6;
		const side = (size + 8) * scale;
		const data = new Uint8ClampedArray(side * side * 4).fill(255);
		for (let y = 0; y < side; y++)
			for (let x = 0; x < side; x++) {
				const [r, c] = [Math.floor(y / scale) - 4, Math.floor(x / scale) - 4];
				if (r >= 0 && c >= 0 && r < size && c < size && dark(r, c)) data.fill(0, (y * side + x) * 4, (y * side + x) * 4 + 3);
			}
		expect(jsQR(data, side, side)?.data).toBe(label().qr);
		const svg = labelSvg(label({ name: 'A & B <c>' }), sheets[0]!);
		expect(svg).toContain('A &#38; B &#60;c&#62;');
		expect(svg.match(/h1v1h-1z/g)!.length).toBe(
			Array.from({ length: size * size }, (_, i) => dark(Math.floor(i / size), i % size)).filter(Boolean).length
		);
	});
});

describe('the guide on paper', () => {
	it('is one page with the drawing and all its steps', async () => {
		const ways = (parse(readFileSync('handbook/ways.yaml', 'utf8')) as unknown[]).map((w) => waySchema.parse(w));
		for (const id of ['box', 'streptocarpus', 'dahlia']) {
			const k = kind(id);
			for (const profile of k.ways) {
				const way = ways.find((w) => w.id === profile.way)!;
				const cut = cutOf(way, profile);
				const choice = usualChoice(way, profile, cut);
				const say = (cm: number) => `${cm} cm`;
				const steps = stepsOf(way, profile, k.hazards, cut, choice, say, (a, b) => `${a}–${b} cm`);
				const pdf = await guidePdf({
					title: k.common,
					botanical: k.species,
					garden: 'Test',
					drawing: drawGuide(cut, choice, say),
					steps,
					paper: 'A4',
					fonts: null
				});
				const shot = await rasterise(pdf, 1, 1);
				expect(shot.pages, `${id} ${profile.id}`).toBe(1);
				expect(shot.text).toContain('Before the first cut');
				expect(shot.text.replace(/\s+/g, ' ')).toContain(steps.at(-1)!.say.split(' ').slice(0, 3).join(' '));
			}
		}
	});
});
