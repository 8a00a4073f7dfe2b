/** Our own type on paper too, if it lies where the packages are. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { home } from './handbook.js';

export interface PaperFonts {
	text: string;
	bold: string;
}

export function paperFonts(): PaperFonts | null {
	const folder = join(home(), 'node_modules', '@fontsource', 'atkinson-hyperlegible', 'files');
	const text = join(folder, 'atkinson-hyperlegible-latin-400-normal.woff');
	const bold = join(folder, 'atkinson-hyperlegible-latin-700-normal.woff');
	return existsSync(text) && existsSync(bold) ? { text, bold } : null;
}
