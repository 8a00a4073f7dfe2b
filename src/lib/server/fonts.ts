/** Our own type on paper too, if it lies where the packages are. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { home } from './handbook.js';
import type { Type } from '$lib/formats/pdf.js';

export function paperFonts(): Type | null {
	const folder = join(home(), 'node_modules', '@fontsource', 'atkinson-hyperlegible', 'files');
	const text = join(folder, 'atkinson-hyperlegible-latin-400-normal.woff');
	const bold = join(folder, 'atkinson-hyperlegible-latin-700-normal.woff');
	return existsSync(text) && existsSync(bold) ? { text, bold } : null;
}
