import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { licences } from '../../../bin/licences.js';
import { ROOT } from '../../../bin/lib.js';

test('the list of licences is of the packages that are locked, and none forbids to be passed on', () => {
	const told = readFileSync(join(ROOT, 'docs', 'licences.md'), 'utf8');
	const plain = (text: string) => text.replace(/\s+/g, ' ');
	expect(plain(told), 'run npm run licences').toBe(plain(licences()));
	const needed = told.slice(told.indexOf('## Needed to run'), told.indexOf('## Needed to build'));
	expect(needed).not.toMatch(/GPL|not said|UNLICENSED/);
});
