/** Names in any letters are on the printed page as they were written: read back by another program (pdf.js). */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import { paperFonts } from './fonts.js';
import { tickSheetPdf } from '$lib/formats/tickSheet.js';
import { MISSED } from '$lib/formats/pdf.js';

const NAMES = ['Łąka Šípková', 'Στέγη', 'Огород за домом', 'Şişli bahçe', 'Garður', 'Ő és Ű', 'Küche'];

async function wordsOf(pdf: Buffer) {
	const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0, isEvalSupported: false }).promise;
	const { info } = (await doc.getMetadata()) as { info: { Title?: string; Language?: string | null } };
	const page = await doc.getPage(1);
	const { items } = await page.getTextContent();
	return { info, text: items.map((i) => ('str' in i ? i.str : '')).join(' ') };
}
const sheet = (places: readonly string[]) =>
	tickSheetPdf({
		title: places[0]!,
		under: '3 to 12 May',
		rows: places.map((place) => ({ head: '3 May', what: `Water in ${place}`, how: 'a can' })),
		none: '',
		fonts: paperFonts()
	});

beforeAll(() => {
	process.env.SURCULUS_HOME ??= process.cwd();
});

describe('letters on paper', () => {
	it('Latin with every mark, Greek and Cyrillic, with a title and a language', async () => {
		expect(paperFonts()).not.toBeNull();
		const { info, text } = await wordsOf(await sheet(NAMES));
		for (const name of NAMES) expect(text, name).toContain(`Water in ${name}`);
		expect(info.Title).toBe('Łąka Šípková, 3 to 12 May');
		expect(info.Language).toBe('en');
		expect(text).not.toContain('□');
	});
	it('a sign that no font has stands as a box, and it is said', async () => {
		const { text } = await wordsOf(await sheet(['Shed 🌱', '庭']));
		expect(text).toContain('Water in Shed □');
		expect(text).toContain(MISSED);
		expect((await wordsOf(await sheet(['Shed']))).text).not.toContain(MISSED);
	});
});
