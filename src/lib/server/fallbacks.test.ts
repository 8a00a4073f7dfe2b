/** The stand-ins for our fonts against their own metrics, by a library of the registry. */
import { readFileSync } from 'node:fs';
import { createFontStack } from '@capsizecss/core';
import arial from '@capsizecss/metrics/arial';
import arialBold from '@capsizecss/metrics/arial/700';
import atkinson from '@capsizecss/metrics/atkinsonHyperlegibleNext';
import atkinsonBold from '@capsizecss/metrics/atkinsonHyperlegibleNext/700';
import bricolage from '@capsizecss/metrics/bricolageGrotesque';
import bricolageBold from '@capsizecss/metrics/bricolageGrotesque/700';
import roboto from '@capsizecss/metrics/roboto';
import robotoBold from '@capsizecss/metrics/roboto/700';
import { expect, test } from 'vitest';

const css = readFileSync(new URL('../ui/fallbacks.css', import.meta.url), 'utf8');
const figures = (face: string) =>
	[...face.matchAll(/(ascent-override|descent-override|size-adjust): ([\d.]+)%/g)].map((m) => `${m[1]} ${m[2]}`);

test.each([
	['Atkinson Hyperlegible Next Fallback', [atkinson, arial], [atkinsonBold, arialBold]],
	['Atkinson Hyperlegible Next Fallback Roboto', [atkinson, roboto], [atkinsonBold, robotoBold]],
	['Bricolage Grotesque Fallback', [bricolage, arial], [bricolageBold, arialBold]],
	['Bricolage Grotesque Fallback Roboto', [bricolage, roboto], [bricolageBold, robotoBold]]
] as const)('%s is as wide and as high', (name, text, bold) => {
	const faces = css.split('@font-face').filter((f) => f.includes(`'${name}'`));
	expect(faces.map(figures)).toEqual([text, bold].map((stack) => figures(String(createFontStack([...stack]).fontFaces))));
});
