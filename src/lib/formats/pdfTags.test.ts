/** Printed pages as a reader of tagged PDF finds them (ISO 32000-1, 14.8), by a library that is not the writer's. */
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { bedSheetPdf, gridFor, scaleFor } from './bedSheet.js';
import { guidePdf } from './guidePdf.js';
import { labelsPdf } from './labels.js';
import { tickSheetPdf } from './tickSheet.js';

interface Node {
	role?: string;
	alt?: string;
	type?: string;
	id?: string;
	children?: Node[];
}

/** The structure with the words of each part; and words that lie in none, which are not read aloud. */
async function readAloud(pdf: Buffer) {
	const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0, isEvalSupported: false }).promise;
	const said: string[] = [];
	const lost: string[] = [];
	for (let n = 1; n <= doc.numPages; n++) {
		const page = await doc.getPage(n);
		const words = new Map<string, string>();
		const around: (string | null)[] = [];
		for (const item of (await page.getTextContent({ includeMarkedContent: true })).items) {
			if ('str' in item) {
				const id = around.findLast((i) => i !== null);
				if (id) words.set(id, (words.get(id) ?? '') + item.str);
				else if (item.str.trim()) lost.push(item.str);
			} else if (item.type === 'endMarkedContent') around.pop();
			else around.push((item as { id?: string | null }).id ?? null);
		}
		const walk = (node: Node, role: string): void => {
			if (node.type === 'content') said.push(`${role}: ${words.get(node.id!) ?? ''}`);
			else if (node.alt) said.push(`${node.role}: ${node.alt}`);
			else for (const child of node.children ?? []) walk(child, node.role ?? role);
		};
		walk((await page.getStructTree()) as Node, '');
	}
	const info = (await doc.getMetadata()).info as { Language?: string; Title?: string };
	return { said, lost, marked: await doc.getMarkInfo(), language: info.Language, title: info.Title };
}

/** Lengths of the straight strokes of a page, mm, as the file has them. */
async function lengthsOf(pdf: Buffer): Promise<number[]> {
	const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0, isEvalSupported: false }).promise;
	const { fnArray, argsArray } = await (await doc.getPage(1)).getOperatorList();
	return fnArray.flatMap((fn, i) => {
		if (fn !== OPS.constructPath) return [];
		// Of a path: what is done, and its points one after another.
		const [, points] = argsArray[i] as [number[], number[]];
		const at = Array.from({ length: Math.floor(points.length / 2) }, (_, k) => [points[2 * k]!, points[2 * k + 1]!] as const);
		return at.slice(1).map(([x, y], k) => (Math.hypot(x - at[k]![0], y - at[k]![1]) * 25.4) / 72);
	});
}

describe('printed pages are tagged', () => {
	it('a neighbour’s sheet: headings, then each thing, over several pages, and nothing left out', async () => {
		const rows = Array.from({ length: 60 }, (_, i) => ({
			head: `${1 + Math.floor(i / 10)} Sep 2026`,
			...{ what: `Water ${i + 2} pots`, how: 'Sill: from below, half a litre.' }
		}));
		const { said, lost, marked, language, title } = await readAloud(
			await tickSheetPdf({ title: 'Three Alders', under: 'While we are away', rows, none: '', fonts: null })
		);
		expect([marked?.Marked, language, title]).toEqual([true, 'en', 'Three Alders, While we are away']);
		expect(lost).toEqual([]);
		expect(said.slice(0, 5)).toEqual([
			...['H1: Three Alders', 'P: While we are away'],
			...['H2: 1 Sep 2026', 'P: Water 2 pots', 'P: Sill: from below, half a litre.']
		]);
		expect(said.filter((s) => s.startsWith('H2'))).toHaveLength(6);
		expect(said.filter((s) => s.startsWith('P: Water'))).toHaveLength(60);
	});

	it('a bed to scale: what fills it, the scale, the drawing in words, and a bar that is as long as it says', async () => {
		const outline = [[0, 0], [3, 0], [3, 1.2], [0, 1.2]] as const; // prettier-ignore
		const under = '36 × Catmint, 35 cm apart, on 3.6 m²';
		const pdf = await bedSheetPdf({
			...{ title: 'Path edge', under, paper: 'A4', outline, holes: [] },
			...{ points: [[1, 0.6]], stands: [{ name: 'Sage', at: [[2, 0.5]], acrossM: 0.6 }], acrossM: 0.35, fonts: null }
		});
		const { said, lost, title } = await readAloud(pdf);
		expect([lost, title]).toEqual([[], 'Path edge, to scale']);
		expect(said[0]).toBe('H1: Path edge');
		// 3 m on 27 cm of paper: 1 : 20 is 15 cm, 1 : 10 would be 30.
		expect(said.join(' | ')).toContain('Scale 1 : 20. Lines of the grid are 0.2 m apart');
		expect(said).toContain('Figure: Path edge from above, with 1 plant; there already: Sage.');
		expect(scaleFor(3, 1.2, 770, 400)).toBe(20);
		expect(scaleFor(0.4, 0.4, 770, 400)).toBe(5);
		expect(scaleFor(9_000, 1, 770, 400)).toBe(1000);
		expect([5, 20, 100, 1000].map(gridFor)).toEqual([0.1, 0.2, 1, 10]);
		// As the page draws it: a stretch of 100 mm, and the bed's side of 150 mm.
		const ops = await lengthsOf(pdf);
		expect(ops.some((mm) => Math.abs(mm - 100) < 0.01)).toBe(true);
		expect(ops.some((mm) => Math.abs(mm - 150) < 0.01)).toBe(true);
	});

	it('a cut guide: its title, its drawing in words, its steps', async () => {
		const drawing = {
			box: [0, 0, 10, 10] as const,
			shapes: [{ path: 'M0 0L5 5', stroke: 'ink' as const, width: 0.1 }],
			say: 'A stem.'
		};
		const steps = [
			{ title: 'Cut', say: 'Below a node.', caution: false },
			{ title: 'Gloves', say: 'The sap burns.', caution: true }
		];
		const page = {
			title: 'Sage, soft tip',
			botanical: 'Salvia officinalis',
			garden: 'Three Alders',
			drawing,
			paper: 'A4' as const
		};
		const { said, lost } = await readAloud(await guidePdf({ ...page, steps: steps as never, fonts: null }));
		expect(lost).toEqual([]);
		expect(said.map((s) => s.replace(/\s+/g, ' ').trim())).toEqual([
			...['H1: Sage, soft tip', 'P: Salvia officinalis · Three Alders', 'Figure: A stem.'],
			...['P: 1 Cut. Below a node.', 'P: 2 Gloves. The sap burns.']
		]);
	});

	it('labels: each with its code in words', async () => {
		const sheet = {
			id: 'x',
			name: 'x',
			paper: 'A4' as const,
			across: 2,
			down: 2,
			width: 60,
			height: 30,
			left: 10,
			top: 10,
			gap_x: 2,
			gap_y: 2
		};
		const label = { qr: 'http://10.0.0.2/g/g/c/3', name: 'Sage', botanical: 'Salvia', line: 'soft tip · 24' };
		const labels = ['32T-V', '338-4'].map((code) => ({ ...label, code }));
		const { said, lost } = await readAloud(
			await labelsPdf({ sheet: sheet as never, labels, skip: 0, shift: [0, 0], lines: true, fonts: null })
		);
		expect(lost).toEqual([]);
		expect(said).toEqual(
			['32T-V', '338-4'].flatMap((code) => [
				`Figure: Code that opens ${code}`,
				`P: ${code}`,
				'P: Sage',
				'P: Salvia',
				'P: soft tip · 24'
			])
		);
	});
});
