/** Our own type on paper too, if it lies where the packages are. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { home } from './handbook.js';
import type { FontFiles } from '$lib/formats/pdf.js';

export function paperFonts(): FontFiles | null {
	const folder = join(home(), 'node_modules', '@fontsource', 'atkinson-hyperlegible', 'files');
	const text = join(folder, 'atkinson-hyperlegible-latin-400-normal.woff');
	const bold = join(folder, 'atkinson-hyperlegible-latin-700-normal.woff');
	const wide = join(home(), 'node_modules', 'dejavu-fonts-ttf', 'ttf');
	const files = { text, bold, wide: { text: join(wide, 'DejaVuSans.ttf'), bold: join(wide, 'DejaVuSans-Bold.ttf') } };
	return [files.text, files.bold, files.wide.text, files.wide.bold].every((f) => existsSync(f)) ? files : null;
}
